import { useState } from 'react';
import type { CellAt, CellRange } from './cellRange';
import { beside } from './cellRange';

/** How far the end of a range goes with a key, in rows and columns; with Ctrl as far as there are any. */
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
};
/** The same for keys that go as far without it, in pages of rows. */
const FAR_STEPS: Readonly<Record<string, readonly [number, number]>> = {
  PageDown: [1, 0],
  PageUp: [-1, 0],
  End: [0, Infinity],
  Home: [0, -Infinity],
};

interface RangeKey {
  key: string;
  shiftKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
}

/** What a key moves the end of a range by; undefined for keys that do not move it. */
function stepOf({ key, ctrlKey, metaKey }: RangeKey, page: number): readonly [number, number] | undefined {
  const command = ctrlKey || metaKey;
  const step = STEPS[key];
  if (step) return command ? [times(step[0], Infinity), times(step[1], Infinity)] : step;
  const far = FAR_STEPS[key];
  if (!far) return undefined;
  // The first or the last cell of all.
  if (command && far[1] !== 0) return [far[1], far[1]];
  return [times(far[0], page), far[1]];
}

/** Nothing as often as one likes is nothing. */
const times = (step: number, count: number): number => (step === 0 ? 0 : step * count);

/** Cells that are chosen together, by Shift and a click or Shift and the keys that move from cell to cell. */
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
    /** @param page rows that are seen at once @returns where the range goes to now; undefined where the key was none of its own */
    key: (
      event: RangeKey,
      focused: CellAt,
      rows: readonly { id: string }[],
      fields: readonly string[],
      page: number,
    ): CellAt | undefined => {
      const step = stepOf(event, page);
      if (!step) return undefined;
      if (!event.shiftKey) {
        setRange(undefined);
        return undefined;
      }
      const to = beside(range?.to ?? focused, step, rows, fields);
      setRange({ from: range?.from ?? focused, to });
      return to;
    },
  };
}
