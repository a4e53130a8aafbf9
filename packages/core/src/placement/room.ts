import { overlaps } from '../geometry';
import type { Scale, WorkingUnit } from '../quantity';
import { amountInWords } from '../quantity';
import type { ModuleGrid } from './moduleGrid';
import { moduleRect, modulesFor } from './moduleGrid';
import { moduleName } from './moduleNames';
import { paperSizeIn, placeViews, takenBy } from './placeViews';
import type { View } from './view';
import { paperSize } from './view';

/** What a view would be at a scale: its size on paper, the modules it takes up and whether the drawing area holds it. */
export interface ScaleChoice {
  scale: Scale;
  width: number;
  height: number;
  columnSpan: number;
  rowSpan: number;
  fits: boolean;
}

/** A view at each scale of the office's list. */
export function scaleChoices(
  view: Pick<View, 'realWidth' | 'realHeight'>,
  scales: readonly Scale[],
  grid: ModuleGrid,
): ScaleChoice[] {
  return scales.map((scale) => {
    const size = paperSize(view, scale);
    const span = modulesFor(size, grid);
    return { scale, ...size, ...span, fits: span.columnSpan <= grid.columns && span.rowSpan <= grid.rows };
  });
}

/**
 * Why no module holds a view, in words that name what is in the way: it is larger than the drawing area, or panels and
 * other views leave no stretch of free modules that is large enough.
 */
export function whyNoRoom(view: View, others: readonly View[], grid: ModuleGrid, unit: WorkingUnit): string {
  const size = paperSizeIn(view, grid);
  const span = modulesFor(size, grid);
  const words = (amount: number): string => amountInWords(amount, unit);
  const needs = `${view.name} is ${words(size.width)} by ${words(size.height)} at ${view.scale ?? 'this size'}`;
  if (span.columnSpan > grid.columns || span.rowSpan > grid.rows) {
    return `${needs}; the drawing area has ${words(grid.area.width)} by ${words(grid.area.height)}`;
  }
  const views = others.filter((each) => each.id !== view.id && each.module !== null).map((each) => each.name);
  const names = [...new Set([...grid.claimed.map((each) => each.name), ...views])];
  const shown = names.slice(0, 3).join(', ') + (names.length > 3 ? ` and ${names.length - 3} more` : '');
  return `${needs} and needs ${span.columnSpan} by ${span.rowSpan} free modules; in the way: ${shown}`;
}

/** The first module, from the upper left in reading order, in which a view stands clear of everything; undefined for none. */
export function freeModule(view: View, others: readonly View[], grid: ModuleGrid): string | undefined {
  const { placed } = placeViews(
    others.filter((each) => each.id !== view.id),
    grid,
  );
  const taken = placed.map(takenBy);
  const span = modulesFor(paperSizeIn(view, grid), grid);
  for (let row = grid.rows - span.rowSpan; row >= 0; row--) {
    for (let column = 0; column + span.columnSpan <= grid.columns; column++) {
      const rect = moduleRect(grid, column, row, span.columnSpan, span.rowSpan);
      const clear = ![...taken, ...grid.claimed].some((each) => overlaps(rect, each));
      if (clear) return moduleName(column, row);
    }
  }
  return undefined;
}
