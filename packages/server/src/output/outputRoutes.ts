import type { Drawing } from '@mendrel/core';
import { valuesOf } from '@mendrel/core';
import { idSchema } from '@mendrel/contract';
import { Router } from 'express';
import { z } from 'zod';
import { drawingFiles } from '../assets/drawingFiles';
import { costly } from '../http/costly';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { goneSignal, safeName } from '../http/files';
import { checked, idOf } from '../http/requests';
import { Turns } from '../http/turns';
import { SheetModel } from '../sheets/sheetModel';
import { sendPdf } from './pdfFile';
import type { DrawableProject } from './sheetDrawing';
import { drawableProject, drawingOf } from './sheetDrawing';
import type { SheetFile } from './sheetFile';
import { pdfOptions, PICTURES_BESIDE, SHEET_ENDINGS, sendSheet } from './sheetFile';

/** Sets that may wait to be drawn. */
const MOST_WAITING_SETS = 30;

const sheetQuerySchema = z.object({
  pictures: z.enum(PICTURES_BESIDE).default('files'),
  /** The set that the sheet is put out with. */
  set: idSchema.optional(),
});
const setQuerySchema = z.object({ set: idSchema.optional() });

const authorOf = ({ source }: DrawableProject): string => source.office['office.name'] ?? '';

export function outputRoutes({ database, library }: Dependencies): Router {
  const router = Router();
  const { typefaces } = library;
  // Sets are drawn one at a time: ten at once would keep everybody else waiting.
  const sets = new Turns(1, MOST_WAITING_SETS, 'the set');

  const oneSheet = async (id: string, setId: string | undefined): Promise<SheetFile> => {
    const sheet = await SheetModel.query(database).findById(id);
    if (!sheet) throw notFound('sheet');
    const from = await drawableProject(sheet.project_id, database, setId === undefined ? {} : { setId });
    const { drawing, source } = drawingOf(from, sheet, typefaces);
    const { standard, design } = source;
    return {
      drawing: await drawingFiles(database, typefaces)(drawing),
      name: safeName(valuesOf(source)['sheet.fileName'] || sheet.number),
      title: `${sheet.number} ${sheet.title}`,
      author: authorOf(from),
      standard,
      design,
    };
  };

  /** Pages one after the other, with the event loop free in between, until whoever asked has left. */
  async function* pages(from: DrawableProject, gone: AbortSignal): AsyncGenerator<Drawing> {
    const withFiles = drawingFiles(database, typefaces);
    for (const sheet of from.sheets) {
      if (gone.aborted) throw new Failure('stopped', 'the set was stopped');
      yield withFiles(drawingOf(from, sheet, typefaces).drawing);
      await new Promise((resolve) => setImmediate(resolve));
    }
  }

  router.get('/projects/:id/set.pdf', costly(), async (request, response) => {
    const id = idOf(request, 'project');
    const { set: setId } = checked(request.query, setQuerySchema);
    const gone = goneSignal(response);
    await sets.take(async () => {
      const from = await drawableProject(id, database, setId === undefined ? {} : { setId });
      if (from.sheets.length === 0) throw notFound(from.set ? 'sheet in this set' : 'sheet in this project');
      const name = [from.record.name, from.set?.values['set.name']].filter(Boolean).join(' ');
      await sendPdf(response, `${safeName(name)}.pdf`, pages(from, gone), pdfOptions(name, authorOf(from), library));
    }, gone);
  });

  for (const format of SHEET_ENDINGS) {
    router.get(`/sheets/:id/sheet.${format}`, costly(), async (request, response) => {
      const { pictures, set } = checked(request.query, sheetQuerySchema);
      await sendSheet(response, format, await oneSheet(idOf(request, 'sheet'), set), library, pictures);
    });
  }
  return router;
}
