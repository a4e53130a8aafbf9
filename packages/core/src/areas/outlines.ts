import type { Item } from '../drawing';
import { arcPoints, boundsOf } from '../drawing';
import type { Point, Rect } from '../geometry';

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
  /** Ends of lines that close nothing. */
  open: Point[];
}

/** Ends nearer to each other than this part of all that is drawn meet. */
const MEET = 1e-6;
/** Straight pieces of a circle: what they leave out is less than a ten-thousandth of it. */
const PIECES = 360;
/** Outlines that are measured: a floor of a hospital has a few hundred rooms, a layer of a hatch has tens of thousands of pieces. */
export const MOST_OUTLINES = 3000;

/** Twice the area of a ring, negative where it runs clockwise (the shoelace formula). */
export function twiceArea(ring: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i + 1 < ring.length; i += 2) {
    const j = (i + 2) % ring.length;
    sum += (ring[i] ?? 0) * (ring[j + 1] ?? 0) - (ring[j] ?? 0) * (ring[i + 1] ?? 0);
  }
  return sum;
}

/**
 * The closed outlines among items: closed polylines, circles, edges of hatches, and lines and arcs that meet end to end. What is
 * drawn twice counts once.
 * @param extent of the whole drawing, by which it is judged what meets
 */
export function closedOutlines(items: readonly Item[], extent: number): Outlines {
  const tolerance = extent * MEET;
  const closed: Outline[] = [];
  const loose: { points: number[]; layer: string }[] = [];
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
  const open: Point[] = [];
  for (const { ring, layer } of loops(loose, tolerance, open)) add(ring, layer);
  return { closed, tooMany, open };
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

interface End {
  piece: number;
  atEnd: boolean;
}

/** Pieces that meet two by two, end to end, as rings; ends where one stops alone, or more than two meet, are told. */
function loops(
  pieces: readonly { points: number[]; layer: string }[],
  tolerance: number,
  open: Point[],
): { ring: number[]; layer: string }[] {
  const cell = Math.max(tolerance * 4, Number.MIN_VALUE);
  const nodes = new Map<string, End[]>();
  const endOf = ({ piece, atEnd }: End): Point => {
    const { points } = pieces[piece]!;
    const i = atEnd ? points.length - 2 : 0;
    return { x: points[i] ?? 0, y: points[i + 1] ?? 0 };
  };
  const keyOf = (end: End): string => {
    const { x, y } = endOf(end);
    return `${Math.round(x / cell)} ${Math.round(y / cell)}`;
  };
  pieces.forEach((_, piece) => {
    for (const atEnd of [false, true]) {
      const end = { piece, atEnd };
      const key = keyOf(end);
      const known = nodes.get(key);
      if (known) known.push(end);
      else nodes.set(key, [end]);
    }
  });
  const rings: { ring: number[]; layer: string }[] = [];
  const used = new Set<number>();
  pieces.forEach(({ layer }, first) => {
    if (used.has(first)) return;
    const ring: number[] = [];
    let at: End = { piece: first, atEnd: false };
    for (;;) {
      used.add(at.piece);
      const { points } = pieces[at.piece]!;
      const along = at.atEnd ? reversed(points) : points;
      for (let i = 0; i + 3 < along.length; i += 2) ring.push(along[i] ?? 0, along[i + 1] ?? 0);
      const far: End = { piece: at.piece, atEnd: !at.atEnd };
      const next = (nodes.get(keyOf(far)) ?? []).filter((end) => end.piece !== far.piece || end.atEnd !== far.atEnd);
      const [only] = next;
      if (!only || next.length > 1) {
        open.push(endOf(far));
        return;
      }
      if (only.piece === first) {
        rings.push({ ring, layer });
        return;
      }
      if (used.has(only.piece)) return;
      at = only;
    }
  });
  return rings;
}

function reversed(points: readonly number[]): number[] {
  const out: number[] = [];
  for (let i = points.length - 2; i >= 0; i -= 2) out.push(points[i] ?? 0, points[i + 1] ?? 0);
  return out;
}
