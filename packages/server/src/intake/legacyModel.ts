import type { LegacyRecord } from '@mendrel/contract';
import type { Corrections } from '@mendrel/core';
import { Model } from 'objection';

export class LegacyModel extends Model {
  static override tableName = 'legacy_drawings';
  declare id: string;
  declare name: string;
  declare content: Buffer;
  declare bytes: number;
  declare design_id: string | null;
  declare added_at: Date;
  declare corrections: Corrections;
  static override jsonAttributes = ['corrections'];
}

/** All columns but the file itself. */
export const LEGACY_COLUMNS = ['id', 'name', 'bytes', 'design_id', 'added_at'] as const;

export const asLegacy = (row: LegacyModel, designName: string | null): LegacyRecord => ({
  id: row.id,
  name: row.name,
  bytes: row.bytes,
  designId: row.design_id,
  designName,
  addedAt: row.added_at.toISOString(),
});
