import Flatbush from 'flatbush';
import type { Segment } from './segments';
import { distanceTo } from './segments';

/** How far two sets of linework lie apart, in mm. */
export interface Deviation {
  max: number;
  mean: number;
}

const SAMPLES = 9;

function index(segments: readonly Segment[]): Flatbush {
  const tree = new Flatbush(segments.length);
  for (const s of segments) {
    tree.add(Math.min(s.x0, s.x1), Math.min(s.y0, s.y1), Math.max(s.x0, s.x1), Math.max(s.y0, s.y1));
  }
  tree.finish();
  return tree;
}

/** Distance from a point to the nearest segment. Boxes bound their segments from below, so the search may stop early. */
function nearest(segments: readonly Segment[], tree: Flatbush, x: number, y: number): number {
  let best = Infinity;
  let asked = 8;
  for (;;) {
    const found = tree.neighbors(x, y, asked);
    for (const each of found) {
      const segment = segments[each];
      if (segment) best = Math.min(best, distanceTo(segment, x, y));
    }
    const last = segments[found[found.length - 1] ?? -1];
    if (found.length < asked || !last || boxDistance(last, x, y) >= best || asked > segments.length) return best;
    asked *= 4;
  }
}

function boxDistance(s: Segment, x: number, y: number): number {
  const dx = Math.max(Math.min(s.x0, s.x1) - x, 0, x - Math.max(s.x0, s.x1));
  const dy = Math.max(Math.min(s.y0, s.y1) - y, 0, y - Math.max(s.y0, s.y1));
  return Math.hypot(dx, dy);
}

/** How far each segment lies from the other linework at its farthest, in mm; infinitely far from none. */
export function deviationsFrom(from: readonly Segment[], to: readonly Segment[]): number[] {
  if (to.length === 0) return from.map(() => Infinity);
  const tree = index(to);
  return from.map((s) => {
    let max = 0;
    for (let i = 0; i < SAMPLES; i++) {
      const t = i / (SAMPLES - 1);
      max = Math.max(max, nearest(to, tree, s.x0 + t * (s.x1 - s.x0), s.y0 + t * (s.y1 - s.y0)));
    }
    return max;
  });
}

/**
 * Compares two sets of linework both ways: points along each line of the one are measured to the nearest line of the
 * other. Zero for both when they cover the same lines, however these are cut into pieces.
 */
export function deviationBetween(one: readonly Segment[], other: readonly Segment[]): Deviation {
  if (one.length === 0 || other.length === 0) return { max: 0, mean: 0 };
  let [max, sum, count] = [0, 0, 0];
  for (const [from, to] of [[one, other] as const, [other, one] as const]) {
    const tree = index(to);
    for (const s of from) {
      for (let i = 0; i < SAMPLES; i++) {
        const t = i / (SAMPLES - 1);
        const distance = nearest(to, tree, s.x0 + t * (s.x1 - s.x0), s.y0 + t * (s.y1 - s.y0));
        max = Math.max(max, distance);
        sum += distance;
        count++;
      }
    }
  }
  return { max, mean: sum / count };
}
