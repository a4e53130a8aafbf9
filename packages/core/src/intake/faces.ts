import type { Rect } from '../geometry';
import { contains } from '../geometry';
import type { RuledLine } from './linework';
import { covers } from './linework';

/** Regions that ruled lines close off. */
export interface Faces {
  /** Rectangles, the largest region left out. */
  cells: Rect[];
  /** Bounds of regions that are no rectangles, the largest region left out. */
  odd: Rect[];
  /** Bounds of the largest region: the drawing area. Undefined when nothing is that large. */
  drawingArea?: Rect;
}

/** More positions than this in one direction are no title block, and the search would take too long. */
const MOST_POSITIONS = 700;
/** A region is the drawing area when it takes up this part of the frame. */
const LARGE = 0.3;
/** Regions thinner than this (mm) are double lines. */
const THIN = 0.8;

export class TooManyLinesError extends Error {
  override name = 'TooManyLinesError';
}

/**
 * Keeps the lines that belong to the frame or hang together with something that holds captions; what floats in the
 * drawing area or in a cell by itself is a drawing or a mark, not a title block. What lies on one line but apart is judged
 * apart: a wall of a plan may well be in line with a divider.
 * @param captions places of texts that look like captions
 */
export function blockLines(
  lines: readonly RuledLine[],
  frame: Rect,
  captions: readonly { x: number; y: number }[],
  tolerance: number,
): { kept: RuledLine[]; loose: RuledLine[] } {
  const pieces = lines.flatMap((line) => line.spans.map((span): RuledLine => ({ ...line, spans: [span] })));
  const owner = pieces.map((_, i) => i);
  const find = (i: number): number => {
    let root = i;
    while (owner[root] !== root) root = owner[root] ?? root;
    while (owner[i] !== root) [i, owner[i]] = [owner[i] ?? root, root];
    return root;
  };
  const upright = pieces.flatMap((piece, i) => (piece.axis === 'vertical' ? [i] : []));
  upright.sort((a, b) => (pieces[a]?.at ?? 0) - (pieces[b]?.at ?? 0));
  pieces.forEach((piece, i) => {
    if (piece.axis !== 'horizontal') return;
    const [from, to] = piece.spans[0] ?? [0, 0];
    for (let k = firstFrom(upright, pieces, from - tolerance); k < upright.length; k++) {
      const j = upright[k] ?? 0;
      const across = pieces[j];
      if (!across || across.at > to + tolerance) break;
      const [low, high] = across.spans[0] ?? [0, 0];
      if (piece.at >= low - tolerance && piece.at <= high + tolerance) owner[find(i)] = find(j);
    }
  });
  const groups = new Map<number, RuledLine[]>();
  pieces.forEach((piece, i) => {
    const root = find(i);
    const group = groups.get(root);
    if (group) group.push(piece);
    else groups.set(root, [piece]);
  });
  const kept: RuledLine[] = [];
  const loose: RuledLine[] = [];
  for (const group of groups.values()) {
    const bounds = boundsOf(group);
    const onFrame = group.some((line) => liesOnFrame(line, frame, tolerance));
    const named =
      captions.filter((point) => contains(bounds, point)).length >= 2 && bounds.width > 5 && bounds.height > 5;
    for (const piece of group) (onFrame || named ? kept : loose).push(piece);
  }
  return { kept: joinedAgain(kept), loose: joinedAgain(loose) };
}

