import { z } from 'zod';

export const linePatternSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1, 'a pattern needs a name').max(60),
  /** Dash, gap, dash, gap … on paper; none for a continuous line. A dash of 0 is a dot. */
  dashes: z
    .array(z.number().min(0, 'dashes and gaps are not negative').max(500, 'dashes and gaps are at most 500'))
    .max(12, 'a pattern has at most 12 dashes and gaps')
    .refine((dashes) => dashes.length % 2 === 0, 'dashes and gaps come in pairs')
    .refine((dashes) => dashes.length === 0 || dashes.some((each) => each > 0), 'a pattern needs some length'),
  /** What the figures are in: mm, or multiples of the line's width. */
  in: z.enum(['mm', 'widths']),
});
/** A named line pattern. Its dashes are on paper: equally long at every scale. */
export type LinePattern = z.infer<typeof linePatternSchema>;

/** ISO 128 (from memory): dashed 12d, 3d; long-dashed dotted 24d, 3d, 0.5d, 3d, with d the line width. */
export const STARTING_PATTERNS: readonly LinePattern[] = [
  { id: 'continuous', name: 'Continuous', dashes: [], in: 'widths' },
  { id: 'dashed', name: 'Dashed', dashes: [12, 3], in: 'widths' },
  { id: 'chain', name: 'Long-dashed dotted', dashes: [24, 3, 0.5, 3], in: 'widths' },
  { id: 'dotted', name: 'Dotted', dashes: [0.5, 3], in: 'widths' },
];

/** The name of a pattern in a line width, for programs that keep dashes as lengths: `Dashed 0.35`. */
export const patternName = ({ name, in: unit }: LinePattern, width: number): string =>
  unit === 'mm' ? name : `${name} ${Number(width.toFixed(3))}`;

/** Dashes and gaps of a pattern in mm on paper for a line of a width in mm; none for a continuous line. */
export function dashesOf(pattern: LinePattern | undefined, width: number): number[] {
  if (!pattern) return [];
  return pattern.in === 'mm' ? [...pattern.dashes] : pattern.dashes.map((each) => each * width);
}
