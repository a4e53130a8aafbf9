import type { DrawingRecord, DrawingSpace } from '@mendrel/contract';
import type { Rect } from '@mendrel/core';
import { around } from '@mendrel/core';
import type { PieceLook } from '../../../app/assetAddress';

/** A part of a drawing as it was and as it is. */
export interface ChangedPart {
  was: DrawingSpace;
  is: DrawingSpace;
  /** Layers whose pieces are more or fewer, the largest difference first. */
  layers: { name: string; was: number; is: number }[];
}

/** The parts of a drawing that another file has taken the place of, where something of them is different. */
export function changedParts(before: DrawingRecord, after: DrawingRecord): ChangedPart[] {
  return before.spaces.flatMap((was) => {
    const is =
      after.spaces.find(({ name }) => name === was.name) ?? (after.spaces.length === 1 ? after.spaces[0] : undefined);
    if (!is || is.linework === was.linework) return [];
    const counts = new Map<string, { was: number; is: number }>();
    for (const { name, items } of was.layers) counts.set(name, { was: items, is: 0 });
    for (const { name, items } of is.layers) counts.set(name, { was: counts.get(name)?.was ?? 0, is: items });
    const layers = [...counts]
      .map(([name, count]) => ({ name, ...count }))
      .filter((each) => each.was !== each.is)
      .sort((a, b) => Math.abs(b.is - b.was) - Math.abs(a.is - a.was));
    return [{ was, is, layers }];
  });
}

/** Both states of a part as pictures of the same window of the building, so many mm wide. */
export function overlaid({ was, is }: ChangedPart, width: number): { was: PieceLook; is: PieceLook; height: number } {
  // In units of the old file; a file that says another unit shows the same building with other numbers.
  const factor = was.unit !== undefined && is.unit !== undefined ? is.unit / was.unit : 1;
  const { x, y, width: wide, height: high } = is.box;
  const now: Rect = { x: x * factor, y: y * factor, width: wide * factor, height: high * factor };
  const box = around([was.box, now]) ?? was.box;
  const perUnit = width / Math.max(box.width, 1e-9);
  const height = Math.max(1, box.height * perUnit);
  const look = { width, height, hidden: [], typeface: '', least: 0.25 };
  return {
    was: { ...look, linework: was.linework, from: { x: box.x, y: box.y }, perUnit },
    is: {
      ...look,
      linework: is.linework,
      from: { x: box.x / factor, y: box.y / factor },
      perUnit: perUnit * factor,
    },
    height,
  };
}
