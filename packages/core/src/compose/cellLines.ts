import type { Cell } from '../design';
import type { CellLayout } from '../layout';

/**
 * The lines between the cells of one division, as x0, y0, x1, y1: each limit between two tracks is drawn along those
 * tracks of the other axis where no child spans it, neighbouring pieces joined into one.
 */
export function dividerLines(cell: Cell, at: CellLayout): number[][] {
  const { division } = cell;
  const { columns, rows } = at;
  if (!division || !columns || !rows) return [];
  const lines: number[][] = [];
  const spanned = (axis: 'column' | 'row', limit: number, track: number): boolean =>
    division.children.some((child) => {
      const [own, ownSpan, other, otherSpan] =
        axis === 'column'
          ? [child.column, child.columnSpan, child.row, child.rowSpan]
          : [child.row, child.rowSpan, child.column, child.columnSpan];
      return own < limit && limit < own + ownSpan && other <= track && track < other + otherSpan;
    });
  const run = (axis: 'column' | 'row', limit: number, position: number, others: readonly number[]): void => {
    let start: number | undefined;
    for (let track = 0; track < others.length; track++) {
      const open = track < others.length - 1 && !spanned(axis, limit, track);
      const here = others[track] ?? 0;
      if (open && start === undefined) start = here;
      if (!open && start !== undefined) {
        lines.push(axis === 'column' ? [position, start, position, here] : [start, position, here, position]);
        start = undefined;
      }
    }
  };
  for (let limit = 1; limit < columns.length - 1; limit++) run('column', limit, columns[limit] ?? 0, rows);
  for (let limit = 1; limit < rows.length - 1; limit++) run('row', limit, rows[limit] ?? 0, columns);
  return lines;
}
