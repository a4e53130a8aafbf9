import type { Item } from '../drawing';
import { eachSegment, turned } from '../drawing';
import type { LegacyDrawing } from './legacyDrawing';

/** Directions of lines are gathered in bins this wide, in degrees. */
const BIN = 0.25;
/** A title block is ruled: this part of the length of all lines runs in its two directions. */
const RULED = 0.4;
/** Level lines with this part of the ink of the strongest direction are a near tie. */
const NEARLY_TIED = 0.6;
/** How far a text may be turned from a quarter turn, in quarters. */
const OFF_QUARTER = 0.02;
/** A quarter turn is considered when this part of the texts is read that way. */
const READ_SO = 0.15;

/**
 * How far the rulings of a drawing are turned away from level, in degrees from -45 to 45: the direction, counted by the
 * quarter, in which most of the length of its lines runs. 0 when no direction stands out.
 */
export function skewOf(items: readonly Item[]): number {
  const bins = new Float64Array(Math.round(90 / BIN));
  let all = 0;
  const each = (act: (length: number, angle: number) => void): void =>
    eachSegment(items, (x0, y0, x1, y1) => {
      const length = Math.hypot(x1 - x0, y1 - y0);
      if (length > 0) act(length, ((((Math.atan2(y1 - y0, x1 - x0) * 180) / Math.PI) % 90) + 90) % 90);
    });
  each((length, angle) => {
    const bin = Math.round(angle / BIN) % bins.length;
    bins[bin] = (bins[bin] ?? 0) + length;
    all += length;
  });
  let best = 0;
  bins.forEach((ink, bin) => {
    if (ink > (bins[best] ?? 0)) best = bin;
  });
  // Level wins a near tie: hatching may have much ink, a title block is what matters.
  if ((bins[best] ?? 0) < RULED * all || (bins[0] ?? 0) > NEARLY_TIED * (bins[best] ?? 0)) return 0;
  let [sum, weight] = [0, 0];
  each((length, angle) => {
    const off = ((angle - best * BIN + 135) % 90) - 45;
    // Long lines tell the direction better than their length says.
    if (Math.abs(off) <= BIN) {
      sum += off * length * length;
      weight += length * length;
    }
  });
  const angle = best * BIN + sum / weight;
  return angle > 45 ? angle - 90 : angle;
}

/** A drawing turned so that its rulings are level and some of its texts upright. */
export interface Orientation {
  drawing: LegacyDrawing;
  /** How far the drawing was turned counter-clockwise against this one, in degrees from 0 to 360. */
  rotation: number;
  /** Part of the texts that is upright, 0 to 1; 1 when there are none. */
  upright: number;
}

/** The ways in which a drawing may be meant to be seen, by which way its texts are read; as it was drawn always among them. */
export function orientationsOf(drawing: LegacyDrawing): Orientation[] {
  const skew = skewOf(drawing.items);
  const readings = [0, 0, 0, 0];
  let count = 0;
  for (const item of drawing.items) {
    if (item.kind !== 'text') continue;
    const quarters = (item.rotation - skew) / 90;
    const near = Math.round(quarters);
    if (Math.abs(quarters - near) > OFF_QUARTER) continue;
    const quarter = ((near % 4) + 4) % 4;
    readings[quarter] = (readings[quarter] ?? 0) + 1;
    count++;
  }
  return [0, 1, 2, 3].flatMap((quarter): Orientation[] => {
    const upright = count === 0 ? 1 : (readings[quarter] ?? 0) / count;
    if (quarter !== 0 && (count === 0 || upright < READ_SO)) return [];
    const rotation = (((skew + 90 * quarter) % 360) + 360) % 360;
    const items = rotation === 0 ? drawing.items : drawing.items.map((item) => turned(item, -rotation));
    return [{ drawing: { ...drawing, items }, rotation, upright }];
  });
}
