import type { Rect } from '../geometry';
import { contains } from '../geometry';
import type { RuledLine } from './linework';
import { firstPlace } from './sortedPlaces';

/** Regions that ruled lines close off. */
export interface Faces {
  /** Rectangles, the largest region left out. */
  cells: Rect[];
  /** Bounds of regions that are no rectangles, the largest region left out. */
  odd: Rect[];
  /** Bounds of the largest region: the drawing area. Undefined when nothing is that large. */
  drawingArea?: Rect;
}

/** More crossings than this are no title block, and the search would take too long. */
const MOST_CROSSINGS = 400_000;
/** A region is the drawing area when it takes up this part of the frame. */
const LARGE = 0.3;
/** Regions thinner than this (mm) are double lines. */
const THIN = 0.8;

export class TooManyLinesError extends Error {
  override name = 'TooManyLinesError';
}

/**
 * Keeps the lines that belong to the frame or hang together with something that holds captions; what floats in the
 * drawing area or in a cell by itself is a drawing or a mark, not a title block. What lies on one line but apart is judged
 * apart: a wall of a plan may well be in line with a divider.
 * @param captions places of texts that look like captions
 */
export function blockLines(
  lines: readonly RuledLine[],
  frame: Rect,
  captions: readonly { x: number; y: number }[],
  tolerance: number,
): { kept: RuledLine[]; loose: RuledLine[] } {
  const pieces = lines.flatMap((line) => line.spans.map((span): RuledLine => ({ ...line, spans: [span] })));
  const owner = pieces.map((_, i) => i);
  const find = (i: number): number => {
    let root = i;
    while (owner[root] !== root) root = owner[root] ?? root;
    while (owner[i] !== root) [i, owner[i]] = [owner[i] ?? root, root];
    return root;
  };
  const upright = pieces.flatMap((piece, i) => (piece.axis === 'vertical' ? [i] : []));
  upright.sort((a, b) => (pieces[a]?.at ?? 0) - (pieces[b]?.at ?? 0));
  const places = Float64Array.from(upright, (i) => pieces[i]?.at ?? 0);
  pieces.forEach((piece, i) => {
    if (piece.axis !== 'horizontal') return;
    const [from, to] = piece.spans[0] ?? [0, 0];
    for (let k = firstPlace(places, from - tolerance); k < upright.length; k++) {
      const j = upright[k] ?? 0;
      const across = pieces[j];
      if (!across || across.at > to + tolerance) break;
      const [low, high] = across.spans[0] ?? [0, 0];
      if (piece.at >= low - tolerance && piece.at <= high + tolerance) owner[find(i)] = find(j);
    }
  });
  const groups = new Map<number, RuledLine[]>();
  pieces.forEach((piece, i) => {
    const root = find(i);
    const group = groups.get(root);
    if (group) group.push(piece);
    else groups.set(root, [piece]);
  });
  const kept: RuledLine[] = [];
  const loose: RuledLine[] = [];
  for (const group of groups.values()) {
    const bounds = boundsOf(group);
    const onFrame = group.some((line) => liesOnFrame(line, frame, tolerance));
    const named =
      captions.filter((point) => contains(bounds, point)).length >= 2 && bounds.width > 5 && bounds.height > 5;
    for (const piece of group) (onFrame || named ? kept : loose).push(piece);
  }
  return { kept: joinedAgain(kept), loose: joinedAgain(loose) };
}

/** Pieces of one line as one line again. */
function joinedAgain(pieces: readonly RuledLine[]): RuledLine[] {
  const lines = new Map<string, RuledLine>();
  for (const piece of pieces) {
    const key = `${piece.axis} ${piece.at}`;
    const line = lines.get(key);
    if (line) line.spans.push(...piece.spans);
    else lines.set(key, { ...piece, spans: [...piece.spans] });
  }
  for (const line of lines.values()) line.spans.sort((a, b) => a[0] - b[0]);
  return [...lines.values()];
}

function liesOnFrame(line: RuledLine, frame: Rect, tolerance: number): boolean {
  const edges = line.axis === 'horizontal' ? [frame.y, frame.y + frame.height] : [frame.x, frame.x + frame.width];
  return edges.some((edge) => Math.abs(edge - line.at) <= 4 * tolerance);
}

function boundsOf(lines: readonly RuledLine[]): Rect {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { axis, at, spans } of lines) {
    for (const [from, to] of spans) {
      const [xa, xb, ya, yb] = axis === 'horizontal' ? [from, to, at, at] : [at, at, from, to];
      x0 = Math.min(x0, xa);
      x1 = Math.max(x1, xb);
      y0 = Math.min(y0, ya);
      y1 = Math.max(y1, yb);
    }
  }
  return { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
}

/** Directions from a crossing, counter-clockwise: right is 0, up 1, left 2, down 3. */
const [RIGHT, UP, LEFT, DOWN] = [0, 1, 2, 3];
const NONE = -1;

