import type { Rect } from '../geometry';

/** A number as reports have it: to a ten-thousandth unless said otherwise. */
export const round = (value: number, digits = 4): number => Number(value.toFixed(digits));

export const roundRect = ({ x, y, width, height }: Rect): Rect => ({
  x: round(x),
  y: round(y),
  width: round(width),
  height: round(height),
});

/** A measured length of the old block in mm, what it was taken for, and how many cells have it. */
export interface RoundedLength {
  measured: number;
  taken: number;
  cells: number;
}

/** Differences below this are dust of the arithmetic, in mm. */
const DUST = 0.004;
const MOST = 40;

/**
 * The lengths of cells that come out otherwise than they were drawn, because a round value was meant.
 * @param solvedOf the cell of the solved design for a region of the old linework
 */
export function roundedLengths(faces: readonly Rect[], solvedOf: (face: Rect) => Rect | undefined): RoundedLength[] {
  const found = new Map<string, RoundedLength>();
  for (const face of faces) {
    const cell = solvedOf(face);
    if (!cell) continue;
    for (const side of ['width', 'height'] as const) {
      const [measured, taken] = [round(face[side], 2), round(cell[side], 3)];
      if (Math.abs(face[side] - cell[side]) < DUST || measured === round(taken, 2)) continue;
      const key = `${measured} ${taken}`;
      const known = found.get(key);
      if (known) known.cells++;
      else found.set(key, { measured, taken, cells: 1 });
    }
  }
  return [...found.values()]
    .sort((a, b) => Math.abs(b.measured - b.taken) - Math.abs(a.measured - a.taken))
    .slice(0, MOST);
}
