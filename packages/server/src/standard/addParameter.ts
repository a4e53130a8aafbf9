import { randomUUID } from 'node:crypto';
import type { ProposedParameterChoice } from '@mendrel/contract';
import { newParameter, parametersOf, readStandard } from '@mendrel/core';
import type { Knex } from 'knex';
import { officeForChange, OfficeModel } from '../office/officeModel';

/**
 * Adds a parameter of the office's own to the draft of its standard; one of the same key is left as it is.
 * Of several choices it is one of them; else it is a text, and its value is what try-on shows for it.
 * @throws StandardError for what a standard cannot hold
 */
export async function addParameter(
  { key, name, value, choices = [] }: Omit<ProposedParameterChoice, 'caption'>,
  transaction: Knex,
): Promise<void> {
  const { standard, standard_version } = await officeForChange(transaction);
  if (parametersOf(standard).has(key)) return;
  const own = [...new Set(choices)];
  const added = {
    ...newParameter({ id: randomUUID().slice(0, 8), key, name }),
    ...(own.length > 0 ? { kind: 'choice' as const, choices: own } : {}),
    typical: own[0] ?? value,
    longest: own.reduce((most, each) => (each.length > most.length ? each : most), own[0] ?? value),
  };
  await OfficeModel.query(transaction)
    .findById(1)
    .patch({
      standard: readStandard({ ...standard, parameters: [...standard.parameters, added] }),
      standard_version: standard_version + 1,
    });
}
