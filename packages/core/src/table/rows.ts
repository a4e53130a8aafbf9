import { z } from 'zod';
import type { DateForm, TryOn, ValueOf, Values } from '../parameter';
import { dateIn } from '../parameter';
import type { OwnTable } from './ownTable';
import type { RowKey, TableKindName } from './tableKinds';
import { TABLE_KINDS, tableKindOf, TABLES } from './tableKinds';

/** One row of a table: text by key. Rows of the sheet index have the values of their sheet. */
export type Row = Readonly<Record<string, string>>;
/** Rows by table: the name of its kind, or the id of one of the office's own. */
export type TableRows = Readonly<Record<string, readonly Row[]>>;

/** Rows that a table may have where people enter them. */
export const MOST_ROWS = 2000;
const MOST_TABLES = 60;

/** Rows that people enter for the office or a project. */
export const enteredRowsSchema: z.ZodType<TableRows> = z
  .record(z.string().max(40), z.array(z.record(z.string().max(40), z.string().max(500))).max(MOST_ROWS))
  .refine((tables) => Object.keys(tables).length <= MOST_TABLES, {
    message: `there are more than ${MOST_TABLES} tables`,
  });

/** Under what the rows of a table are found. */
export const tableId = ({ table, own }: { table: TableKindName; own?: string | undefined }): string =>
  table === 'own' ? (own ?? '') : table;

/** What rows of a table can show; undefined for a table that nobody knows. */
export function rowKeysOf(id: string, own: readonly OwnTable[]): readonly RowKey[] | undefined {
  if (id !== 'own' && Object.hasOwn(TABLE_KINDS, id)) return tableKindOf(id as TableKindName).keys;
  return own
    .find((each) => each.id === id)
    ?.columns.map(({ key, name }) => ({ key, name, typical: [name], longest: `${name}, in more words than usual` }));
}

/** The tables whose rows people enter, by id, with what they are called. */
export const enteredTables = (own: readonly OwnTable[]): { id: string; name: string; keys: readonly RowKey[] }[] => [
  ...TABLES.filter((kind) => kind !== 'own' && TABLE_KINDS[kind].source === 'entered').map((kind) => ({
    id: kind,
    name: TABLE_KINDS[kind].name,
    keys: tableKindOf(kind).keys,
  })),
  ...own.map(({ id, name }) => ({ id, name, keys: rowKeysOf(id, own) ?? [] })),
];

/** The rows of a project: its own, and the office's where it has none. */
export function rowsOf(office: TableRows, project: TableRows): TableRows {
  const own = Object.entries(project).filter(([, rows]) => rows.length > 0);
  return own.length === 0 ? office : { ...office, ...Object.fromEntries(own) };
}

/**
 * What a pattern of a column asks for, from a row: its data as `row.date`, then what is known of the sheet that it stands on.
 * A row that is about a sheet itself asks only for what that sheet has.
 */
export const valueIn =
  (row: Row, values: Values, dates: DateForm, aboutSheets: boolean): ValueOf =>
  (key) => {
    if (aboutSheets && key.startsWith('sheet.')) return row[key];
    const own = row[key] ?? (key.startsWith('row.') ? row[key.slice(4)] : undefined);
    return own !== undefined && key === 'row.date' ? dateIn(dates, own) : (own ?? values[key]);
  };

/** Example rows in the sheet index: a sheet each. */
const INDEXED = 12;

/** The rows that try-on shows in place of real ones. */
export function tryOnRows(tryOn: TryOn, own: readonly OwnTable[], sheet: Values): TableRows {
  if (tryOn === 'blank') return {};
  const tables: Record<string, readonly Row[]> = {};
  for (const id of [...TABLES.filter((kind) => kind !== 'own'), ...own.map((each) => each.id)]) {
    const keys = rowKeysOf(id, own) ?? [];
    const count = Math.max(0, ...keys.map(({ typical }) => typical.length));
    tables[id] = Array.from({ length: count }, (_, i) =>
      Object.fromEntries(
        keys.map(({ key, typical, longest }) => [key, tryOn === 'longest' ? longest : (typical[i] ?? '')]),
      ),
    );
  }
  tables['index'] = Array.from({ length: INDEXED }, () => sheet);
  return tables;
}