/** The first of some pieces, sorted by position, that lies at a position or after it. */
function firstFrom(sorted: readonly number[], pieces: readonly RuledLine[], at: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((pieces[sorted[middle] ?? 0]?.at ?? 0) < at) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Pieces of one line as one line again. */
function joinedAgain(pieces: readonly RuledLine[]): RuledLine[] {
  const lines = new Map<string, RuledLine>();
  for (const piece of pieces) {
    const key = `${piece.axis} ${piece.at}`;
    const line = lines.get(key);
    if (line) line.spans.push(...piece.spans);
    else lines.set(key, { ...piece, spans: [...piece.spans] });
  }
  for (const line of lines.values()) line.spans.sort((a, b) => a[0] - b[0]);
  return [...lines.values()];
}

function liesOnFrame(line: RuledLine, frame: Rect, tolerance: number): boolean {
  const edges = line.axis === 'horizontal' ? [frame.y, frame.y + frame.height] : [frame.x, frame.x + frame.width];
  return edges.some((edge) => Math.abs(edge - line.at) <= 4 * tolerance);
}

function boundsOf(lines: readonly RuledLine[]): Rect {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { axis, at, spans } of lines) {
    for (const [from, to] of spans) {
      const [xa, xb, ya, yb] = axis === 'horizontal' ? [from, to, at, at] : [at, at, from, to];
      x0 = Math.min(x0, xa);
      x1 = Math.max(x1, xb);
      y0 = Math.min(y0, ya);
      y1 = Math.max(y1, yb);
    }
  }
  return { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
}

/**
 * The regions of the frame between lines. Lines are taken as they are: two boxes of the grid of all positions belong
 * together unless ink runs along the whole edge between them.
 * @throws TooManyLinesError
 */
export function facesOf(lines: readonly RuledLine[], frame: Rect, tolerance: number): Faces {
  const inside = lines.filter((line) => {
    const [low, high] =
      line.axis === 'horizontal' ? [frame.y, frame.y + frame.height] : [frame.x, frame.x + frame.width];
    return line.at > low + tolerance && line.at < high - tolerance;
  });
  const level = inside.filter((line) => line.axis === 'horizontal').sort((a, b) => a.at - b.at);
  const upright = inside.filter((line) => line.axis === 'vertical').sort((a, b) => a.at - b.at);
  const ys = [frame.y, ...level.map((line) => line.at), frame.y + frame.height];
  const xs = [frame.x, ...upright.map((line) => line.at), frame.x + frame.width];
  if (xs.length > MOST_POSITIONS || ys.length > MOST_POSITIONS) {
    throw new TooManyLinesError(
      `there are lines at ${Math.max(xs.length, ys.length)} positions, too many for a title block`,
    );
  }
  const [columns, rows] = [xs.length - 1, ys.length - 1];
  const owner = Int32Array.from({ length: columns * rows }, (_, i) => i);
  const find = (i: number): number => {
    let root = i;
    while (owner[root] !== root) root = owner[root] ?? root;
    while (owner[i] !== root) [i, owner[i]] = [owner[i] ?? root, root];
    return root;
  };
  for (let c = 0; c < columns; c++) {
    for (let r = 0; r < rows; r++) {
      const box = c * rows + r;
      const [x0 = 0, x1 = 0, y0 = 0, y1 = 0] = [xs[c], xs[c + 1], ys[r], ys[r + 1]];
      const onRight = upright[c];
      if (c + 1 < columns && onRight && !covers(onRight, y0, y1, tolerance)) owner[find(box + rows)] = find(box);
      const onTop = level[r];
      if (r + 1 < rows && onTop && !covers(onTop, x0, x1, tolerance)) owner[find(box + 1)] = find(box);
    }
  }
  return sortFaces(owner, find, xs, ys, frame);
}

function sortFaces(
  owner: Int32Array,
  find: (i: number) => number,
  xs: readonly number[],
  ys: readonly number[],
  frame: Rect,
): Faces {
  const rows = ys.length - 1;
  const regions = new Map<number, { x0: number; y0: number; x1: number; y1: number; area: number }>();
  for (let i = 0; i < owner.length; i++) {
    const [c, r] = [Math.floor(i / rows), i % rows];
    const [x0 = 0, x1 = 0, y0 = 0, y1 = 0] = [xs[c], xs[c + 1], ys[r], ys[r + 1]];
    const region = regions.get(find(i)) ?? { x0, y0, x1, y1, area: 0 };
    region.x0 = Math.min(region.x0, x0);
    region.x1 = Math.max(region.x1, x1);
    region.y0 = Math.min(region.y0, y0);
    region.y1 = Math.max(region.y1, y1);
    region.area += (x1 - x0) * (y1 - y0);
    regions.set(find(i), region);
  }
  const faces: Faces = { cells: [], odd: [] };
  const sorted = [...regions.values()].sort((a, b) => b.area - a.area);
  sorted.forEach(({ x0, y0, x1, y1, area }, i) => {
    const rect = { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
    if (i === 0 && area >= LARGE * frame.width * frame.height) faces.drawingArea = rect;
    else if (Math.min(rect.width, rect.height) < THIN) return;
    else if (Math.abs(area - rect.width * rect.height) < 0.01 * area) faces.cells.push(rect);
    else faces.odd.push(rect);
  });
  faces.cells.sort((a, b) => b.y + b.height - a.y - a.height || a.x - b.x);
  return faces;
}
