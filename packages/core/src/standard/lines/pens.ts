import { z } from 'zod';

/** ISO 128 line widths in mm (from memory), ratio √2. */
export const LINE_WIDTHS: readonly number[] = [0.13, 0.18, 0.25, 0.35, 0.5, 0.7, 1, 1.4, 2];

/** The colour of ink that has none of its own. */
export const BLACK = '#000000';

export const penSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1, 'a pen needs a name').max(60),
  /** Line width in mm. */
  width: z.number().min(0.05, 'a pen is at least 0.05 mm wide').max(5, 'a pen is at most 5 mm wide'),
  colour: z.string().regex(/^#[0-9a-f]{6}$/i, 'a colour is written #rrggbb, black is #000000'),
});
/** A named line weight. */
export type Pen = z.infer<typeof penSchema>;

/** The width of the series nearest to a measured one. */
export function nearestLineWidth(width: number): number {
  return LINE_WIDTHS.reduce((best, each) => (Math.abs(each - width) < Math.abs(best - width) ? each : best));
}
