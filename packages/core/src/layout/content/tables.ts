import type { Cell, TableContent } from '../../design';
import type { Rect } from '../../geometry';
import { amountInWords } from '../../quantity';
import type { OfficeStandard } from '../../standard';
import type { SheetLayout } from '../sheetLayout';
import { within } from './within';

/** What a table takes up by its columns and rows, in mm. */
export function tableExtent(table: TableContent, length: (text: string) => number): { width: number; height: number } {
  let width = 0;
  for (const column of table.columns) width += length(column.width);
  return { width, height: (table.rows + 1) * length(table.rowHeight) };
}

/** Sets a table exactly into its cell, without padding, so that its lines meet the cell's. */
export function layTable(
  cell: Cell,
  table: TableContent,
  rect: Rect,
  length: (text: string, where: () => string) => number,
  standard: OfficeStandard,
  into: SheetLayout,
): void {
  const at = (): string => `${cell.id}.${table.id}`;
  const columns = table.columns.map((column) => length(column.width, at));
  const rowHeight = length(table.rowHeight, at);
  const width = columns.reduce((sum, each) => sum + each, 0);
  const height = (table.rows + 1) * rowHeight;
  into.tables.push({ cell: cell.id, table, ...within(rect, { width, height }, table), columns, rowHeight });
  for (const id of new Set([table.captionRole, table.valueRole])) {
    if (standard.roles.some((role) => role.id === id)) continue;
    into.findings.push({
      kind: 'unknown',
      weight: 'error',
      message: `the office standard has no lettering role "${id}", so words of the table of ${table.table} are left out`,
      where: { cell: cell.id, content: table.id },
      by: 0,
      mend: 'choose a role of the standard for the table, or move the design to a revision of the standard that has it',
    });
  }
  const over = Math.max(width - rect.width, height - rect.height);
  if (over > 0.01) {
    into.findings.push({
      kind: 'spill',
      weight: 'error',
      message: `the table of ${table.table} is ${amountInWords(over, into.unit)} larger than its cell`,
      where: { cell: cell.id, content: table.id },
      by: over,
      mend: 'fewer rows, narrower columns or a larger cell',
    });
  }
}
