import type { Knex } from 'knex';
import { sweepAssets } from '../assets/sweepAssets';
import { sweepBin } from '../bin/binModel';
import { sweepFrozen } from '../issues/frozenModel';

/** Removes for good what nobody can come back to: first what lay in the bin for its time, then what nothing refers to. */
export async function sweepAll(database: Knex): Promise<void> {
  await sweepBin(database);
  await sweepFrozen(database);
  await sweepAssets(database);
}
