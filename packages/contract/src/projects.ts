import { z } from 'zod';
import { idSchema, MOST_COUNT, versionSchema } from './errors';
import { valuesSchema } from './office';
import { revisionCodeSchema } from './revisions';
import { standardNumberSchema } from './standard';

export const projectSchema = z.object({
  id: idSchema,
  name: z.string(),
  designId: idSchema.nullable(),
  designName: z.string().nullable(),
  /** The published revision of the design its sheets are drawn with; null while they follow the draft. */
  designRevision: z.number().int().nullable(),
  /** The published standard its sheets are drawn with; null while they follow the draft. */
  standard: standardNumberSchema.nullable(),
  values: valuesSchema,
  /** The code of the first revision of a sheet; the others are counted on from it. */
  firstRevision: z.string(),
  sheets: z.number().int(),
  version: versionSchema,
});
export type Project = z.infer<typeof projectSchema>;

export const projectCreateSchema = z.strictObject({
  name: z.string().trim().min(1).max(200),
  designId: idSchema.nullable(),
});
export type ProjectCreate = z.infer<typeof projectCreateSchema>;

export const projectChangeSchema = z.strictObject({
  values: valuesSchema.optional(),
  designId: idSchema.nullable().optional(),
  designRevision: z.number().int().min(1).max(MOST_COUNT).nullable().optional(),
  standard: standardNumberSchema.nullable().optional(),
  firstRevision: revisionCodeSchema.optional(),
  version: versionSchema,
});
export type ProjectChange = z.infer<typeof projectChangeSchema>;
