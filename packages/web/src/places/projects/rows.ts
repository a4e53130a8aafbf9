import type { Sheet, SheetChange } from '@mendrel/contract';
import type { SheetResult } from './sheetDrawings';

/** A row of the register: a sheet with what is typed and what is computed. */
export interface Row {
  id: string;
  number: string;
  title: string;
  kind: Sheet['kind'];
  size: string;
  scale: string;
  drawnBy: string;
  checkedBy: string;
  date: string;
  result: SheetResult | undefined;
  sheet: Sheet;
}

const IN_VALUES = { drawnBy: 'sheet.drawnBy', checkedBy: 'sheet.checkedBy', date: 'sheet.date' } as const;

/** The row of a sheet. */
export function rowOf(sheet: Sheet, result: SheetResult | undefined): Row {
  return {
    id: sheet.id,
    number: sheet.number,
    title: sheet.title,
    kind: sheet.kind,
    size: sheet.size,
    scale: result?.values['sheet.scale'] ?? '',
    drawnBy: sheet.values['sheet.drawnBy'] ?? '',
    checkedBy: sheet.values['sheet.checkedBy'] ?? '',
    date: sheet.values['sheet.date'] ?? '',
    result,
    sheet,
  };
}

/** What an edited row changes on its sheet; undefined when nothing. */
export function changeOf(before: Row, after: Row): Omit<SheetChange, 'version'> | undefined {
  const change: Omit<SheetChange, 'version'> = {};
  if (after.number.trim() !== before.number) change.number = after.number.trim();
  if (after.title !== before.title) change.title = after.title;
  if (after.kind !== before.kind) change.kind = after.kind;
  if (after.size !== before.size) change.size = after.size;
  for (const [column, key] of Object.entries(IN_VALUES) as [keyof typeof IN_VALUES, string][]) {
    if (after[column] === before[column]) continue;
    const values: Record<string, string> = { ...(change.values ?? before.sheet.values) };
    if (after[column] === '') delete values[key];
    else values[key] = after[column];
    change.values = values;
  }
  return Object.keys(change).length > 0 ? change : undefined;
}
