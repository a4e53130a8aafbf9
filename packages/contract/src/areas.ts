import type { AreaFinding, AreaSettings, MeasuredArea } from '@mendrel/core';
import { areaSettingsSchema } from '@mendrel/core';
import { z } from 'zod';
import { versionSchema } from './errors';

/** The areas measured from one drawing. */
export interface SourceAreas {
  /** The name of the drawing; null for one that is deleted, or no longer has that part. */
  drawing: string | null;
  /** SHA-256 of the linework that they were measured from. */
  linework: string | null;
  areas: MeasuredArea[];
  findings: AreaFinding[];
}

/** What areas of a project are measured from, and what they are now. */
export interface ProjectAreas {
  settings: AreaSettings;
  /** In the order of the sources. */
  sources: SourceAreas[];
  version: number;
}

export const projectAreasChangeSchema = z.strictObject({ settings: areaSettingsSchema, version: versionSchema });
export type ProjectAreasChange = z.infer<typeof projectAreasChangeSchema>;

export const measureSchema = z.strictObject({ settings: areaSettingsSchema });
