import { useState } from 'react';
import type { CellAt, CellRange } from './cellRange';
import { beside } from './cellRange';

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
};

/** Cells that are chosen together, by Shift and a click or Shift and arrow keys from the cell that has the focus. */
export function useCellRange() {
  const [range, setRange] = useState<CellRange>();
  return {
    range,
    clear: () => setRange(undefined),
    /** A click on a cell: with Shift the range goes from the cell that had the focus to it. */
    click: (cell: CellAt, focused: CellAt | undefined, shift: boolean): void => {
      if (!shift) setRange(undefined);
      else setRange((now) => ({ from: now?.from ?? focused ?? cell, to: cell }));
    },
    /** @returns whether the key was one of the range's */
    key: (
      event: { key: string; shiftKey: boolean },
      focused: CellAt,
      rows: readonly { id: string }[],
      fields: readonly string[],
    ): boolean => {
      const step = STEPS[event.key];
      if (!step) return false;
      if (!event.shiftKey) {
        setRange(undefined);
        return false;
      }
      setRange((now) => ({ from: now?.from ?? focused, to: beside(now?.to ?? focused, step, rows, fields) }));
      return true;
    },
  };
}
