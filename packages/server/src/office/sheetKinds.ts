import type { SheetKind } from '@mendrel/core';
import { allKinds } from '@mendrel/core';
import type { Knex } from 'knex';
import { Failure } from '../http/failure';
import { theOffice } from './officeModel';

/** All kinds of sheet that the office has. */
export const officeKinds = async (database: Knex): Promise<readonly SheetKind[]> =>
  allKinds((await theOffice(database)).sheet_kinds);

/** Refuses kinds of sheet that the office does not have. */
export async function checkKinds(names: readonly (string | undefined)[], database: Knex): Promise<void> {
  const wanted = new Set(names.filter((name) => name !== undefined));
  if (wanted.size === 0) return;
  const known = new Set((await officeKinds(database)).map(({ name }) => name));
  for (const name of wanted)
    if (!known.has(name))
      throw new Failure('invalid', `there is no kind of sheet ${name}; add it under Data of a project first`, 'kind');
}

/** Refuses to let kinds go that sheets or projects have. */
export async function checkKindsGoing(
  before: readonly SheetKind[],
  after: readonly SheetKind[],
  database: Knex,
): Promise<void> {
  const going = before.map(({ name }) => name).filter((name) => !after.some((kind) => kind.name === name));
  if (going.length === 0) return;
  const { rows } = await database.raw<{ rows: { kind: string; project: string; sheets: number }[] }>(
    `select used.kind, coalesce(project.values->>'project.name', 'Unnamed project') as project, sum(used.sheets)::int as sheets
       from (select project_id, kind, 1 as sheets from sheets where kind = any(:going)
             union all select project_id, kind, 0 from project_kinds where kind = any(:going)) as used
       join projects as project on project.id = used.project_id
       group by used.kind, project.id order by project.position limit 1`,
    { going },
  );
  const [use] = rows;
  if (!use) return;
  const what =
    use.sheets > 0 ? `${use.sheets === 1 ? 'a sheet' : `${use.sheets} sheets`} of ${use.project}` : use.project;
  throw new Failure('in-use', `${use.kind} is used by ${what}; give them another kind first`, 'sheetKinds');
}
