import { randomUUID } from 'node:crypto';
import type { BinEntry, BinKind } from '@mendrel/contract';
import { KEPT_DAYS } from '@mendrel/contract';
import type { Knex } from 'knex';

/** Rows of a table, as they were. */
export interface BinRows {
  table: string;
  rows: Record<string, unknown>[];
}

export interface BinRow {
  id: string;
  kind: BinKind;
  name: string;
  project_id: string | null;
  content: BinRows[];
  deleted_at: Date;
}

/**
 * The rows of tables that go with something, each in the order in which they are put back; `:ids` stands for those of what is
 * deleted. What is left out stays, or is made again by itself.
 */
const GO_WITH: Readonly<Record<BinKind, readonly (readonly [table: string, which: string])[]>> = {
  sheets: [
    ['sheets', 'id = any(:ids)'],
    ['sheet_places', 'sheet_id = any(:ids)'],
    ['sheet_revisions', 'sheet_id = any(:ids)'],
    ['set_sheets', 'sheet_id = any(:ids)'],
    ['issue_sheets', 'sheet_id = any(:ids)'],
  ],
  project: [
    ['projects', 'id = any(:ids)'],
    ['project_kinds', 'project_id = any(:ids)'],
    ['project_drawings', 'project_id = any(:ids)'],
    ['waiting_views', 'project_id = any(:ids)'],
    ['sheets', 'project_id = any(:ids)'],
    ['sheet_places', 'project_id = any(:ids)'],
    ['revisions', 'project_id = any(:ids)'],
    ['sheet_revisions', 'revision_id in (select id from revisions where project_id = any(:ids))'],
    ['sets', 'project_id = any(:ids)'],
    ['set_sheets', 'set_id in (select id from sets where project_id = any(:ids))'],
    ['issues', 'project_id = any(:ids)'],
    ['issue_sheets', 'issue_id in (select id from issues where project_id = any(:ids))'],
    ['issue_transmittals', 'issue_id in (select id from issues where project_id = any(:ids))'],
    ['issue_assets', 'issue_id in (select id from issues where project_id = any(:ids))'],
    ['history', 'project_id = any(:ids)'],
  ],
  design: [
    ['designs', 'id = any(:ids)'],
    ['design_revisions', 'design_id = any(:ids)'],
    ['design_checkpoints', 'design_id = any(:ids)'],
  ],
};

/**
 * Keeps what is about to be deleted, with all that goes with it.
 * @param what with what is to be known of other rows when it is restored, `beside` its own
 * @returns the id under which it can be restored
 */
export async function keepInBin(
  what: {
    kind: BinKind;
    ids: readonly string[];
    name: string;
    projectId?: string;
    beside?: readonly { table: string; rows: readonly object[] }[];
  },
  transaction: Knex,
): Promise<string> {
  const { kind, ids, name, projectId, beside = [] } = what;
  const id = randomUUID();
  const parts = GO_WITH[kind].map(
    ([table, which]) =>
      `jsonb_build_object('table', '${table}', 'rows',
         (select coalesce(jsonb_agg(to_jsonb(each)), '[]'::jsonb) from (select * from ${table} where ${which}) as each))`,
  );
  // Put together by the database, so that no row of thousands travels.
  await transaction.raw(
    `insert into bin (id, kind, name, project_id, content)
     values (:id, :kind, :name, :projectId, jsonb_build_array(${parts.join(', ')}) || :beside::jsonb)`,
    { id, kind, name, projectId: projectId ?? null, ids: [...ids], beside: JSON.stringify(beside) },
  );
  return id;
}

export const asEntry = ({ id, kind, name, project_id, deleted_at }: Omit<BinRow, 'content'>): BinEntry => ({
  id,
  kind,
  name,
  projectId: project_id,
  deletedAt: deleted_at.toISOString(),
});

/** Removes for good what has lain in the bin for its time. @returns how many things */
export async function sweepBin(database: Knex): Promise<number> {
  return database('bin')
    .where('deleted_at', '<', database.raw(`now() - interval '${KEPT_DAYS} days'`))
    .delete();
}
