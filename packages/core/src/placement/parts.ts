import { parseScale } from '../quantity';
import type { View } from './view';

/** A window that reaches further by less, as a part of the larger one, lies within it: windows are drawn by hand. */
const TOLERANCE = 0.001;

/** Whether a view can be the large-scale part of another one: its window of the same drawing lies within that one's. */
export function showsPartOf(part: View, whole: View): boolean {
  const [a, b] = [part.drawing, whole.drawing];
  if (!a || !b || a.linework !== b.linework || part.scale === null || whole.scale === null) return false;
  if (parseScale(part.scale).denominator >= parseScale(whole.scale).denominator) return false;
  const [width, height] = [whole.realWidth / b.unit, whole.realHeight / b.unit];
  const by = TOLERANCE * Math.max(width, height);
  return (
    a.x >= b.x - by &&
    a.y >= b.y - by &&
    a.x + part.realWidth / a.unit <= b.x + width + by &&
    a.y + part.realHeight / a.unit <= b.y + height + by
  );
}
