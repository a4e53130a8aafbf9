import { enteredRowsSchema } from '@mendrel/core';
import { z } from 'zod';
import { versionSchema } from './errors';

/** Values by parameter key. */
export const valuesSchema = z
  .record(z.string().max(80), z.string().max(2000))
  .refine((v) => Object.keys(v).length <= 200, {
    message: 'there are more than 200 values',
  });

export const officeSchema = z.object({
  values: valuesSchema,
  /** Rows of tables for all projects that have none of their own. */
  tables: enteredRowsSchema,
  version: versionSchema,
});
export type Office = z.infer<typeof officeSchema>;

/** The longest value that each parameter has in any project, by its key. */
export type LongestValues = Readonly<Record<string, string>>;

export const officeChangeSchema = z.strictObject({
  values: valuesSchema,
  /** They stay as they are when they are left out. */
  tables: enteredRowsSchema.optional(),
  version: versionSchema,
});
export type OfficeChange = z.infer<typeof officeChangeSchema>;
