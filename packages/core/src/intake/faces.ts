import type { Rect } from '../geometry';
import { contains } from '../geometry';
import type { Crossings } from './crossings';
import { crossingsOf, NONE, takeOutDeadEnds } from './crossings';
import type { RuledLine } from './linework';

/** Regions that ruled lines close off. */
export interface Faces {
  /** Rectangles from the top down and from left to right, the largest region left out. */
  cells: Rect[];
  /** Bounds of regions that are no rectangles, the largest region left out. */
  odd: Rect[];
  /** Bounds of the largest region: the drawing area. Undefined when nothing is that large. */
  drawingArea?: Rect;
}

/** A region is the drawing area when it takes up this part of the frame. */
const LARGE = 0.3;
/** Regions thinner than this (mm) are double lines. */
const THIN = 0.8;
/** A region whose area differs from its bounds by no more than this part is a rectangle. */
const RECTANGULAR = 0.01;

/**
 * The regions of the frame between lines, by going around each of them along the linework. Ends of lines that lead nowhere
 * bound nothing.
 * @throws TooManyLinesError
 */
export function facesOf(lines: readonly RuledLine[], frame: Rect, tolerance: number): Faces {
  const crossings = crossingsOf(lines, frame, tolerance);
  takeOutDeadEnds(crossings);
  return sortFaces(crossings, frame);
}

/** A way around, keeping to the left at each crossing. */
interface Loop {
  /** Positive for a way around a region, negative for the outside of what hangs together. */
  area: number;
  bounds: Rect;
  /** The way that it was begun with: a crossing times four, and a direction. */
  start: number;
}

/** The way that goes on from a crossing that was come to in a direction: to the left, straight on, to the right, or back. */
function onward(next: Int32Array, crossing: number, direction: number): number {
  const ways = 4 * crossing;
  const left = ways + ((direction + 1) & 3);
  if (next[left] !== NONE) return left;
  if (next[ways + direction] !== NONE) return ways + direction;
  const right = ways + ((direction + 3) & 3);
  return next[right] !== NONE ? right : ways + ((direction + 2) & 3);
}

/** Every way around. Crossings are numbered from the top down, so that regions come in that order. */
function loopsOf({ x, y, next }: Crossings): Loop[] {
  const seen = new Uint8Array(next.length);
  const loops: Loop[] = [];
  for (let start = 0; start < next.length; start++) {
    if (seen[start] !== 0 || next[start] === NONE) continue;
    let [ax, ay] = [x[start >> 2] ?? 0, y[start >> 2] ?? 0];
    let [area, x0, y0, x1, y1] = [0, ax, ay, ax, ay];
    let way = start;
    do {
      seen[way] = 1;
      const to = next[way] ?? 0;
      // Ways are level or upright: only level ones have area under them.
      if ((way & 1) === 0) {
        const bx = x[to] ?? 0;
        area += (ax - bx) * ay;
        ax = bx;
        if (ax < x0) x0 = ax;
        else if (ax > x1) x1 = ax;
      } else {
        ay = y[to] ?? 0;
        if (ay < y0) y0 = ay;
        else if (ay > y1) y1 = ay;
      }
      way = onward(next, to, way & 3);
    } while (way !== start);
    loops.push({ area, bounds: { x: x0, y: y0, width: x1 - x0, height: y1 - y0 }, start });
  }
  return loops;
}

/** Whether a crossing lies inside of a loop of level and upright pieces. */
function isInside({ x, y, next }: Crossings, { bounds, start }: Loop, crossing: number): boolean {
  const [px, py] = [x[crossing] ?? 0, y[crossing] ?? 0];
  if (!contains(bounds, { x: px, y: py })) return false;
  let inside = false;
  let way = start;
  do {
    const [from, to] = [way >> 2, next[way] ?? 0];
    if ((y[from] ?? 0) > py !== (y[to] ?? 0) > py && (x[from] ?? 0) > px) inside = !inside;
    way = onward(next, to, way & 3);
  } while (way !== start);
  return inside;
}

/** What stands alone in a region takes its own area from the smallest region around it; the frame stands in none. */
function takeOutIslands(crossings: Crossings, loops: readonly Loop[]): void {
  const islands = loops.filter((loop) => loop.area < 0);
  if (islands.length < 2) return;
  const regions = loops
    .filter((loop) => loop.area > 0)
    .map((loop) => ({ loop, whole: loop.area }))
    .sort((a, b) => a.whole - b.whole);
  for (const { area, start } of islands) {
    const around = regions.find(({ loop, whole }) => whole > -area && isInside(crossings, loop, start >> 2));
    if (around) around.loop.area += area;
  }
}

function sortFaces(crossings: Crossings, frame: Rect): Faces {
  const loops = loopsOf(crossings);
  takeOutIslands(crossings, loops);
  let largest = loops[0];
  for (const loop of loops) if (largest && loop.area > largest.area) largest = loop;
  const drawn = largest && largest.area >= LARGE * frame.width * frame.height ? largest : undefined;
  const faces: Faces = { cells: [], odd: [] };
  for (const loop of loops) {
    const { area, bounds } = loop;
    if (area <= 0) continue;
    if (loop === drawn) faces.drawingArea = bounds;
    else if (bounds.width < THIN || bounds.height < THIN) continue;
    else if (Math.abs(area - bounds.width * bounds.height) < RECTANGULAR * area) faces.cells.push(bounds);
    else faces.odd.push(bounds);
  }
  return faces;
}
