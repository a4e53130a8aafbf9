import type { WorkingUnit } from '../quantity';
import type { Cell, Child, Division, Track } from '../design';
import type { Rect } from '../geometry';
import { around, overlaps } from '../geometry';
import { lengthAsFormula } from '../quantity';
import { MM_PER } from '../quantity';

const SAME = 0.05;

/** Faces that hang together by shared edges. */
export function groupFaces(faces: readonly Rect[]): Rect[][] {
  const groups: Rect[][] = [];
  const open = new Set(faces);
  for (const start of faces) {
    if (!open.delete(start)) continue;
    const group = [start];
    for (let i = 0; i < group.length; i++) {
      const from = group[i];
      if (!from) break;
      const grown = {
        x: from.x - 2 * SAME,
        y: from.y - 2 * SAME,
        width: from.width + 4 * SAME,
        height: from.height + 4 * SAME,
      };
      for (const other of [...open]) {
        if (overlaps(grown, other) && shareEdge(from, other)) {
          open.delete(other);
          group.push(other);
        }
      }
    }
    groups.push(group);
  }
  return groups;
}

/** Faces share an edge when they meet along more than a corner. */
function shareEdge(a: Rect, b: Rect): boolean {
  const alongX = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
  const alongY = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
  return Math.max(alongX, alongY) > 4 * SAME;
}

const areaOf = (rects: readonly Rect[]): number => rects.reduce((sum, rect) => sum + rect.width * rect.height, 0);

/** Faces fill their bounds but for this part, which is rounding. */
const NOT_FILLED = 0.001;

/** Whether faces fill their bounds. */
function fills(faces: readonly Rect[]): boolean {
  const bounds = around(faces);
  return (
    bounds !== undefined &&
    Math.abs(areaOf(faces) - bounds.width * bounds.height) < NOT_FILLED * bounds.width * bounds.height
  );
}

/** Positions at which a straight cut through the bounds meets no face. */
function cuts(faces: readonly Rect[], axis: 'x' | 'y'): number[] {
  const extent = axis === 'x' ? 'width' : 'height';
  const bounds = around(faces);
  if (!bounds) return [];
  const ends = [...new Set(faces.map((face) => face[axis] + face[extent]))].sort((a, b) => a - b);
  const found: number[] = [];
  for (const at of ends) {
    if (at < bounds[axis] + SAME || at > bounds[axis] + bounds[extent] - SAME) continue;
    if (found.some((each) => Math.abs(each - at) < 2 * SAME)) continue;
    if (faces.every((face) => face[axis] > at - 2 * SAME || face[axis] + face[extent] < at + 2 * SAME)) found.push(at);
  }
  return found;
}

/** Splits a group that is no rectangle, such as an L, into groups that are. */
export function rectangles(faces: readonly Rect[]): Rect[][] {
  if (faces.length <= 1 || fills(faces)) return [[...faces]];
  let best: Rect[][] | undefined;
  for (const axis of ['x', 'y'] as const) {
    const extent = axis === 'x' ? 'width' : 'height';
    for (const at of cuts(faces, axis)) {
      const low = faces.filter((face) => face[axis] + face[extent] / 2 < at);
      const high = faces.filter((face) => face[axis] + face[extent] / 2 >= at);
      const parts = [low, high].flatMap((part) => groupFaces(part));
      const filled = parts.filter(fills).length;
      if (!best || filled > best.filter(fills).length) best = parts;
    }
  }
  if (!best) return faces.map((face) => [face]);
  return best.flatMap((part) => (part.length < faces.length ? rectangles(part) : part.map((face) => [face])));
}

/** Makes the cell of a face, with whatever stands in it. */
export type MakeCell = (face: Rect) => Cell;

/** The unit that lengths are written in, and whether they stay as measured although a round one is near. */
export interface Lengths {
  unit: WorkingUnit;
  asDrawn: boolean;
}

/** Ids for cells that only divide. */
export type NextId = () => string;

/**
 * Builds the cell for faces that fill a rectangle: cut into rows or columns wherever a straight cut goes through, and
 * where none does (a pinwheel) held as one grid whose cells span tracks.
 */
