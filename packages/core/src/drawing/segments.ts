import type { Item } from './drawing';

/** A straight piece of linework in mm. */
export interface Segment {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** Goes through the straight pieces of strokes, of which other items have none. Nothing is made for them on the way. */
export function eachSegment(
  items: readonly Item[],
  act: (x0: number, y0: number, x1: number, y1: number) => void,
): void {
  for (const item of items) {
    if (item.kind !== 'stroke') continue;
    const { points } = item;
    const count = points.length / 2;
    for (let i = 0; i < count - (item.closed ? 0 : 1); i++) {
      const j = (i + 1) % count;
      act(points[2 * i] ?? 0, points[2 * i + 1] ?? 0, points[2 * j] ?? 0, points[2 * j + 1] ?? 0);
    }
  }
}

/** The straight pieces of strokes; other items have none. */
export function segmentsOf(items: readonly Item[]): Segment[] {
  const segments: Segment[] = [];
  eachSegment(items, (x0, y0, x1, y1) => void segments.push({ x0, y0, x1, y1 }));
  return segments;
}

/** Distance in mm from a point to a segment. */
export function distanceTo(segment: Segment, x: number, y: number): number {
  const [dx, dy] = [segment.x1 - segment.x0, segment.y1 - segment.y0];
  const squared = dx * dx + dy * dy;
  const along = squared === 0 ? 0 : ((x - segment.x0) * dx + (y - segment.y0) * dy) / squared;
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(x - segment.x0 - t * dx, y - segment.y0 - t * dy);
}
