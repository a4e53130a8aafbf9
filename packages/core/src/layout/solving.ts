import type { Cell } from '../design';
import type { TextSetting } from './content';
import { shownContents } from './content';
import type { Measures } from './measures';
import type { SheetLayout } from './sheetLayout';

/** One solution on its way: what it is computed from, what has been found out, and the layout it becomes. */
export interface Solving {
  measures: Measures;
  setting: TextSetting;
  layout: SheetLayout;
  /** Whether cells are there, as far as it was asked. */
  shown: Map<string, boolean>;
  /** Room that cells ask for, in mm, by cell, axis and width: nested `fit` tracks would ask again and again. */
  natural: Map<string, number>;
}

/** Whether a cell is there: its own condition holds, and when it is divided at least one of its cells is there. */
export function isShown(cell: Cell, solving: Solving): boolean {
  const known = solving.shown.get(cell.id);
  if (known !== undefined) return known;
  const { measures } = solving;
  const holds = cell.when === undefined || measures.holds(cell.when, () => `${cell.id}.when`);
  const shown = holds && (!cell.division || cell.division.children.some((child) => isShown(child.cell, solving)));
  solving.shown.set(cell.id, shown);
  return shown;
}

/** Whether a cell has anything to show in it for these values. */
export const hasContents = (cell: Cell, { measures }: Solving): boolean => shownContents(cell, measures).length > 0;