export function partition(faces: readonly Rect[], make: MakeCell, nextId: NextId, lengths: Lengths): Cell {
  const [only] = faces;
  if (faces.length === 1 && only) return make(only);
  const bounds = around(faces) ?? { x: 0, y: 0, width: 0, height: 0 };
  const across = cuts(faces, 'x');
  const up = cuts(faces, 'y');
  const cell: Cell = { id: nextId(), name: '', contents: [] };
  if (across.length === 0 && up.length === 0) {
    cell.division = grid(faces, make, lengths);
    return cell;
  }
  const rows = up.length >= across.length;
  const axis = rows ? 'y' : 'x';
  const extent = rows ? 'height' : 'width';
  const limits = [bounds[axis], ...(rows ? up : across), bounds[axis] + bounds[extent]];
  const parts = limits.slice(1).map((to, i) => {
    const from = limits[i] ?? to;
    const inside = faces.filter((face) => face[axis] + face[extent] / 2 > from && face[axis] + face[extent] / 2 < to);
    return { length: to - from, inside };
  });
  if (rows) parts.reverse();
  const tracks = tracksOf(
    parts.map((part) => part.length),
    lengths,
  );
  const children = parts.map(({ inside }, i): Child => ({
    column: rows ? 0 : i,
    row: rows ? i : 0,
    columnSpan: 1,
    rowSpan: 1,
    cell: partition(inside, make, nextId, lengths),
  }));
  cell.division = rows
    ? { columns: [{ share: 1 }], rows: tracks, children }
    : { columns: tracks, rows: [{ share: 1 }], children };
  return cell;
}

/**
 * Fixed tracks for measured lengths, but for the longest, which takes what is left: so the division always fills its
 * cell, and on the size it was drawn for it comes out as drawn. Equal tracks become equal shares.
 */
export function tracksOf(lengths: readonly number[], { unit, asDrawn }: Lengths): Track[] {
  const longest = Math.max(...lengths);
  if (lengths.every((length) => Math.abs(length - longest) < SAME)) return lengths.map(() => ({ share: 1 }));
  const flexible = lengths.lastIndexOf(longest);
  // Rounded all or none: a division into thirds has no round lengths, and rounding some would move the others.
  const round = !asDrawn && lengths.every((length) => tidy(length, unit) !== length || isRound(length, unit));
  return lengths.map((length, i) =>
    i === flexible ? { share: 1 } : { fixed: lengthAsFormula(round ? tidy(length, unit) : length, unit) },
  );
}

/** A measured length as it goes into a design. */
export const meant = (length: number, { unit, asDrawn }: Lengths): number => (asDrawn ? length : tidy(length, unit));

const stepOf = (unit: WorkingUnit): number => (unit === 'mm' ? 0.5 : MM_PER.in / 64);

const isRound = (length: number, unit: WorkingUnit): boolean => {
  const step = stepOf(unit);
  return Math.abs(Math.round(length / step) * step - length) < 1e-6;
};

/** How far a length may be from the step that it is meant as, in mm. */
const MEANT = { mm: 0.03, in: 0.06 } as const;

/** A measured length as it was meant: on the nearest half millimetre or 1/64 in, when that is a few hundredths away. */
export function tidy(length: number, unit: WorkingUnit): number {
  const step = stepOf(unit);
  const near = Math.round(length / step) * step;
  return Math.abs(near - length) < MEANT[unit] ? near : length;
}

function positions(faces: readonly Rect[], axis: 'x' | 'y', extent: 'width' | 'height'): number[] {
  const all = faces.flatMap((face) => [face[axis], face[axis] + face[extent]]).sort((a, b) => a - b);
  return all.filter((at, i) => i === 0 || at - (all[i - 1] ?? at) > 2 * SAME);
}

function grid(faces: readonly Rect[], make: MakeCell, lengths: Lengths): Division {
  const xs = positions(faces, 'x', 'width');
  const ys = positions(faces, 'y', 'height').reverse();
  const index = (sorted: readonly number[], at: number): number => {
    let best = 0;
    sorted.forEach((each, i) => {
      if (Math.abs(each - at) < Math.abs((sorted[best] ?? 0) - at)) best = i;
    });
    return best;
  };
  const children = faces.map((face): Child => {
    const [column, columnEnd] = [index(xs, face.x), index(xs, face.x + face.width)];
    const [row, rowEnd] = [index(ys, face.y + face.height), index(ys, face.y)];
    return {
      column,
      row,
      columnSpan: Math.max(1, columnEnd - column),
      rowSpan: Math.max(1, rowEnd - row),
      cell: make(face),
    };
  });
  const between = (sorted: readonly number[]): number[] =>
    sorted.slice(1).map((at, i) => Math.abs(at - (sorted[i] ?? at)));
  return { columns: tracksOf(between(xs), lengths), rows: tracksOf(between(ys), lengths), children };
}
