import type { SheetSource, Typefaces } from '@mendrel/core';
import { sameSource } from '@mendrel/core';
import type { Sheet } from '@mendrel/contract';
import type { ProjectSheet, SheetResult } from './sheetDrawings';

interface Kept {
  source: SheetSource;
  typefaces: Typefaces;
  result: SheetResult;
}

/** What was drawn of each sheet last, as long as the sheet is held: one edit draws one sheet, not the whole register. */
export const drawnBefore = new WeakMap<Sheet, Kept>();

/** Whether a sheet was drawn as it is, so that showing it takes no time. */
export const isDrawn = ({ sheet, source }: ProjectSheet): boolean => {
  const before = drawnBefore.get(sheet);
  return before !== undefined && sameSource(before.source, source);
};
