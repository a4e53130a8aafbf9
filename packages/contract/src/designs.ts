import type { Design } from '@mendrel/core';
import { z } from 'zod';
import { idSchema, versionSchema } from './errors';
import { standardNumberSchema } from './standard';

/** A design in the list of designs. */
export const designSummarySchema = z.object({
  id: idSchema,
  name: z.string(),
  version: versionSchema,
  sizes: z.array(z.string()),
  /** The fixed standard it is set out by; null while it follows the draft. */
  standard: standardNumberSchema.nullable(),
  /** Names of the projects that use it. */
  projects: z.array(z.string()),
  updatedAt: z.string(),
});
export type DesignSummary = z.infer<typeof designSummarySchema>;

/** A design with its document. The document is checked by the core's own reader, which names each faulty place. */
export interface DesignRecord {
  id: string;
  document: Design;
  /** The fixed standard it is set out by; null while it follows the draft. */
  standard: number | null;
  version: number;
  updatedAt: string;
}

export const designCreateSchema = z.strictObject({ document: z.unknown() });
export const designChangeSchema = z.strictObject({
  document: z.unknown().optional(),
  standard: standardNumberSchema.nullable().optional(),
  version: versionSchema,
});
export interface DesignCreate {
  document: Design;
}
/** Only the standard it goes by changes. */
export interface DesignMove {
  standard: number | null;
  version: number;
}
export interface DesignChange {
  document: Design;
  standard?: number | null;
  version: number;
}
