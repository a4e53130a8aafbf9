import type { Modules } from '../design';
import { moduleCounts } from '../design';
import type { NamedRect, Rect } from '../geometry';
import { moduleLabel, moduleName } from './moduleNames';

/** A part of the drawing area that takes no views. */
export interface ClaimedRect extends NamedRect {
  /** It is no panel, which might be let take no room. */
  fixed?: true;
}

/** The equal modules into which a drawing area is divided. Lengths in mm. */
export interface ModuleGrid {
  /** What the modules stand in: the drawing area less the margin of the grid. */
  area: Rect;
  columns: number;
  rows: number;
  moduleWidth: number;
  moduleHeight: number;
  /** What is left free between two modules. */
  gutter: number;
  /** How far the title of a view reaches down from it; 0 where it is left out. */
  titleRoom?: number;
  naming?: NonNullable<Modules['naming']>;
  /** Modules that are reserved, by the names that they are kept by. */
  reserved: readonly string[];
  /** Parts of the area that take no views: where panels in its corners stand, reserved modules, edges that are not printed. */
  claimed: readonly ClaimedRect[];
}

/** Of a length that gutters or margins may take, so that modules are left. */
const MOST_FREE = 0.5;

/**
 * The module grid of a drawing area. Gutters and margins that would leave no modules are narrower.
 * @param claimed parts that take no views besides reserved modules
 * @param size of the sheet, which may have a count of its own
 */
export function moduleGrid(
  whole: Rect,
  modules: Modules,
  claimed: readonly ClaimedRect[] = [],
  size?: string,
): ModuleGrid {
  const margin = Math.min(modules.margin ?? 0, (MOST_FREE / 2) * Math.min(whole.width, whole.height));
  const area = {
    x: whole.x + margin,
    y: whole.y + margin,
    width: whole.width - 2 * margin,
    height: whole.height - 2 * margin,
  };
  const { columns, rows } = moduleCounts(modules, whole, size);
  const gutter = Math.min(
    modules.gutter ?? 0,
    (MOST_FREE * area.width) / Math.max(1, columns - 1),
    (MOST_FREE * area.height) / Math.max(1, rows - 1),
  );
  const grid: ModuleGrid = {
    area,
    columns,
    rows,
    moduleWidth: (area.width - (columns - 1) * gutter) / columns,
    moduleHeight: (area.height - (rows - 1) * gutter) / rows,
    gutter,
    ...(modules.naming ? { naming: modules.naming } : {}),
    reserved: [],
    claimed,
  };
  const called = new Set(modules.reserved);
  if (called.size === 0) return grid;
  const reserved = modulesOf(grid).filter(({ label }) => called.has(label));
  return {
    ...grid,
    reserved: reserved.map(({ name }) => name),
    claimed: [
      ...claimed,
      ...reserved.map(({ label, column, row }): ClaimedRect => ({
        ...moduleRect(grid, column, row),
        name: `the reserved module ${label}`,
        fixed: true,
      })),
    ],
  };
}

/** The rectangle of a module or of a span of them, in mm. */
export function moduleRect(grid: ModuleGrid, column: number, row: number, columnSpan = 1, rowSpan = 1): Rect {
  const { area, moduleWidth, moduleHeight, gutter } = grid;
  return {
    x: area.x + column * (moduleWidth + gutter),
    y: area.y + row * (moduleHeight + gutter),
    width: columnSpan * (moduleWidth + gutter) - gutter,
    height: rowSpan * (moduleHeight + gutter) - gutter,
  };
}

/** How many modules a size on paper takes up; a hair over a module does not claim the next one. */
export function modulesFor(
  size: { width: number; height: number },
  { moduleWidth, moduleHeight, gutter }: ModuleGrid,
): { columnSpan: number; rowSpan: number } {
  const spanned = (length: number, module: number): number =>
    Math.max(1, Math.ceil((length + gutter) / (module + gutter) - 1e-6));
  return { columnSpan: spanned(size.width, moduleWidth), rowSpan: spanned(size.height, moduleHeight) };
}

/**
 * The module that a view starts in when it is let go at a place: the one whose span has its middle nearest to that of the view,
 * within the grid.
 */
export function moduleNear(rect: Rect, grid: ModuleGrid): string {
  const span = modulesFor(rect, grid);
  const { area, moduleWidth, moduleHeight, columns, rows, gutter } = grid;
  const nearest = (middle: number, start: number, module: number, count: number, spans: number): number => {
    const from = (middle - start + gutter / 2) / (module + gutter) - spans / 2;
    return Math.max(0, Math.min(Math.max(0, count - spans), Math.round(from)));
  };
  return moduleName(
    nearest(rect.x + rect.width / 2, area.x, moduleWidth, columns, span.columnSpan),
    nearest(rect.y + rect.height / 2, area.y, moduleHeight, rows, span.rowSpan),
  );
}

/** The module under a point of the paper, with the gutter above and to the right of it; undefined outside the grid. */
export function modulePicked(
  point: { x: number; y: number },
  { area, moduleWidth, moduleHeight, columns, rows, gutter }: ModuleGrid,
): { column: number; row: number } | undefined {
  const column = Math.floor((point.x - area.x) / (moduleWidth + gutter));
  const row = Math.floor((point.y - area.y) / (moduleHeight + gutter));
  return column >= 0 && row >= 0 && column < columns && row < rows ? { column, row } : undefined;
}

/** All modules from the lower left: the name that each is kept by, and what the office calls it. */
export function modulesOf(grid: ModuleGrid): { name: string; label: string; column: number; row: number }[] {
  return Array.from({ length: grid.columns * grid.rows }, (_, i) => {
    const [column, row] = [i % grid.columns, Math.floor(i / grid.columns)];
    return { name: moduleName(column, row), label: moduleLabel(column, row, grid), column, row };
  });
}
