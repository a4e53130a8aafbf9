import type { Sheet } from '@mendrel/contract';
import { inSheetOrder } from '@mendrel/core';
import type { Knex } from 'knex';
import { VersionedModel } from '../database/record';
import { notFound } from '../http/failure';
import { withRevisions } from '../revisions/sheetRevisions';

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

/** A sheet without what is known of it beside its row. */
export type BareSheet = Omit<Sheet, 'revisions' | 'changedSince'>;

const bareSheet = (row: SheetModel): BareSheet => ({
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

/** A sheet as it is told. */
export async function asSheet(row: SheetModel, database: Knex): Promise<Sheet> {
  const [sheet] = await withRevisions(row.project_id, [bareSheet(row)], database);
  if (!sheet) throw notFound('sheet');
  return sheet;
}

/** A project's sheets as they are told, in the order of their numbers; read without models, for a register is read often. */
export async function sheetRecords(projectId: string, database: Knex): Promise<Sheet[]> {
  const rows = await database<Omit<BareSheet, 'projectId'> & { project_id: string }>('sheets').where({
    project_id: projectId,
  });
  const sheets = rows.map(({ project_id, ...sheet }): BareSheet => ({ ...sheet, projectId: project_id }));
  return inSheetOrder(await withRevisions(projectId, sheets, database));
}

/** A project's sheets in the order of their numbers. */
export async function sheetsOf(projectId: string, database: Knex): Promise<SheetModel[]> {
  const rows = await SheetModel.query(database).where({ project_id: projectId });
  return inSheetOrder(rows);
}
