import type { Drawing } from '@mendrel/core';
import { Router } from 'express';
import { z } from 'zod';
import { imageFiles } from '../assets/keptImages';
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

const picturesSchema = z.object({ pictures: z.enum(PICTURES_BESIDE).default('files') });

const authorOf = ({ source }: DrawableProject): string => source.office['office.name'] ?? '';

export function outputRoutes({ database, library }: Dependencies): Router {
  const router = Router();
  const { typefaces } = library;
  // Sets are drawn one at a time: ten at once would keep everybody else waiting.
  const sets = new Turns(1, MOST_WAITING_SETS, 'the set');

  const oneSheet = async (id: string): Promise<SheetFile> => {
    const sheet = await SheetModel.query(database).findById(id);
    if (!sheet) throw notFound('sheet');
    const from = await drawableProject(sheet.project_id, database);
    const { drawing, source } = drawingOf(from, sheet, typefaces);
    const { project, standard, design } = source;
    const number = project['project.number'];
    return {
      drawing: await imageFiles(database)(drawing),
      name: safeName(number ? `${number}-${sheet.number}` : sheet.number),
      title: `${sheet.number} ${sheet.title}`,
      author: authorOf(from),
      standard,
      design,
    };
  };

  /** Pages one after the other, with the event loop free in between, until whoever asked has left. */
  async function* pages(from: DrawableProject, gone: AbortSignal): AsyncGenerator<Drawing> {
    const withFiles = imageFiles(database);
    for (const sheet of from.sheets) {
      if (gone.aborted) throw new Failure('stopped', 'the set was stopped');
      yield withFiles(drawingOf(from, sheet, typefaces).drawing);
      await new Promise((resolve) => setImmediate(resolve));
    }
  }

  router.get('/projects/:id/set.pdf', costly(), async (request, response) => {
    const id = idOf(request, 'project');
    const gone = goneSignal(response);
    await sets.take(async () => {
      const from = await drawableProject(id, database);
      if (from.sheets.length === 0) throw notFound('sheet in this project');
      const { name } = from.record;
      await sendPdf(response, `${safeName(name)}.pdf`, pages(from, gone), pdfOptions(name, authorOf(from), library));
    }, gone);
  });

  for (const format of SHEET_ENDINGS) {
    router.get(`/sheets/:id/sheet.${format}`, costly(), async (request, response) => {
      const { pictures } = checked(request.query, picturesSchema);
      await sendSheet(response, format, await oneSheet(idOf(request, 'sheet')), library, pictures);
    });
  }
  return router;
}
