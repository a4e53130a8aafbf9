import type { Corrections } from '@mendrel/core';
import { correctionsForOther } from '@mendrel/core';
import type { Knex } from 'knex';
import { Failure, notFound } from '../http/failure';
import { LegacyModel } from './legacyModel';
import { drawingsOfSet, IntakeSetModel } from './setModel';

/** What is set right on a file, by the number of each of its sheets. */
export interface FileCorrections {
  drawing: string;
  corrections: Record<string, Corrections>;
}

/**
 * What was set right on one drawing, said of every sheet of its group.
 * @param sheets the sheets of the group: their files, and the number of each in its file
 */
export function groupCorrections(
  corrected: LegacyModel,
  sheets: readonly { drawing: string; number: number }[],
  drawings: readonly LegacyModel[],
): FileCorrections[] {
  const from = corrected.reading?.sheets[0]?.report;
  if (!from) return [];
  const files = new Map<string, FileCorrections>();
  for (const { drawing, number } of sheets) {
    const row = drawings.find((each) => each.id === drawing);
    const to = row?.reading?.sheets[number]?.report;
    if (!row || !to) continue;
    const own = row === corrected && number === 0;
    const corrections = own ? corrected.corrections : correctionsForOther(corrected.corrections, from, to);
    const file = files.get(drawing) ?? { drawing, corrections: { ...row.sheet_corrections } };
    file.corrections[String(number)] = corrections;
    files.set(drawing, file);
  }
  return [...files.values()];
}

/**
 * Takes back what a set was read as, with what is set right on some of its files, so that it is read anew.
 * @param change what is set right on which files, found while the set stands still; with none, all are read anew
 */
export async function readAgain(
  id: string,
  database: Knex,
  change: (drawings: readonly LegacyModel[], transaction: Knex) => Promise<readonly FileCorrections[]>,
): Promise<void> {
  await database.transaction(async (transaction) => {
    const set = await IntakeSetModel.query(transaction).findById(id).forUpdate();
    if (!set) throw notFound('set of drawings');
    if (set.state === 'reading')
      throw new Failure('invalid', 'the set is still being read; wait until it is, or stop it');
    if (set.state === 'open') throw new Failure('invalid', 'this set was not read yet');
    const changed = await change(await drawingsOfSet(id, transaction), transaction);
    for (const { drawing, corrections } of changed) {
      await LegacyModel.query(transaction)
        .findById(drawing)
        .patch({ sheet_corrections: corrections, reading: null, refused: null });
    }
    if (changed.length === 0)
      await LegacyModel.query(transaction).where({ set_id: id }).patch({ reading: null, refused: null });
    await IntakeSetModel.query(transaction).findById(id).patch({ state: 'reading' });
  });
}
