import type { Finding } from '../check';
import type { SolvedSheet, UndrawnSheet } from './drawSheet';
import { toMend } from './drawSheet';

/** Differences of lengths below this are none, in mm. */
const SAME_LENGTH = 0.05;

/** What drawing a sheet from something else would do to it. */
export interface SheetSwap {
  /** What has to be mended now, and what would have to be afterwards. */
  before: Finding[];
  after: Finding[];
  /** Sizes of the drawing area in mm, where they differ. */
  area?: { before: Area; after: Area };
}

/** What is said in one list of findings and not in another. */
const saidOnly = (list: readonly Finding[], other: readonly Finding[]): Finding[] =>
  list.filter(({ message }) => !other.some((each) => each.message === message));

/** What would have to be mended that need not be now, and the other way round. */
export const newToMend = ({ before, after }: SheetSwap): Finding[] => saidOnly(after, before);
export const mendedBy = ({ before, after }: SheetSwap): Finding[] => saidOnly(before, after);

interface Area {
  width: number;
  height: number;
}

/** What is kept of a solved sheet to compare another solution with. */
export interface SheetState {
  /** What has to be mended. */
  findings: Finding[];
  /** Its drawing area, in mm; undefined where it cannot be solved. */
  area?: Area;
}

export const stateOfSheet = (result: SolvedSheet | UndrawnSheet): SheetState => ({
  findings: toMend(result),
  ...('problem' in result
    ? {}
    : { area: { width: result.layout.drawingArea.width, height: result.layout.drawingArea.height } }),
});

/** How two solutions of a sheet differ. */
export function swapOf(
  { findings: before, area: was }: SheetState,
  { findings: after, area: is }: SheetState,
): SheetSwap {
  const differ =
    was && is && (Math.abs(was.width - is.width) > SAME_LENGTH || Math.abs(was.height - is.height) > SAME_LENGTH);
  return { before, after, ...(differ ? { area: { before: was, after: is } } : {}) };
}
