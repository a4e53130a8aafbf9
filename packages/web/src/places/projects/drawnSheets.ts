import type { Sheet } from '@mendrel/contract';
import type { SheetSource, SolvedSheet, Typefaces, UndrawnSheet } from '@mendrel/core';
import { drawSheet, sameSource, solveSheet } from '@mendrel/core';
import { useTypefaces } from '../../app/typefaces';
import { drawnBefore } from './drawnBefore';
import type { ProjectSheet, SheetResult } from './sheetDrawings';

/** A sheet drawn from its source, or as it was drawn before where nothing of it changed. */
export function drawnFrom({ source, sheet }: ProjectSheet, typefaces: Typefaces): SheetResult {
  const before = drawnBefore.get(sheet);
  if (before && before.typefaces === typefaces && sameSource(before.source, source)) return before.result;
  const result: SheetResult = { ...drawSheet(source, typefaces), sheet };
  drawnBefore.set(sheet, { source, typefaces, result });
  return result;
}

type Solved = SolvedSheet | UndrawnSheet;

/** What was solved of each sheet last, without being drawn. */
const solvedBefore = new WeakMap<Sheet, { source: SheetSource; typefaces: Typefaces; result: Solved }>();

/** A sheet solved from its source, or as it was solved before: where its views stand, without what they show. */
export function solvedFrom({ source, sheet }: ProjectSheet, typefaces: Typefaces): Solved {
  const before = solvedBefore.get(sheet);
  if (before && before.typefaces === typefaces && sameSource(before.source, source)) return before.result;
  const result = solveSheet(source, typefaces);
  solvedBefore.set(sheet, { source, typefaces, result });
  return result;
}

/** A sheet, drawn when it is shown. */
export function useDrawn(sheet: ProjectSheet): SheetResult {
  // What was drawn is kept already; another hook after one that waits can be called as if it were there before.
  return drawnFrom(sheet, useTypefaces());
}
