import { z } from 'zod';
import { MM_PER } from '../quantity';

/** ISO 3098 nominal heights in mm (from memory), ratio √2. */
export const ISO_HEIGHTS: readonly number[] = [1.8, 2.5, 3.5, 5, 7, 10, 14, 20];

/** Heights of an office working in mm: ISO 3098 and 2 mm, common practice for captions. */
export const METRIC_HEIGHTS: readonly number[] = [1.8, 2, 2.5, 3.5, 5, 7, 10, 14, 20];

/** Heights of an office working in inches, common practice: 3/32 to 3/4 in. */
export const INCH_HEIGHTS: readonly number[] = [3 / 32, 1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2, 3 / 4].map(
  (h) => h * MM_PER.in,
);

/** ISO 128 line widths in mm (from memory), ratio √2. */
export const LINE_WIDTHS: readonly number[] = [0.13, 0.18, 0.25, 0.35, 0.5, 0.7, 1, 1.4, 2];

export const letteringRoleSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  /** What the role is for; intake chooses by it. */
  use: z.enum(['caption', 'value', 'title', 'number', 'notes', 'zone']),
  typeface: z.string().min(1).max(80),
  /** Height of capitals on paper in mm. */
  height: z.number().min(0.5).max(200),
  widthFactor: z.number().min(0.5).max(2),
  /** Distance of base lines as a multiple of the height. */
  lineSpacing: z.number().min(1).max(4),
  capitals: z.boolean(),
});

/** A named use of text. */
export type LetteringRole = z.infer<typeof letteringRoleSchema>;

/** The height of a series nearest to a measured one, by ratio. */
export function nearestHeight(measured: number, series: readonly number[]): number {
  let best = series[0] ?? measured;
  for (const height of series) {
    if (Math.abs(Math.log(height / measured)) < Math.abs(Math.log(best / measured))) best = height;
  }
  return best;
}

/** The next smaller height of a series, or undefined at its small end. */
export function nextSmaller(height: number, series: readonly number[]): number | undefined {
  return [...series].reverse().find((each) => each < height - 1e-6);
}
