import { z } from 'zod';
import { formulaSchema, idSchema } from './content/placing';
import { looseSchema } from './loose';
import { DESIGN_VERSION } from './migrate';
import { modulesSchema } from './modules';
import { MOST_PANELS, panelSchema } from './panel';

const markSchema = z.union([z.boolean(), z.literal('standard')]);

export const frameSchema = z.strictObject({
  /** `standard` takes the margins that the sheet size's own standard asks for. */
  margins: z.union([
    z.literal('standard'),
    z.strictObject({ left: formulaSchema, right: formulaSchema, top: formulaSchema, bottom: formulaSchema }),
  ]),
  pen: idSchema,
  trimLine: z.boolean(),
  /** `standard` leaves the choice to the frame rule of the size. */
  zones: markSchema,
  centringMarks: markSchema,
  trimmingMarks: markSchema.optional(),
  foldMarks: markSchema.optional(),
});

const dimensionName = z
  .string()
  .min(1)
  .max(40)
  .regex(/^[A-Za-z][A-Za-z0-9]*$/, 'a dimension is named by one word of letters and digits');

export const designSchema = z.strictObject({
  format: z.literal('mendrel-design'),
  version: z.literal(DESIGN_VERSION),
  name: z.string().min(1).max(120),
  /** Unit of bare numbers that are typed into it. */
  unit: z.enum(['mm', 'in']),
  /** Kept from being changed by accident. */
  locked: z.boolean().optional(),
  sizes: z
    .array(z.strictObject({ size: z.string().min(1).max(40), orientation: z.enum(['landscape', 'portrait']) }))
    .min(1)
    .max(40),
  dimensions: z
    .array(
      z.strictObject({
        name: dimensionName,
        formula: formulaSchema,
        bySize: z.record(z.string().max(40), formulaSchema).optional(),
      }),
    )
    .max(200),
  frame: frameSchema,
  panels: z.array(panelSchema).max(MOST_PANELS),
  loose: z.array(looseSchema).max(200).optional(),
  /** The module grid for views. */
  modules: modulesSchema,
});

/** A parametric title block: one document for the whole family of sizes. */
export type Design = z.infer<typeof designSchema>;
export type Dimension = Design['dimensions'][number];
