import type { Finding } from '../check';
import type { Rect } from '../geometry';
import { around, overlaps, right, top } from '../geometry';
import type { WorkingUnit } from '../quantity';
import { amountInWords, parseScale } from '../quantity';
import type { ModuleGrid } from './moduleGrid';
import { moduleRect, modulesFor } from './moduleGrid';
import { moduleAt, moduleLabel } from './moduleNames';
import type { View } from './view';
import { paperSize } from './view';

/** A view where it stands on the sheet. */
export interface PlacedView extends Rect {
  view: View;
  /** The module it starts in, as it is kept. */
  module: string;
  /** What it is called on the sheet. */
  number: string;
  columnSpan: number;
  rowSpan: number;
  /** The modules it takes up. */
  modules: Rect;
  /** What of it is drawn larger elsewhere. */
  parts?: readonly PartMark[];
}

/** A part of what a view shows that is drawn larger elsewhere. */
export interface PartMark {
  /** Its outline as x, y, x, y …, in units of the drawing. */
  ring: readonly number[];
  /** Its number there, with that of its sheet where it is another one. */
  words: string;
}

/** The size of a view on paper: at its scale, or filling one module when it has none. */
export function paperSizeIn(view: View, grid: ModuleGrid): { width: number; height: number } {
  if (view.scale !== null) return paperSize(view, parseScale(view.scale));
  const factor = Math.min(grid.moduleWidth / view.realWidth, grid.moduleHeight / view.realHeight);
  return { width: view.realWidth * factor, height: view.realHeight * factor };
}

/**
 * Where a view stands that starts in a module: in the middle of the modules it takes up, or so far off it as it was moved. Where its
 * title has no room under it that way, it stands higher, as far as there is room above.
 */
export function standingIn(
  view: View,
  start: { column: number; row: number },
  grid: ModuleGrid,
): Omit<PlacedView, 'view' | 'module' | 'number'> {
  const size = paperSizeIn(view, grid);
  const span = modulesFor(size, grid);
  const modules = moduleRect(grid, start.column, start.row, span.columnSpan, span.rowSpan);
  const free = modules.height - size.height;
  // One that shows nothing yet has its title within.
  const titled = view.drawing ? (grid.titleRoom ?? 0) : 0;
  return {
    x: modules.x + (modules.width - size.width) / 2 + (view.shift?.x ?? 0),
    y: modules.y + Math.max(free / 2, Math.min(free, titled)) + (view.shift?.y ?? 0),
    ...size,
    ...span,
    modules,
  };
}

/** What a view keeps others from: its modules, and itself where it was moved out of them. */
export const takenBy = (placed: PlacedView): Rect =>
  placed.view.shift ? (around([placed, placed.modules]) ?? placed.modules) : placed.modules;

/** Views that are numbered as they are read, from the upper left, rather than by their modules. */
function numberedAsRead(placed: PlacedView[]): PlacedView[] {
  const order = [...placed].sort(
    (a, b) => top(b.modules) - top(a.modules) || a.modules.x - b.modules.x || right(a) - right(b),
  );
  return placed.map((each) => ({ ...each, number: String(order.indexOf(each) + 1) }));
}

/**
 * Stands views into their modules: a view starts at its lower-left module and is centred in the modules it takes up, unless it was
 * moved from there. Reports views that reach out of the drawing area, into a panel or into each other.
 * @param unit in which it is told how far
 * @param numbers by which module they start in, or running as they are read from the upper left
 */
export function placeViews(
  views: readonly View[],
  grid: ModuleGrid,
  unit: WorkingUnit = 'mm',
  numbers: 'module' | 'running' = 'module',
): { placed: PlacedView[]; findings: Finding[] } {
  const placed: PlacedView[] = [];
  const findings: Finding[] = [];
  for (const view of views) {
    if (view.module === null) continue;
    const error = (message: string, mend: string, by?: number): void =>
      void findings.push({
        kind: 'view',
        weight: 'error',
        message: `${view.name} ${message}`,
        where: { view: view.id },
        ...(by === undefined ? {} : { by }),
        mend,
      });
    const start = moduleAt(view.module, grid);
    if (!start) {
      const last = moduleLabel(grid.columns - 1, grid.rows - 1, grid);
      error(
        `stands in module ${view.module}, which this sheet does not have`,
        `move it to a module from ${moduleLabel(0, 0, grid)} to ${last}`,
      );
      continue;
    }
    const label = moduleLabel(start.column, start.row, grid);
    const one: PlacedView = { ...standingIn(view, start, grid), view, module: view.module, number: label };
    const outside = outsideOf(one, grid.area);
    if (outside > 0.01) {
      error(
        `reaches ${amountInWords(outside, unit)} out of the drawing area`,
        'start it in a module further in, or choose a smaller scale',
        outside,
      );
    }
    const below = view.drawing ? grid.area.y - one.y + (grid.titleRoom ?? 0) : 0;
    if (outside <= 0.01 && below > 0.01)
      findings.push({
        kind: 'view',
        weight: 'note',
        message: `the title of ${view.name} reaches ${amountInWords(below, unit)} out of the drawing area`,
        where: { view: view.id },
        by: below,
        mend: 'start it in a module further up, or choose a smaller scale',
      });
    const claimed = grid.claimed.find((each) => overlaps(one, each));
    if (claimed) {
      error(
        `runs into ${claimed.name}`,
        claimed.fixed
          ? 'move it to other modules, or choose a smaller scale'
          : `move it to other modules, choose a smaller scale, or let ${claimed.name} take no room from views`,
      );
    }
    const other = placed.find((each) => overlaps(one, each));
    if (other) error(`runs into ${other.view.name}`, 'move one of the two to other modules, or choose a smaller scale');
    const same = numbers === 'module' ? placed.find((each) => each.number === label) : undefined;
    if (same && same !== other)
      error(`is numbered ${label}, as ${same.view.name} is`, 'start one of the two in another module');
    placed.push(one);
  }
  findings.push(...titlesOverViews(placed, grid, unit));
  return { placed: numbers === 'running' ? numberedAsRead(placed) : placed, findings };
}

/** Titles that reach into a view below: one fills its modules, and the other stands as high as the next ones. */
function titlesOverViews(placed: readonly PlacedView[], { titleRoom = 0 }: ModuleGrid, unit: WorkingUnit): Finding[] {
  if (titleRoom === 0) return [];
  return placed.flatMap((one): Finding[] => {
    if (!one.view.drawing) return [];
    const title = { x: one.x, y: one.y - titleRoom, width: one.width, height: titleRoom };
    const under = placed.find((each) => each !== one && top(each) <= one.y && overlaps(title, each));
    if (!under) return [];
    const by = top(under) - title.y;
    return [
      {
        kind: 'view',
        weight: 'note',
        message: `the title of ${one.view.name} reaches ${amountInWords(by, unit)} into ${under.view.name}`,
        where: { view: one.view.id },
        by,
        mend: `start ${under.view.name} in a module further down, or choose a smaller scale for one of the two`,
      },
    ];
  });
}

/** How far a view reaches out of the drawing area, on the side where it is worst; its modules count where it was not moved. */
function outsideOf(one: PlacedView, area: Rect): number {
  const { modules } = one;
  const itself = Math.max(right(one) - right(area), top(one) - top(area), area.x - one.x, area.y - one.y);
  return one.view.shift ? itself : Math.max(right(modules) - right(area), top(modules) - top(area));
}
