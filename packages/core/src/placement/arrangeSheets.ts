import type { Rect } from '../geometry';
import { overlaps } from '../geometry';
import { freeCells, occupied } from './moduleCells';
import type { ModuleCells } from './moduleCells';
import type { ModuleGrid } from './moduleGrid';
import { moduleRect, modulesFor } from './moduleGrid';
import { moduleName } from './moduleNames';
import { paperSizeIn, placeViews, standingIn, takenBy } from './placeViews';
import type { View } from './view';
import { unmoved } from './view';

/** Most views that are arranged at once. */
export const MOST_ARRANGED = 1000;

/** What an arrangement is to be like. */
export const WAYS_TO_ARRANGE = ['in-order', 'fewest', 'by-group'] as const;
export type WayToArrange = (typeof WAYS_TO_ARRANGE)[number];

/** A sheet that views may stand on. */
export interface SheetToFill {
  id: string;
  grid: ModuleGrid;
  /** Views that stay where they stand. */
  fixed: readonly View[];
}

/** A view for an arrangement; those of one group belong together. */
export interface ViewToArrange {
  view: View;
  group: string;
}

export interface ArrangedSheet {
  /** The sheet, or null for one that is added. */
  id: string | null;
  grid: ModuleGrid;
  /** Those that were placed, in reading order; fixed ones are not among them. */
  views: View[];
}

export interface Arrangement {
  /** Sheets that got views. */
  sheets: ArrangedSheet[];
  /** Views that no sheet holds. */
  left: View[];
}

/** A view with the modules it takes up; those differ where sheets have different grids. */
interface Piece extends ViewToArrange {
  index: number;
  spanIn: (grid: ModuleGrid) => { columnSpan: number; rowSpan: number };
  area: number;
  width: number;
  height: number;
}

interface OpenSheet {
  id: string | null;
  grid: ModuleGrid;
  /** Modules that are taken by views or that panels reach into, and those that are taken by views alone. */
  cells: ModuleCells;
  held: ModuleCells;
  pieces: Map<Piece, { column: number; row: number }>;
}

const piecesOf = (views: readonly ViewToArrange[], grid: ModuleGrid): Piece[] =>
  views.map(({ view, group }, index) => {
    const spans = new Map<ModuleGrid, { columnSpan: number; rowSpan: number }>();
    const spanIn = (of: ModuleGrid): { columnSpan: number; rowSpan: number } => {
      const known = spans.get(of) ?? modulesFor(paperSizeIn(view, of), of);
      spans.set(of, known);
      return known;
    };
    const { columnSpan: width, rowSpan: height } = spanIn(grid);
    return { view, group, index, spanIn, width, height, area: width * height };
  });

function cellsOf({ grid, fixed }: Pick<SheetToFill, 'grid' | 'fixed'>): Pick<OpenSheet, 'cells' | 'held'> {
  const views = placeViews(fixed, grid).placed.map(takenBy);
  const takenBySome = (taken: readonly Rect[]): ModuleCells =>
    occupied(grid, (column, row) => {
      const module = moduleRect(grid, column, row);
      return taken.some((each) => overlaps(module, each));
    });
  return { cells: takenBySome([...views, ...grid.claimed]), held: takenBySome(views) };
}

/** Stands a piece on a sheet where it is free first, as it is read from the upper left. */
function standOn(sheet: OpenSheet, piece: Piece): boolean {
  const { columnSpan, rowSpan } = piece.spanIn(sheet.grid);
  const { grid, cells, held } = sheet;
  const middle = unmoved(piece.view);
  // Where no modules are free as a whole, a panel may reach into some beside the view itself.
  const besidePanels = (column: number, row: number): boolean => {
    const stands = standingIn(middle, { column, row }, grid);
    return !grid.claimed.some((each) => overlaps(stands, each));
  };
  const at =
    freeCells(cells, columnSpan, rowSpan) ??
    (grid.claimed.length > 0 ? freeCells(held, columnSpan, rowSpan, besidePanels) : undefined);
  if (!at) return false;
  cells.take(at.column, at.row, columnSpan, rowSpan);
  held.take(at.column, at.row, columnSpan, rowSpan);
  sheet.pieces.set(piece, at);
  return true;
}

interface Ground {
  sheets: readonly SheetToFill[];
  /** The grid of sheets that may be added; none for none. */
  further: ModuleGrid | undefined;
}

/** Sheets in the order in which they are filled; further ones are opened as they are needed. */
class Opened {
  readonly sheets: OpenSheet[];
  private readonly empty: Pick<OpenSheet, 'cells' | 'held'> | undefined;

  constructor(private readonly ground: Ground) {
    this.sheets = ground.sheets.map((each) => ({
      id: each.id,
      grid: each.grid,
      ...cellsOf(each),
      pieces: new Map<Piece, { column: number; row: number }>(),
    }));
    this.empty = ground.further && cellsOf({ grid: ground.further, fixed: [] });
  }

  /** Opens a further sheet for a piece; false where it finds no room on an empty one. */
  open(piece: Piece): boolean {
    const { further } = this.ground;
    if (!further || !this.empty) return false;
    const { cells, held } = this.empty;
    const sheet: OpenSheet = { id: null, grid: further, cells: cells.copy(), held: held.copy(), pieces: new Map() };
    if (!standOn(sheet, piece)) return false;
    this.sheets.push(sheet);
    return true;
  }

