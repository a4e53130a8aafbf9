import type { Rect } from '../geometry';
import type { RuledLine } from './linework';

/** Longest lines per direction that are looked at for the sheet and its frame. */
const MOST_LINES = 36;
const MOST_RECTANGLES = 60;
/** Sides must have ink along this part of their length: a side that ends 5 mm early on an A0 sheet is another's side. */
const COVER = 0.9965;

/** How much ink a line has up to each of some places in ascending order: between any two of them it has the difference. */
function inkUpTo({ spans }: RuledLine, places: readonly number[]): Float64Array {
  return Float64Array.from(places, (place) => {
    let ink = 0;
    for (const [from, to] of spans) if (from < place) ink += Math.min(to, place) - from;
    return ink;
  });
}

/** The largest rectangles that lines close, in drawing units. */
export function closedRectangles(lines: readonly RuledLine[]): Rect[] {
  const longest = (axis: RuledLine['axis']): RuledLine[] =>
    lines
      .filter((line) => line.axis === axis)
      .map((line) => ({ line, ink: line.spans.reduce((sum, [from, to]) => sum + to - from, 0) }))
      .sort((a, b) => b.ink - a.ink)
      .slice(0, MOST_LINES)
      .map(({ line }) => line)
      .sort((a, b) => a.at - b.at);
  const [level, upright] = [longest('horizontal'), longest('vertical')];
  const [ys, xs] = [level.map((line) => line.at), upright.map((line) => line.at)];
  const alongLevel = level.map((line) => inkUpTo(line, xs));
  const alongUpright = upright.map((line) => inkUpTo(line, ys));
  /** Whether a line has the ink of a rectangle's side between two places. */
  const isSide = (ink: Float64Array | undefined, from: number, to: number, length: number): boolean =>
    (ink?.[to] ?? 0) - (ink?.[from] ?? 0) >= COVER * length;
  const found: Rect[] = [];
  const sides = new Uint8Array(xs.length);
  for (let i = 0; i < ys.length; i++) {
    for (let j = i + 1; j < ys.length; j++) {
      const [y, height] = [ys[i] ?? 0, (ys[j] ?? 0) - (ys[i] ?? 0)];
      let count = 0;
      for (let k = 0; k < xs.length; k++) if (isSide(alongUpright[k], i, j, height)) sides[count++] = k;
      for (let n = 0; n < count; n++) {
        const k = sides[n] ?? 0;
        const x = xs[k] ?? 0;
        for (let m = n + 1; m < count; m++) {
          const l = sides[m] ?? 0;
          const width = (xs[l] ?? 0) - x;
          if (isSide(alongLevel[i], k, l, width) && isSide(alongLevel[j], k, l, width))
            found.push({ x, y, width, height });
        }
      }
    }
  }
  const largest = found.sort((a, b) => b.width * b.height - a.width * a.height).slice(0, 10 * MOST_RECTANGLES);
  return withoutMixed(largest).slice(0, MOST_RECTANGLES);
}

/** Sides this part of the longer side apart are the two lines of a doubled frame. */
const DOUBLED = 0.0035;

/** Of rectangles made of doubled lines the outer and the inner one; those of outer and inner sides mixed are nobody's. */
function withoutMixed(sorted: readonly Rect[]): Rect[] {
  const groups: Rect[][] = [];
  for (const rect of sorted) {
    const reach = DOUBLED * Math.max(rect.width, rect.height);
    const group = groups.find(
      ([outer]) =>
        outer !== undefined &&
        Math.abs(rect.x - outer.x) < reach &&
        Math.abs(rect.y - outer.y) < reach &&
        Math.abs(outer.x + outer.width - rect.x - rect.width) < reach &&
        Math.abs(outer.y + outer.height - rect.y - rect.height) < reach,
    );
    if (group) group.push(rect);
    else groups.push([rect]);
  }
  return groups
    .flatMap((group) => (group.length === 1 ? group : [group[0], group[group.length - 1]]))
    .filter((rect) => rect !== undefined);
}
