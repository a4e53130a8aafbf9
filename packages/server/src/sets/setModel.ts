import type { SheetSet } from '@mendrel/contract';
import type { Knex } from 'knex';
import { VersionedModel } from '../database/record';

/** A set of a project's sheets. Which ones, and in which order, stands in `set_sheets`. */
export class SetModel extends VersionedModel {
  static override tableName = 'sets';
  static override jsonAttributes = ['values'];
  declare project_id: string;
  declare position: number;
  declare values: Record<string, string>;
  declare due: string | null;
}

/** A sheet of a set, in its place from 0 on. */
export interface SetSheetRow {
  set_id: string;
  sheet_id: string;
  position: number;
}

/** Sets as they are told, with their sheets. */
export async function asSets(rows: readonly SetModel[], database: Knex): Promise<SheetSet[]> {
  const members = await database<SetSheetRow>('set_sheets')
    .whereIn(
      'set_id',
      rows.map(({ id }) => id),
    )
    .orderBy(['set_id', 'position']);
  const sheets = new Map<string, string[]>(rows.map(({ id }) => [id, []]));
  for (const { set_id, sheet_id } of members) sheets.get(set_id)?.push(sheet_id);
  return rows.map(({ id, project_id, values, due, version }) => ({
    id,
    projectId: project_id,
    values,
    sheets: sheets.get(id) ?? [],
    due,
    version,
  }));
}

/** The sheets of a set in its order, of a project's sheets. */
export async function inSetOrder<S extends { id: string }>(
  setId: string,
  sheets: readonly S[],
  database: Knex,
): Promise<S[]> {
  const known = new Map(sheets.map((sheet) => [sheet.id, sheet]));
  const members = await database<SetSheetRow>('set_sheets').where({ set_id: setId }).orderBy('position');
  return members.flatMap(({ sheet_id }) => known.get(sheet_id) ?? []);
}
