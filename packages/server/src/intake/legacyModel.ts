import type { LegacyRecord } from '@mendrel/contract';
import type { Conversion, Corrections } from '@mendrel/core';
import { migrateDesign } from '@mendrel/core';
import { Model } from 'objection';
import type { Pojo } from 'objection';

/** What a drawing of a set was read as; the old linework is not kept with it. */
export type DrawingReading = Pick<Conversion, 'design' | 'report' | 'values'>;

/** One reading for each sheet of its file. */
export interface DrawingReadings {
  sheets: DrawingReading[];
}

export class LegacyModel extends Model {
  static override tableName = 'legacy_drawings';
  declare id: string;
  declare name: string;
  /** SHA-256 of its file. */
  declare asset: string;
  declare bytes: number;
  declare design_id: string | null;
  declare added_at: Date;
  declare corrections: Corrections;
  /** Of a file of a set, by the number of each sheet in it. */
  declare sheet_corrections: Readonly<Record<string, Corrections>>;
  declare set_id: string | null;
  declare reading: DrawingReadings | null;
  declare refused: string | null;
  static override jsonAttributes = ['corrections', 'sheet_corrections', 'reading'];

  override $parseDatabaseJson(json: Pojo): Pojo {
    const row = super.$parseDatabaseJson(json);
    const reading = row['reading'] as DrawingReadings | null | undefined;
    if (!reading) return row;
    // A reading is kept with the design it came to, which may be one of an older version.
    const sheets = reading.sheets.map((sheet) => ({ ...sheet, design: migrateDesign(sheet.design) }));
    return { ...row, reading: { ...reading, sheets } };
  }
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
