/**
 * Lengths are plain numbers in millimetres everywhere inside Mendrel; this file is the one place where they are read
 * from and written to words.
 */

export type LengthUnit = 'mm' | 'cm' | 'm' | 'in' | 'ft';

/** The unit in which an office or a design works: lengths are typed and told in it. */
export type WorkingUnit = 'mm' | 'in';

/** Millimetres in one unit. The inch is 25.4 mm exactly (international yard and pound agreement, 1959). */
export const MM_PER: Readonly<Record<LengthUnit, number>> = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 };

export class QuantityError extends Error {
  override name = 'QuantityError';
}

const NUMBER = String.raw`(?:\d+(?:\.\d+)?|\.\d+)`;
const FRACTION = String.raw`\d+\s*\/\s*\d+`;
/** 3, 3.5, 3/4, 1 3/4, 1-3/4 */
const MIXED = String.raw`(?:\d+(?:\s+|-)${FRACTION}|${FRACTION}|${NUMBER})`;
const FEET_INCHES = String.raw`(${NUMBER})\s*(?:'|′|ft\b)\s*-?\s*(${MIXED})\s*(?:"|″|''|in\b)`;
const SINGLE = String.raw`(${MIXED})\s*(mm\b|cm\b|m\b|in\b|ft\b|"|″|''|'|′)`;

/** Matches one length with its unit at the start of a text; used by formulas too. */
export const LENGTH_AT_START = new RegExp(`^(?:${FEET_INCHES}|${SINGLE})`);

const UNIT_OF_SIGN: Record<string, LengthUnit> = {
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  in: 'in',
  ft: 'ft',
  '"': 'in',
  '″': 'in',
  "''": 'in',
  "'": 'ft',
  '′': 'ft',
};

function mixedNumber(text: string): number {
  const parts = /^(?:(\d+)(?:\s+|-))?(\d+)\s*\/\s*(\d+)$/.exec(text.trim());
  if (!parts) return Number(text);
  const below = Number(parts[3]);
  if (below === 0) throw new QuantityError(`"${text}" divides by zero`);
  return Number(parts[1] ?? 0) + Number(parts[2]) / below;
}

/**
 * The length that starts a text, in mm, and how many characters it takes; undefined when none does.
 * Reads `12 mm`, `1.5 m`, `3/4in`, `1 1/2 "`, `2'-10 1/2"`, `20 ft`.
 */
export function lengthAtStart(text: string): { mm: number; characters: number } | undefined {
  const match = LENGTH_AT_START.exec(text);
  if (!match) return undefined;
  const [whole, feet, inches, single, sign] = match;
  const mm =
    feet !== undefined && inches !== undefined
      ? Number(feet) * MM_PER.ft + mixedNumber(inches) * MM_PER.in
      : mixedNumber(single ?? '') * MM_PER[UNIT_OF_SIGN[sign ?? ''] ?? 'mm'];
  return { mm, characters: whole.length };
}

/**
 * Reads a decimal comma as a point. Three digits after it could as well be thousands, so `1,200` stays as it is and is
 * refused; `0,125` can only be a fraction.
 */
const withDecimalPoint = (text: string): string =>
  text.replace(/(\d+),(\d+)/g, (all, whole: string, part: string) =>
    part.length === 3 && whole !== '0' ? all : `${whole}.${part}`,
  );

/**
 * A typed length in mm.
 * @param text what was typed, with or without a unit, with or without a sign
 * @param unit the unit of a bare number
 * @throws QuantityError that says what can be typed instead
 */
export function parseLength(text: string, unit: LengthUnit = 'mm'): number {
  const trimmed = text.trim();
  const negative = trimmed.startsWith('-') || trimmed.startsWith('−');
  const body = withDecimalPoint(negative ? trimmed.slice(1).trim() : trimmed);
  let mm: number | undefined;
  if (new RegExp(`^${MIXED}$`).test(body)) mm = mixedNumber(body) * MM_PER[unit];
  else {
    const found = lengthAtStart(body);
    if (found && found.characters === body.length) mm = found.mm;
  }
  if (mm === undefined || !Number.isFinite(mm)) {
    throw new QuantityError(`"${trimmed}" is not a length; write for example 40, 12 mm, 3/4 in or 2'-10 1/2"`);
  }
  return negative ? -mm : mm;
}

function trimZeros(value: number, digits: number): string {
  const text = value.toFixed(digits);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

/** Inches as a mixed fraction of at most 1/64, or undefined when that would misstate the length by over 0.001 mm. */
function inchFraction(mm: number): { whole: number; above: number; below: number } | undefined {
  const sixtyFourths = Math.round((mm / MM_PER.in) * 64);
  if (Math.abs((sixtyFourths / 64) * MM_PER.in - mm) > 0.001) return undefined;
  let above = sixtyFourths % 64;
  let below = 64;
  while (above % 2 === 0 && below > 1 && above !== 0) {
    above /= 2;
    below /= 2;
  }
  return { whole: Math.floor(sixtyFourths / 64), above, below };
}

function inchesInWords(mm: number): string {
  const fraction = inchFraction(mm);
  if (!fraction) return trimZeros(mm / MM_PER.in, 4);
  const { whole, above, below } = fraction;
  if (above === 0) return String(whole);
  return whole === 0 ? `${above}/${below}` : `${whole} ${above}/${below}`;
}

export type LengthStyle = WorkingUnit | 'ft-in';

/**
 * A length in words, without loss to 0.001 mm: `40`, `12.7` (mm), `1 1/2` (in) or `2'-10 1/2"` (feet and inches).
 * @param style `mm` and `in` give the bare figure unless `withUnit`
 */
export function formatLength(mm: number, style: LengthStyle = 'mm', withUnit = false): string {
  const sign = mm < 0 ? '−' : '';
  const size = Math.abs(mm);
  if (style === 'mm') return `${sign}${trimZeros(size, 3)}${withUnit ? ' mm' : ''}`;
  if (style === 'in') return `${sign}${inchesInWords(size)}${withUnit ? ' in' : ''}`;
  const feet = Math.floor(size / MM_PER.ft + 1e-9);
  return `${sign}${feet}'-${inchesInWords(Math.max(0, size - feet * MM_PER.ft))}"`;
}

/**
 * How much something is over, short or apart, as people say it: to a tenth of a millimetre, below that to a thousandth, or
 * in inches, as a fraction where it is one.
 */
export function amountInWords(mm: number, unit: WorkingUnit): string {
  return unit === 'mm' ? `${mm.toFixed(Math.abs(mm) < 0.1 ? 3 : 1)} mm` : formatLength(mm, 'in', true);
}

/** A length as it is stored in a design's formula: exact, with its unit. */
export function lengthAsFormula(mm: number, unit: WorkingUnit): string {
  if (unit === 'mm') return `${trimZeros(mm, 6)} mm`;
  const fraction = inchFraction(mm);
  return fraction ? `${inchesInWords(mm)} in` : `${trimZeros(mm / MM_PER.in, 7)} in`;
}