  used(): OpenSheet[] {
    return this.sheets.filter(({ pieces }) => pieces.size > 0);
  }
}

interface Packed {
  sheets: OpenSheet[];
  left: Piece[];
}

/** Each view on the sheet of the one before it, or on one after that: what is read first stands first. */
function inOrder(pieces: readonly Piece[], ground: Ground, apart = false): Packed {
  const opened = new Opened(ground);
  const left: Piece[] = [];
  let current = 0;
  let group: string | undefined;
  for (const piece of pieces) {
    // A group begins on a sheet of its own.
    if (apart && group !== undefined && piece.group !== group)
      while ((opened.sheets[current]?.pieces.size ?? 0) > 0) current++;
    group = piece.group;
    let at = current;
    while (at < opened.sheets.length && !standOn(opened.sheets[at] as OpenSheet, piece)) at++;
    if (at < opened.sheets.length) current = at;
    else if (opened.open(piece)) current = opened.sheets.length - 1;
    else left.push(piece);
  }
  return { sheets: opened.used(), left };
}

/** Each view on the first sheet that holds it. */
function firstFit(pieces: readonly Piece[], ground: Ground): Packed {
  const opened = new Opened(ground);
  const left = pieces.filter((piece) => !opened.sheets.some((sheet) => standOn(sheet, piece)) && !opened.open(piece));
  return { sheets: opened.used(), left };
}

const ORDERS: readonly ((a: Piece, b: Piece) => number)[] = [
  (a, b) => b.area - a.area || b.height - a.height,
  (a, b) => b.height - a.height || b.width - a.width,
  (a, b) => b.width - a.width || b.height - a.height,
  (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height) || b.area - a.area,
  (a, b) => b.width + b.height - a.width - a.height || b.area - a.area,
];

/** Fewest sheets of several orders; what is left over counts before sheets. */
function fewest(pieces: readonly Piece[], ground: Ground): Packed {
  let best = inOrder(pieces, ground);
  const better = (one: Packed): boolean =>
    one.left.length < best.left.length ||
    (one.left.length === best.left.length && one.sheets.length < best.sheets.length);
  const modules = pieces.reduce((sum, { area }) => sum + area, 0);
  const room = ground.further ? ground.further.columns * ground.further.rows : 0;
  const least = room > 0 && ground.sheets.length === 0 ? Math.ceil(modules / room) : 1;
  // Nothing is better than as many sheets as the modules alone ask for.
  const perfect = (): boolean => best.left.length === 0 && best.sheets.length <= least;
  for (const order of ORDERS) {
    if (perfect()) return best;
    const one = firstFit(
      [...pieces].sort((a, b) => order(a, b) || a.index - b.index),
      ground,
    );
    if (better(one)) best = one;
  }
  return best;
}

/** The views of a sheet as they are read, where they all find room that way; else as they were packed. */
function calm(sheet: OpenSheet, fixed: readonly View[]): OpenSheet {
  const again: OpenSheet = { ...sheet, ...cellsOf({ grid: sheet.grid, fixed }), pieces: new Map() };
  const order = [...sheet.pieces.keys()].sort((a, b) => a.index - b.index);
  return order.every((piece) => standOn(again, piece)) ? again : sheet;
}

/**
 * Stands views on sheets, clear of panels, reserved modules, fixed views and each other. Scales stay.
 * @param further the grid of sheets that may be added after those that there are
 */
export function arrangeOverSheets(
  views: readonly ViewToArrange[],
  sheets: readonly SheetToFill[],
  further: ModuleGrid | undefined,
  way: WayToArrange,
): Arrangement {
  const grid = further ?? sheets[0]?.grid;
  if (!grid) return { sheets: [], left: views.map(({ view }) => view) };
  const pieces = piecesOf(views.slice(0, MOST_ARRANGED), grid);
  const ground: Ground = { sheets, further };
  const byGroup = (): Piece[] => {
    const groups = [...new Set(pieces.map(({ group }) => group))];
    return [...pieces].sort((a, b) => groups.indexOf(a.group) - groups.indexOf(b.group) || a.index - b.index);
  };
  const packed =
    way === 'fewest'
      ? fewest(pieces, ground)
      : way === 'in-order'
        ? inOrder(pieces, ground)
        : inOrder(byGroup(), ground, true);
  const fixedOf = new Map(sheets.map(({ id, fixed }) => [id, fixed]));
  return {
    sheets: packed.sheets.map((each) => {
      const sheet = way === 'fewest' ? calm(each, each.id === null ? [] : (fixedOf.get(each.id) ?? [])) : each;
      const placed = [...sheet.pieces].sort(([a], [b]) => a.index - b.index);
      return {
        id: sheet.id,
        grid: sheet.grid,
        views: placed.map(([{ view }, { column, row }]) => ({ ...unmoved(view), module: moduleName(column, row) })),
      };
    }),
    left: [...packed.left.map(({ view }) => view), ...views.slice(MOST_ARRANGED).map(({ view }) => view)],
  };
}
