import type { Finding } from '../check';
import type { NamedRect, Rect } from '../geometry';
import { overlaps } from '../geometry';
import type { Scale, WorkingUnit } from '../quantity';
import { amountInWords, parseScale } from '../quantity';
import type { View } from './view';
import { paperSize } from './view';

/** The equal modules into which a drawing area is divided. */
export interface ModuleGrid {
  area: Rect;
  columns: number;
  rows: number;
  moduleWidth: number;
  moduleHeight: number;
  /** Parts of the area that panels in its corners stand in. */
  claimed: readonly NamedRect[];
}

export function moduleGrid(
  area: Rect,
  modules: { columns: number; rows: number },
  claimed: readonly NamedRect[] = [],
): ModuleGrid {
  return {
    area,
    ...modules,
    moduleWidth: area.width / modules.columns,
    moduleHeight: area.height / modules.rows,
    claimed,
  };
}

/** Row letters from the bottom: A … Z, AA … */
export function rowLetter(row: number): string {
  const letter = String.fromCharCode(65 + (row % 26));
  return row < 26 ? letter : rowLetter(Math.floor(row / 26) - 1) + letter;
}

/** The name of a module: row letter from the bottom, column number from the left (US National CAD Standard, from memory). */
export const moduleName = (column: number, row: number): string => `${rowLetter(row)}${column + 1}`;

/** Column and row of a module's name, counted from 0; undefined for one that is not in the grid. */
export function moduleAt(name: string, grid: ModuleGrid): { column: number; row: number } | undefined {
  const match = /^([A-Z]{1,2})(\d{1,2})$/.exec(name);
  if (!match) return undefined;
  let row = 0;
  for (const letter of match[1] ?? '') row = row * 26 + letter.charCodeAt(0) - 64;
  const column = Number(match[2]) - 1;
  row -= 1;
  return column >= 0 && column < grid.columns && row < grid.rows ? { column, row } : undefined;
}

/** The rectangle of a module or of a span of them, in mm. */
export function moduleRect(grid: ModuleGrid, column: number, row: number, columnSpan = 1, rowSpan = 1): Rect {
  return {
    x: grid.area.x + column * grid.moduleWidth,
    y: grid.area.y + row * grid.moduleHeight,
    width: columnSpan * grid.moduleWidth,
    height: rowSpan * grid.moduleHeight,
  };
}

/** A view where it stands on the sheet. */
export interface PlacedView extends Rect {
  view: View;
  module: string;
  columnSpan: number;
  rowSpan: number;
  /** The modules it takes up. */
  modules: Rect;
}

/** How many modules a size on paper takes up; a hair over a module does not claim the next one. */
export function modulesFor(
  size: { width: number; height: number },
  grid: ModuleGrid,
): { columnSpan: number; rowSpan: number } {
  return {
    columnSpan: Math.max(1, Math.ceil(size.width / grid.moduleWidth - 1e-6)),
    rowSpan: Math.max(1, Math.ceil(size.height / grid.moduleHeight - 1e-6)),
  };
}

/** The size of a view on paper: at its scale, or filling one module when it has none. */
export function paperSizeIn(view: View, grid: ModuleGrid): { width: number; height: number } {
  if (view.scale !== null) return paperSize(view, parseScale(view.scale));
  const factor = Math.min(grid.moduleWidth / view.realWidth, grid.moduleHeight / view.realHeight);
  return { width: view.realWidth * factor, height: view.realHeight * factor };
}

/**
 * Stands views into their modules: a view starts at its lower-left module and is centred in the modules it takes up.
 * Reports views that reach out of the drawing area, into a panel or into each other.
 * @param unit in which it is told how far
 */
export function placeViews(
  views: readonly View[],
  grid: ModuleGrid,
  unit: WorkingUnit = 'mm',
): { placed: PlacedView[]; findings: Finding[] } {
  const placed: PlacedView[] = [];
  const findings: Finding[] = [];
  for (const view of views) {
    if (view.module === null) continue;
    const where = { view: view.id };
    const start = moduleAt(view.module, grid);
    if (!start) {
      findings.push({
        kind: 'view',
        weight: 'error',
        message: `${view.name} stands in module ${view.module}, which this sheet does not have`,
        where,
        mend: `move it to a module from A1 to ${moduleName(grid.columns - 1, grid.rows - 1)}`,
      });
      continue;
    }
    const size = paperSizeIn(view, grid);
    const span = modulesFor(size, grid);
    const modules = moduleRect(grid, start.column, start.row, span.columnSpan, span.rowSpan);
    const rect = {
      x: modules.x + (modules.width - size.width) / 2,
      y: modules.y + (modules.height - size.height) / 2,
      ...size,
    };
    const over = Math.max(
      modules.x + modules.width - grid.area.x - grid.area.width,
      modules.y + modules.height - grid.area.y - grid.area.height,
    );
    if (over > 0.01) {
      findings.push({
        kind: 'view',
        weight: 'error',
        message: `${view.name} reaches ${amountInWords(over, unit)} out of the drawing area`,
        where,
        by: over,
        mend: 'start it in a module further down or left, or choose a smaller scale',
      });
    }
    const panel = grid.claimed.find((claimed) => overlaps(rect, claimed));
    if (panel) {
      findings.push({
        kind: 'view',
        weight: 'error',
        message: `${view.name} runs into ${panel.name}`,
        where,
        mend: `move it to other modules, choose a smaller scale, or let ${panel.name} take no room from views`,
      });
    }
    const other = placed.find((each) => overlaps(rect, each));
    if (other) {
      findings.push({
        kind: 'view',
        weight: 'error',
        message: `${view.name} runs into ${other.view.name}`,
        where,
        mend: 'move one of the two to other modules, or choose a smaller scale',
      });
    }
    placed.push({ ...rect, view, module: view.module, ...span, modules });
  }
  return { placed, findings };
}

/**
 * The module that a view starts in when it is let go at a place: the one whose span has its middle nearest to that of the view,
 * within the grid.
 */
export function moduleNear(rect: Rect, grid: ModuleGrid): string {
  const span = modulesFor(rect, grid);
  const nearest = (middle: number, start: number, size: number, count: number, spans: number): number =>
    Math.max(0, Math.min(Math.max(0, count - spans), Math.round((middle - start) / size - spans / 2)));
  const { area, moduleWidth, moduleHeight, columns, rows } = grid;
  return moduleName(
    nearest(rect.x + rect.width / 2, area.x, moduleWidth, columns, span.columnSpan),
    nearest(rect.y + rect.height / 2, area.y, moduleHeight, rows, span.rowSpan),
  );
}

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
  const span = modulesFor(paperSizeIn(view, grid), grid);
  for (let row = grid.rows - span.rowSpan; row >= 0; row--) {
    for (let column = 0; column + span.columnSpan <= grid.columns; column++) {
      const rect = moduleRect(grid, column, row, span.columnSpan, span.rowSpan);
      const taken =
        placed.some((each) => overlaps(rect, each.modules)) || grid.claimed.some((each) => overlaps(rect, each));
      if (!taken) return moduleName(column, row);
    }
  }
  return undefined;
}
