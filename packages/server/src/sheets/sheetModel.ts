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

type Columns = Omit<Sheet, 'projectId' | 'design' | 'revisions' | 'changedSince' | 'issues' | 'values' | 'views'> &
  Pick<SheetModel, 'project_id' | 'design_id' | 'design_revision'>;
type SheetRow = Columns & Pick<Sheet, 'values' | 'views'>;

/** A sheet as it is told while it has neither revisions nor issues, without what the database keeps as JSON. */
const bareSheet = (row: Columns): Omit<Sheet, 'values' | 'views'> => ({
  id: row.id,
  projectId: row.project_id,
  number: row.number,
  title: row.title,
  kind: row.kind,
  size: row.size,
  design: row.design_id === null ? null : { id: row.design_id, revision: row.design_revision },
  version: row.version,
  revisions: [],
  changedSince: false,
  issues: [],
});

const sheetFrom = (row: SheetRow): Sheet => ({ ...bareSheet(row), values: row.values, views: row.views });

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
  const [sheet] = await told(row.project_id, [sheetFrom(row)], frame, database);
  if (!sheet) throw notFound('sheet');
  return sheet;
}

/** A project's sheets as they are told, in their order; read without models, for a register is read often. */
export async function sheetRecords(projectId: string, database: Knex): Promise<Sheet[]> {
  return framedRecords(projectId, await registerFrame(projectId, database), database);
}

async function framedRecords(projectId: string, frame: RegisterFrame, database: Knex): Promise<Sheet[]> {
  const rows = await database<SheetRow>('sheets').where({ project_id: projectId });
  return inProjectOrder(frame, await told(projectId, rows.map(sheetFrom), frame, database));
}

/** A row whose JSON is the text that the database has of it. */
type TextRow = Columns & { values: string; views: string };

/**
 * The same sheets as the JSON text of an answer, undefined where there are none. What the database keeps as JSON goes through
 * unread where nothing asks for it: reading and writing it again is most of the work with a register of thousands.
 */
export async function sheetsAsJson(projectId: string, database: Knex): Promise<string | undefined> {
  const frame = await registerFrame(projectId, database);
  if (frame.revised || frame.issued) {
    const sheets = await framedRecords(projectId, frame, database);
    return sheets.length > 0 ? JSON.stringify(sheets) : undefined;
  }
  const rows = await database<TextRow>('sheets')
    .select('id', 'project_id', 'number', 'title', 'kind', 'size', 'design_id', 'design_revision', 'version')
    .select<TextRow[]>(database.raw('"values"::text'), database.raw('views::text'))
    .where({ project_id: projectId })
    // Mostly the order in which they are told as well: what is in order already is sorted at once.
    .orderBy('number');
  if (rows.length === 0) return undefined;
  const texts = inProjectOrder(frame, rows).map((row) => {
    const rest = JSON.stringify(bareSheet(row));
    return `${rest.slice(0, -1)},"values":${row.values},"views":${row.views}}`;
  });
  return `[${texts.join()}]`;
}

/** A project's sheets in their order. */
export async function sheetsOf(projectId: string, database: Knex): Promise<SheetModel[]> {
  const rows = await SheetModel.query(database).where({ project_id: projectId });
  return inProjectOrder(await registerFrame(projectId, database), rows);
}
