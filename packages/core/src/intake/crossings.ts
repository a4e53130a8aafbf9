import type { Rect } from '../geometry';
import type { RuledLine } from './linework';
import { firstPlace } from './sortedPlaces';

/** Directions from a crossing, counter-clockwise. */
export const [RIGHT, UP, LEFT, DOWN] = [0, 1, 2, 3];
/** No crossing in this direction. */
export const NONE = -1;

/** About so many crossings are no title block, and the search would take too long; it ends when more room is needed. */
const MOST_CROSSINGS = 400_000;

export class TooManyLinesError extends Error {
  override name = 'TooManyLinesError';
}

/**
 * Where lines cross, and which crossing each leads to in each direction. Crossings are numbered from the top down, and
 * from left to right.
 */
export interface Crossings {
  x: Float64Array;
  y: Float64Array;
  /** Four to a crossing: the next crossing to its right, up, left and down, or NONE. */
  next: Int32Array;
}

/** The lines of one direction in ascending order, as flat numbers: they are walked through once for each line across. */
interface Ruling {
  at: Float64Array;
  /** Where the spans of each line begin among the spans of all, and at last their number. */
  first: Int32Array;
  low: Float64Array;
  high: Float64Array;
}

/** The lines of one direction inside of the frame, between its own two sides. */
function rulingOf(lines: readonly RuledLine[], axis: RuledLine['axis'], frame: Rect, tolerance: number): Ruling {
  const level = axis === 'horizontal';
  const [near, far] = level ? [frame.y, frame.y + frame.height] : [frame.x, frame.x + frame.width];
  const [low, high] = level ? [frame.x, frame.x + frame.width] : [frame.y, frame.y + frame.height];
  const own: RuledLine[] = [];
  let [last, sorted, spans] = [-Infinity, true, 2];
  for (const line of lines) {
    if (line.axis !== axis || line.at <= near + tolerance || line.at >= far - tolerance) continue;
    sorted &&= line.at >= last;
    last = line.at;
    spans += line.spans.length;
    own.push(line);
  }
  if (!sorted) own.sort((a, b) => a.at - b.at);
  const places = new Float64Array(own.length + 2 + 2 * spans);
  const ruling: Ruling = {
    at: places.subarray(0, own.length + 2),
    first: new Int32Array(own.length + 3),
    low: places.subarray(own.length + 2, own.length + 2 + spans),
    high: places.subarray(own.length + 2 + spans),
  };
  let count = 0;
  const add = (i: number, at: number, of: readonly (readonly [number, number])[]): void => {
    ruling.at[i] = at;
    for (let k = 0; k < of.length; k++) {
      const [from, to] = of[k] ?? [0, 0];
      if (to <= low || from >= high) continue;
      ruling.low[count] = from > low ? from : low;
      ruling.high[count++] = to < high ? to : high;
    }
    ruling.first[i + 1] = count;
  };
  const side = [[low, high]] as const;
  add(0, near, side);
  for (let i = 0; i < own.length; i++) {
    const line = own[i];
    if (line) add(i + 1, line.at, line.spans);
  }
  add(own.length + 1, far, side);
  return ruling;
}

function grown<T extends Float64Array | Int32Array>(small: T, large: T): T {
  large.set(small);
  return large;
}

/**
 * The crossings of ruled lines inside of a frame, and of the frame's own sides.
 * @param tolerance by how much a line may miss another and still meet it, in the unit of the lines
 * @throws TooManyLinesError
 */
export function crossingsOf(lines: readonly RuledLine[], frame: Rect, tolerance: number): Crossings {
  const level = rulingOf(lines, 'horizontal', frame, tolerance);
  const upright = rulingOf(lines, 'vertical', frame, tolerance);
  // A division has about two crossings to a line; a grid has more, and is given more room when that is full.
  let room = 2 * (level.at.length + upright.at.length);
  let [x, y, next] = [new Float64Array(room), new Float64Array(room), new Int32Array(4 * room)];
  let count = 0;
  /** The last crossing on each span of the upright lines, from above. */
  const above = new Int32Array(upright.low.length).fill(NONE);
  const { at: places, first, low, high } = upright;
  for (let line = level.at.length - 1; line >= 0; line--) {
    const at = level.at[line] ?? 0;
    const [under, over] = [at + tolerance, at - tolerance];
    const end = level.first[line + 1] ?? 0;
    for (let span = level.first[line] ?? 0; span < end; span++) {
      const to = (level.high[span] ?? 0) + tolerance;
      let last = NONE;
      for (let i = firstPlace(places, (level.low[span] ?? 0) - tolerance); i < places.length; i++) {
        const across = places[i] ?? 0;
        if (across > to) break;
        let own = first[i] ?? 0;
        if ((low[own] ?? 0) > under) continue;
        const behind = first[i + 1] ?? 0;
        while (own < behind && (high[own] ?? 0) < over) own++;
        if (own === behind || (low[own] ?? 0) > under) continue;
        const node = count++;
        if (node === room) {
          if (node >= MOST_CROSSINGS)
            throw new TooManyLinesError(`lines cross in over ${node} places, too many for a title block`);
          room *= 2;
          x = grown(x, new Float64Array(room));
          y = grown(y, new Float64Array(room));
          next = grown(next, new Int32Array(4 * room));
        }
        const upper = above[own] ?? NONE;
        x[node] = across;
        y[node] = at;
        next[4 * node + RIGHT] = NONE;
        next[4 * node + UP] = upper;
        next[4 * node + LEFT] = last;
        next[4 * node + DOWN] = NONE;
        if (last !== NONE) next[4 * last + RIGHT] = node;
        if (upper !== NONE) next[4 * upper + DOWN] = node;
        last = node;
        above[own] = node;
      }
    }
  }
  return { x, y, next: next.subarray(0, 4 * count) };
}

/** Takes out crossings from which one way only leads on, until there are none. */
export function takeOutDeadEnds({ next }: Crossings): void {
  const open: number[] = [];
  for (let i = 0; i < next.length; i += 4) if (isDeadEnd(next, i)) open.push(i);
  for (let i = open.pop(); i !== undefined; i = open.pop()) {
    if (!isDeadEnd(next, i)) continue;
    let way = i;
    while (next[way] === NONE) way++;
    const other = 4 * (next[way] ?? 0);
    next[way] = NONE;
    next[other + ((way + 2) & 3)] = NONE;
    if (isDeadEnd(next, other)) open.push(other);
  }
}

/** Whether one way only leads on from the crossing whose ways begin at an index. */
function isDeadEnd(next: Int32Array, i: number): boolean {
  let ways = 0;
  for (let way = i; way < i + 4; way++) if (next[way] !== NONE) ways++;
  return ways === 1;
}
