import { z } from 'zod';
import { kindOfContent } from './kind';
import { formulaSchema, idSchema, placingFields } from './placing';

/** Boxes that one content may have. */
export const MOST_TICK_BOXES = 20;

export const TICK_ARRANGEMENTS = ['below', 'beside'] as const;

/** Boxes with words beside them, of which the one that a parameter says is ticked. */
export const tickBoxesSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('ticks'),
  /** Key of the parameter that says which box is ticked. */
  parameter: z.string().min(1).max(60),
  boxes: z
    .array(z.strictObject({ /** The value that ticks it. */ value: z.string().max(100), words: z.string().max(200) }))
    .min(1)
    .max(MOST_TICK_BOXES),
  /** Whether each box stands below the one before, or beside it. */
  arrangement: z.enum(TICK_ARRANGEMENTS),
  /** Side of a box on paper. */
  side: formulaSchema,
  /** From the beginning of one box to that of the next; without it they stand as close as their words allow. */
  step: formulaSchema.optional(),
  role: idSchema,
  pen: idSchema,
});
export type TickBoxes = z.infer<typeof tickBoxesSchema>;

export const ticks = kindOfContent(tickBoxesSchema, {
  name: 'Tick boxes',
  label: ({ boxes }) =>
    boxes
      .map(({ words }) => words)
      .join(' / ')
      .slice(0, 40) || 'Tick boxes',
  inWords: ({ parameter }) => `the tick boxes for {${parameter}}`,
  formulas: ({ step }) => [
    { path: ['side'], what: 'the side of tick boxes' },
    ...(step === undefined ? [] : [{ path: ['step'], what: 'the step of tick boxes' }]),
  ],
  parameters: () => [['parameter']],
  roles: () => [['role']],
  pens: () => [['pen']],
});
