import { z } from 'zod';
import type { Content } from './content';
import { contentSchema } from './content';
import { formulaSchema, idSchema } from './content/placing';

/** A pen's id, or `none` for a line that is not drawn. */
export const linePenSchema = idSchema;
export const NO_LINE = 'none';

const lineAfter = { line: linePenSchema.optional() };

/** `line` is the pen of the divider after the track where it is not the panel's. */
export const trackSchema = z.union([
  z.strictObject({ fixed: formulaSchema, ...lineAfter }),
  z.strictObject({
    share: z.number().positive().max(1000),
    min: formulaSchema.optional(),
    max: formulaSchema.optional(),
    ...lineAfter,
  }),
  z.strictObject({
    fit: z.literal(true),
    min: formulaSchema.optional(),
    max: formulaSchema.optional(),
    ...lineAfter,
  }),
]);

/** One row or column: a fixed length, a share of what is left, or as large as its content needs. */
export type Track = z.infer<typeof trackSchema>;

/** Pens of single edges where they are not those of the panel. */
export const edgePensSchema = z.strictObject({
  left: linePenSchema.optional(),
  right: linePenSchema.optional(),
  top: linePenSchema.optional(),
  bottom: linePenSchema.optional(),
});
export type EdgePens = z.infer<typeof edgePensSchema>;

const gapsSchema = z.strictObject({ columns: formulaSchema.optional(), rows: formulaSchema.optional() });
/** Room between neighbouring columns and between neighbouring rows; none where one is left out. */
export type Gaps = z.infer<typeof gapsSchema>;

/** A rectangle of a panel: divided into tracks, or holding content. */
export interface Cell {
  id: string;
  name: string;
  padding?: string;
  /** A comparison; where it does not hold the cell is left out and its tracks close up. */
  when?: string;
  /** Ground of the cell, #rrggbb. */
  fill?: string;
  edges?: EdgePens;
  contents: Content[];
  division?: Division;
}

/** Rows run from the top, columns from the left; children may span several tracks. */
export interface Division {
  columns: Track[];
  rows: Track[];
  children: Child[];
  gaps?: Gaps;
}

export interface Child {
  column: number;
  row: number;
  columnSpan: number;
  rowSpan: number;
  cell: Cell;
}

/** Deeper designs than this are refused before anything recurses into them. */
export const MOST_DEPTH = 24;
export const MOST_TRACKS = 200;

const span = z.number().int().min(1).max(MOST_TRACKS);
const place = z
  .number()
  .int()
  .min(0)
  .max(MOST_TRACKS - 1);

export const cellSchema: z.ZodType<Cell> = z.strictObject({
  id: idSchema,
  name: z.string().max(100),
  padding: formulaSchema.optional(),
  when: formulaSchema.optional(),
  fill: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i, 'a colour is written #rrggbb')
    .optional(),
  edges: edgePensSchema.optional(),
  contents: z.array(contentSchema).max(50),
  division: z
    .strictObject({
      columns: z.array(trackSchema).min(1).max(MOST_TRACKS),
      rows: z.array(trackSchema).min(1).max(MOST_TRACKS),
      get children() {
        return z
          .array(z.strictObject({ column: place, row: place, columnSpan: span, rowSpan: span, cell: cellSchema }))
          .min(1)
          .max(2000);
      },
      gaps: gapsSchema.optional(),
    })
    .optional(),
});
