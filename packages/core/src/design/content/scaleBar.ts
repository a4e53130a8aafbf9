import { z } from 'zod';
import { kindOfContent } from './kind';
import { formulaSchema, idSchema, placingFields } from './placing';

/** A bar that shows real lengths at the scale of the sheet: it follows the scale, and is left out where there is none. */
export const scaleBarSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('scaleBar'),
  /** The parameter that says the scale. */
  parameter: z.string().min(1).max(60),
  /** How long it may be on paper; it is as long as round figures allow. */
  length: formulaSchema,
  /** How high the bar itself is, without its figures. */
  height: formulaSchema,
  /** Role of the figures over it. */
  role: idSchema,
});
export type ScaleBar = z.infer<typeof scaleBarSchema>;

export const scaleBar = kindOfContent(scaleBarSchema, {
  name: 'Scale bar',
  label: () => 'Scale bar',
  inWords: () => 'the scale bar',
  formulas: () => [
    { path: ['length'], what: 'the length of a scale bar' },
    { path: ['height'], what: 'the height of a scale bar' },
  ],
  parameters: () => [['parameter']],
  roles: () => [['role']],
});
