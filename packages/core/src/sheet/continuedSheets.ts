import type { Typefaces } from '../lettering';
import { tableId } from '../table';
import type { TableKindName } from '../table';
import { solveSheet } from './drawSheet';
import type { SheetSource } from './sheetSource';

const INDEX: TableKindName = 'index';
/** Rows of the index that are tried on one sheet: none has room for more. */
const MOST_ROWS = 400;
/** Sheets that an index is continued on; more only come of rows that nothing has room for. */
const MOST_SHEETS = 500;

/**
 * A sheet whose index has more rows than it has room for, on as many sheets as it takes, each saying which one it is. Only a table
 * that leaves its rows to the next one is continued; any other says itself what becomes of them.
 */
export function continuedSheets(source: SheetSource, typefaces: Typefaces): SheetSource[] {
  const all = source.tables?.[tableId({ table: INDEX })] ?? [];
  const parts: (typeof all)[] = [];
  let from = 0;
  do {
    const rows = all.slice(from, from + MOST_ROWS);
    const solved = solveSheet({ ...source, tables: { ...source.tables, [INDEX]: rows } }, typefaces);
    const going = 'problem' in solved ? undefined : solved.layout.goingOn.get(INDEX);
    const shown =
      going && going.left > 0 && going.shown > 0 && parts.length < MOST_SHEETS - 1 ? going.shown : undefined;
    // What goes on nowhere stays together, so that the sheet says that it has no room.
    parts.push(shown === undefined ? all.slice(from) : rows.slice(0, shown));
    from = shown === undefined ? all.length : from + shown;
  } while (from < all.length);
  return parts.map((rows, page) => ({
    ...source,
    tables: { ...source.tables, [INDEX]: rows },
    sheet: {
      ...source.sheet,
      values: {
        ...source.sheet.values,
        ...(parts.length > 1 ? { 'sheet.subtitle': `Page ${page + 1} of ${parts.length}` } : {}),
      },
    },
  }));
}
