import { SHEET_KINDS, viewSchema } from '@mendrel/core';
import { z } from 'zod';
import { idSchema, versionSchema } from './errors';
import { valuesSchema } from './office';

/** Most sheets of a project and most views of a sheet: lists are never without end. */
export const MOST_SHEETS = 5000;
export const MOST_VIEWS = 100;

const number = z.string().trim().min(1, 'a sheet needs a number').max(40);
const title = z.string().max(300);
const kind = z.enum(SHEET_KINDS);
const size = z.string().min(1).max(40);
const views = z.array(viewSchema).max(MOST_VIEWS);

/** A revision as a sheet has it, the oldest first. */
const sheetRevisionSchema = z.object({
  /** The revision of the project. */
  id: idSchema,
  code: z.string(),
  date: z.string(),
  description: z.string(),
  by: z.string(),
  checked: z.string(),
  withdrawn: z.boolean(),
});

export const sheetSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  number,
  title,
  kind,
  size,
  values: valuesSchema,
  views,
  revisions: z.array(sheetRevisionSchema),
  /** Whether it is another sheet than it was when it got its last revision. */
  changedSince: z.boolean(),
  version: versionSchema,
});
export type Sheet = z.infer<typeof sheetSchema>;

/** A new sheet; without a number it gets the proposed one. */
export const sheetCreateSchema = z.strictObject({
  number: number.optional(),
  title,
  kind,
  size,
});
export type SheetCreate = z.infer<typeof sheetCreateSchema>;

export const sheetChangeSchema = z.strictObject({
  number: number.optional(),
  title: title.optional(),
  kind: kind.optional(),
  size: size.optional(),
  values: valuesSchema.optional(),
  views: views.optional(),
  version: versionSchema,
});
export type SheetChange = z.infer<typeof sheetChangeSchema>;

export const sheetKindSchema = kind;
