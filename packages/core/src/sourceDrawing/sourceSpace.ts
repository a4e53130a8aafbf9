import type { Item } from '../drawing';
import { boundsOf } from '../drawing';
import type { Rect } from '../geometry';

/** Raised when what is written of a space takes another form; what is kept keeps the form that it was written in. */
export const SOURCE_VERSION = 1;

/**
 * The model, a page layout or a page of a drawing that views show, as it is kept: linework in the units of the drawing. Widths of
 * lines and lengths of dashes are millimetres of paper; a width of 0 is left to the office.
 */
export interface SourceSpace {
  version: number;
  /** What the linework takes up, in the units of the drawing. */
  box: Rect;
  items: Item[];
}

/** A layer of a space and how many pieces lie on it. */
export interface SourceLayer {
  name: string;
  items: number;
}

/** What is told of a space without reading it whole. */
export interface SourceSummary {
  box: Rect;
  layers: SourceLayer[];
  items: number;
  /** The lowest lettering, in the units of the drawing; left out where there is none. */
  leastText?: number;
}

/** Pieces at the ends of each direction that may stand far off, as a part of all; a stray point must not make a plan tiny. */
const STRAY = 0.002;
/** Pieces that lie further off than this many times the extent of all others are strays. */
const FAR = 5;

/** Where all pieces begin and end, across and up. */
class Spans {
  readonly left: Float64Array;
  readonly right: Float64Array;
  readonly lower: Float64Array;
  readonly upper: Float64Array;

  constructor(items: readonly Item[]) {
    this.left = new Float64Array(items.length);
    this.right = new Float64Array(items.length);
    this.lower = new Float64Array(items.length);
    this.upper = new Float64Array(items.length);
    items.forEach((item, i) => {
      const { x, y, width, height } = boundsOf(item);
      this.left[i] = x;
      this.right[i] = x + width;
      this.lower[i] = y;
      this.upper[i] = y + height;
    });
  }

  /** The box around those that hold; undefined where none does. */
  around(holds: (i: number) => boolean): Rect | undefined {
    let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
    for (let i = 0; i < this.left.length; i++) {
      if (!holds(i)) continue;
      x0 = Math.min(x0, this.left[i] ?? 0);
      y0 = Math.min(y0, this.lower[i] ?? 0);
      x1 = Math.max(x1, this.right[i] ?? 0);
      y1 = Math.max(y1, this.upper[i] ?? 0);
    }
    return x1 < x0 ? undefined : { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
  }
}

/** The box of all pieces but those few that somebody left far away. */
function boxOf(items: readonly Item[]): Rect | undefined {
  const spans = new Spans(items);
  const whole = spans.around(() => true);
  if (!whole || items.length < 1 / STRAY) return whole;
  const stray = Math.ceil(items.length * STRAY);
  const low = (places: Float64Array): number => places.toSorted()[stray] ?? 0;
  const high = (places: Float64Array): number => places.toSorted().at(-1 - stray) ?? 0;
  const [x0, x1] = [low(spans.left), high(spans.right)];
  const [y0, y1] = [low(spans.lower), high(spans.upper)];
  const [far, tall] = [(x1 - x0) * FAR, (y1 - y0) * FAR];
  const { left, right, lower, upper } = spans;
  const near = (i: number): boolean =>
    (left[i] ?? 0) > x0 - far &&
    (right[i] ?? 0) < x1 + far &&
    (lower[i] ?? 0) > y0 - tall &&
    (upper[i] ?? 0) < y1 + tall;
  return spans.around(near) ?? whole;
}

/**
 * Linework as it is kept for views, and what is told of it. It takes the items as its own.
 * @returns undefined where nothing is drawn, or everything lies on one point or line
 */
export function sourceSpace(items: Item[]): { space: SourceSpace; summary: SourceSummary } | undefined {
  const box = boxOf(items);
  if (!box || !(box.width > 0) || !(box.height > 0)) return undefined;
  const layers = new Map<string, number>();
  let leastText = Infinity;
  for (const item of items) {
    layers.set(item.layer, (layers.get(item.layer) ?? 0) + 1);
    if (item.kind === 'text') leastText = Math.min(leastText, item.height);
    // What intake asks of linework, views do not.
    if (item.kind === 'stroke' || item.kind === 'arc') delete item.oldPen;
    else if (item.kind === 'text') delete item.field;
  }
  return {
    space: { version: SOURCE_VERSION, box, items },
    summary: {
      box,
      layers: [...layers].map(([name, count]) => ({ name, items: count })).sort((a, b) => a.name.localeCompare(b.name)),
      items: items.length,
      ...(leastText < Infinity ? { leastText } : {}),
    },
  };
}
