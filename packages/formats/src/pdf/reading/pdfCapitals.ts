import { create } from 'fontkit';
import type { PageOperator } from './pdfOperators';

/** Height of capitals to the size of a typeface that shows none; common practice for sans serifs. */
const CAPITALS = 0.716;
/** What is measured outside of these is no capital. */
const LIKELY = { least: 0.4, most: 1.1 } as const;
/** Capitals that end level above, without the overshoot of round ones; and figures, which are nearly as high where there are none. */
const LEVEL_LETTERS = ['EFHIKLMNTXZ', '17'] as const;

/** Letters of each typeface that a page shows, by what they stand for: the signs under which the typeface has them. */
export type ShownLetters = ReadonlyMap<string, ReadonlyMap<string, string>>;

interface Glyph {
  unicode: string;
  fontChar: string;
}

const isGlyph = (each: unknown): each is Glyph =>
  typeof each === 'object' && each !== null && 'unicode' in each && 'fontChar' in each;

/** The letters that a page's instructions show, by typeface. */
export function shownLetters(operators: readonly PageOperator[]): ShownLetters {
  const shown = new Map<string, Map<string, string>>();
  let letters: Map<string, string> | undefined;
  for (const { name, args } of operators) {
    if (name === 'setFont') {
      const id = String(args[0]);
      letters = shown.get(id) ?? new Map<string, string>();
      shown.set(id, letters);
    } else if (name === 'showText' && Array.isArray(args[0])) {
      for (const glyph of args[0]) if (isGlyph(glyph)) letters?.set(glyph.unicode, glyph.fontChar);
    }
  }
  return shown;
}

/**
 * Height of capitals to the size of a typeface that is kept in the file, measured on the letters themselves: typefaces that are cut
 * down to a few letters do not say it, or say that of another typeface.
 */
export function capitalsOf(data: Uint8Array | undefined, letters: ReadonlyMap<string, string> | undefined): number {
  if (!data || !letters) return CAPITALS;
  try {
    const font = create(data as Buffer);
    if (!('glyphForCodePoint' in font)) return CAPITALS;
    for (const wanted of LEVEL_LETTERS) {
      const heights = [...wanted].flatMap((letter) => {
        const sign = letters.get(letter)?.codePointAt(0);
        const height = sign === undefined ? 0 : font.glyphForCodePoint(sign).bbox.maxY / font.unitsPerEm;
        return height > LIKELY.least && height < LIKELY.most ? [height] : [];
      });
      heights.sort((a, b) => a - b);
      const middle = heights[heights.length >> 1];
      if (middle !== undefined) return middle;
    }
  } catch {
    // A typeface cut down to a few letters may lack what would draw them.
  }
  return CAPITALS;
}
