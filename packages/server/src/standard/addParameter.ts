import { randomUUID } from 'node:crypto';
import { newParameter, parametersOf, readStandard } from '@mendrel/core';
import type { Knex } from 'knex';
import { officeForChange, OfficeModel } from '../office/officeModel';

/**
 * Adds a parameter of the office's own to the draft of its standard; one of the same key is left as it is.
 * @param example what try-on shows for it
 * @throws StandardError for what a standard cannot hold
 */
export async function addParameter(key: string, name: string, example: string, transaction: Knex): Promise<void> {
  const { standard, standard_version } = await officeForChange(transaction);
  if (parametersOf(standard).has(key)) return;
  const own = {
    ...newParameter({ id: randomUUID().slice(0, 8), key, name }),
    typical: example,
    longest: example,
  };
  await OfficeModel.query(transaction)
    .findById(1)
    .patch({
      standard: readStandard({ ...standard, parameters: [...standard.parameters, own] }),
      standard_version: standard_version + 1,
    });
}
