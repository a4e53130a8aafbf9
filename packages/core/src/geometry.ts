/** A rectangle on paper in mm; x and y are its lower-left corner, y points up. */
export interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A rectangle that is called something, so that it can be named where it is in the way. */
export interface NamedRect extends Rect {
  name: string;
}

export interface Point {
  x: number;
  y: number;
}

export const right = (rect: Rect): number => rect.x + rect.width;
export const top = (rect: Rect): number => rect.y + rect.height;

/** Whether a point lies in a rectangle grown by `tolerance` on every side. */
export function contains(rect: Rect, point: Point, tolerance = 0): boolean {
  return (
    point.x >= rect.x - tolerance &&
    point.x <= right(rect) + tolerance &&
    point.y >= rect.y - tolerance &&
    point.y <= top(rect) + tolerance
  );
}

/** Whether two rectangles share more than a sliver of area. */
export function overlaps(a: Rect, b: Rect, tolerance = 1e-6): boolean {
  return (
    a.x < right(b) - tolerance && b.x < right(a) - tolerance && a.y < top(b) - tolerance && b.y < top(a) - tolerance
  );
}

/** How far two rectangles run into each other, in mm: the shortest way that would part them; 0 where they do not. */
export function overlapOf(a: Rect, b: Rect): number {
  const across = Math.min(right(a), right(b)) - Math.max(a.x, b.x);
  const up = Math.min(top(a), top(b)) - Math.max(a.y, b.y);
  return Math.max(0, Math.min(across, up));
}

/** The smallest rectangle around some others; undefined for none. */
export function around(rects: readonly Rect[]): Rect | undefined {
  if (rects.length === 0) return undefined;
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const rect of rects) {
    x0 = Math.min(x0, rect.x);
    y0 = Math.min(y0, rect.y);
    x1 = Math.max(x1, right(rect));
    y1 = Math.max(y1, top(rect));
  }
  return { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
}

/** Proportions that differ by less are the same: places are drawn, dots are counted. */
const SAME_PROPORTION = 0.03;

/** The largest box of a proportion, width to height, in the middle of a place; the place itself where its own is nearly that. */
export function containedIn(place: Rect, proportion: number): Rect {
  const { x, y, width, height } = place;
  if (Math.abs(width / height / proportion - 1) < SAME_PROPORTION) return place;
  const across = Math.min(width, height * proportion);
  const up = across / proportion;
  return { x: x + (width - across) / 2, y: y + (height - up) / 2, width: across, height: up };
}
