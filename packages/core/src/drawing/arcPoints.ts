import type { ArcItem } from './drawing';

/** Straight pieces of a whole circle: close enough for a picture of a few centimetres. */
const PIECES = 60;

/**
 * An arc as straight pieces, x, y, x, y …; a whole circle ends where it begins.
 * @param pieces of a whole circle
 */
export function arcPoints(
  { centre, radius, from, to }: Pick<ArcItem, 'centre' | 'radius' | 'from' | 'to'>,
  pieces = PIECES,
): number[] {
  const sweep = to < from ? to + 360 - from : to - from;
  const count = Math.max(2, Math.ceil((pieces * sweep) / 360));
  return Array.from({ length: count + 1 }, (_, i) => {
    const angle = ((from + (sweep * i) / count) * Math.PI) / 180;
    return [centre.x + radius * Math.cos(angle), centre.y + radius * Math.sin(angle)];
  }).flat();
}
