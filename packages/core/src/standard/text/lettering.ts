import { z } from 'zod';
import { MM_PER } from '../../quantity';

/** ISO 3098 nominal heights in mm (from memory), ratio √2. */
export const ISO_HEIGHTS: readonly number[] = [1.8, 2.5, 3.5, 5, 7, 10, 14, 20];

/** Heights of an office working in mm: ISO 3098 and 2 mm, common practice for captions. */
export const METRIC_HEIGHTS: readonly number[] = [1.8, 2, 2.5, 3.5, 5, 7, 10, 14, 20];

/** Heights of an office working in inches, common practice: 3/32 to 3/4 in. */
export const INCH_HEIGHTS: readonly number[] = [3 / 32, 1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2, 3 / 4].map(
  (h) => h * MM_PER.in,
);

export const ROLE_USES = ['caption', 'value', 'title', 'number', 'notes', 'zone'] as const;

export const letteringRoleSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1, 'a role needs a name').max(60),
  /** What the role is for; intake chooses by it. */
  use: z.enum(ROLE_USES),
  typeface: z.string().min(1).max(80),
  /** Height of capitals on paper in mm. */
  height: z.number().min(0.5, 'lettering is at least 0.5 mm high').max(200, 'lettering is at most 200 mm high'),
  /** The unit it is shown in; roles in inches go with scales in feet and inches. */
  unit: z.enum(['mm', 'in']),
  widthFactor: z.number().min(0.5, 'a width factor is at least 0.5').max(2, 'a width factor is at most 2'),
  /** Distance of base lines as a multiple of the height. */
  lineSpacing: z.number().min(1, 'line spacing is at least 1').max(4, 'line spacing is at most 4'),
  capitals: z.boolean(),
  /** The pen whose colour it takes and by which plotted lettering is drawn. */
  pen: z.string().min(1).max(40),
});

/** A named use of text. */
export type LetteringRole = z.infer<typeof letteringRoleSchema>;

/** The height of a series nearest to a measured one, by ratio. */
export function nearestHeight(measured: number, series: readonly number[]): number {
  // By ratio: twice too high is as far off as half too low.
  const off = (height: number): number => Math.max(height / measured, measured / height);
  let [best, least] = [measured, Infinity];
  for (const height of series) {
    const by = off(height);
    if (by < least) [best, least] = [height, by];
  }
  return best;
}

/** The next smaller height of a series, or undefined at its small end. */
export function nextSmaller(height: number, series: readonly number[]): number | undefined {
  return [...series].reverse().find((each) => each < height - 1e-6);
}
