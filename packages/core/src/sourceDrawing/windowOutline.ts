import { rectPoints } from '../drawing';
import type { Rect } from '../geometry';

/** The window of a view that is no rectangle: the round one that fills it, or one with corners of its own, as x, y, x, y …. */
export type WindowOutline = 'circle' | readonly number[];

/**
 * Corners of a round window. Between two of them a line is off the circle by 0.00004 of its radius: four thousandths of a millimetre on a
 * circle of 200 mm.
 */
const ROUND = 360;

/** The outline of a window as x, y, x, y …: its corners where it is a rectangle; counter-clockwise when it is round. */
export function outlineRing(window: Rect, outline: WindowOutline | undefined): readonly number[] {
  if (outline === undefined) return rectPoints(window);
  if (outline !== 'circle') return outline;
  const [x, y] = [window.x + window.width / 2, window.y + window.height / 2];
  return Array.from({ length: ROUND }, (_, i) => {
    const turn = (2 * Math.PI * i) / ROUND;
    return [x + (window.width / 2) * Math.cos(turn), y + (window.height / 2) * Math.sin(turn)];
  }).flat();
}
