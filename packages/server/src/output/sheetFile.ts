import type { Design, Drawing, OfficeStandard } from '@mendrel/core';
import { emPerCapital, exportLayers } from '@mendrel/core';
import { writeDxf } from '@mendrel/formats/dxf';
import type { PdfOptions } from '@mendrel/formats/pdf';
import { writePdf } from '@mendrel/formats/pdf';
import { writeSvg } from '@mendrel/formats/svg';
import type { Response } from 'express';
import { attach, fontFileOf } from '../http/files';
import type { TypefaceLibrary } from '../typefaces/typefaceLibrary';

/** A sheet that is given out as a file. */
export interface SheetFile {
  drawing: Drawing;
  /** The file's name without its ending. */
  name: string;
  title: string;
  author: string;
  standard: OfficeStandard;
  design: Design;
}

/** What a PDF of sheets is written with. */
export const pdfOptions = (title: string, author: string, { typefaces, fontFiles }: TypefaceLibrary): PdfOptions => ({
  fonts: fontFiles,
  emPerCapital: emPerCapital(typefaces),
  title,
  author,
});

type Writer = { type: string; write: (file: SheetFile, library: TypefaceLibrary) => Promise<string | Buffer> };

/** How a sheet is written in each format, by the ending of its file. */
export const SHEET_FORMATS = {
  pdf: {
    type: 'application/pdf',
    write: async ({ drawing, title, author }, library) =>
      Buffer.from(await writePdf([drawing], pdfOptions(title, author, library))),
  },
  dxf: {
    type: 'application/dxf',
    write: ({ drawing, standard, design }) => {
      const layers = exportLayers(standard);
      // An office that works in inches draws in inches; its metric designs stay in millimetres.
      const unit = standard.unit === 'in' && design.unit === 'in' ? 'in' : 'mm';
      return Promise.resolve(writeDxf(drawing, { blockName: design.name, layers, fontFile: fontFileOf, unit }));
    },
  },
  svg: {
    type: 'image/svg+xml',
    write: ({ drawing }, { typefaces, fontFiles }) => {
      const fonts = new Map([...fontFiles].map(([face, bytes]) => [face, Buffer.from(bytes).toString('base64')]));
      return Promise.resolve(writeSvg(drawing, { emPerCapital: emPerCapital(typefaces) }, fonts));
    },
  },
} as const satisfies Readonly<Record<string, Writer>>;

export type SheetFormat = keyof typeof SHEET_FORMATS;
export const SHEET_ENDINGS = Object.keys(SHEET_FORMATS) as SheetFormat[];

/** Sends a sheet as a file to keep. */
export async function sendSheet(
  response: Response,
  format: SheetFormat,
  file: SheetFile,
  library: TypefaceLibrary,
): Promise<void> {
  const { type, write }: Writer = SHEET_FORMATS[format];
  const content = await write(file, library);
  attach(response, `${file.name}.${format}`, type);
  response.send(content);
}
