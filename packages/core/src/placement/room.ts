import type { Rect } from '../geometry';
import { overlaps } from '../geometry';
import type { Scale, WorkingUnit } from '../quantity';
import { amountInWords } from '../quantity';
import type { ModuleGrid } from './moduleGrid';
import { moduleRect, modulesFor } from './moduleGrid';
import { moduleName } from './moduleNames';
import { paperSizeIn, placeViews, standingIn, takenBy } from './placeViews';
import type { View } from './view';
import { paperSize, unmoved } from './view';

/** What a view would be at a scale: its size on paper, the modules it takes up and whether an empty sheet has room for it. */
export interface ScaleChoice {
  scale: Scale;
  width: number;
  height: number;
  columnSpan: number;
  rowSpan: number;
  fits: boolean;
  /** Whether its modules hold the title under it as well. */
  titled: boolean;
}

/** By what a title may reach out of its modules, in mm: less is not seen. */
const TITLE_TOLERANCE = 0.01;

/** A view at each scale of the office's list. */
export function scaleChoices(
  view: Pick<View, 'realWidth' | 'realHeight'>,
  scales: readonly Scale[],
  grid: ModuleGrid,
): ScaleChoice[] {
  return scales.map((scale) => {
    const size = paperSize(view, scale);
    const span = modulesFor(size, grid);
    const at = { ...view, id: '', name: '', scale: scale.words, module: null };
    const { height } = moduleRect(grid, 0, 0, span.columnSpan, span.rowSpan);
    const titled = size.height + (grid.titleRoom ?? 0) <= height + TITLE_TOLERANCE;
    return { scale, ...size, ...span, fits: clearStart(at, [], grid) !== undefined, titled };
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

/** The first module in reading order from the upper left for which something holds. */
function firstStart(
  grid: ModuleGrid,
  { columnSpan, rowSpan }: { columnSpan: number; rowSpan: number },
  holds: (column: number, row: number) => boolean,
): { column: number; row: number } | undefined {
  for (let row = grid.rows - rowSpan; row >= 0; row--)
    for (let column = 0; column + columnSpan <= grid.columns; column++) if (holds(column, row)) return { column, row };
  return undefined;
}

/**
 * Where a view stands clear of what is taken and of panels: in modules that are free as a whole, or where there are none, in such
 * that a panel reaches into beside the view itself.
 */
function clearStart(view: View, taken: readonly Rect[], grid: ModuleGrid): { column: number; row: number } | undefined {
  const middle = unmoved(view);
  const span = modulesFor(paperSizeIn(view, grid), grid);
  const isClear = (rect: Rect, of: readonly Rect[]): boolean => !of.some((each) => overlaps(rect, each));
  const modulesAt = (column: number, row: number): Rect => moduleRect(grid, column, row, span.columnSpan, span.rowSpan);
  const whole = firstStart(
    grid,
    span,
    (column, row) => isClear(modulesAt(column, row), taken) && isClear(modulesAt(column, row), grid.claimed),
  );
  return (
    whole ??
    firstStart(
      grid,
      span,
      (column, row) =>
        isClear(modulesAt(column, row), taken) && isClear(standingIn(middle, { column, row }, grid), grid.claimed),
    )
  );
}

/** The first module, from the upper left in reading order, in which a view stands clear of everything; undefined for none. */
export function freeModule(view: View, others: readonly View[], grid: ModuleGrid): string | undefined {
  const { placed } = placeViews(
    others.filter((each) => each.id !== view.id),
    grid,
  );
  const start = clearStart(view, placed.map(takenBy), grid);
  return start && moduleName(start.column, start.row);
}
