import type { Drawing } from '@mendrel/core';
import { emPerCapital, exportLayers } from '@mendrel/core';
import { writeDxf } from '@mendrel/formats/dxf';
import type { PdfOptions } from '@mendrel/formats/pdf';
import { writePdf } from '@mendrel/formats/pdf';
import { writeSvg } from '@mendrel/formats/svg';
import { Router } from 'express';
import { imageFiles } from '../assets/keptImages';
import { costly } from '../http/costly';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { attach, fontFileOf, goneSignal, safeName } from '../http/files';
import { idOf } from '../http/requests';
import { Turns } from '../http/turns';
import { SheetModel } from '../sheets/sheetModel';
import { sendPdf } from './pdfFile';
import type { DrawableProject } from './sheetDrawing';
import { drawableProject, drawingOf } from './sheetDrawing';

/** Sets that may wait to be drawn. */
const MOST_WAITING_SETS = 30;

export function outputRoutes({ database, library }: Dependencies): Router {
  const router = Router();
  const { typefaces } = library;
  const em = emPerCapital(typefaces);
  // Sets are drawn one at a time: ten at once would keep everybody else waiting.
  const sets = new Turns(1, MOST_WAITING_SETS, 'the set');

  const oneSheet = async (
    id: string,
  ): Promise<{ from: DrawableProject; sheet: SheetModel; drawing: Drawing; name: string }> => {
    const sheet = await SheetModel.query(database).findById(id);
    if (!sheet) throw notFound('sheet');
    const from = await drawableProject(sheet.project_id, database);
    const number = from.source.project['project.number'];
    return {
      from,
      sheet,
      drawing: await imageFiles(database)(drawingOf(from, sheet, typefaces)),
      name: safeName(number ? `${number}-${sheet.number}` : sheet.number),
    };
  };

  /** Pages one after the other, with the event loop free in between, until whoever asked has left. */
  async function* pages(from: DrawableProject, gone: AbortSignal): AsyncGenerator<Drawing> {
    const withFiles = imageFiles(database);
    for (const sheet of from.sheets) {
      if (gone.aborted) throw new Failure('stopped', 'the set was stopped');
      yield withFiles(drawingOf(from, sheet, typefaces));
      await new Promise((resolve) => setImmediate(resolve));
    }
  }

  const pdfOptions = (title: string, from: DrawableProject): PdfOptions => ({
    fonts: library.fontFiles,
    emPerCapital: em,
    title,
    author: from.source.office['office.name'] ?? '',
  });

  router.get('/projects/:id/set.pdf', costly(), async (request, response) => {
    const id = idOf(request, 'project');
    const gone = goneSignal(response);
    await sets.take(async () => {
      const from = await drawableProject(id, database);
      if (from.sheets.length === 0) throw notFound('sheet in this project');
      const { name } = from.record;
      await sendPdf(response, `${safeName(name)}.pdf`, pages(from, gone), pdfOptions(name, from));
    }, gone);
  });

  router.get('/sheets/:id/sheet.pdf', costly(), async (request, response) => {
    const { from, sheet, drawing, name } = await oneSheet(idOf(request, 'sheet'));
    const pdf = await writePdf([drawing], pdfOptions(`${sheet.number} ${sheet.title}`, from));
    attach(response, `${name}.pdf`, 'application/pdf');
    response.send(Buffer.from(pdf));
  });

  router.get('/sheets/:id/sheet.dxf', costly(), async (request, response) => {
    const { from, drawing, name } = await oneSheet(idOf(request, 'sheet'));
    const { standard, design } = from.source;
    const layers = exportLayers(standard);
    attach(response, `${name}.dxf`, 'application/dxf');
    // An office that works in inches draws in inches; its metric designs stay in millimetres.
    const unit = standard.unit === 'in' && design.unit === 'in' ? 'in' : 'mm';
    response.send(writeDxf(drawing, { blockName: design.name, layers, fontFile: fontFileOf, unit }));
  });

  router.get('/sheets/:id/sheet.svg', costly(), async (request, response) => {
    const { drawing, name } = await oneSheet(idOf(request, 'sheet'));
    const fonts = new Map([...library.fontFiles].map(([face, bytes]) => [face, Buffer.from(bytes).toString('base64')]));
    attach(response, `${name}.svg`, 'image/svg+xml');
    response.send(writeSvg(drawing, { emPerCapital: em }, fonts));
  });
  return router;
}
