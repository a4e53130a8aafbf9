import type { Conversion, Corrections, Design } from '@mendrel/core';
import { z } from 'zod';
import { idSchema } from './errors';

/** Largest legacy drawing that may be sent, in bytes: 64 MB. */
export const MOST_UPLOAD_BYTES = 64 * 1024 * 1024;

export const legacyDrawingSchema = z.object({
  id: idSchema,
  name: z.string(),
  bytes: z.number().int(),
  /** The design that was kept from it. */
  designId: idSchema.nullable(),
  designName: z.string().nullable(),
  addedAt: z.string(),
});
export type LegacyRecord = z.infer<typeof legacyDrawingSchema>;

/** What intake made of a legacy drawing, with what was set right by hand. */
export interface ConversionRecord extends Conversion {
  corrections: Corrections;
}

export const keepSchema = z.strictObject({ document: z.unknown() });
export interface Keep {
  document: Design;
}
