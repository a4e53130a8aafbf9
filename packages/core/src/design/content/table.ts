import { z } from 'zod';
import { tableKindOf, TABLES } from '../../table';
import { fitPolicySchema } from './fitPolicy';
import { otherLanguagesSchema } from './languages';
import { kindOfContent } from './kind';
import { formulaSchema, idSchema, placingFields, wordsSchema } from './placing';

const SHARE = /^(\d+(?:\.\d+)?)?\s*\*$/;

/** The share of the room that a width such as `*` or `2*` stands for; undefined for a length. */
export function shareOfWidth(width: string): number | undefined {
  const share = SHARE.exec(width.trim());
  return share ? Number(share[1] ?? 1) : undefined;
}

const columnSchema = z.strictObject({
  heading: z.string().max(100),
  headingIn: otherLanguagesSchema.optional(),
  /** What it shows of a row: a pattern such as `{row.date}`, of the sheet index such as `{sheet.title}`. */
  shows: wordsSchema,
  /** A length, or a share of the room such as `2*`. */
  width: formulaSchema,
  horizontal: z.enum(['left', 'centre', 'right']).optional(),
  /** Where it is not the table's for rows. */
  role: idSchema.optional(),
  /** Pen of the line to its right, or `none`, where it is not the table's. */
  pen: idSchema.optional(),
});
export type TableColumn = z.infer<typeof columnSchema>;

/** What a table does with more rows than it has room for. */
export const MORE_ROWS = ['first', 'last', 'smaller', 'next'] as const;
export type MoreRows = (typeof MORE_ROWS)[number];

/** Rows that a table can have room for. */
export const MOST_TABLE_ROWS = 200;
/** Blocks of columns side by side. */
export const MOST_BESIDE = 8;

export const tableSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('table'),
  table: z.enum(TABLES),
  /** Which of the office's own tables, by id. */
  own: idSchema.optional(),
  /** Words over all columns. */
  title: z.string().max(200).optional(),
  titleIn: otherLanguagesSchema.optional(),
  columns: z.array(columnSchema).min(1).max(30),
  /** Least height of a row. */
  rowHeight: formulaSchema,
  /** Rows that there is room for; 0 for as many as go into the cell, which they then fill. */
  rows: z.number().int().min(0).max(MOST_TABLE_ROWS),
  /** Where the heading row stands; rows grow away from it. */
  heading: z.enum(['top', 'bottom', 'none']),
  /** Whether a row is as high as its texts need. */
  growing: z.literal(true).optional(),
  /**
   * `first` and `last` keep those rows and say how many there are more, `next` leaves them to the next table that goes on; left out, the
   * first are shown and it is an error.
   */
  more: z.enum(MORE_ROWS).optional(),
  /** Whether it begins with the rows that the table of the same before it leaves to it. */
  goesOn: z.literal(true).optional(),
  /** Blocks of the same columns side by side, filled one after the other. */
  beside: z.number().int().min(2).max(MOST_BESIDE).optional(),
  /** Ground of every second row, #rrggbb. */
  stripes: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i, 'a colour is written #rrggbb')
    .optional(),
  /** Whether rows without data have no lines. */
  onlyFilled: z.literal(true).optional(),
  /** Pen of its lines, where it is not the one for dividers. */
  pen: idSchema.optional(),
  captionRole: idSchema,
  valueRole: idSchema,
  /** How texts get into their columns; two lines, narrowed to 75 % and a height smaller when left out. */
  fit: fitPolicySchema.optional(),
});
export type TableContent = z.infer<typeof tableSchema>;

export const table = kindOfContent(tableSchema, {
  name: 'Table',
  label: ({ title, table: kind }) => title || tableKindOf(kind).name,
  inWords: ({ table: kind }) => tableKindOf(kind).inWords,
  outlined: true,
  formulas: ({ columns }) => [
    { path: ['rowHeight'], what: 'the row height of a table' },
    ...columns.flatMap(({ heading, width }, i) =>
      shareOfWidth(width) === undefined ? [{ path: ['columns', i, 'width'], what: `the column “${heading}”` }] : [],
    ),
  ],
  patterns: ({ columns }) => columns.map((_, i) => ['columns', i, 'shows']),
  roles: ({ columns }) => [
    ['captionRole'],
    ['valueRole'],
    ...columns.flatMap(({ role }, i) => (role === undefined ? [] : [['columns', i, 'role']])),
  ],
  pens: ({ pen, columns }) => [
    ...(pen === undefined ? [] : [['pen']]),
    ...columns.flatMap((column, i) => (column.pen === undefined ? [] : [['columns', i, 'pen']])),
  ],
});
