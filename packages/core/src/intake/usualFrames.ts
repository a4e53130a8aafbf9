import { MM_PER } from '../quantity';
import type { Margins, Orientation, SheetSize } from '../standard';
import { sheetExtent, standardMargins } from '../standard';

/** Margins that offices use besides the standards' own, common practice: even ones, with and without a binding edge. */
export function usualMargins(size: SheetSize): Margins[] {
  const even =
    size.unit === 'mm' ? [10, 5, 15, 20] : [1 / 2, 3 / 8, 1 / 4, 3 / 4, 9 / 16, 1].map((inches) => inches * MM_PER.in);
  const binding = size.unit === 'mm' ? [20, 25, 30] : [1, 1.5, 2].map((inches) => inches * MM_PER.in);
  const all = even.flatMap((edge) => [
    { left: edge, right: edge, top: edge, bottom: edge },
    ...binding.filter((b) => b > edge).map((left) => ({ left, right: edge, top: edge, bottom: edge })),
  ]);
  return [standardMargins(size), ...all];
}

/** A sheet as it lies. */
export interface Paper {
  size: SheetSize;
  orientation: Orientation;
  extent: { width: number; height: number };
}

/** A frame that is usual on a sheet. */
export interface UsualFrame {
  paper: Paper;
  margins: Margins;
  /** 0 for the standard's own margins, more for rarer ones. */
  rank: number;
  width: number;
  height: number;
  /** Its height as a part of its width. */
  upright: number;
}

/** The sheet either way round. */
export const papersOf = (size: SheetSize): Paper[] =>
  (['landscape', 'portrait'] as const).map((orientation) => ({
    size,
    orientation,
    extent: sheetExtent(size, orientation),
  }));

/** The likeliest first. */
export const usualFrames = (paper: Paper): UsualFrame[] =>
  usualMargins(paper.size).map((margins, rank) => {
    const width = paper.extent.width - margins.left - margins.right;
    const height = paper.extent.height - margins.top - margins.bottom;
    return { paper, margins, rank, width, height, upright: height / width };
  });