/** Where lines cross, and which crossing each leads to in each direction. */
interface Crossings {
  x: Float64Array;
  y: Float64Array;
  /** Four to a crossing: the next crossing to its right, up, left and down, or NONE. */
  next: Int32Array;
}

/**
 * The regions of the frame between lines, by going around each of them along the linework. Ends of lines that lead nowhere
 * bound nothing.
 * @throws TooManyLinesError
 */
export function facesOf(lines: readonly RuledLine[], frame: Rect, tolerance: number): Faces {
  const crossings = crossingsOf(withFrame(lines, frame, tolerance), tolerance);
  withoutDeadEnds(crossings);
  return sortFaces(crossings, frame);
}

/** The lines inside of the frame, and the frame's own four sides. */
function withFrame(lines: readonly RuledLine[], frame: Rect, tolerance: number): RuledLine[] {
  const [right, top] = [frame.x + frame.width, frame.y + frame.height];
  const inside = lines.filter((line) => {
    const [low, high] = line.axis === 'horizontal' ? [frame.y, top] : [frame.x, right];
    return line.at > low + tolerance && line.at < high - tolerance;
  });
  const within = (line: RuledLine): RuledLine => {
    const [low, high] = line.axis === 'horizontal' ? [frame.x, right] : [frame.y, top];
    const [first, last] = [line.spans[0], line.spans[line.spans.length - 1]];
    if (first && last && first[0] >= low && last[1] <= high) return line;
    const spans = line.spans.flatMap(([from, to]): [number, number][] =>
      to > low && from < high ? [[Math.max(from, low), Math.min(to, high)]] : [],
    );
    return { ...line, spans };
  };
  const side = (axis: RuledLine['axis'], at: number, from: number, to: number): RuledLine => ({
    axis,
    at,
    spans: [[from, to]],
    layers: new Set(),
  });
  return [
    side('horizontal', frame.y, frame.x, right),
    side('vertical', frame.x, frame.y, top),
    ...inside.map(within),
    side('horizontal', top, frame.x, right),
    side('vertical', right, frame.y, top),
  ];
}

/** The lines of one direction by their positions, which is how they come but for the sides of the frame. */
function inOrder(lines: readonly RuledLine[], axis: RuledLine['axis']): RuledLine[] {
  const own: RuledLine[] = [];
  let last = -Infinity;
  let sorted = true;
  for (const line of lines) {
    if (line.axis !== axis) continue;
    sorted &&= line.at >= last;
    last = line.at;
    own.push(line);
  }
  return sorted ? own : own.sort((a, b) => a.at - b.at);
}

/** Room for crossings to begin with. */
const FIRST_ROOM = 1024;

function grown<T extends Float64Array | Int32Array>(small: T, large: T): T {
  large.set(small);
  return large;
}

function crossingsOf(lines: readonly RuledLine[], tolerance: number): Crossings {
  const upright = inOrder(lines, 'vertical');
  const places = Float64Array.from(upright, (line) => line.at);
  let [x, y, next] = [new Float64Array(FIRST_ROOM), new Float64Array(FIRST_ROOM), new Int32Array(4 * FIRST_ROOM)];
  let count = 0;
  /** Where the spans of each upright line begin among the spans of all. */
  const first = new Int32Array(upright.length);
  let spans = 0;
  for (let i = 0; i < upright.length; i++) {
    first[i] = spans;
    spans += upright[i]?.spans.length ?? 0;
  }
  /** The last crossing on each span of the upright lines, from below. */
  const below = new Int32Array(spans).fill(NONE);
  const level = inOrder(lines, 'horizontal');
  for (const line of level) {
    for (const [from, to] of line.spans) {
      let last = NONE;
      for (let i = firstPlace(places, from - tolerance); i < upright.length; i++) {
        const across = upright[i];
        if (!across || across.at > to + tolerance) break;
        const span = spanAt(across.spans, line.at, tolerance);
        if (span < 0) continue;
        const node = count++;
        if (node === x.length) {
          x = grown(x, new Float64Array(2 * node));
          y = grown(y, new Float64Array(2 * node));
          next = grown(next, new Int32Array(8 * node));
        }
        if (node >= MOST_CROSSINGS)
          throw new TooManyLinesError(`lines cross in over ${MOST_CROSSINGS} places, too many for a title block`);
        x[node] = across.at;
        y[node] = line.at;
        const own = (first[i] ?? 0) + span;
        const under = below[own] ?? NONE;
        next[4 * node + RIGHT] = NONE;
        next[4 * node + UP] = NONE;
        next[4 * node + LEFT] = last;
        next[4 * node + DOWN] = under;
        if (last !== NONE) next[4 * last + RIGHT] = node;
        if (under !== NONE) next[4 * under + UP] = node;
        last = node;
        below[own] = node;
      }
    }
  }
  return { x, y, next: next.subarray(0, 4 * count) };
}

