import type { Item } from '@mendrel/core';
import { OutlineError } from '@mendrel/core';
import { DxfError, flattenDxf, readDxf } from '../dxf';
import { LegacyFileError } from '../legacy/legacyFileError';
import { asUtf8 } from '../legacy/utf16';

/** Bytes of a drawing that is read where it was chosen, in the browser. */
const MOST_BYTES = 3_000_000;

/** What a drawing that was chosen holds: the text of an SVG, or the items of a DXF. */
export type ChosenDrawing = { text: string; items?: never } | { text?: undefined; items: readonly Item[] };

/**
 * Reads a small DXF drawing, or finds that a file is an SVG, told apart by what is in it.
 * @throws OutlineError in words for what is no drawing, or is damaged
 */
export function readChosenDrawing(file: Uint8Array): ChosenDrawing {
  if (file.length > MOST_BYTES)
    throw new OutlineError('this file is larger than 3 MB; save only what is needed in one');
  const bytes = asUtf8(file);
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 1024));
  if (/<svg[\s>]|^\s*</i.test(head)) return { text: new TextDecoder().decode(bytes) };
  try {
    return { items: flattenDxf(readDxf(bytes)).items };
  } catch (error) {
    if (error instanceof LegacyFileError) throw new OutlineError(error.message);
    if (error instanceof DxfError) throw new OutlineError(`this is no drawing that can be read here: ${error.message}`);
    throw error;
  }
}
