import { counted } from '@mendrel/core';
import type { Transaction } from 'objection';
import { keepInBin } from '../bin/binModel';
import { Failure } from '../http/failure';
import { leaveSets } from '../sets/projectSetRoutes';
import { SheetModel } from './sheetModel';

/** Sheets in words: the one by its number and title, several by how many they are. */
const nameOf = (sheets: readonly SheetModel[]): string =>
  sheets.length === 1
    ? `${sheets[0]?.number} ${sheets[0]?.title}`.trim()
    : `${counted(sheets.length, 'sheet')}: ${sheets[0]?.number} to ${sheets.at(-1)?.number}`;

/**
 * Deletes sheets of a project, which is held by the transaction, together.
 * @returns the id under which they can be restored
 * @throws Failure when one of them is not there any more
 */
export async function deleteSheets(
  projectId: string,
  ids: readonly string[],
  transaction: Transaction,
): Promise<string> {
  const sheets = await SheetModel.query(transaction)
    .select('id', 'number', 'title')
    .whereIn('id', [...ids])
    .where({ project_id: projectId })
    .orderBy('number');
  if (sheets.length < new Set(ids).size)
    throw new Failure('not-found', 'a sheet that was to be deleted is not there any more; nothing was changed');
  const bin = await keepInBin({ kind: 'sheets', ids, name: nameOf(sheets), projectId }, transaction);
  await leaveSets(ids, transaction);
  await SheetModel.query(transaction)
    .whereIn('id', [...ids])
    .delete();
  return bin;
}
