import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Typefaces } from '@mendrel/core';
import { emPerCapital as emOf } from '@mendrel/core';
import { SHIPPED_TYPEFACES } from '@mendrel/fonts';
import { readTypefaces } from '../typeface';

/** The shipped font files, read from the checkout. */
export const FONT_FOLDER = join(process.cwd(), 'packages/fonts/ttf');

export const fontFiles = new Map(
  SHIPPED_TYPEFACES.map(({ name, file }) => [name, new Uint8Array(readFileSync(join(FONT_FOLDER, file)))]),
);

export const typefaces: Typefaces = readTypefaces(fontFiles);

export const emPerCapital = emOf(typefaces);
