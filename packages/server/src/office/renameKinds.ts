import type { OfficeChange } from '@mendrel/contract';
import type { Design, SheetKind } from '@mendrel/core';
import { migrateDesign, renameKind } from '@mendrel/core';
import type { Transaction } from 'objection';
import type { BinRows } from '../bin/binModel';
import { rewriteBin } from '../bin/rewriteBin';
import { rewriteDesigns } from '../designs/rewriteDesigns';
import { Failure } from '../http/failure';
import { stayUnchanged, unchangedSheets } from '../revisions/unchangedSheets';

type Renamed = NonNullable<OfficeChange['renamedKinds']>;

/** Refuses names that were there before, or are not there afterwards: then sheets would become of another kind. */
function checkRenamed(renamed: Renamed, before: readonly SheetKind[], after: readonly SheetKind[]): void {
  const [was, is] = [new Set(before.map(({ name }) => name)), new Set(after.map(({ name }) => name))];
  for (const { from, to } of renamed) {
    if (!was.has(from))
      throw new Failure('invalid', `the office has no kind of its own called ${from}`, 'renamedKinds');
    if (is.has(from) || was.has(to) || !is.has(to))
      throw new Failure('invalid', `${from} cannot be called ${to}; choose a name that no kind has`, 'renamedKinds');
  }
  if (new Set(renamed.map(({ from }) => from)).size < renamed.length)
    throw new Failure('invalid', 'a kind is renamed twice', 'renamedKinds');
}

/**
 * Lets sheets, projects and conditions of designs follow kinds that have other names now.
 * @param before the office's own kinds as they were
 * @param after the same with their new names
 * @throws Failure for a name that another kind has or had
 */
export async function renameKinds(
  renamed: Renamed,
  before: readonly SheetKind[],
  after: readonly SheetKind[],
  transaction: Transaction,
): Promise<void> {
  checkRenamed(renamed, before, after);
  if (renamed.length === 0) return;
  const names = new Map(renamed.map(({ from, to }) => [from, to]));
  const inDesign = (design: Design): Design => renamed.reduce((now, { from, to }) => renameKind(now, from, to), design);
  // A sheet whose kind has another name is no other sheet.
  const unchanged = await unchangedSheets(transaction);
  await rewriteDesigns(inDesign, transaction);
  await rewriteBin((row) => renamedRow(row, names, inDesign), transaction);
  for (const { from, to } of renamed) {
    await transaction('sheets')
      .where({ kind: from })
      .update({ kind: to, version: transaction.raw('version + 1') });
    await transaction('project_kinds').where({ kind: from }).update({ kind: to });
  }
  await stayUnchanged(unchanged, transaction);
}

/** A row that was deleted, with its kind under its new name. */
function renamedRow(
  row: BinRows['rows'][number],
  names: ReadonlyMap<string, string>,
  inDesign: (design: Design) => Design,
): BinRows['rows'][number] {
  const { kind, document } = row;
  const name = typeof kind === 'string' ? names.get(kind) : undefined;
  if (name !== undefined) return { ...row, kind: name };
  if (typeof document !== 'object' || document === null) return row;
  const design = migrateDesign(document) as Design;
  const now = inDesign(design);
  return now === design ? row : { ...row, document: now };
}
