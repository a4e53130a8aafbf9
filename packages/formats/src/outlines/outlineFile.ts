import type { Outline } from '@mendrel/core';
import { OutlineError, outlineOf } from '@mendrel/core';
import { DxfError, flattenDxf, readDxf } from '../dxf';
import { LegacyFileError } from '../legacy/legacyFileError';
import { asUtf8 } from '../legacy/utf16';
import { readSvgDrawing } from '../svg/reading/svgDrawing';

/** Bytes of a drawing that is read for its outline; it is read where it was chosen, in the browser. */
const MOST_BYTES = 3_000_000;

/**
 * Reads the outline that a DXF or SVG drawing shows, told apart by what is in it.
 * @throws OutlineError in words for what is no drawing, is damaged, or shows no outline
 */
export function readOutlineFile(file: Uint8Array): Outline {
  if (file.length > MOST_BYTES) throw new OutlineError('this file is larger than 3 MB; save only the outline in one');
  const bytes = asUtf8(file);
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 1024));
  try {
    const drawing = /<svg[\s>]|^\s*</i.test(head)
      ? readSvgDrawing(new TextDecoder().decode(bytes))
      : flattenDxf(readDxf(bytes));
    return outlineOf(drawing.items);
  } catch (error) {
    if (error instanceof LegacyFileError) throw new OutlineError(error.message);
    if (error instanceof DxfError) throw new OutlineError(`this is no drawing that can be read here: ${error.message}`);
    throw error;
  }
}
