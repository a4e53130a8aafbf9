import { extname } from 'node:path';
import { composeSheet, emPerCapital, exportLayers, STARTING_STANDARD } from '@mendrel/core';
import { SHIPPED_TYPEFACES } from '@mendrel/fonts';
import { PictureError } from '@mendrel/formats/pictures';
import { CommandError } from '../arguments';
import { writeFile } from '../files';
import type { Command } from './command';
import { inOneLine, solveFile } from './solveFile';

/** Draws a design for one size as the file that the name of the target asks for. */
export const draw: Command = async (words) => {
  const { file, layout, values, design, fonts, typefaces, target } = solveFile(words, 'out');
  const drawing = inOneLine(file, () =>
    composeSheet(design, layout, { standard: STARTING_STANDARD, typefaces, values }),
  );
  const elsewhere = drawing.items.find((item) => item.kind === 'image' && 'asset' in item.file);
  // A DXF holds no images anyway; it names them in their place.
  if (elsewhere?.kind === 'image' && extname(target).toLowerCase() !== '.dxf')
    throw new CommandError(
      `${file}: the file of the picture ${elsewhere.name} is kept by the server, not in this document`,
    );
  const em = emPerCapital(typefaces);
  // Each writer is loaded when it is asked for; that of PDF is large.
  const writers: Readonly<Record<string, () => Promise<string | Uint8Array>>> = {
    '.svg': async () => {
      const { writeSvg } = await import('@mendrel/formats/svg');
      const embedded = new Map([...fonts].map(([name, bytes]) => [name, Buffer.from(bytes).toString('base64')]));
      return writeSvg(drawing, { emPerCapital: em }, embedded);
    },
    '.dxf': async () => {
      const { writeDxf } = await import('@mendrel/formats/dxf');
      const fontFile = (name: string): string => SHIPPED_TYPEFACES.find((face) => face.name === name)?.file ?? 'txt';
      return writeDxf(drawing, { blockName: design.name, layers: exportLayers(STARTING_STANDARD), fontFile });
    },
    '.pdf': async () => {
      const { writePdf } = await import('@mendrel/formats/pdf');
      return writePdf([drawing], { fonts, emPerCapital: em, title: design.name });
    },
  };
  const write = writers[extname(target).toLowerCase()];
  if (!write) throw new CommandError(`--out ${target}: write to a file that ends in .pdf, .svg or .dxf`);
  try {
    writeFile(target, await write());
  } catch (error) {
    throw error instanceof PictureError ? new CommandError(error.message) : error;
  }
};
