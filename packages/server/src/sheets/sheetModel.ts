import type { Sheet } from '@mendrel/contract';
import { compareSheetNumbers } from '@mendrel/core';
import type { Knex } from 'knex';
import { VersionedModel } from '../database/record';

export class SheetModel extends VersionedModel {
  static override tableName = 'sheets';
  static override jsonAttributes = ['values', 'views'];
  declare project_id: string;
  declare number: string;
  declare title: string;
  declare kind: Sheet['kind'];
  declare size: string;
  declare values: Sheet['values'];
  declare views: Sheet['views'];
}

export const asSheet = (row: SheetModel): Sheet => ({
  id: row.id,
  projectId: row.project_id,
  number: row.number,
  title: row.title,
  kind: row.kind,
  size: row.size,
  values: row.values,
  views: row.views,
  version: row.version,
});

/** A project's sheets in the order of their numbers. */
export async function sheetsOf(projectId: string, database: Knex): Promise<SheetModel[]> {
  const rows = await SheetModel.query(database).where({ project_id: projectId });
  return rows.sort((a, b) => compareSheetNumbers(a.number, b.number));
}
