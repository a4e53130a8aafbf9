import type { Design, TextHeight, WorkingUnit } from '@mendrel/core';
import { z } from 'zod';
import { idSchema, versionSchema } from './errors';
import { standardNumberSchema } from './standard';

/** A design in the list of designs. */
export const designSummarySchema = z.object({
  id: idSchema,
  name: z.string(),
  version: versionSchema,
  sizes: z.array(z.string()),
  /** The published standard it is drawn with; null while it follows the draft. */
  standard: standardNumberSchema.nullable(),
  /** The revision that was published last; null before the first. */
  revision: z.number().int().nullable(),
  /** Names of the projects that use it. */
  projects: z.array(z.string()),
  /** Whether new designs are offered to begin from it. */
  starter: z.boolean(),
  updatedAt: z.string(),
});
export type DesignSummary = z.infer<typeof designSummarySchema>;

/** The heights of lettering in all designs, least first; lengths in mm. */
export interface TextHeightsRecord {
  /** What the office works in. */
  unit: WorkingUnit;
  heights: (Omit<TextHeight, 'designs'> & { designs: { id: string; name: string; texts: number }[] })[];
}

/** A design with its document. The document is checked by the core's own reader, which names each faulty place. */
export interface DesignRecord {
  id: string;
  document: Design;
  /** The published standard it is drawn with; null while it follows the draft. */
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
/** Whether a design is a starter of the office. It is no part of its document, so that its version stays. */
export const designStarterSchema = z.strictObject({ starter: z.boolean() });
export type DesignStarter = z.infer<typeof designStarterSchema>;
export interface DesignCreate {
  document: Design;
}
/** Only the revision of the standard that it uses changes. */
export interface DesignMove {
  standard: number | null;
  version: number;
}
export interface DesignChange {
  document: Design;
  standard?: number | null;
  version: number;
}

/** A published revision of a design, without its document. */
export interface DesignRevision {
  number: number;
  /** What changed, in the words of who fixed it. */
  note: string;
  standard: number | null;
  publishedAt: string;
  /** Names of the projects that use it. */
  projects: string[];
}

/** A design as it was published, or its draft. */
export interface DesignAt {
  number: number | null;
  document: Design;
  standard: number | null;
}

export const publishDesignSchema = z.strictObject({
  note: z.string().trim().min(1, 'say what changed').max(1000),
  version: versionSchema,
});
export type PublishDesign = z.infer<typeof publishDesignSchema>;

/** A state of the draft that was kept under a name. */
export interface DesignCheckpoint {
  id: string;
  name: string;
  keptAt: string;
}

export const keepCheckpointSchema = z.strictObject({
  name: z.string().trim().min(1, 'give it a name').max(120),
  document: z.unknown(),
});
export interface KeepCheckpoint {
  name: string;
  document: Design;
}

/** Checkpoints that one design may have; the oldest goes for a new one. */
export const MOST_CHECKPOINTS = 50;
