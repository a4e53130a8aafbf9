import type {
  Arrangement,
  ModuleGrid,
  SheetsNeeded,
  SheetToFill,
  View,
  ViewToArrange,
  WayToArrange,
} from '@mendrel/core';
import { arrangeOverSheets, sheetsNeeded } from '@mendrel/core';

/** What is to be worked out of views and sheets, off the page's own thread. */
export type ArrangeTask =
  | {
      of: 'ways';
      views: readonly ViewToArrange[];
      sheets: readonly SheetToFill[];
      /** The grid of sheets that may be added; none for none. */
      further: ModuleGrid | undefined;
      ways: readonly WayToArrange[];
    }
  | {
      of: 'fits';
      views: readonly View[];
      /** An empty sheet of each size. */
      sizes: readonly { size: string; grid: ModuleGrid }[];
      scales: readonly string[];
    };

export interface ArrangeAnswer {
  ways: { way: WayToArrange; arrangement: Arrangement }[];
  fits: { size: string; needed: SheetsNeeded[] }[];
}

export function answerTo(task: ArrangeTask): ArrangeAnswer {
  if (task.of === 'fits') {
    const { views, sizes, scales } = task;
    return { ways: [], fits: sizes.map(({ size, grid }) => ({ size, needed: sheetsNeeded(views, grid, scales) })) };
  }
  const { views, sheets, further, ways } = task;
  return {
    ways: ways.map((way) => ({ way, arrangement: arrangeOverSheets(views, sheets, further, way) })),
    fits: [],
  };
}
