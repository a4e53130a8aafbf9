import type { Point, Rect } from '../geometry';
import { right, top } from '../geometry';

/** Twice the area of a ring, negative where it runs clockwise (the shoelace formula). */
export function twiceArea(ring: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i + 1 < ring.length; i += 2) {
    const j = (i + 2) % ring.length;
    sum += (ring[i] ?? 0) * (ring[j + 1] ?? 0) - (ring[j] ?? 0) * (ring[i + 1] ?? 0);
  }
  return sum;
}

/** Whether a point lies within a ring, by the even-odd rule. */
export function isInside(ring: readonly number[], { x, y }: Point): boolean {
  let inside = false;
  for (let i = 0; i + 1 < ring.length; i += 2) {
    const j = (i + 2) % ring.length;
    const [x0, y0, x1, y1] = [ring[i] ?? 0, ring[i + 1] ?? 0, ring[j] ?? 0, ring[j + 1] ?? 0];
    if (y0 > y !== y1 > y && x < x0 + ((y - y0) / (y1 - y0)) * (x1 - x0)) inside = !inside;
  }
  return inside;
}

/** A point well within a ring: the middle of the widest stretch at half of its height. */
export function pointInside(ring: readonly number[], box: Rect): Point {
  let best = { x: box.x + box.width / 2, y: box.y + box.height / 2, width: 0 };
  // A height through a corner is told from its neighbours by none of them.
  for (const part of [0.5, 0.437, 0.561, 0.31, 0.69]) {
    const y = box.y + box.height * part;
    const xs: number[] = [];
    for (let i = 0; i + 1 < ring.length; i += 2) {
      const j = (i + 2) % ring.length;
      const [x0, y0, x1, y1] = [ring[i] ?? 0, ring[i + 1] ?? 0, ring[j] ?? 0, ring[j + 1] ?? 0];
      if (y0 > y !== y1 > y) xs.push(x0 + ((y - y0) / (y1 - y0)) * (x1 - x0));
    }
    xs.sort((a, b) => a - b);
    for (let i = 0; i + 1 < xs.length; i += 2) {
      const [from, to] = [xs[i] ?? 0, xs[i + 1] ?? 0];
      if (to - from > best.width) best = { x: (from + to) / 2, y, width: to - from };
    }
    if (best.width > 0) break;
  }
  return { x: best.x, y: best.y };
}

/** On which side of the line from a to b a point lies; 0 on it, within rounding. */
function side(ax: number, ay: number, bx: number, by: number, x: number, y: number): number {
  const value = (bx - ax) * (y - ay) - (by - ay) * (x - ax);
  const scale = Math.hypot(bx - ax, by - ay) * (Math.hypot(x - ax, y - ay) + Math.hypot(bx - ax, by - ay));
  return Math.abs(value) <= 1e-9 * scale ? 0 : Math.sign(value);
}

/** Where two straight pieces cross each other within both; undefined where they only touch, or do not meet. */
function crossing(a: readonly number[], i: number, b: readonly number[], k: number): Point | undefined {
  const [j, l] = [(i + 2) % a.length, (k + 2) % b.length];
  const [ax, ay, bx, by] = [a[i] ?? 0, a[i + 1] ?? 0, a[j] ?? 0, a[j + 1] ?? 0];
  const [cx, cy, dx, dy] = [b[k] ?? 0, b[k + 1] ?? 0, b[l] ?? 0, b[l + 1] ?? 0];
  if (side(ax, ay, bx, by, cx, cy) * side(ax, ay, bx, by, dx, dy) >= 0) return undefined;
  if (side(cx, cy, dx, dy, ax, ay) * side(cx, cy, dx, dy, bx, by) >= 0) return undefined;
  const part = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / ((bx - ax) * (dy - cy) - (by - ay) * (dx - cx));
  return { x: ax + part * (bx - ax), y: ay + part * (by - ay) };
}

/** Corners of a ring up to which it is looked through for crossings of itself: the work grows with their square. */
const MOST_CORNERS = 2000;

/** Where a ring crosses itself; undefined where it does not. */
export function selfCrossing(ring: readonly number[]): Point | undefined {
  if (ring.length > 2 * MOST_CORNERS) return undefined;
  for (let i = 0; i < ring.length; i += 2)
    for (let k = i + 4; k < ring.length; k += 2) {
      const at = crossing(ring, i, ring, k);
      if (at) return at;
    }
  return undefined;
}

/** Where two rings cross each other; undefined where they only share edges, or are apart. */
export function ringsCross(
  a: readonly number[],
  b: readonly number[],
  boxes: readonly [Rect, Rect],
): Point | undefined {
  const [one, other] = boxes;
  const common = {
    left: Math.max(one.x, other.x),
    right: Math.min(right(one), right(other)),
    lower: Math.max(one.y, other.y),
    upper: Math.min(top(one), top(other)),
  };
  const reaches = (ring: readonly number[], i: number): boolean => {
    const j = (i + 2) % ring.length;
    const [x0, y0, x1, y1] = [ring[i] ?? 0, ring[i + 1] ?? 0, ring[j] ?? 0, ring[j + 1] ?? 0];
    return (
      Math.max(x0, x1) >= common.left &&
      Math.min(x0, x1) <= common.right &&
      Math.max(y0, y1) >= common.lower &&
      Math.min(y0, y1) <= common.upper
    );
  };
  const edges: number[] = [];
  for (let k = 0; k < b.length; k += 2) if (reaches(b, k)) edges.push(k);
  for (let i = 0; i < a.length; i += 2) {
    if (!reaches(a, i)) continue;
    for (const k of edges) {
      const at = crossing(a, i, b, k);
      if (at) return at;
    }
  }
  return undefined;
}
