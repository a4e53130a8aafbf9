import { readCsv, writeCsv } from '@mendrel/formats/csv';
import type { Column } from './columns';
import { entryProblem, EntryError } from './columns';

/** A table as CSV: its columns by name, its cells as they are shown. */
export function tableAsCsv<Row>(columns: readonly Column<Row>[], rows: readonly Row[]): string {
  return writeCsv(
    columns.map((column) => column.name),
    rows.map((row) => columns.map((column) => column.write(row))),
  );
}

/**
 * Reads rows from CSV. Rows that are known by their first column keep what the file does not say.
 * @throws EntryError that names the column or the line
 */
export function rowsFromCsv<Row>(
  text: string,
  columns: readonly Column<Row>[],
  rows: readonly Row[],
  fresh: () => Row,
): Row[] {
  const [headings = [], ...lines] = readCsv(text);
  const places = headings.map((heading) => {
    const found = columns.find((column) => column.name.toLowerCase() === heading.trim().toLowerCase());
    if (!found) {
      const names = columns.map((column) => column.name).join(', ');
      throw new EntryError(`the file has a column “${heading}”; the columns of this table are ${names}`);
    }
    return found;
  });
  const [first] = columns;
  if (!first || !places.includes(first)) {
    throw new EntryError(`the file has no column “${first?.name ?? ''}”, by which its rows are known`);
  }
  // Two lines that are called the same are two rows.
  const left = new Set(rows);
  return lines.map((cells, i) => {
    const name = cells[places.indexOf(first)]?.trim() ?? '';
    const known = rows.find((each) => left.has(each) && first.write(each).toLowerCase() === name.toLowerCase());
    if (known) left.delete(known);
    let row = known ?? fresh();
    places.forEach((column, at) => {
      try {
        row = column.read(cells[at] ?? '', row);
      } catch (error) {
        throw new EntryError(`line ${i + 2}, ${column.name}: ${entryProblem(error)}`);
      }
    });
    return row;
  });
}
