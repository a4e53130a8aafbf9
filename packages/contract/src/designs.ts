import type { Design } from '@mendrel/core';
import { z } from 'zod';
import { idSchema, versionSchema } from './errors';

/** A design in the list of designs. */
export const designSummarySchema = z.object({
  id: idSchema,
  name: z.string(),
  version: versionSchema,
  sizes: z.array(z.string()),
  /** Names of the projects that use it. */
  projects: z.array(z.string()),
  updatedAt: z.string(),
});
export type DesignSummary = z.infer<typeof designSummarySchema>;

/** A design with its document. The document is checked by the core's own reader, which names each faulty place. */
export interface DesignRecord {
  id: string;
  document: Design;
  version: number;
  updatedAt: string;
}

export const designCreateSchema = z.strictObject({ document: z.unknown() });
export const designChangeSchema = z.strictObject({ document: z.unknown(), version: versionSchema });
export interface DesignCreate {
  document: Design;
}
export interface DesignChange {
  document: Design;
  version: number;
}
