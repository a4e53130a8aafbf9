import { flushSync } from 'react-dom';
import { useEventCallback } from '@mui/material/utils';
import type { GridColDef, useGridApiRef } from '@mui/x-data-grid';
import type { Line } from './groupedRows';
import { isGroup } from './groupedRows';
import type { Row } from './rows';

/** What becomes of a row that was edited. */
export interface KeepRow {
  /** A row as it is and as it was. @returns why it is not kept; nothing at all where nothing of it changed */
  onKeep: (after: Row, before: Row) => Promise<string | undefined> | undefined;
  /** @param typed what was typed and is on screen no more */
  onRefused: (why: string, typed?: string) => void;
}

/**
 * Shows an edited row at once. If it is refused its cell is opened again with what was typed in it; where somebody types elsewhere by
 * then, it is told what that was.
 */
export function useKeptRow(
  grid: ReturnType<typeof useGridApiRef>,
  columns: readonly GridColDef<Row>[],
  putBack: (id: string) => void,
  { onKeep, onRefused }: KeepRow,
): (after: Line, before: Line) => Line {
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
  return useEventCallback((after: Line, before: Line): Line => {
    const kept = isGroup(after) || isGroup(before) ? undefined : onKeep(after, before);
    if (!kept || isGroup(after) || isGroup(before)) return before;
    void kept.then((refused) => refused !== undefined && reopen(refused, after, before));
    return after;
  });
}
