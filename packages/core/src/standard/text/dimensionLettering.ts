import { z } from 'zod';
import { MM_PER } from '../../quantity';

const onPaper = z.number().min(0, 'sizes on paper are not negative').max(100, 'sizes on paper are at most 100 mm');

export const TERMINATORS = ['tick', 'arrow', 'dot'] as const;

/** How fractions of an inch stand: one figure over the other, side by side with a slanted line, or on the base line as 1/2. */
export const FRACTION_STYLES = ['stacked', 'slanted', 'in line'] as const;

/** What goes outside of the extension lines first where there is no room between them. */
export const MOVED_OUT = ['ends', 'figures', 'both', 'whichever fits'] as const;

/** Height of the figures of a stacked or slanted fraction, as a share of the others (common practice). */
export const FRACTION_HEIGHT = 0.75;

/** How figures are written in the dimension lettering that ships. */
const FIGURES = {
  mm: { fractions: 'stacked', precision: 0, leadingZeros: true, trailingZeros: true, movedOut: 'whichever fits' },
  in: { fractions: 'stacked', precision: 4, leadingZeros: false, trailingZeros: true, movedOut: 'whichever fits' },
} as const;

export const dimensionLetteringSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1, 'dimension lettering needs a name').max(60),
  unit: z.enum(['mm', 'in']),
  typeface: z.string().min(1).max(80),
  /** Height of the figures. This and all that follows is in mm on paper. */
  height: z.number().min(0.5, 'lettering is at least 0.5 mm high').max(100, 'lettering is at most 100 mm high'),
  terminator: z.enum(TERMINATORS),
  /** Length of a tick or an arrow, width of a dot. */
  terminatorSize: onPaper,
  /** How far extension lines go past the dimension line. */
  extension: onPaper,
  /** Space between the object and the start of its extension lines. */
  gap: onPaper,
  /** Space between the figures and the dimension line. */
  offset: onPaper,
  pen: z.string().min(1).max(40),
  fractions: z.enum(FRACTION_STYLES),
  /** Decimals of millimetres; in inches the power of two that fractions are rounded to: 4 is 1/16. */
  precision: z.int().min(0).max(6, 'dimensions are rounded to 6 decimals or 1/64 at most'),
  /** Whether zeros lead: 0'-8" and 0.5, or 8" and .5. */
  leadingZeros: z.boolean(),
  /** Whether zeros trail: 6'-0" and 2.50, or 6' and 2.5. */
  trailingZeros: z.boolean(),
  movedOut: z.enum(MOVED_OUT),
});

/** Sizes on paper of a dimension's parts, and how its figures are written. */
export type DimensionLettering = z.infer<typeof dimensionLetteringSchema>;

/** Worked example (common practice): figures and ticks 3/32 in, extension 1/8 in, figures 1/32 in off the line. */
export const INCH_DIMENSIONS: Omit<DimensionLettering, 'typeface'> = {
  id: 'dimensions-inch',
  name: 'Dimensions in inches',
  unit: 'in',
  height: (3 / 32) * MM_PER.in,
  terminator: 'tick',
  terminatorSize: (3 / 32) * MM_PER.in,
  extension: (1 / 8) * MM_PER.in,
  gap: (1 / 16) * MM_PER.in,
  offset: (1 / 32) * MM_PER.in,
  pen: 'fine',
  ...FIGURES.in,
};

/** Common practice in mm. */
export const METRIC_DIMENSIONS: Omit<DimensionLettering, 'typeface'> = {
  ...INCH_DIMENSIONS,
  id: 'dimensions',
  name: 'Dimensions',
  unit: 'mm',
  height: 2.5,
  terminatorSize: 2.5,
  extension: 2.5,
  gap: 1.5,
  offset: 0.8,
  ...FIGURES.mm,
};
