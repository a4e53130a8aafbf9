import type { Outline } from '@mendrel/core';
import { OutlineError, outlineOf } from '@mendrel/core';
import { LegacyFileError } from '../legacy/legacyFileError';
import { readSvgDrawing } from '../svg/reading/svgDrawing';
import { readChosenDrawing } from './chosenDrawing';

/**
 * Reads the outline that a DXF or SVG drawing shows.
 * @throws OutlineError in words for what is no drawing, is damaged, or shows no outline
 */
export function readOutlineFile(file: Uint8Array): Outline {
  const { text, items } = readChosenDrawing(file);
  try {
    return outlineOf(text === undefined ? items : readSvgDrawing(text).items);
  } catch (error) {
    if (error instanceof LegacyFileError) throw new OutlineError(error.message);
    throw error;
  }
}
