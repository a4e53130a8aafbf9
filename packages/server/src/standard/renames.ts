import type { Design, OfficeStandard } from '@mendrel/core';
import { migrateDesign, renameParameter, scopeOf, withKey } from '@mendrel/core';
import { raw } from 'objection';
import type { Transaction } from 'objection';
import type { BinRows } from '../bin/binModel';
import { rewriteBin } from '../bin/rewriteBin';
import { rewriteDesigns } from '../designs/rewriteDesigns';
import { Failure } from '../http/failure';
import { OfficeModel, theOffice } from '../office/officeModel';
import { ProjectModel } from '../projects/projectModel';
import { stayUnchanged, unchangedSheets } from '../revisions/unchangedSheets';
import { parameterUses, placesInWords, VALUE_TABLES } from './standardUse';
import type { ValueTable } from './standardUse';

/** Gives values their new keys. */
const renamed = (values: Record<string, string>, keys: ReadonlyMap<string, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(values).map(([key, value]) => [keys.get(key) ?? key, value]));

/**
 * Lets designs and data follow parameters that have another key now: the same parameter is known by its id.
 * @throws Failure when a parameter would change its scope, for then its values would be entered elsewhere
 */
export async function followRenames(
  before: OfficeStandard,
  after: OfficeStandard,
  transaction: Transaction,
): Promise<void> {
  const keys = new Map<string, string>();
  for (const { id, key } of after.parameters) {
    const was = before.parameters.find((each) => each.id === id)?.key;
    if (was === undefined || was === key) continue;
    if (scopeOf(was) !== scopeOf(key)) {
      const [use] = await parameterUses(before, transaction, [was]);
      const words = use && placesInWords(use);
      if (words) throw new Failure('in-use', `${was} keeps its scope while it is used in ${words}`, 'parameters');
    }
    keys.set(was, key);
  }
  if (keys.size === 0) return;
  // Under another name a value is no other one: nothing has changed on a sheet that shows it.
  const unchanged = await unchangedSheets(transaction);
  await rewriteDesigns((design) => renamedDesign(design, keys), transaction);
  const office = await theOffice(transaction);
  if (Object.keys(office.values).some((key) => keys.has(key))) {
    await OfficeModel.query(transaction)
      .findById(1)
      .patch({ values: renamed(office.values, keys), version: office.version + 1 });
  }
  if (office.replaceable.some((key) => keys.has(key)))
    await OfficeModel.query(transaction)
      .findById(1)
      .patch({ replaceable: office.replaceable.map((key) => keys.get(key) ?? key) });
  await renameInFileNames(keys, transaction);
  await rewriteBin((row) => renamedRow(row, keys), transaction);
  for (const table of VALUE_TABLES) await renameInValues(table, keys, transaction);
  await stayUnchanged(unchanged, transaction);
}

/**
 * Gives the values of all projects, sets or sheets their new keys, in one statement: PostgreSQL looks at each row as it is when
 * its turn comes, so that an edit which was answered a moment before is kept, and one from before the renaming is refused
 * by its version.
 */
async function renameInValues(
  table: ValueTable,
  keys: ReadonlyMap<string, string>,
  transaction: Transaction,
): Promise<void> {
  const old = [...keys.keys()];
  await transaction.raw(
    `update ?? as row set version = row.version + 1, "values" = (
       select jsonb_object_agg(coalesce(name.new, each.key), each.value order by name.new is not null)
       from jsonb_each(row."values") as each
       left join unnest(?::text[], ?::text[]) as name(old, new) on name.old = each.key)
     where row."values" \\?| ?::text[]`,
    [table, old, [...keys.values()], old],
  );
}

/** Each key by way of a name that nothing else has, so that two that change places do not become one. */
const steps = (keys: ReadonlyMap<string, string>): { from: string; to: string }[] => {
  const each = [...keys].map(([from, to], i) => ({ from, between: `sheet.renaming${i}`, to }));
  return [
    ...each.map(({ from, between }) => ({ from, to: between })),
    ...each.map(({ between, to }) => ({ from: between, to })),
  ];
};

const renamedPattern = (pattern: string, keys: ReadonlyMap<string, string>): string =>
  steps(keys).reduce((now, { from, to }) => withKey(now, from, to), pattern);

/** Patterns of file names are few, and asked for by the same keys. */
async function renameInFileNames(keys: ReadonlyMap<string, string>, transaction: Transaction): Promise<void> {
  const rows = await ProjectModel.query(transaction).select('id', 'file_names').whereNotNull('file_names').forUpdate();
  for (const { id, file_names } of rows) {
    const pattern = renamedPattern(file_names ?? '', keys);
    if (pattern !== file_names)
      await ProjectModel.query(transaction)
        .findById(id)
        .patch({ file_names: pattern, version: raw('version + 1') });
  }
}

/** A design with parameters under new keys; the same object when it uses none of them. */
const renamedDesign = (design: Design, keys: ReadonlyMap<string, string>): Design =>
  steps(keys).reduce((now, { from, to }) => renameParameter(now, from, to), design);

/** A row that was deleted, under new keys; the same object when it has none of the old ones. */
function renamedRow(row: BinRows['rows'][number], keys: ReadonlyMap<string, string>): BinRows['rows'][number] {
  const { values, file_names, document } = row;
  const change: Record<string, unknown> = {};
  if (typeof values === 'object' && values !== null && Object.keys(values).some((key) => keys.has(key)))
    change['values'] = renamed(values as Record<string, string>, keys);
  if (typeof file_names === 'string') {
    const pattern = renamedPattern(file_names, keys);
    if (pattern !== file_names) change['file_names'] = pattern;
  }
  if (typeof document === 'object' && document !== null) {
    const design = migrateDesign(document) as Design;
    const now = renamedDesign(design, keys);
    if (now !== design) change['document'] = now;
  }
  return Object.keys(change).length > 0 ? { ...row, ...change } : row;
}
