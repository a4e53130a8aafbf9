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
  version: versionSchema,
});
export type Office = z.infer<typeof officeSchema>;

export const officeChangeSchema = z.strictObject({ values: valuesSchema, version: versionSchema });
