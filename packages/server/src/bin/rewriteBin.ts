import type { Transaction } from 'objection';
import type { BinRow, BinRows } from './binModel';

type Row = BinRows['rows'][number];

/**
 * Rewrites what lies in the bin, one thing at a time: restored, it has to be known by the names of today.
 * @param rewrite gives the same object back where nothing changes
 */
export async function rewriteBin(
  rewrite: (row: Row, table: BinRows['table']) => Row,
  transaction: Transaction,
): Promise<void> {
  for (const { id } of await transaction<BinRow>('bin').select('id').orderBy('id')) {
    const entry = await transaction<BinRow>('bin').where({ id }).forUpdate().first();
    if (!entry) continue;
    const content = entry.content.map((part) => ({
      ...part,
      rows: part.rows.map((row) => rewrite(row, part.table)),
    }));
    const same = content.every(({ rows }, i) => rows.every((row, k) => row === entry.content[i]!.rows[k]));
    if (!same)
      await transaction('bin')
        .where({ id })
        .update({ content: JSON.stringify(content) });
  }
}
