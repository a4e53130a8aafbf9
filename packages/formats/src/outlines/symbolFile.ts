import type { OwnSymbol } from '@mendrel/core';
import { lineworkOf, OutlineError, ownSymbolSchema, scaledLinework } from '@mendrel/core';
import { ImageFileError } from '../images/imageFile';
import { readSvgPicture } from '../images/svgPicture';
import { readChosenDrawing } from './chosenDrawing';

/** A symbol as a file shows it, and what of the file it leaves out. */
export interface ReadSymbol {
  symbol: Omit<OwnSymbol, 'id' | 'name'>;
  dropped: string[];
}

/** No symbol is kept larger, in mm; a drawing at real size becomes smaller. */
const MOST_SIDE = 200;

/**
 * Reads a symbol from a DXF or SVG drawing. Its base point is the origin of a DXF drawing where that lies in the symbol, else its
 * middle.
 * @throws OutlineError in words for what is no drawing, is damaged, or has too much in it for a symbol
 */
export function readSymbolFile(file: Uint8Array): ReadSymbol {
  const { symbol, dropped } = unchecked(file);
  const scale = Math.min(1, MOST_SIDE / Math.max(symbol.width, symbol.height));
  const read = scaled(symbol, scale);
  const { error } = ownSymbolSchema.safeParse({ ...read, id: 'symbol', name: 'Symbol' });
  if (error) throw new OutlineError(error.issues[0]?.message ?? 'this drawing is no symbol');
  return { symbol: read, dropped };
}

function unchecked(file: Uint8Array): ReadSymbol {
  const { text, items } = readChosenDrawing(file);
  if (text !== undefined) {
    try {
      const { width, height, linework, dropped } = readSvgPicture(text);
      return { symbol: { width, height, linework, base: { x: width / 2, y: height / 2 } }, dropped };
    } catch (error) {
      if (error instanceof ImageFileError) throw new OutlineError(error.message);
      throw error;
    }
  }
  const boxed = lineworkOf(items);
  if (!boxed || boxed.width <= 0 || boxed.height <= 0)
    throw new OutlineError('there is nothing in this drawing that is as high as it is wide and can be drawn');
  const { width, height, linework, origin, left } = boxed;
  const within = origin.x >= 0 && origin.x <= width && origin.y >= 0 && origin.y <= height;
  return {
    symbol: { width, height, linework, base: within ? origin : { x: width / 2, y: height / 2 } },
    dropped: left === 0 ? [] : [left === 1 ? 'a text or image' : `texts and images (${left})`],
  };
}

const scaled = (symbol: ReadSymbol['symbol'], scale: number): ReadSymbol['symbol'] => ({
  width: symbol.width * scale,
  height: symbol.height * scale,
  base: { x: symbol.base.x * scale, y: symbol.base.y * scale },
  linework: scaledLinework(symbol.linework, scale),
});
