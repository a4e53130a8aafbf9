import type { FrozenShared, FrozenSheet } from '@mendrel/core';
import { migrateDesign, migrateStandard } from '@mendrel/core';
import type { Knex } from 'knex';
import { notFound } from '../http/failure';
import { unpacked } from '../work/freeze';

/** What was issued, kept once under the SHA-256 of its text. It is never rewritten. */
interface FrozenRow {
  sha256: string;
  content: Buffer;
}

/** The key of the lock between those who issue and who removes what no issue has any more; any number that nobody else uses. */
const FREEZING_LOCK = 4310_003;

/** Keeps what is not in any issue yet from being removed before the transaction ends. */
export const whileFreezing = (transaction: Knex): Promise<unknown> =>
  transaction.raw('select pg_advisory_xact_lock_shared(?)', [FREEZING_LOCK]);

/** Keeps documents, each once. */
export async function keepFrozen(
  documents: readonly { sha256: string; content: Uint8Array }[],
  transaction: Knex,
): Promise<void> {
  if (documents.length === 0) return;
  const rows = documents.map(({ sha256, content }): FrozenRow => ({ sha256, content: Buffer.from(content) }));
  await transaction<FrozenRow>('frozen').insert(rows).onConflict('sha256').ignore();
}

async function contents(hashes: readonly string[], database: Knex): Promise<Map<string, Buffer>> {
  const rows = await database<FrozenRow>('frozen').whereIn('sha256', hashes);
  return new Map(rows.map(({ sha256, content }) => [sha256, content]));
}

/** A sheet as it was issued, with what it shares with others of its issue. */
export interface IssuedDocument {
  shared: FrozenShared;
  own: FrozenSheet;
}

/** Reads what was issued; what several sheets share is read once. */
export class FrozenReader {
  private readonly shared = new Map<string, FrozenShared>();

  constructor(private readonly database: Knex) {}

  /** Sheets by their hashes, in the order in which they are asked for. */
  async read(rows: readonly { shared: string; own: string }[]): Promise<IssuedDocument[]> {
    const missing = [...new Set(rows.map(({ shared }) => shared))].filter((hash) => !this.shared.has(hash));
    const found = await contents([...missing, ...rows.map(({ own }) => own)], this.database);
    const documentOf = (hash: string): unknown => {
      const content = found.get(hash);
      if (!content) throw notFound('issued sheet');
      return unpacked(content);
    };
    for (const hash of missing) {
      const kept = documentOf(hash) as FrozenShared;
      // What was kept stays as it is; where its documents are asked, they are read in the version of today.
      const [design, standard] = [migrateDesign(kept.design), migrateStandard(kept.standard)];
      this.shared.set(hash, { ...kept, design, standard } as FrozenShared);
    }
    return rows.map(({ shared, own }) => ({ shared: this.shared.get(shared)!, own: documentOf(own) as FrozenSheet }));
  }
}

/** Removes what no issue has any more, unless something is just being issued. @returns how many */
export async function sweepFrozen(database: Knex): Promise<number> {
  return database.transaction(async (transaction) => {
    const { rows } = await transaction.raw<{ rows: { free: boolean }[] }>(
      'select pg_try_advisory_xact_lock(?) as free',
      [FREEZING_LOCK],
    );
    if (rows[0]?.free !== true) return 0;
    const { rowCount } = await transaction.raw<{ rowCount: number }>(
      `delete from frozen where not exists (select 1 from issue_sheets where shared = sha256 or own = sha256)
         and not exists (select 1 from issue_transmittals where shared = sha256 or own = sha256)
         and not exists (select 1 from bin, jsonb_path_query(content, 'lax $[*].rows[*].keyvalue()') as each
           where each ->> 'key' in ('own', 'shared') and each ->> 'value' = sha256)`,
    );
    return rowCount;
  });
}
