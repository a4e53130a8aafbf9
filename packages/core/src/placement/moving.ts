import type { Point, Rect } from '../geometry';
import { overlaps, right, top } from '../geometry';
import { parseScale } from '../quantity';
import type { ModuleGrid } from './moduleGrid';
import { moduleNear } from './moduleGrid';
import { moduleAt } from './moduleNames';
import type { PlacedView } from './placeViews';
import { paperSizeIn, standingIn } from './placeViews';
import type { View } from './view';
import { unmoved } from './view';

/** Off the middle of its modules by less, a view stands in it; in mm. */
const LEAST_SHIFT = 0.005;
/** Off by more a view would not be kept; in mm. */
const MOST_SHIFT = 5000;

const rounded = (mm: number): number => Math.max(-MOST_SHIFT, Math.min(MOST_SHIFT, Math.round(mm * 1000) / 1000));

/** A view with its lower left corner at a place on paper: in the module that is nearest, moved off its middle as far as is needed. */
export function movedTo(view: View, at: Point, grid: ModuleGrid): View {
  const middle = unmoved(view);
  const module = moduleNear({ ...at, ...paperSizeIn(view, grid) }, grid);
  const start = moduleAt(module, grid);
  if (!start) return view;
  const stands = standingIn(middle, start, grid);
  const shift = { x: rounded(at.x - stands.x), y: rounded(at.y - stands.y) };
  const off = Math.abs(shift.x) >= LEAST_SHIFT || Math.abs(shift.y) >= LEAST_SHIFT;
  return { ...middle, module, ...(off ? { shift } : {}) };
}

/** What of the building a view shows, in mm of the building. */
const windowOf = ({ drawing, realWidth, realHeight }: View): Rect | undefined =>
  drawing && { x: drawing.x * drawing.unit, y: drawing.y * drawing.unit, width: realWidth, height: realHeight };

/**
 * Where a view stands with its lower left corner when every point of the building lies where another view of the same scale has it:
 * plans of all floors lie over each other then. Undefined where the two have nothing in common.
 */
export function placeOver(view: View, other: PlacedView): Point | undefined {
  const [own, its] = [windowOf(view), windowOf(other.view)];
  if (!own || !its || view.scale === null || other.view.scale === null || !overlaps(own, its)) return undefined;
  const { denominator } = parseScale(view.scale);
  if (Math.abs(parseScale(other.view.scale).denominator / denominator - 1) > 1e-9) return undefined;
  return { x: other.x + (own.x - its.x) / denominator, y: other.y + (own.y - its.y) / denominator };
}

/** What views can be lined up by. */
export const ALIGNMENTS = ['left', 'centre', 'right', 'top', 'middle', 'bottom'] as const;
export type Alignment = (typeof ALIGNMENTS)[number];

/** Where a view stands that is lined up with another. */
const LINED_UP: Readonly<Record<Alignment, (one: Rect, by: Rect) => Point>> = {
  left: (one, by) => ({ x: by.x, y: one.y }),
  centre: (one, by) => ({ x: by.x + (by.width - one.width) / 2, y: one.y }),
  right: (one, by) => ({ x: right(by) - one.width, y: one.y }),
  top: (one, by) => ({ x: one.x, y: top(by) - one.height }),
  middle: (one, by) => ({ x: one.x, y: by.y + (by.height - one.height) / 2 }),
  bottom: (one, by) => ({ x: one.x, y: by.y }),
};

/** Views lined up with the first of them. */
export const alignedViews = ([first, ...rest]: readonly PlacedView[], by: Alignment, grid: ModuleGrid): View[] =>
  first ? [first.view, ...rest.map((each) => movedTo(each.view, LINED_UP[by](each, first), grid))] : [];

/** Views with equal room between them, across or up the sheet; the outermost stay. */
export function distributedViews(views: readonly PlacedView[], way: 'across' | 'up', grid: ModuleGrid): View[] {
  const [at, size] = way === 'across' ? (['x', 'width'] as const) : (['y', 'height'] as const);
  const order = [...views].sort((a, b) => a[at] + a[size] / 2 - b[at] - b[size] / 2);
  const [first, last] = [order[0], order.at(-1)];
  if (!first || !last || order.length < 3) return views.map(({ view }) => view);
  const taken = order.reduce((sum, each) => sum + each[size], 0);
  const gap = (last[at] + last[size] - first[at] - taken) / (order.length - 1);
  let next = first[at];
  return order.map((each, i) => {
    const place = { x: each.x, y: each.y, [at]: next };
    next += each[size] + gap;
    return i === 0 || i === order.length - 1 ? each.view : movedTo(each.view, place, grid);
  });
}
