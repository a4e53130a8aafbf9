import type { Design, Drawing, OfficeStandard, WorkingUnit } from '@mendrel/core';
import { emPerCapital, exportLayers } from '@mendrel/core';
import { pictureFiles, writeDxf } from '@mendrel/formats/dxf';
import type { PdfOptions } from '@mendrel/formats/pdf';
import { writePdf } from '@mendrel/formats/pdf';
import { writeSvg } from '@mendrel/formats/svg';
import type { Response } from 'express';
import type { AsyncZippable } from 'fflate';
import { zip } from 'fflate';
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

/** Typefaces that sheets are lettered with, for measuring and for embedding. */
export type Lettering = Pick<TypefaceLibrary, 'typefaces' | 'fontFiles'>;

/** What a PDF of sheets is written with. */
export const pdfOptions = (title: string, author: string, { typefaces, fontFiles }: Lettering): PdfOptions => ({
  fonts: fontFiles,
  emPerCapital: emPerCapital(typefaces),
  title,
  author,
});

/** What becomes of images in a format that holds none: files beside it in an archive, or their outlines with their names. */
export const PICTURES_BESIDE = ['files', 'outlines'] as const;
export type PicturesBeside = (typeof PICTURES_BESIDE)[number];

/** A file as it is sent; where it brings others along, an archive of them. */
interface Written {
  content: string | Buffer;
  /** Paths and contents of files that lie beside it. */
  beside?: ReadonlyMap<string, Uint8Array>;
}

type Writer = {
  type: string;
  write: (file: SheetFile, library: Lettering, pictures: PicturesBeside) => Promise<Written>;
};

/** How a sheet is written in each format, by the ending of its file. */
export const SHEET_FORMATS = {
  pdf: {
    type: 'application/pdf',
    write: async ({ drawing, title, author }, library) => ({
      content: Buffer.from(await writePdf([drawing], pdfOptions(title, author, library))),
    }),
  },
  dxf: {
    type: 'application/dxf',
    write: ({ drawing, standard, design }, _library, pictures) => {
      const layers = exportLayers(standard);
      // An office that works in inches draws in inches; its metric designs stay in millimetres.
      const unit: WorkingUnit = standard.unit === 'in' && design.unit === 'in' ? 'in' : 'mm';
      const files = pictures === 'files' ? pictureFiles(drawing) : undefined;
      const options = { blockName: design.name, layers, fontFile: fontFileOf, unit };
      return Promise.resolve({
        content: writeDxf(drawing, { ...options, ...(files ? { pictures: files } : {}) }),
        beside: new Map([...(files?.values() ?? [])].map(({ path, bytes }) => [path, bytes])),
      });
    },
  },
  svg: {
    type: 'image/svg+xml',
    write: ({ drawing }, { typefaces, fontFiles }) => {
      const fonts = new Map([...fontFiles].map(([face, bytes]) => [face, Buffer.from(bytes).toString('base64')]));
      return Promise.resolve({ content: writeSvg(drawing, { emPerCapital: emPerCapital(typefaces) }, fonts) });
    },
  },
} as const satisfies Readonly<Record<string, Writer>>;

export type SheetFormat = keyof typeof SHEET_FORMATS;
export const SHEET_ENDINGS = Object.keys(SHEET_FORMATS) as SheetFormat[];

/** Sends a sheet as a file to keep; one that has others beside it, in an archive with them. */
export async function sendSheet(
  response: Response,
  format: SheetFormat,
  file: SheetFile,
  library: Lettering,
  pictures: PicturesBeside = 'files',
): Promise<void> {
  const { type, write }: Writer = SHEET_FORMATS[format];
  const { content, beside } = await write(file, library, pictures);
  if (!beside || beside.size === 0) {
    attach(response, `${file.name}.${format}`, type);
    response.send(content);
    return;
  }
  attach(response, `${file.name}.zip`, 'application/zip');
  response.send(await archive(new Map([[`${file.name}.${format}`, Buffer.from(content)], ...beside])));
}

/** An archive of files by their paths; pictures are packed by themselves and are not packed again. */
async function archive(files: ReadonlyMap<string, Uint8Array>): Promise<Buffer> {
  const zipped = await new Promise<Uint8Array>((resolve, reject) => {
    const entries = [...files].map(([path, bytes]) => [path, [bytes, { level: /\.(?:png|jpg)$/.test(path) ? 0 : 6 }]]);
    zip(Object.fromEntries(entries) as AsyncZippable, {}, (error, data) => (error ? reject(error) : resolve(data)));
  });
  return Buffer.from(zipped);
}
