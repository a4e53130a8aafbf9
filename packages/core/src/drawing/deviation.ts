import Flatbush from 'flatbush';
import type { Segment } from './segments';
import { distanceTo } from './segments';

/** How far two sets of linework lie apart, in mm. */
export interface Deviation {
  max: number;
  mean: number;
}

const SAMPLES = 9;
/** Nothing is nearer than this, in mm: what is left over are the last digits of numbers. */
const NO_DISTANCE = 1e-9;

function index(segments: readonly Segment[]): Flatbush {
  const tree = new Flatbush(segments.length);
  for (const s of segments) {
    tree.add(Math.min(s.x0, s.x1), Math.min(s.y0, s.y1), Math.max(s.x0, s.x1), Math.max(s.y0, s.y1));
  }
  tree.finish();
  return tree;
}

/** The segment nearest to a point, and how far it is. */
interface Nearest {
  segment: Segment;
  distance: number;
}

/**
 * Finds the segment nearest to a point. Boxes bound their segments from below, so the search may stop early.
 * @param likely a segment that is likely near, which nothing farther off is asked for
 */
function nearest(segments: readonly Segment[], tree: Flatbush, likely: Segment, x: number, y: number): Nearest {
  const best: Nearest = { segment: likely, distance: distanceTo(likely, x, y) };
  let asked = 8;
  while (best.distance > NO_DISTANCE) {
    const found = tree.neighbors(x, y, asked, best.distance);
    for (const each of found) {
      const segment = segments[each];
      if (!segment) continue;
      const distance = distanceTo(segment, x, y);
      if (distance < best.distance) Object.assign(best, { segment, distance });
    }
    const last = segments[found[found.length - 1] ?? -1];
    if (found.length < asked || !last || boxDistance(last, x, y) >= best.distance || asked > segments.length) break;
    asked *= 4;
  }
  return best;
}

function boxDistance(s: Segment, x: number, y: number): number {
  const dx = Math.max(Math.min(s.x0, s.x1) - x, 0, x - Math.max(s.x0, s.x1));
  const dy = Math.max(Math.min(s.y0, s.y1) - y, 0, y - Math.max(s.y0, s.y1));
  return Math.hypot(dx, dy);
}

/** How far one segment lies from other linework, in mm: at its farthest, and all samples along it together. */
export interface SegmentDeviation {
  max: number;
  sum: number;
}

/** How far each segment lies from other linework, by points along it; infinitely far from none. */
export function deviationsFrom(from: readonly Segment[], to: readonly Segment[]): SegmentDeviation[] {
  const [first] = to;
  if (!first) return from.map(() => ({ max: Infinity, sum: Infinity }));
  const tree = index(to);
  let likely = first;
  return from.map((s) => {
    let [max, sum] = [0, 0];
    for (let i = 0; i < SAMPLES; i++) {
      const t = i / (SAMPLES - 1);
      // Points along one line mostly lie along one other.
      const found = nearest(to, tree, likely, s.x0 + t * (s.x1 - s.x0), s.y0 + t * (s.y1 - s.y0));
      likely = found.segment;
      max = Math.max(max, found.distance);
      sum += found.distance;
    }
    return { max, sum };
  });
}

/** The deviation of linework from other linework and of that from it, taken together. */
export function deviationOf(there: readonly SegmentDeviation[], back: readonly SegmentDeviation[]): Deviation {
  if (there.length === 0 || back.length === 0) return { max: 0, mean: 0 };
  let [max, sum] = [0, 0];
  for (const each of [...there, ...back]) {
    max = Math.max(max, each.max);
    sum += each.sum;
  }
  return { max, mean: sum / (SAMPLES * (there.length + back.length)) };
}

/**
 * Compares two sets of linework both ways: points along each line of the one are measured to the nearest line of the
 * other. Zero for both when they cover the same lines, however these are cut into pieces.
 */
export const deviationBetween = (one: readonly Segment[], other: readonly Segment[]): Deviation =>
  deviationOf(deviationsFrom(one, other), deviationsFrom(other, one));
