import { counted } from '@mendrel/core';
import type { Transaction } from 'objection';
import { keepInBin } from '../bin/binModel';
import { Failure } from '../http/failure';
import { leaveSets } from '../sets/projectSetRoutes';
import { keepViewsOf } from '../tray/tray';
import { SheetModel } from './sheetModel';

/** Sheets in words: the one by its number and title, several by how many they are. */
const nameOf = (sheets: readonly SheetModel[]): string =>
  sheets.length === 1
    ? `${sheets[0]?.number} ${sheets[0]?.title}`.trim()
    : `${counted(sheets.length, 'sheet')}: ${sheets[0]?.number} to ${sheets.at(-1)?.number}`;

/**
 * Deletes sheets of a project, which is held by the transaction, together.
 * @param keepViews whether their views wait in the tray of the project from then on
 * @returns the id under which they can be restored
 * @throws Failure when one of them is not there any more
 */
export async function deleteSheets(
  projectId: string,
  ids: readonly string[],
  keepViews: boolean,
  transaction: Transaction,
): Promise<string> {
  const sheets = await SheetModel.query(transaction)
    .select('id', 'number', 'title')
    .modify((query) => (keepViews ? void query.select('views') : undefined))
    .whereIn('id', [...ids])
    .where({ project_id: projectId })
    .orderBy('number');
  if (sheets.length < new Set(ids).size)
    throw new Failure('not-found', 'a sheet that was to be deleted is not there any more; nothing was changed');
  const beside = keepViews ? [{ table: 'waiting_views', rows: await keepViewsOf(projectId, sheets, transaction) }] : [];
  const bin = await keepInBin({ kind: 'sheets', ids, name: nameOf(sheets), projectId, beside }, transaction);
  await leaveSets(ids, transaction);
  await SheetModel.query(transaction)
    .whereIn('id', [...ids])
    .delete();
  return bin;
}
