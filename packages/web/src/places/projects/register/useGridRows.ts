import { useCallback, useLayoutEffect, useRef, useState } from 'react';
import type { useGridApiRef } from '@mui/x-data-grid';

/**
 * Hands the rows of a table to its grid: one that changed by itself, or all of them. A grid whose property for rows changes builds every
 * cell anew, which takes longer than a key may.
 * @returns what the grid is given as its rows, and what shows a row again as it is here, whatever was typed in it
 */
export function useGridRows<Line extends { id: string }>(
  grid: ReturnType<typeof useGridApiRef>,
  lines: readonly Line[],
): { rows: readonly Line[]; putBack: (id: string) => void } {
  const [first] = useState(lines);
  const shown = useRef(lines);
  useLayoutEffect(() => {
    const before = shown.current;
    if (before === lines) return;
    shown.current = lines;
    const changed = lines.filter((line, place) => line !== before[place]);
    const [one] = changed;
    const alone =
      one && changed.length === 1 && lines.length === before.length && before[lines.indexOf(one)]?.id === one.id;
    if (alone) grid.current?.updateRows([one]);
    else grid.current?.setRows([...lines]);
  }, [grid, lines]);
  const putBack = useCallback(
    (id: string): void => {
      const line = shown.current.find((each) => each.id === id);
      if (line) grid.current?.updateRows([line]);
    },
    [grid],
  );
  return { rows: first, putBack };
}
