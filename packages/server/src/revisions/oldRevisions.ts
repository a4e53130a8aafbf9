import { randomUUID } from 'node:crypto';
import { MOST_REVISIONS } from '@mendrel/contract';
import type { OldRevision } from '@mendrel/core';
import type { Transaction } from 'objection';
import { sheetRecords } from '../sheets/sheetModel';
import { insertRevision } from './makeRevision';
import { designStates, stateOf } from './sheetRevisions';

/** What stands for words that an old row did not have. */
const UNSAID = 'As on the old drawing';

/**
 * Gives sheets of a new project the revisions that they had before, with the codes that they had.
 * @param sheetIds by the places that the revisions name
 */
export async function insertOldRevisions(
  projectId: string,
  revisions: readonly OldRevision[],
  sheetIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  if (revisions.length === 0) return;
  const sheets = new Map((await sheetRecords(projectId, transaction)).map((sheet) => [sheet.id, sheet]));
  const designOf = await designStates(projectId, transaction);
  for (const { sheets: on, ...words } of revisions.slice(0, MOST_REVISIONS)) {
    const rows = on.flatMap(({ sheet: place, code }) => {
      const sheet = sheets.get(sheetIds[place] ?? '');
      return sheet ? [{ sheet_id: sheet.id, code, state: stateOf(sheet, designOf(sheet)) }] : [];
    });
    const said = {
      date: words.date.slice(0, 40),
      description: words.description.slice(0, 500) || UNSAID,
      by: words.by.slice(0, 60),
      checked: words.checked.slice(0, 60),
    };
    await insertRevision(projectId, { id: randomUUID(), ...said }, rows, transaction);
  }
}
