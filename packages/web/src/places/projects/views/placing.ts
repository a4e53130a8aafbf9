import type { ModuleGrid, PlacedView, Point, Rect, Typefaces, View, WorkingUnit } from '@mendrel/core';
import { moduleAt, moduleNear, movedTo, placeOver, standingIn, unmoved } from '@mendrel/core';
import type { ProjectSheet } from '../sheetDrawings';
import { solvedFrom } from '../drawnSheets';

/** A place where a view lies over one of another sheet, every point of the building where it is there. */
export interface PlaceOver {
  /** The view that it is for. */
  view: string;
  at: Point;
  /** The number of the other sheet. */
  number: string;
}

/** Sheets whose views others are laid over, the nearest before this one first. */
const MOST_OVER = 12;

/** Where views of a sheet lie over those of other sheets of its kind and size, the nearest before it first, each place once. */
export function placesOver(current: ProjectSheet, sheets: readonly ProjectSheet[], typefaces: Typefaces): PlaceOver[] {
  const { sheet } = current;
  const index = sheets.findIndex((each) => each.sheet.id === sheet.id);
  const away = (i: number): number => (i < index ? index - i : sheets.length + i);
  const others = sheets
    .map((each, i) => ({ each, away: away(i) }))
    .filter(
      ({ each }) => each.sheet.id !== sheet.id && each.sheet.kind === sheet.kind && each.sheet.size === sheet.size,
    )
    .filter(({ each }) => each.sheet.views.some(({ drawing, module }) => drawing && module !== null))
    .sort((a, b) => a.away - b.away)
    .slice(0, MOST_OVER)
    .map(({ each }) => ({ number: each.sheet.number, solved: solvedFrom(each, typefaces) }));
  const found: PlaceOver[] = [];
  for (const view of sheet.views) {
    for (const { number, solved } of others) {
      if ('problem' in solved) continue;
      for (const other of solved.placed) {
        const at = placeOver(view, other);
        const known = found.some(
          (each) => each.view === view.id && (each.number === number || (at && near(each.at, at, 0.01))),
        );
        if (at && !known) found.push({ view: view.id, at, number });
      }
    }
  }
  return found;
}

const near = (a: Point, b: Point, by: number): boolean => Math.abs(a.x - b.x) <= by && Math.abs(a.y - b.y) <= by;

/** A view where it would stand when it is let go. */
export interface Settled {
  view: View;
  rect: Rect;
  /** What it lies over. */
  over?: string;
}

/** Steps by which a view is nudged, in mm: one, and ten of them. */
export const nudgeOf = (unit: WorkingUnit): number => (unit === 'mm' ? 1 : 25.4 / 16);

/**
 * Where a view settles that is let go at a place: over a view of another sheet where that is near, at the very place where it is
 * moved freely, else in the middle of the nearest modules.
 * @param pull how near another place has to be, in mm
 */
export function settled(
  view: View,
  at: Rect,
  {
    grid,
    over,
    free,
    pull,
    step,
  }: { grid: ModuleGrid; over: readonly PlaceOver[]; free: boolean; pull: number; step: number },
): Settled {
  const place = over.find((each) => each.view === view.id && near(each.at, at, pull));
  if (place) return { view: movedTo(view, place.at, grid), rect: { ...at, ...place.at }, over: place.number };
  if (free) {
    const stepped = { x: Math.round(at.x / step) * step, y: Math.round(at.y / step) * step };
    return { view: movedTo(view, stepped, grid), rect: { ...at, ...stepped } };
  }
  const module = moduleNear(at, grid);
  const start = moduleAt(module, grid);
  const middle = { ...unmoved(view), module };
  return { view: middle, rect: start ? standingIn(middle, start, grid) : at };
}

/** A placed view moved on paper by so many mm. */
export const nudged = ({ view, x, y }: PlacedView, by: Point, grid: ModuleGrid): View =>
  movedTo(view, { x: x + by.x, y: y + by.y }, grid);
