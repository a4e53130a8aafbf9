import { useCallback, useLayoutEffect, useRef, useState } from 'react';
import type { useGridApiRef } from '@mui/x-data-grid';

/** The rows of a table as its grid has them. */
export interface GridRows<Line> {
  /** What the grid is given as its rows. */
  rows: readonly Line[];
  /** Writes what was typed into the grid's own copy of a row. Its cells show it when they are built next. */
  write: (id: string, typed: Line) => void;
  /** Shows a row again as it is in the table, whatever was typed in it. */
  putBack: (id: string) => void;
}

const copyOf = <Line extends object>(line: Line): Line => ({ ...line });

/**
 * Hands the rows of a table to its grid: one that changed by itself, or all of them. A grid whose property for rows changes builds every
 * cell anew, and one that is told of a single row sorts, filters and measures all of them: both take longer than a key may. So the grid
 * has copies of its own, which are written into.
 */
export function useGridRows<Line extends { id: string }>(
  grid: ReturnType<typeof useGridApiRef>,
  lines: readonly Line[],
): GridRows<Line> {
  const [first] = useState(() => lines.map(copyOf));
  const shown = useRef(lines);
  useLayoutEffect(() => {
    const before = shown.current;
    if (before === lines) return;
    shown.current = lines;
    const changed = lines.filter((line, place) => line !== before[place]);
    const [one] = changed;
    const alone =
      one && changed.length === 1 && lines.length === before.length && before[lines.indexOf(one)]?.id === one.id;
    if (alone) grid.current?.updateRows([copyOf(one)]);
    else grid.current?.setRows(lines.map(copyOf));
  }, [grid, lines]);
  const write = useCallback(
    (id: string, typed: Line): void => {
      const own = grid.current?.getRow<Line>(id);
      if (own) Object.assign(own, typed);
    },
    [grid],
  );
  const putBack = useCallback(
    (id: string): void => {
      const line = shown.current.find((each) => each.id === id);
      if (line) grid.current?.updateRows([copyOf(line)]);
    },
    [grid],
  );
  return { rows: first, write, putBack };
}
