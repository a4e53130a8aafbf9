import type { Point, Rect } from '../geometry';
import { around, contains } from '../geometry';
import { splitLines } from './blockLines';
import { TooManyLinesError } from './crossings';
import type { Faces } from './faces';
import { facesOf } from './faces';
import type { RuledLine } from './linework';
import { groupFaces } from './partition';
import { IntakeError } from './seenSheet';
import type { FoundSheet } from './sheetSearch';
import { TOLERANCE } from './tolerances';

/** Lines cross within so many tolerances: each is the middle of lines that differ by up to three (`linework.ts`). */
const CROSSING = 3;
/** Cells that hang together are those of a plan when there are so many of them, and so many to a caption. */
const PLAN_CELLS = { least: 60, toACaption: 20 } as const;

/** The regions between lines without those of plans that hang on the frame or the block by an axis, and the lines left out. */
export function withoutPlans(
  { kept, loose }: { kept: readonly RuledLine[]; loose: readonly RuledLine[] },
  { frame }: FoundSheet,
  captions: readonly Point[],
): { faces: Faces; loose: readonly RuledLine[] } {
  const faces = regionsOf(kept, frame);
  const plans = groupFaces(faces.cells).filter((group) => {
    if (group.length < PLAN_CELLS.least) return false;
    const named = captions.filter((point) => group.some((face) => contains(face, point))).length;
    return group.length > PLAN_CELLS.toACaption * named;
  });
  if (plans.length === 0) return { faces, loose };
  const bounds = plans.flatMap((group) => around(group) ?? []);
  const { inside, outside } = splitLines(kept, bounds, TOLERANCE * CROSSING);
  return { faces: regionsOf(outside, frame), loose: [...loose, ...inside] };
}

/** @throws IntakeError when there are more lines than a title block has */
function regionsOf(lines: readonly RuledLine[], frame: Rect): Faces {
  try {
    return facesOf(lines, frame, TOLERANCE * CROSSING);
  } catch (error) {
    if (error instanceof TooManyLinesError)
      throw new IntakeError(`the title block cannot be told from the drawing: ${error.message}`);
    throw error;
  }
}
