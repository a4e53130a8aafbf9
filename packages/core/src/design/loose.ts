import { z } from 'zod';
import { formulaSchema, idSchema, opacitySchema, wordsSchema } from './content/placing';
import { pictureFields } from './content/picture';
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
export const SHEET_ANCHOR = 'sheet';
/** All names that stand for no panel or cell. */
export const OWN_ANCHORS: readonly string[] = [FRAME_ANCHOR, AREA_ANCHOR, SHEET_ANCHOR];

export const LOOSE_PICTURE_SIZES = ['own', 'frame', 'sheet'] as const;
/** `own` is its true size, where it is anchored; the others are as large as goes into the frame or the sheet, in its middle. */
export type LoosePictureSize = (typeof LOOSE_PICTURE_SIZES)[number];

/** It lies under the drawing, not over it. */
const under = z.literal(true).optional();

const common = { id: idSchema, when: formulaSchema.optional() };

/** What stands on the sheet outside of the cells: free lines and rectangles, stamps and pictures across the sheet. */
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
    /** How much it covers what lies under it, in per cent; all of it when left out. */
    opacity: opacitySchema.optional(),
    under,
  }),
  /** A picture over the whole sheet, such as a printed border. It claims no room. */
  z.strictObject({
    ...common,
    kind: z.literal('picture'),
    ...pictureFields,
    size: z.enum(LOOSE_PICTURE_SIZES),
    /** The point at which it hangs by its own point of that name. */
    at: pointSchema,
    under,
  }),
]);
export type Loose = z.infer<typeof looseSchema>;
