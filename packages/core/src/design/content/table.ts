import { z } from 'zod';
import { kindOfContent } from './kind';
import { formulaSchema, idSchema, placingFields } from './placing';

export const TABLES = ['revisions', 'index', 'areas', 'issues', 'other'] as const;

export const tableSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('table'),
  table: z.enum(TABLES),
  columns: z
    .array(z.strictObject({ heading: z.string().max(100), key: z.string().max(60), width: formulaSchema }))
    .min(1)
    .max(30),
  rowHeight: formulaSchema,
  rows: z.number().int().min(1).max(200),
  /** Where the heading row stands; rows grow away from it. */
  heading: z.enum(['top', 'bottom']),
  captionRole: idSchema,
  valueRole: idSchema,
});
export type TableContent = z.infer<typeof tableSchema>;

export const table = kindOfContent(tableSchema, {
  name: 'Table',
  label: (content) => `Table of ${content.table}`,
  inWords: (content) => `the table of ${content.table}`,
  outlined: true,
  formulas: ({ columns }) => [
    { path: ['rowHeight'], what: 'the row height of a table' },
    ...columns.map(({ heading }, i) => ({ path: ['columns', i, 'width'], what: `the column “${heading}”` })),
  ],
  roles: () => [['captionRole'], ['valueRole']],
});
