/**
 * What the layout needs to know of a typeface. Adapters over font files make these; all figures are in the font's own
 * units, `unitsPerEm` of which make one em.
 */
export interface Typeface {
  name: string;
  unitsPerEm: number;
  capHeight: number;
  /** Depth below the base line of the deepest letters, as a positive number. */
  descent: number;
  /** Width of the upright stroke of a letter such as l. */
  stem: number;
  /** Advance width of a text set on one line with kerning. */
  advance(text: string): number;
  /**
   * What the last letter of a text and the first of the next one add to their widths when they stand beside each other; without it the
   * two have to be measured as one.
   */
  between?(before: string, after: string): number;
  /** Whether it has a letter for a code point. */
  has(code: number): boolean;
}

/** Typefaces by name. */
export interface Typefaces {
  get(name: string): Typeface | undefined;
}

/** Width on paper in mm of a text whose capitals are `height` mm high. */
export function textWidth(typeface: Typeface, text: string, height: number, widthFactor = 1): number {
  return (typeface.advance(text) / typeface.capHeight) * height * widthFactor;
}

/** Measures texts in mm. */
export interface Measure {
  (text: string): number;
  /** Where widths come from a typeface that knows what letters add beside each other: that, and mm for each of its units. */
  by?: { between: (before: string, after: string) => number; typeface: Typeface; scale: number };
}

/** Measures texts whose capitals are `height` mm high. */
export function measureOf(typeface: Typeface, height: number, widthFactor: number): Measure {
  const measure: Measure = (text) => textWidth(typeface, text, height, widthFactor);
  if (typeface.between) {
    const between = (before: string, after: string): number => typeface.between?.(before, after) ?? 0;
    measure.by = { between, typeface, scale: (height / typeface.capHeight) * widthFactor };
  }
  return measure;
}

/** The font size (em) in mm that makes capitals `height` mm high. */
export function fontSize(typeface: Typeface, height: number): number {
  return (height * typeface.unitsPerEm) / typeface.capHeight;
}

/** Size of the em as a multiple of the capitals' height, by typeface; 1.4, an average, for one that is not there. */
export function emPerCapital(typefaces: Typefaces): (name: string) => number {
  return (name) => {
    const face = typefaces.get(name);
    return face ? fontSize(face, 1) : 1.4;
  };
}

/**
 * A typeface that measures by single advances and by corrections for pairs, both asked for once and kept: kerning acts
 * between neighbours only, so that a text's width is the sum of its letters and its pairs.
 * @param measure advance of a short text in font units, from the font file's own tables
 * @param has whether the file has a letter for a code point
 */
export function pairwiseTypeface(
  about: Omit<Typeface, 'advance' | 'between' | 'has'>,
  measure: (text: string) => number,
  has: (code: number) => boolean,
): Typeface {
  const there = new Map<number, boolean>();
  const singles = new Map<number, number>();
  // Two code points in one number: the first times 2^21, which is more than the largest code point.
  const pairs = new Map<number, number>();
  const single = (code: number): number => {
    let width = singles.get(code);
    if (width === undefined) {
      width = measure(String.fromCodePoint(code));
      singles.set(code, width);
    }
    return width;
  };
  const pair = (before: number, code: number): number => {
    const key = before * 0x200000 + code;
    let correction = pairs.get(key);
    if (correction === undefined) {
      correction = measure(String.fromCodePoint(before, code)) - single(before) - single(code);
      if (pairs.size > 50_000) pairs.clear();
      pairs.set(key, correction);
    }
    return correction;
  };
  const widths = new Map<string, number>();
  return {
    ...about,
    has(code) {
      let known = there.get(code);
      if (known === undefined) there.set(code, (known = has(code)));
      return known;
    },
    between(before, after) {
      if (before === '' || after === '') return 0;
      const last = before.charCodeAt(before.length - 1);
      // The second half of a letter beyond the first 65 536.
      const code = last >= 0xdc00 && last <= 0xdfff ? before.codePointAt(before.length - 2) : last;
      return pair(code ?? last, after.codePointAt(0) ?? 0);
    },
    advance(text) {
      const known = widths.get(text);
      if (known !== undefined) return known;
      let total = 0;
      let before = -1;
      for (let i = 0; i < text.length; i++) {
        const code = text.codePointAt(i) ?? 0;
        if (code > 0xffff) i++;
        total += single(code);
        if (before >= 0) total += pair(before, code);
        before = code;
      }
      if (widths.size > 5000) widths.clear();
      widths.set(text, total);
      return total;
    },
  };
}
