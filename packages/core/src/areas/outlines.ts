import type { Item } from '../drawing';
import { arcPoints, boundsOf } from '../drawing';
import type { Point, Rect } from '../geometry';
import type { LooseLine } from './faces';
import { facesOf } from './faces';
import { twiceArea } from './polygons';

/** A closed outline: its corners x, y, x, y …, and what it encloses, in units of the drawing. */
export interface Outline {
  ring: readonly number[];
  /** What it encloses, whatever lies in it; of a circle exactly. */
  area: number;
  box: Rect;
  layer: string;
}

export interface Outlines {
  closed: Outline[];
  /** Whether there are more than are looked at. */
  tooMany: boolean;
  /** A place on lines that are too many to look through for what they enclose; undefined where they are not. */
  tooManyLines?: Point;
  /** Ends of lines that are part of no outline. */
  open: Point[];
}

/** Ends nearer to each other than this part of all that is drawn meet. */
const MEET = 1e-6;
/** Straight pieces of a circle: what they leave out is less than a ten-thousandth of it. */
const PIECES = 360;
/** Outlines that are measured: a floor of a hospital has a few hundred rooms, a layer of a hatch has tens of thousands of pieces. */
export const MOST_OUTLINES = 3000;

/**
 * The closed outlines among items: closed polylines, circles, edges of hatches, and the smallest areas between lines and arcs that
 * meet or cross. What is drawn twice counts once.
 * @param extent of the whole drawing, by which it is judged what meets
 */
export function closedOutlines(items: readonly Item[], extent: number): Outlines {
  const tolerance = extent * MEET;
  const closed: Outline[] = [];
  const loose: LooseLine[] = [];
  let tooMany = false;
  const add = (ring: number[], layer: string, area = Math.abs(twiceArea(ring)) / 2): void => {
    if (ring.length < 6 || tooMany) return;
    const box = boundsOf({ kind: 'fill', rings: [ring], layer, part: 'view' });
    if (!(Math.min(box.width, box.height) > tolerance)) return;
    if (closed.some((each) => isSame(each, { area, box }, tolerance))) return;
    if (closed.length >= MOST_OUTLINES) tooMany = true;
    else closed.push({ ring, area, box, layer });
  };
  for (const item of items) {
    if (item.kind === 'fill') for (const ring of item.rings) add(ring, item.layer);
    else if (item.kind === 'arc') {
      const points = arcPoints(item, PIECES);
      if (Math.abs(item.to - item.from) >= 360 - 1e-9) add(points.slice(0, -2), item.layer, Math.PI * item.radius ** 2);
      else loose.push({ points, layer: item.layer });
    } else if (item.kind === 'stroke') {
      const { points } = item;
      const meets = points.length >= 8 && near(points, 0, points, points.length - 2, tolerance);
      if (item.closed) add(points, item.layer);
      else if (meets) add(points.slice(0, -2), item.layer);
      else loose.push({ points, layer: item.layer });
    }
  }
  const faces = facesOf(loose, tolerance);
  for (const { ring, layer } of faces.rings) add(ring, layer);
  const [x = 0, y = 0] = loose[0]?.points ?? [];
  return { closed, tooMany, open: faces.open, ...(faces.tooMany ? { tooManyLines: { x, y } } : {}) };
}

const near = (a: readonly number[], i: number, b: readonly number[], j: number, tolerance: number): boolean =>
  Math.hypot((a[i] ?? 0) - (b[j] ?? 0), (a[i + 1] ?? 0) - (b[j + 1] ?? 0)) <= tolerance;

function isSame(a: Pick<Outline, 'area' | 'box'>, b: Pick<Outline, 'area' | 'box'>, tolerance: number): boolean {
  const by = 10 * tolerance;
  return (
    Math.abs(a.box.x - b.box.x) <= by &&
    Math.abs(a.box.y - b.box.y) <= by &&
    Math.abs(a.box.width - b.box.width) <= by &&
    Math.abs(a.box.height - b.box.height) <= by &&
    Math.abs(a.area - b.area) <= 1e-4 * a.area
  );
}
