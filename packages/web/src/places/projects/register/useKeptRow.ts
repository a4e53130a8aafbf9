import { flushSync } from 'react-dom';
import { useEventCallback } from '@mui/material/utils';
import type { GridCellEditStopParams, GridColDef, GridEventListener, useGridApiRef } from '@mui/x-data-grid';
import { GridCellEditStopReasons } from '@mui/x-data-grid';
import type { Line } from './groupedRows';
import { isGroup } from './groupedRows';
import type { Row } from './rows';
import type { GridRows } from './useGridRows';

/** What becomes of a row that was edited. */
export interface KeepRow {
  /** A row as it is and as it was. @returns why it is not kept; nothing at all where nothing of it changed */
  onKeep: (after: Row, before: Row) => Promise<string | undefined> | undefined;
  /** @param typed what was typed and is on screen no more */
  onRefused: (why: string, typed?: string) => void;
}

/** Where the focus goes from a cell that was typed, by what ended it. */
const FOCUS_AFTER = {
  [GridCellEditStopReasons.enterKeyDown]: 'below',
  [GridCellEditStopReasons.tabKeyDown]: 'right',
  [GridCellEditStopReasons.shiftTabKeyDown]: 'left',
} as const;

/** How rows are shown that were edited. */
interface KeptRow {
  /** @returns the row as the grid is to show it */
  onRowUpdate: (after: Line, before: Line) => Line;
  /** When a cell is left or ended by a key. */
  onCellEditStop: GridEventListener<'cellEditStop'>;
}

/**
 * Shows an edited row at once. If it is refused its cell is opened again with what was typed in it; where somebody types elsewhere by
 * then, it is told what that was.
 */
export function useKeptRow(
  grid: ReturnType<typeof useGridApiRef>,
  columns: readonly GridColDef<Row>[],
  { write, putBack }: Pick<GridRows<Line>, 'write' | 'putBack'>,
  { onKeep, onRefused }: KeepRow,
): KeptRow {
  const reopen = (why: string, after: Row, before: Row): void => {
    const { id } = before;
    putBack(id);
    const field = columns.find((each) => after[each.field as keyof Row] !== before[each.field as keyof Row])?.field;
    const value = after[field as keyof Row];
    const table = grid.current;
    const free = table && Object.keys(table.state.editRows).length === 0 && table.getRow(id) !== null;
    if (field === undefined || !free) return onRefused(why, typeof value === 'string' ? value : undefined);
    onRefused(why);
    // The cell is being typed in from then on, not once the page is shown next: only such a cell takes what was typed.
    flushSync(() => table.startCellEditMode({ id, field }));
    void table.setEditCellValue({ id, field, value });
  };
  /** @returns whether anything of it is to be kept */
  const keep = (after: Line, before: Line): boolean => {
    if (isGroup(after) || isGroup(before)) return false;
    // The grid's row is written into; this stays as it was.
    const was = { ...before };
    const kept = onKeep(after, was);
    void kept?.then((refused) => refused !== undefined && reopen(refused, after, was));
    return kept !== undefined;
  };
  return {
    onRowUpdate: useEventCallback((after: Line, before: Line): Line => (keep(after, before) ? after : before)),
    // What the grid would do itself builds the whole table anew for one cell.
    onCellEditStop: useEventCallback(({ id, field, row, reason }: GridCellEditStopParams<Line>, event) => {
      const table = grid.current;
      if (!table || reason === GridCellEditStopReasons.escapeKeyDown) return;
      event.defaultMuiPrevented = true;
      const after = table.getRowWithUpdatedValues(id, field) as Line;
      if (keep(after, row)) write(row.id, after);
      const cellToFocusAfter = FOCUS_AFTER[reason as keyof typeof FOCUS_AFTER];
      table.stopCellEditMode({ id, field, ignoreModifications: true, cellToFocusAfter });
    }),
  };
}
