import type { Sheet } from '@mendrel/contract';
import type { SheetRecord } from '@mendrel/core';
import type { Knex } from 'knex';
import { VersionedModel } from '../database/record';
import { notFound } from '../http/failure';
import { withIssues } from '../issues/sheetIssues';
import type { RegisterFrame } from './sheetOrder';
import { inProjectOrder, registerFrame } from './sheetOrder';
import { withRevisions } from '../revisions/sheetRevisions';

export class SheetModel extends VersionedModel {
  static override tableName = 'sheets';
  static override jsonAttributes = ['values', 'views'];
  declare project_id: string;
  declare number: string;
  declare title: string;
  declare kind: Sheet['kind'];
  declare size: string;
  declare design_id: string | null;
  declare design_revision: number | null;
  declare values: Sheet['values'];
  declare views: Sheet['views'];
}

type SheetRow = Omit<Sheet, 'projectId' | 'design' | 'revisions' | 'changedSince' | 'issues'> &
  Pick<SheetModel, 'project_id' | 'design_id' | 'design_revision'>;

/** A sheet as it is told while it has neither revisions nor issues. Made in one go: thousands are, with every reading of a register. */
const bareSheet = (row: SheetRow): Sheet => ({
  id: row.id,
  projectId: row.project_id,
  number: row.number,
  title: row.title,
  kind: row.kind,
  size: row.size,
  design: row.design_id === null ? null : { id: row.design_id, revision: row.design_revision },
  values: row.values,
  views: row.views,
  version: row.version,
  revisions: [],
  changedSince: false,
  issues: [],
});

/** What a sheet is drawn from, of all that is told of it. */
export const recordOf = ({ number, title, kind, size, values, views, revisions, issues }: Sheet): SheetRecord => ({
  number,
  title,
  kind,
  size,
  values,
  views,
  revisions,
  issues,
});

/** Sheets of one project with what is known of them beside their rows. */
async function told(
  projectId: string,
  sheets: Sheet[],
  { revised, issued }: RegisterFrame,
  database: Knex,
): Promise<Sheet[]> {
  const known = revised ? await withRevisions(projectId, sheets, database) : sheets;
  return issued ? withIssues(projectId, known, database) : known;
}

/** A sheet as it is told. */
export async function asSheet(row: SheetModel, database: Knex): Promise<Sheet> {
  const frame = await registerFrame(row.project_id, database);
  const [sheet] = await told(row.project_id, [bareSheet(row)], frame, database);
  if (!sheet) throw notFound('sheet');
  return sheet;
}

/** A project's sheets as they are told, in their order; read without models, for a register is read often. */
export async function sheetRecords(projectId: string, database: Knex): Promise<Sheet[]> {
  // Mostly the order in which they are told as well: what is in order already is sorted at once.
  const rows = await database<SheetRow>('sheets').where({ project_id: projectId }).orderBy('number');
  const frame = await registerFrame(projectId, database);
  return inProjectOrder(frame, await told(projectId, rows.map(bareSheet), frame, database));
}

/** A project's sheets in their order. */
export async function sheetsOf(projectId: string, database: Knex): Promise<SheetModel[]> {
  const rows = await SheetModel.query(database).where({ project_id: projectId });
  return inProjectOrder(await registerFrame(projectId, database), rows);
}
