import { z } from 'zod';
import { idSchema, versionSchema } from './errors';
import { valuesSchema } from './office';
import { MOST_SHEETS } from './sheets';

/** Sets of one project; the list of them is never cut. */
export const MOST_SETS = 200;

const sheets = z.array(idSchema).max(MOST_SHEETS);

/** An ordered choice of a project's sheets that are put out together. */
export const sheetSetSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  /** What is said of it, its name among the rest; what it does not say is said by its project. */
  values: valuesSchema,
  /** In the order in which they are put out. */
  sheets,
  version: versionSchema,
});
export type SheetSet = z.infer<typeof sheetSetSchema>;

export const sheetSetCreateSchema = z.strictObject({ values: valuesSchema, sheets });
export type SheetSetCreate = z.infer<typeof sheetSetCreateSchema>;

export const sheetSetChangeSchema = z.strictObject({
  values: valuesSchema.optional(),
  sheets: sheets.optional(),
  version: versionSchema,
});
export type SheetSetChange = z.infer<typeof sheetSetChangeSchema>;
