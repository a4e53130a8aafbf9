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

/** A project that was made of a set: the same wish, sent again, leads to it. */
export class TakeOverModel extends Model {
  static override tableName = 'intake_take_overs';
  static override idColumn = ['set_id', 'wish'];
  declare set_id: string;
  declare wish: string;
  declare project_id: string;
  declare design_id: string;
  declare sheets: number;
}

/** Columns of a set's drawings without the files themselves. */
const READ_COLUMNS = ['id', 'name', 'asset', 'reading', 'refused', 'corrections', 'sheet_corrections'] as const;

/**
 * The drawings of a set without their files, in the one order in which they are read, shown and taken over: which of them
 * stands for its group depends on it.
 */
export async function drawingsOfSet(id: string, database: Knex): Promise<LegacyModel[]> {
  return LegacyModel.query(database).select(READ_COLUMNS).where({ set_id: id }).orderBy(['name', 'id']);
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
