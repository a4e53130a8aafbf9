import { MM_PER } from '../quantity';

/** A named paper format; width and height are those of the trimmed sheet in mm, in the way the standard has it. */
export interface SheetSize {
  name: string;
  series: 'ISO' | 'ASME' | 'ARCH';
  width: number;
  height: number;
}

const iso = (name: string, width: number, height: number): SheetSize => ({
  name: `ISO ${name}`,
  series: 'ISO',
  width,
  height,
});
const inches = (series: 'ASME' | 'ARCH', name: string, width: number, height: number): SheetSize => ({
  name: `${series} ${name}`,
  series,
  width: width * MM_PER.in,
  height: height * MM_PER.in,
});

/**
 * Every sheet size that ships. Source: ISO 216 (ISO), ASME Y14.1 (ASME), both from memory; the architectural series is
 * common practice. Landscape, but for ISO A4 and ASME A, which stand upright (ISO 5457 uses A4 upright).
 */
export const SHEET_SIZES: readonly SheetSize[] = [
  iso('A0', 1189, 841),
  iso('A1', 841, 594),
  iso('A2', 594, 420),
  iso('A3', 420, 297),
  iso('A4', 210, 297),
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

/** @throws UnknownSizeError that lists the names there are */
export function sheetSize(name: string): SheetSize {
  const wanted = name.trim().toLowerCase();
  const found = SHEET_SIZES.find((size) => size.name.toLowerCase() === wanted);
  if (!found) {
    throw new UnknownSizeError(
      `there is no sheet size "${name}"; there are ${SHEET_SIZES.map((s) => s.name).join(', ')}`,
    );
  }
  return found;
}

/** Width and height of a size in an orientation; without one, as the standard has it. */
export function sheetExtent(size: SheetSize, orientation?: Orientation): { width: number; height: number } {
  const [short, long] = [Math.min(size.width, size.height), Math.max(size.width, size.height)];
  if (orientation === 'landscape') return { width: long, height: short };
  if (orientation === 'portrait') return { width: short, height: long };
  return { width: size.width, height: size.height };
}
