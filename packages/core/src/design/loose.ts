import { z } from 'zod';
import { formulaSchema, idSchema, wordsSchema } from './content/placing';
import { ANCHORS } from './panel';

/** A point measured from a corner of the frame, of the drawing area, or of a panel or cell by its id. */
const pointSchema = z.strictObject({
  of: z.string().min(1).max(64),
  anchor: z.enum(ANCHORS),
  /** To the right and up. */
  x: formulaSchema,
  y: formulaSchema,
});
export type AnchoredPoint = z.infer<typeof pointSchema>;

/** Names that stand for no panel or cell in `of`. */
export const FRAME_ANCHOR = 'frame';
export const AREA_ANCHOR = 'drawing-area';

const common = { id: idSchema, when: formulaSchema.optional() };

/** What stands on the sheet outside of the cells: free lines and rectangles, and marks across the sheet. */
export const looseSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...common, kind: z.literal('line'), from: pointSchema, to: pointSchema, pen: idSchema }),
  z.strictObject({ ...common, kind: z.literal('rectangle'), from: pointSchema, to: pointSchema, pen: idSchema }),
  z.strictObject({
    ...common,
    kind: z.literal('stamp'),
    /** Words, with parameters in braces: `NOT FOR CONSTRUCTION`, `{sheet.status}`. */
    pattern: wordsSchema,
    role: idSchema,
    /** Its middle. */
    at: pointSchema,
    /** Degrees, counter-clockwise. */
    angle: z.number().min(-180).max(180),
    boxed: z.boolean(),
  }),
]);
export type Loose = z.infer<typeof looseSchema>;
