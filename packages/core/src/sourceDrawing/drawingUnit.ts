import type { Rect } from '../geometry';
import type { WorkingUnit } from '../quantity';
import { MM_PER } from '../quantity';

/** Units that buildings are drawn in. */
export const DRAWING_UNITS = [
  { words: 'millimetres', mm: 1 },
  { words: 'centimetres', mm: MM_PER.cm },
  { words: 'metres', mm: MM_PER.m },
  { words: 'inches', mm: MM_PER.in },
  { words: 'feet', mm: MM_PER.ft },
] as const;

/** What views show is seldom smaller than a detail of half a metre, and seldom larger than a site of 3 km (common practice). */
const [SMALLEST, LARGEST] = [500, 3_000_000];

/** Whether what is drawn would be as large as what architects draw, when its unit is so many millimetres. */
export function isLikelyUnit({ width, height }: Pick<Rect, 'width' | 'height'>, mm: number): boolean {
  const longest = Math.max(width, height) * mm;
  return longest >= SMALLEST && longest <= LARGEST;
}

/** Units in the order in which they are tried, by what an office works in. */
const TRIED: Readonly<Record<WorkingUnit, readonly number[]>> = {
  mm: [1, MM_PER.m, MM_PER.in, MM_PER.ft],
  in: [MM_PER.in, MM_PER.ft, 1, MM_PER.m],
};

/**
 * The unit of a drawing in mm: the one that its file says, or where it says none the first usual one by which it is as large as
 * what architects draw.
 * @param works what the office works in
 */
export function likelyUnit(
  box: Pick<Rect, 'width' | 'height'>,
  said: number | undefined,
  works: WorkingUnit = 'mm',
): number {
  return said ?? TRIED[works].find((mm) => isLikelyUnit(box, mm)) ?? 1;
}
