import { dequal } from 'dequal/lite';
import type { Design } from '../design';
import { renameParameter } from '../impact';
import type { View } from '../placement';
import type { SheetSource } from './sheetSource';
import { valuesOf } from './sheetSource';
import type { OfficeStandard } from '../standard';
import { parametersOf } from '../standard';

/** Something that is another on a sheet than it was. */
export interface SheetDifference {
  topic: 'data' | 'size' | 'views' | 'design' | 'standard' | 'tables';
  words: string;
}

/** What follows from the set that a sheet goes out with and is another in every issue, and what follows from what is told anyway. */
const NOT_TOLD: ReadonlySet<string> = new Set([
  'sheet.issueDate',
  'sheet.issuePurpose',
  'sheet.position',
  'set.count',
  'set.name',
  'set.purpose',
  'sheet.size',
  'sheet.scale',
  'sheet.revisionDate',
  'sheet.fileName',
]);
const TABLES_OF_THE_ISSUE: ReadonlySet<string> = new Set(['issues', 'recipients']);

/** The keys that parameters had in one standard, by those that they have in another: a parameter is known by its id. */
function keysBefore(before: OfficeStandard, after: OfficeStandard): ReadonlyMap<string, string> {
  const was = new Map(before.parameters.map(({ id, key }) => [id, key]));
  return new Map(
    after.parameters.flatMap(({ id, key }) => {
      const old = was.get(id);
      return old === undefined || old === key ? [] : [[key, old] as const];
    }),
  );
}

const quoted = (text: string): string => (text === '' ? 'nothing' : `“${text}”`);

function dataDifferences(before: SheetSource, after: SheetSource): SheetDifference[] {
  const [was, is] = [valuesOf(before), valuesOf(after)];
  const old = keysBefore(before.standard, after.standard);
  const oldNames = parametersOf(before.standard);
  const differences: SheetDifference[] = [];
  const asked = new Set<string>();
  for (const { key, name } of parametersOf(after.standard).values()) {
    const key0 = old.get(key) ?? key;
    asked.add(key0);
    const [a, b] = [was[key0] ?? '', is[key] ?? ''];
    if (a !== b && !NOT_TOLD.has(key))
      differences.push({ topic: 'data', words: `${name}: ${quoted(a)} is ${quoted(b)} now` });
  }
  for (const { key, name } of oldNames.values())
    if (!asked.has(key) && (was[key] ?? '') !== '')
      differences.push({ topic: 'data', words: `${name}: ${quoted(was[key] ?? '')} is gone` });
  return differences;
}

/** A view in words, by what can differ. */
function viewDifference(was: View, is: View): string | undefined {
  if (was.scale !== is.scale)
    return `${is.name} is ${is.scale ?? 'not to scale'} now, was ${was.scale ?? 'not to scale'}`;
  if (!dequal(was.module, is.module)) return `${is.name} stands elsewhere`;
  return dequal(was, is) ? undefined : `${is.name} is another one`;
}

function viewDifferences(before: readonly View[], after: readonly View[]): SheetDifference[] {
  const was = new Map(before.map((view) => [view.id, view]));
  const words = after.flatMap((view) => {
    const old = was.get(view.id);
    was.delete(view.id);
    if (!old) return [`${view.name} is new`];
    return viewDifference(old, view) ?? [];
  });
  return [...words, ...[...was.values()].map(({ name }) => `${name} is gone`)].map((each) => ({
    topic: 'views',
    words: each,
  }));
}

/** A design as it was, with the keys that its parameters have now. */
function withKeysOf(before: SheetSource, after: SheetSource): Design {
  const keys = [...keysBefore(before.standard, after.standard)];
  return keys.reduce((design, [key, old]) => renameParameter(design, old, key), before.design);
}

/** What of a standard shows on a sheet: which parameters, tables and languages it knows does not. */
const lookOf = (standard: OfficeStandard): OfficeStandard => ({
  ...standard,
  parameters: [],
  tables: [],
  languages: [],
});

/**
 * What is another on a sheet than it was, in words. What each issue brings of itself, its date, its purpose and the sheet's place in
 * its set, is left out; parameters that have another key now are the same by their id.
 */
export function differencesOf(before: SheetSource, after: SheetSource): SheetDifference[] {
  const differences = dataDifferences(before, after);
  if (before.sheet.size !== after.sheet.size)
    differences.push({ topic: 'size', words: `${before.sheet.size} is ${after.sheet.size} now` });
  differences.push(...viewDifferences(before.sheet.views, after.sheet.views));
  if (!dequal(withKeysOf(before, after), after.design)) {
    const [was, is] = [before.design.name, after.design.name];
    differences.push({
      topic: 'design',
      words: was === is ? `another revision of the design ${is}` : `the design ${was} is ${is} now`,
    });
  }
  if (!dequal(lookOf(before.standard), lookOf(after.standard)))
    differences.push({ topic: 'standard', words: 'another revision of the office standard' });
  const ids = new Set([...Object.keys(before.tables ?? {}), ...Object.keys(after.tables ?? {})]);
  const changed = [...ids].filter(
    (id) => !TABLES_OF_THE_ISSUE.has(id) && !dequal(before.tables?.[id], after.tables?.[id]),
  );
  if (changed.length > 0) differences.push({ topic: 'tables', words: 'other rows in its tables' });
  return differences;
}
