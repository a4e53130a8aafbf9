import type { OwnTable, TableRows } from '@mendrel/core';
import { enteredTables, rowKeysOf, TABLES } from '@mendrel/core';
import { Failure } from '../http/failure';

/**
 * Refuses rows of tables that nobody enters and data that their rows do not have. Rows of a table that was there before may stay,
 * so that a table that the standard has lost keeps nothing else from being saved.
 */
export function checkTables(tables: TableRows, own: readonly OwnTable[], before: TableRows = {}): void {
  const entered = new Map(enteredTables(own).map((each) => [each.id, each]));
  for (const [id, rows] of Object.entries(tables)) {
    const table = entered.get(id);
    if (!table) {
      if (Object.hasOwn(before, id)) continue;
      const known = (TABLES as readonly string[]).includes(id);
      throw new Failure(
        'invalid',
        known ? `rows of "${id}" come by themselves` : `there is no table "${id}"`,
        `tables.${id}`,
      );
    }
    const keys = new Set(rowKeysOf(id, own)?.map(({ key }) => key));
    // Data of a column that is gone stays in the rows that have it; nothing is lost by renaming to and fro.
    const kept = new Set(before[id]?.flatMap((row) => Object.keys(row)));
    rows.forEach((row, i) => {
      const unknown = Object.keys(row).find((key) => !keys.has(key) && !kept.has(key));
      if (unknown !== undefined) {
        throw new Failure('invalid', `rows of ${table.name} have no "${unknown}"`, `tables.${id}.${i}.${unknown}`);
      }
    });
  }
}
