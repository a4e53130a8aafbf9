/** Pieces that the curve between two points is cut into, and points that a curve comes to at most. */
const PIECES = 12;
const MOST_POINTS = 4000;

type Direction = readonly [x: number, y: number];

/** Points that a curve goes through, x, y by turns, and the directions in which it begins and ends where they are known. */
export interface Interpolated {
  through: readonly number[];
  begins?: Direction | undefined;
  ends?: Direction | undefined;
}

/**
 * Points along the cubic curve through some points that bends without a break, measured along the chords between them. An
 * end without a direction is let go straight.
 */
export function interpolatedPoints({ through, begins, ends }: Interpolated): number[] {
  const xs: number[] = [];
  const ys: number[] = [];
  const chords: number[] = [];
  for (let i = 0; i + 1 < through.length; i += 2) {
    const [x, y] = [through[i] ?? 0, through[i + 1] ?? 0];
    const chord = Math.hypot(x - (xs.at(-1) ?? x), y - (ys.at(-1) ?? y));
    if (xs.length > 0 && chord === 0) continue;
    if (xs.length > 0) chords.push(chord);
    xs.push(x);
    ys.push(y);
  }
  if (chords.length === 0 || xs.length * PIECES > MOST_POINTS) return [...through];
  const unit = (of: Direction | undefined): Direction | undefined => {
    const length = of ? Math.hypot(...of) : 0;
    return of && length > 0 ? [of[0] / length, of[1] / length] : undefined;
  };
  const [first, last] = [unit(begins), unit(ends)];
  const slopesX = slopes(xs, chords, first?.[0], last?.[0]);
  const slopesY = slopes(ys, chords, first?.[1], last?.[1]);
  const points = [xs[0] ?? 0, ys[0] ?? 0];
  chords.forEach((chord, i) => {
    const along = (values: readonly number[], own: readonly number[], t: number): number => {
      const [p, q, m, n] = [values[i] ?? 0, values[i + 1] ?? 0, own[i] ?? 0, own[i + 1] ?? 0];
      const rest = 1 - t;
      return rest * rest * ((1 + 2 * t) * p + t * chord * m) + t * t * ((3 - 2 * t) * q - rest * chord * n);
    };
    for (let k = 1; k <= PIECES; k++) points.push(along(xs, slopesX, k / PIECES), along(ys, slopesY, k / PIECES));
  });
  return points;
}

/**
 * The slopes at each value of the cubic curves between them that join without a break in their bend, by elimination along
 * the diagonal.
 * @param steps lengths between the values
 * @param first the slope at the first value; free when left out, as the last one
 */
function slopes(values: readonly number[], steps: readonly number[], first?: number, last?: number): number[] {
  const end = values.length - 1;
  const rise = (i: number): number => ((values[i + 1] ?? 0) - (values[i] ?? 0)) / (steps[i] ?? 1);
  /** What is left of each row: how much the next slope counts, and the right-hand side. */
  const next: number[] = [];
  const right: number[] = [];
  for (let i = 0; i <= end; i++) {
    const [before, after] = [1 / (steps[i - 1] ?? Infinity), 1 / (steps[i] ?? Infinity)];
    const fixed = i === 0 ? first : i === end ? last : undefined;
    const wanted = fixed ?? 3 * ((i > 0 ? rise(i - 1) * before : 0) + (i < end ? rise(i) * after : 0));
    const own =
      (fixed === undefined ? 2 * (before + after) : 1) - (fixed === undefined ? before * (next[i - 1] ?? 0) : 0);
    next.push(fixed === undefined ? after / own : 0);
    right.push((wanted - (fixed === undefined ? before * (right[i - 1] ?? 0) : 0)) / own);
  }
  const found = [...right];
  for (let i = end - 1; i >= 0; i--) found[i] = (right[i] ?? 0) - (next[i] ?? 0) * (found[i + 1] ?? 0);
  return found;
}