/** Which span holds a position, or -1. */
function spanAt(spans: readonly [number, number][], at: number, tolerance: number): number {
  for (let i = 0; i < spans.length; i++) {
    const span = spans[i];
    if (span && at >= span[0] - tolerance && at <= span[1] + tolerance) return i;
  }
  return -1;
}

/** Takes out crossings from which one way only leads on, until there are none. */
function withoutDeadEnds({ next }: Crossings): void {
  const open: number[] = [];
  const onlyWay = (node: number): number => {
    let way = NONE;
    for (let i = 4 * node; i < 4 * node + 4; i++) {
      if (next[i] === NONE) continue;
      if (way !== NONE) return NONE;
      way = i;
    }
    return way;
  };
  for (let node = 0; 4 * node < next.length; node++) if (onlyWay(node) !== NONE) open.push(node);
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    const way = onlyWay(node);
    if (way === NONE) continue;
    const other = next[way] ?? NONE;
    next[way] = NONE;
    next[4 * other + ((way + 2) & 3)] = NONE;
    if (onlyWay(other) !== NONE) open.push(other);
  }
}

interface Loop {
  /** Positive for a way around a region, negative for the outside of what hangs together. */
  area: number;
  x0: number;
  y0: number;
  x1: number;
  y1: number;
  /** The way that it was begun with: a crossing times four, and a direction. */
  start: number;
}

/** The way that goes on from another one, keeping to the left. */
function onward(next: Int32Array, way: number): number {
  const node = 4 * (next[way] ?? 0);
  for (let turn = 1; turn > -3; turn--) {
    const other = node + ((way + turn) & 3);
    if (next[other] !== NONE) return other;
  }
  return way;
}

/** Every way around, keeping to the left at each crossing. */
function loopsOf({ x, y, next }: Crossings): Loop[] {
  const seen = new Uint8Array(next.length);
  const loops: Loop[] = [];
  for (let start = 0; start < next.length; start++) {
    if (seen[start] !== 0 || next[start] === NONE) continue;
    let [twice, x0, y0, x1, y1] = [0, Infinity, Infinity, -Infinity, -Infinity];
    for (let way = start; seen[way] === 0; way = onward(next, way)) {
      seen[way] = 1;
      const [from, to] = [way >> 2, next[way] ?? 0];
      const [ax, ay] = [x[from] ?? 0, y[from] ?? 0];
      twice += ax * (y[to] ?? 0) - (x[to] ?? 0) * ay;
      if (ax < x0) x0 = ax;
      if (ax > x1) x1 = ax;
      if (ay < y0) y0 = ay;
      if (ay > y1) y1 = ay;
    }
    loops.push({ area: twice / 2, x0, y0, x1, y1, start });
  }
  return loops;
}

/** Whether a crossing lies inside of a loop of level and upright pieces. */
function isInside({ x, y, next }: Crossings, { x0, y0, x1, y1, start }: Loop, node: number): boolean {
  const [px, py] = [x[node] ?? 0, y[node] ?? 0];
  if (px <= x0 || px >= x1 || py <= y0 || py >= y1) return false;
  let inside = false;
  let way = start;
  do {
    const [from, to] = [way >> 2, next[way] ?? 0];
    if ((y[from] ?? 0) > py !== (y[to] ?? 0) > py && (x[from] ?? 0) > px) inside = !inside;
    way = onward(next, way);
  } while (way !== start);
  return inside;
}

function sortFaces(crossings: Crossings, frame: Rect): Faces {
  const loops = loopsOf(crossings);
  const regions = loops.filter((loop) => loop.area > 0).map((loop) => ({ loop, area: loop.area }));
  const islands = loops.filter((loop) => loop.area < 0);
  // What stands by itself in a region takes its own area from the smallest region around it; the frame stands in none.
  if (islands.length > 1) regions.sort((a, b) => a.loop.area - b.loop.area);
  for (const island of islands.length > 1 ? islands : []) {
    const around = regions.find(({ loop }) => loop.area > -island.area && isInside(crossings, loop, island.start >> 2));
    if (around) around.area += island.area;
  }
  const faces: Faces = { cells: [], odd: [] };
  let largest = regions[0];
  for (const region of regions) if (largest && region.area > largest.area) largest = region;
  const drawn = largest && largest.area >= LARGE * frame.width * frame.height ? largest : undefined;
  for (const region of regions) {
    const { x0, y0, x1, y1 } = region.loop;
    const rect = { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
    if (region === drawn) faces.drawingArea = rect;
    else if (Math.min(rect.width, rect.height) < THIN) continue;
    else if (Math.abs(region.area - rect.width * rect.height) < 0.01 * region.area) faces.cells.push(rect);
    else faces.odd.push(rect);
  }
  faces.cells.sort((a, b) => b.y + b.height - a.y - a.height || a.x - b.x);
  return faces;
}
