import type { IssueComparison } from '@mendrel/contract';
import { differencesOf } from '@mendrel/core';
import type { SheetSource } from '@mendrel/core';
import type { Knex } from 'knex';
import { Failure } from '../http/failure';
import type { IssuedDocument } from './frozenModel';
import { FrozenReader } from './frozenModel';
import type { IssueSheetRow } from './issueModel';

/** Sheets that are compared in one go: between two goes others get their turn. */
const AT_ONCE = 20;

const sourceOf = ({
  shared: { version: _version, ...shared },
  own: { sheet, position },
}: IssuedDocument): SheetSource => ({
  ...shared,
  sheet,
  position,
});

/** Sheets of two issues that are the same sheet: by the sheet itself, or by its number where that is gone. */
export function pairsOf(
  before: readonly IssueSheetRow[],
  after: readonly IssueSheetRow[],
): { pairs: [IssueSheetRow, IssueSheetRow][]; added: IssueSheetRow[]; gone: IssueSheetRow[] } {
  const byId = new Map(before.flatMap((row) => (row.sheet_id === null ? [] : [[row.sheet_id, row] as const])));
  // A number may have gone from one sheet to another: only what is gone itself is known by it.
  const stay = new Set(after.map(({ sheet_id }) => sheet_id));
  const byNumber = new Map(
    before.flatMap((row) => (row.sheet_id !== null && stay.has(row.sheet_id) ? [] : [[row.number, row] as const])),
  );
  const left = new Set(before);
  const pairs: [IssueSheetRow, IssueSheetRow][] = [];
  const added: IssueSheetRow[] = [];
  for (const row of after) {
    const known = row.sheet_id === null ? undefined : byId.get(row.sheet_id);
    const same = known ?? byNumber.get(row.number);
    if (same && left.delete(same)) pairs.push([same, row]);
    else added.push(row);
  }
  return { pairs, added, gone: [...left] };
}

/** What is another in an issue than in one before. @param gone stops it between two goes */
export async function compareIssues(
  before: readonly IssueSheetRow[],
  after: readonly IssueSheetRow[],
  database: Knex,
  gone: AbortSignal,
): Promise<IssueComparison> {
  const { pairs, added, gone: left } = pairsOf(before, after);
  const reader = new FrozenReader(database);
  const sheets: IssueComparison['sheets'] = [];
  let same = 0;
  for (let from = 0; from < pairs.length; from += AT_ONCE) {
    if (gone.aborted) throw new Failure('stopped', 'the comparison was stopped');
    const part = pairs.slice(from, from + AT_ONCE);
    const was = await reader.read(part.map(([row]) => row));
    const is = await reader.read(part.map(([, row]) => row));
    part.forEach(([one, other], i) => {
      const differences = differencesOf(sourceOf(was[i]!), sourceOf(is[i]!));
      if (differences.length === 0) return void same++;
      const { number, title } = other;
      sheets.push({ kind: 'changed', before: one.position, after: other.position, number, title, differences });
    });
    await new Promise((resolve) => setImmediate(resolve));
  }
  for (const { position, number, title } of added)
    sheets.push({ kind: 'added', before: null, after: position, number, title, differences: [] });
  for (const { position, number, title } of left)
    sheets.push({ kind: 'gone', before: position, after: null, number, title, differences: [] });
  return { same, sheets };
}
