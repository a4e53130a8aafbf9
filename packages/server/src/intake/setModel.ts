import type { IntakeSet } from '@mendrel/contract';
import type { Knex } from 'knex';
import { Model } from 'objection';
import { LegacyModel } from './legacyModel';

export class IntakeSetModel extends Model {
  static override tableName = 'intake_sets';
  declare id: string;
  declare name: string;
  declare state: IntakeSet['state'];
  declare project_id: string | null;
  declare added_at: Date;
}

/** Sets with how many drawings each has and how many of them were read. */
export async function asIntakeSets(rows: readonly IntakeSetModel[], database: Knex): Promise<IntakeSet[]> {
  const counts = await LegacyModel.query(database)
    .select('set_id')
    .count('* as drawings')
    .select(database.raw('count(*) filter (where reading is not null or refused is not null) as done'))
    .whereIn(
      'set_id',
      rows.map((row) => row.id),
    )
    .groupBy('set_id')
    .castTo<{ set_id: string; drawings: string; done: string }[]>();
  return rows.map((row) => {
    const own = counts.find((each) => each.set_id === row.id);
    return {
      id: row.id,
      name: row.name,
      state: row.state,
      drawings: Number(own?.drawings ?? 0),
      done: Number(own?.done ?? 0),
      projectId: row.project_id,
      addedAt: row.added_at.toISOString(),
    };
  });
}
