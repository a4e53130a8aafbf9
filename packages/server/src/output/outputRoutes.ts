import type { Drawing } from '@mendrel/core';
import { emPerCapital, exportLayers } from '@mendrel/core';
import { writeDxf } from '@mendrel/formats/dxf';
import { streamPdf } from '@mendrel/formats/pdf';
import { writeSvg } from '@mendrel/formats/svg';
import { Router } from 'express';
import type { Dependencies } from '../http/dependencies';
import { notFound } from '../http/failure';
import { attach, fontFileOf, safeName } from '../http/files';
import { idOf } from '../http/requests';
import { SheetModel } from '../sheets/sheetModel';
import type { DrawableProject } from './sheetDrawing';
import { drawableProject, drawSheet } from './sheetDrawing';

export function outputRoutes({ database, library }: Dependencies): Router {
  const router = Router();
  const { typefaces } = library;
  const em = emPerCapital(typefaces);

  const oneSheet = async (
    id: string,
  ): Promise<{ from: DrawableProject; sheet: SheetModel; drawing: Drawing; name: string }> => {
    const sheet = await SheetModel.query(database).findById(id);
    if (!sheet) throw notFound('sheet');
    const from = await drawableProject(sheet.project_id, database);
    const number = from.project.values['project.number'];
    return {
      from,
      sheet,
      drawing: drawSheet(from, sheet, typefaces),
      name: safeName(number ? `${number}-${sheet.number}` : sheet.number),
    };
  };

  /** Pages one after the other, with the event loop free in between. */
  async function* pages(from: DrawableProject): AsyncGenerator<Drawing> {
    for (const sheet of from.sheets) {
      yield drawSheet(from, sheet, typefaces);
      await new Promise((resolve) => setImmediate(resolve));
    }
  }

  router.get('/projects/:id/set.pdf', async (request, response) => {
    const from = await drawableProject(idOf(request, 'project'), database);
    if (from.sheets.length === 0) throw notFound('sheet in this project');
    // Each sheet is drawn once before the first byte leaves, so that an error can still be told as one.
    for (const sheet of from.sheets) drawSheet(from, sheet, typefaces);
    attach(response, `${safeName(from.project.name)}.pdf`, 'application/pdf');
    const options = {
      fonts: library.fontFiles,
      emPerCapital: em,
      title: from.project.name,
      author: from.office['office.name'] ?? '',
    };
    await streamPdf(pages(from), options, (chunk) => response.write(chunk));
    response.end();
  });

  router.get('/sheets/:id/sheet.pdf', async (request, response) => {
    const { from, sheet, drawing, name } = await oneSheet(idOf(request, 'sheet'));
    attach(response, `${name}.pdf`, 'application/pdf');
    const options = {
      fonts: library.fontFiles,
      emPerCapital: em,
      title: `${sheet.number} ${sheet.title}`,
      author: from.office['office.name'] ?? '',
    };
    await streamPdf([drawing], options, (chunk) => response.write(chunk));
    response.end();
  });

  router.get('/sheets/:id/sheet.dxf', async (request, response) => {
    const { from, drawing, name } = await oneSheet(idOf(request, 'sheet'));
    const { standard, design } = from;
    const layers = exportLayers(standard);
    attach(response, `${name}.dxf`, 'application/dxf');
    response.send(writeDxf(drawing, { blockName: design.name, layers, fontFile: fontFileOf }));
  });

  router.get('/sheets/:id/sheet.svg', async (request, response) => {
    const { drawing, name } = await oneSheet(idOf(request, 'sheet'));
    const fonts = new Map([...library.fontFiles].map(([face, bytes]) => [face, Buffer.from(bytes).toString('base64')]));
    attach(response, `${name}.svg`, 'image/svg+xml');
    response.send(writeSvg(drawing, { emPerCapital: em }, fonts));
  });
  return router;
}
