import { z } from 'zod';
import { idSchema, versionSchema } from './errors';
import { valuesSchema } from './office';
import { MOST_SHEETS } from './sheets';

/** Sets of one project; the list of them is never cut. */
export const MOST_SETS = 200;

/** A day such as 2031-04-02. */
const due = z.iso.date('is no day such as 2031-04-02').nullable();

const sheets = z.array(idSchema).max(MOST_SHEETS);

/** An ordered choice of a project's sheets that are put out together. */
export const sheetSetSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  /** What is said of it, its name among the rest; what it does not say is said by its project. */
  values: valuesSchema,
  /** In the order in which they are put out. */
  sheets,
  /** The day on which it is to go out next; null while none is known. An issue of it takes it away. */
  due,
  version: versionSchema,
});
export type SheetSet = z.infer<typeof sheetSetSchema>;

export const sheetSetCreateSchema = z.strictObject({ values: valuesSchema, sheets, due: due.default(null) });
export type SheetSetCreate = z.input<typeof sheetSetCreateSchema>;

export const sheetSetChangeSchema = z.strictObject({
  values: valuesSchema.optional(),
  sheets: sheets.optional(),
  due: due.optional(),
  version: versionSchema,
});
export type SheetSetChange = z.infer<typeof sheetSetChangeSchema>;
