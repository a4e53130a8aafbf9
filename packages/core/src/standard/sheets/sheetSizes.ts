import { z } from 'zod';
import { MM_PER } from '../../quantity';

export const SIZE_SERIES = ['ISO A', 'ISO B', 'ASME', 'ARCH', 'Office'] as const;
export type SizeSeries = (typeof SIZE_SERIES)[number];

/** Sheets are drawn between these lengths, in mm; the longest is what comes off a roll. */
export const LEAST_EDGE = 20;
export const MOST_EDGE = 20_000;

const edge = z
  .number()
  .min(LEAST_EDGE, `a sheet edge is at least ${LEAST_EDGE} mm`)
  .max(MOST_EDGE, `a sheet edge is at most ${MOST_EDGE} mm`);

export const sheetSizeSchema = z.strictObject({
  name: z.string().trim().min(1, 'a size needs a name').max(40),
  series: z.enum(SIZE_SERIES),
  /** Trimmed, in mm, in the way the sheet usually lies. */
  width: edge,
  height: edge,
  /** The unit it is named and shown in. */
  unit: z.enum(['mm', 'in']),
  /** Cut from a roll: its short edge is the roll's width, its long edge may have any length. */
  roll: z.boolean(),
  /** Of an own size: the shipped one it was made from, whose frame rule it takes unless a rule names it itself. */
  model: z.string().min(1).max(40).optional(),
});

/** A named paper format. */
export type SheetSize = z.infer<typeof sheetSizeSchema>;

const iso = (name: string, width: number, height: number): SheetSize => ({
  name: `ISO ${name}`,
  series: name.startsWith('A') ? 'ISO A' : 'ISO B',
  width,
  height,
  unit: 'mm',
  roll: false,
});
const inches = (series: 'ASME' | 'ARCH', name: string, width: number, height: number): SheetSize => ({
  name: `${series} ${name}`,
  series,
  width: width * MM_PER.in,
  height: height * MM_PER.in,
  unit: 'in',
  roll: false,
});

/**
 * Every sheet size that ships. Source: ISO 216 (ISO), ASME Y14.1 (ASME), both from memory; the architectural series is
 * common practice. Landscape, but for the ISO sizes from A4 and B4 on and ASME A, which stand upright (ISO 5457 uses A4
 * upright).
 */
export const SHEET_SIZES: readonly SheetSize[] = [
  iso('A0', 1189, 841),
  iso('A1', 841, 594),
  iso('A2', 594, 420),
  iso('A3', 420, 297),
  iso('A4', 210, 297),
  iso('A5', 148, 210),
  iso('A6', 105, 148),
  iso('A7', 74, 105),
  iso('A8', 52, 74),
  iso('A9', 37, 52),
  iso('A10', 26, 37),
  iso('B0', 1414, 1000),
  iso('B1', 1000, 707),
  iso('B2', 707, 500),
  iso('B3', 500, 353),
  iso('B4', 250, 353),
  iso('B5', 176, 250),
  iso('B6', 125, 176),
  iso('B7', 88, 125),
  iso('B8', 62, 88),
  iso('B9', 44, 62),
  iso('B10', 31, 44),
  inches('ASME', 'A', 8.5, 11),
  inches('ASME', 'B', 17, 11),
  inches('ASME', 'C', 22, 17),
  inches('ASME', 'D', 34, 22),
  inches('ASME', 'E', 44, 34),
  inches('ASME', 'F', 40, 28),
  inches('ARCH', 'A', 12, 9),
  inches('ARCH', 'B', 18, 12),
  inches('ARCH', 'C', 24, 18),
  inches('ARCH', 'D', 36, 24),
  inches('ARCH', 'E', 48, 36),
  inches('ARCH', 'E1', 42, 30),
];

export type Orientation = 'landscape' | 'portrait';

export class UnknownSizeError extends Error {
  override name = 'UnknownSizeError';
}

/** The size of a name: one of a list, or one that its name describes. */
export function findSize(name: string, sizes: readonly SheetSize[] = SHEET_SIZES): SheetSize | undefined {
  const wanted = name.trim().toLowerCase();
  return sizes.find((size) => size.name.toLowerCase() === wanted) ?? sizeByExtent(wanted);
}

/** @throws UnknownSizeError that lists the names there are */
export function sheetSize(name: string, sizes: readonly SheetSize[] = SHEET_SIZES): SheetSize {
  const found = findSize(name, sizes);
  if (!found) {
    throw new UnknownSizeError(`there is no sheet size "${name}"; there are ${sizes.map((s) => s.name).join(', ')}`);
  }
  return found;
}

/** Width and height of a size in an orientation; without one, as the standard has it. */
export function sheetExtent(
  size: Pick<SheetSize, 'width' | 'height'>,
  orientation?: Orientation,
): { width: number; height: number } {
  const [short, long] = [Math.min(size.width, size.height), Math.max(size.width, size.height)];
  if (orientation === 'landscape') return { width: long, height: short };
  if (orientation === 'portrait') return { width: short, height: long };
  return { width: size.width, height: size.height };
}

/** The shipped size nearest to two edges, however they lie: what an own size is made from, or mistaken for. */
export function nearestSize(extent: { width: number; height: number }, sizes = SHEET_SIZES): SheetSize | undefined {
  const wanted = sheetExtent(extent, 'landscape');
  const distance = (size: SheetSize): number => {
    const own = sheetExtent(size, 'landscape');
    return Math.hypot(Math.log(own.width / wanted.width), Math.log(own.height / wanted.height));
  };
  return [...sizes].sort((a, b) => distance(a) - distance(b))[0];
}

/** Ratio of long to short edge, which the ISO series keep at √2. */
export function edgeRatio(size: Pick<SheetSize, 'width' | 'height'>): number {
  const { width, height } = sheetExtent(size, 'landscape');
  return width / height;
}

/** A size that is called by its edges: "900 x 600 mm", "36.5 x 24 in". */
const EXTENT = /^(\d{1,5}(?:\.\d{1,3})?) x (\d{1,5}(?:\.\d{1,3})?) (mm|in)$/;

/** A size that no list has, called by its edges as they lie; both in mm. Inches are written to 1/1000. */
export function sizeOfExtent(width: number, height: number, unit: SheetSize['unit']): SheetSize {
  const inUnit = (mm: number): string =>
    String(unit === 'mm' ? Math.round(mm * 10) / 10 : Math.round((mm / MM_PER.in) * 1000) / 1000);
  const name = `${inUnit(width)} x ${inUnit(height)} ${unit}`;
  return sizeByExtent(name) ?? { name, series: 'Office', width, height, unit, roll: false };
}

/** The size that a name like "900 x 600 mm" describes, so that it is known without standing in a list; undefined for other names. */
export function sizeByExtent(name: string): SheetSize | undefined {
  const [, first, second, unit] = EXTENT.exec(name) ?? [];
  if (unit !== 'mm' && unit !== 'in') return undefined;
  const [width, height] = [Number(first) * MM_PER[unit], Number(second) * MM_PER[unit]];
  if (Math.min(width, height) < LEAST_EDGE || Math.max(width, height) > MOST_EDGE) return undefined;
  const model = nearestSize(
    { width, height },
    SHEET_SIZES.filter((size) => size.unit === unit),
  );
  return { name, series: 'Office', width, height, unit, roll: false, ...(model ? { model: model.name } : {}) };
}
