import { mayEnter, parametersOf } from '@mendrel/core';
import type { Knex } from 'knex';
import { Failure } from '../http/failure';
import type { OfficeModel } from './officeModel';

/** Refuses keys that no value of the office has, and to let go what a project has its own value of. */
export async function checkReplaceable(office: OfficeModel, keys: readonly string[], database: Knex): Promise<void> {
  const parameters = parametersOf(office.standard);
  const unknown = keys.find((key) => !office.replaceable.includes(key) && !mayEnter(key, 'office', parameters));
  if (unknown !== undefined) throw new Failure('invalid', `"${unknown}" is not entered for the office`, 'replaceable');
  for (const key of office.replaceable.filter((each) => !keys.includes(each))) {
    const row = await database<{ values: Record<string, string> }>('projects')
      .whereRaw('"values" \\? ?', [key])
      .select('values')
      .first();
    if (!row) continue;
    const name = parameters.get(key)?.name ?? key;
    throw new Failure(
      'in-use',
      `${row.values['project.name'] ?? 'A project'} has a ${name} of its own; empty it there first`,
      'replaceable',
    );
  }
}
