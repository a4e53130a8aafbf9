import { z } from 'zod';

/** The version of the design document that this code reads and writes. */
export const DESIGN_VERSION = 1;

const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'ids are letters, digits, - and _');
const formula = z.string().min(1).max(300);
const text = z.string().max(2000);

export const trackSchema = z.union([
  z.strictObject({ fixed: formula }),
  z.strictObject({ share: z.number().positive().max(1000), min: formula.optional(), max: formula.optional() }),
  z.strictObject({ fit: z.literal(true), min: formula.optional(), max: formula.optional() }),
]);

/** One row or column: a fixed length, a share of what is left, or as large as its content needs. */
export type Track = z.infer<typeof trackSchema>;

const placingFields = {
  id,
  horizontal: z.enum(['left', 'centre', 'right']),
  vertical: z.enum(['top', 'middle', 'bottom']),
  rotation: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]),
};

const fitPolicySchema = z.strictObject({
  lines: z.number().int().min(1).max(60),
  condense: z.number().min(0.5).max(1),
  steps: z.number().int().min(0).max(10),
});

export const captionSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('caption'),
  text,
  role: id,
  fit: fitPolicySchema,
});

export const fieldSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('field'),
  pattern: text,
  role: id,
  fit: fitPolicySchema,
});

const lineworkSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('stroke'), points: z.array(z.number()).min(4).max(20_000), closed: z.boolean() }),
  z.strictObject({
    kind: z.literal('arc'),
    centre: z.tuple([z.number(), z.number()]),
    radius: z.number().positive(),
    from: z.number(),
    to: z.number(),
  }),
  z.strictObject({ kind: z.literal('fill'), rings: z.array(z.array(z.number()).max(20_000)).min(1).max(200) }),
]);

/** Linework of a picture in a box from 0, 0 to its width and height, y up. */
export type Linework = z.infer<typeof lineworkSchema>;

export const pictureSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('picture'),
  name: z.string().max(100),
  /** Natural size in mm; it shrinks in proportion where its cell is smaller. */
  width: z.number().positive().max(5000),
  height: z.number().positive().max(5000),
  linework: z.array(lineworkSchema).max(2000),
});

export const tableSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('table'),
  table: z.enum(['revisions', 'index', 'areas', 'issues', 'other']),
  columns: z
    .array(z.strictObject({ heading: z.string().max(100), key: z.string().max(60), width: formula }))
    .min(1)
    .max(30),
  rowHeight: formula,
  rows: z.number().int().min(1).max(200),
  /** Where the heading row stands; rows grow away from it. */
  heading: z.enum(['top', 'bottom']),
  captionRole: id,
  valueRole: id,
});

export const contentSchema = z.discriminatedUnion('kind', [captionSchema, fieldSchema, pictureSchema, tableSchema]);
export type Content = z.infer<typeof contentSchema>;
export type Caption = z.infer<typeof captionSchema>;
export type Field = z.infer<typeof fieldSchema>;
export type Picture = z.infer<typeof pictureSchema>;
export type TableContent = z.infer<typeof tableSchema>;

/** A rectangle of a panel: divided into tracks, or holding content. */
export interface Cell {
  id: string;
  name: string;
  padding?: string;
  /** A comparison; the cell's content and inner lines are left out where it does not hold. */
  when?: string;
  contents: Content[];
  division?: Division;
}

/** Rows run from the top, columns from the left; children may span several tracks. */
export interface Division {
  columns: Track[];
  rows: Track[];
  children: Child[];
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
const MOST_TRACKS = 200;

const span = z.number().int().min(1).max(MOST_TRACKS);
const place = z
  .number()
  .int()
  .min(0)
  .max(MOST_TRACKS - 1);

export const cellSchema: z.ZodType<Cell> = z.strictObject({
  id,
  name: z.string().max(100),
  padding: formula.optional(),
  when: formula.optional(),
  contents: z.array(contentSchema).max(50),
  division: z
    .strictObject({
      columns: z.array(trackSchema).min(1).max(MOST_TRACKS),
      rows: z.array(trackSchema).min(1).max(MOST_TRACKS),
      get children() {
        return z
          .array(z.strictObject({ column: place, row: place, columnSpan: span, rowSpan: span, cell: cellSchema }))
          .min(1)
          .max(1000);
      },
    })
    .optional(),
});

export const DOCKS = [
  'left',
  'right',
  'top',
  'bottom',
  'lower-right',
  'lower-left',
  'upper-right',
  'upper-left',
  'floating',
] as const;
export type Dock = (typeof DOCKS)[number];

export const panelSchema = z.strictObject({
  id,
  name: z.string().min(1).max(100),
  dock: z.enum(DOCKS),
  /** For `floating`: distances of its lower-left corner from the frame's. */
  x: formula.optional(),
  y: formula.optional(),
  /** Needed but along the edge of a left, right, top or bottom dock. */
  width: formula.optional(),
  height: formula.optional(),
  outlinePen: id,
  dividerPen: id,
  root: cellSchema,
});
export type Panel = z.infer<typeof panelSchema>;

const markSchema = z.union([z.boolean(), z.literal('standard')]);

export const frameSchema = z.strictObject({
  /** `standard` takes the margins that the sheet size's own standard asks for. */
  margins: z.union([
    z.literal('standard'),
    z.strictObject({ left: formula, right: formula, top: formula, bottom: formula }),
  ]),
  pen: id,
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
  sizes: z
    .array(z.strictObject({ size: z.string().min(1).max(40), orientation: z.enum(['landscape', 'portrait']) }))
    .min(1)
    .max(40),
  dimensions: z
    .array(
      z.strictObject({
        name: dimensionName,
        formula,
        bySize: z.record(z.string().max(40), formula).optional(),
      }),
    )
    .max(100),
  frame: frameSchema,
  panels: z.array(panelSchema).max(20),
  /** The module grid for views. */
  modules: z.strictObject({ columns: z.number().int().min(1).max(40), rows: z.number().int().min(1).max(40) }),
});

/** A parametric title block: one document for the whole family of sizes. */
export type Design = z.infer<typeof designSchema>;
