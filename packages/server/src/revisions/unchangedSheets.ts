import { standingRevisions } from '@mendrel/core';
import type { Knex } from 'knex';
import { sheetRecords } from '../sheets/sheetModel';
import { designStates, stateOf } from './sheetRevisions';

/** Sheets that are as they were at their last revision: its id by theirs, and theirs by project. */
export type UnchangedSheets = ReadonlyMap<string, ReadonlyMap<string, string>>;

/** Looks through all projects with revisions, one at a time. */
export async function unchangedSheets(database: Knex): Promise<UnchangedSheets> {
  const projects = await database('revisions').distinct<{ project_id: string }[]>('project_id');
  const found = new Map<string, ReadonlyMap<string, string>>();
  for (const { project_id } of projects) {
    const sheets = await sheetRecords(project_id, database);
    const unchanged = sheets.flatMap(({ id, revisions, changedSince }): [string, string][] => {
      const last = standingRevisions(revisions).at(-1);
      return last && !changedSince ? [[id, last.id]] : [];
    });
    found.set(project_id, new Map(unchanged));
  }
  return found;
}

/**
 * Lets sheets stay unchanged whose data have other names now: what is kept of each at its last revision is what it is today.
 * @param before what was found before the names changed
 */
export async function stayUnchanged(before: UnchangedSheets, transaction: Knex): Promise<void> {
  for (const [project, sheets] of before) {
    if (sheets.size === 0) continue;
    const designOf = await designStates(project, transaction);
    const now = (await sheetRecords(project, transaction)).filter(({ id }) => sheets.has(id));
    await transaction.raw(
      `update sheet_revisions as row set state = now.state
         from unnest(?::uuid[], ?::uuid[], ?::text[]) as now(sheet_id, revision_id, state)
         where row.sheet_id = now.sheet_id and row.revision_id = now.revision_id`,
      [
        now.map(({ id }) => id),
        now.map(({ id }) => sheets.get(id) ?? ''),
        now.map((sheet) => stateOf(sheet, designOf(sheet))),
      ],
    );
  }
}
