import type { Sheet, SheetChange } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { sheetScale } from '@mendrel/core';
import { lastOf } from '../revisions/chosenSheets';
import type { ProjectSheet } from '../sheetDrawings';

/** A row of the register: a sheet with what is typed and what is computed. */
export interface Row {
  /** Values of the office's own parameters, under their keys. */
  [own: `sheet.${string}`]: string;
  id: string;
  number: string;
  title: string;
  kind: Sheet['kind'];
  size: string;
  scale: string;
  drawnBy: string;
  checkedBy: string;
  date: string;
  /** The code of its last revision, and whether it has changed since. */
  revision: string;
  changedSince: boolean;
  /** What it is drawn from; undefined while that is not there. */
  drawn: ProjectSheet | undefined;
  sheet: Sheet;
}

/** The key of an own parameter that is entered for each sheet. */
export type OwnKey = `sheet.${string}`;

const IN_VALUES = { drawnBy: 'sheet.drawnBy', checkedBy: 'sheet.checkedBy', date: 'sheet.date' } as const;

/** The row of a sheet. */
export function rowOf(
  sheet: Sheet,
  drawn: ProjectSheet | undefined,
  wording: OfficeStandard['wording'],
  own: readonly OwnKey[] = [],
): Row {
  return {
    ...Object.fromEntries(own.map((key) => [key, sheet.values[key] ?? ''])),
    id: sheet.id,
    number: sheet.number,
    title: sheet.title,
    kind: sheet.kind,
    size: sheet.size,
    scale: sheetScale(sheet.views, wording),
    drawnBy: sheet.values['sheet.drawnBy'] ?? '',
    checkedBy: sheet.values['sheet.checkedBy'] ?? '',
    date: sheet.values['sheet.date'] ?? '',
    revision: lastOf(sheet)?.code ?? '',
    changedSince: sheet.changedSince,
    drawn,
    sheet,
  };
}

/** Rows as they were made last: a grid builds anew what it is given anew. */
const made = new WeakMap<ProjectSheet, { by: readonly unknown[]; row: Row }>();

/** The row of a sheet that has its source; the same one as before where nothing of it changed. */
export function keptRowOf(drawn: ProjectSheet, wording: OfficeStandard['wording'], own: readonly OwnKey[]): Row {
  const before = made.get(drawn);
  if (before && before.by[0] === wording && before.by[1] === own) return before.row;
  const row = rowOf(drawn.sheet, drawn, wording, own);
  made.set(drawn, { by: [wording, own], row });
  return row;
}

/** What an edited row changes on its sheet; undefined when nothing. */
export function changeOf(
  before: Row,
  after: Row,
  own: readonly OwnKey[] = [],
): Omit<SheetChange, 'version'> | undefined {
  const change: Omit<SheetChange, 'version'> = {};
  if (after.number.trim() !== before.number) change.number = after.number.trim();
  if (after.title !== before.title) change.title = after.title;
  if (after.kind !== before.kind) change.kind = after.kind;
  if (after.size !== before.size) change.size = after.size;
  const columns = [
    ...(Object.entries(IN_VALUES) as [keyof typeof IN_VALUES, string][]),
    ...own.map((key) => [key, key] as const),
  ];
  for (const [column, key] of columns) {
    const value = after[column] ?? '';
    if (value === before[column]) continue;
    const values: Record<string, string> = { ...(change.values ?? before.sheet.values) };
    if (value === '') delete values[key];
    else values[key] = value;
    change.values = values;
  }
  return Object.keys(change).length > 0 ? change : undefined;
}
