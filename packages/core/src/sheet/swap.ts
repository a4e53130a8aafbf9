import type { Finding } from '../check';
import type { Typefaces } from '../lettering';
import { solveSheet, toMend } from './drawSheet';
import type { SheetSource } from './sheetSource';

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

const areaOf = (result: ReturnType<typeof solveSheet>): Area | undefined =>
  'problem' in result
    ? undefined
    : { width: result.layout.drawingArea.width, height: result.layout.drawingArea.height };

/** Solves a sheet from what it is drawn from now and from something else, and says how the two differ. */
export function swapSheet(now: SheetSource, other: SheetSource, typefaces: Typefaces): SheetSwap {
  const [was, is] = [solveSheet(now, typefaces), solveSheet(other, typefaces)];
  const [before, after] = [areaOf(was), areaOf(is)];
  const differ =
    before &&
    after &&
    (Math.abs(before.width - after.width) > SAME_LENGTH || Math.abs(before.height - after.height) > SAME_LENGTH);
  return { before: toMend(was), after: toMend(is), ...(differ ? { area: { before, after } } : {}) };
}
