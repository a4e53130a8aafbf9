import type { Rect } from '../geometry';

/** A number as reports have it: to a ten-thousandth unless said otherwise. */
export const round = (value: number, digits = 4): number => Number(value.toFixed(digits));

export const roundRect = ({ x, y, width, height }: Rect): Rect => ({
  x: round(x),
  y: round(y),
  width: round(width),
  height: round(height),
});
