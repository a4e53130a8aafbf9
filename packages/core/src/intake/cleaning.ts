import type { Item, Segment } from '../drawing';
import { boundsOf, eachSegment } from '../drawing';
import type { Point } from '../geometry';
import { round } from './rounding';
import { firstPlace } from './sortedPlaces';
import { LEVEL, TOLERANCE } from './tolerances';

/** Something that was wrong with the old linework and was set right on the way. */
export interface CleaningStep {
  what: 'zero lengths' | 'duplicates' | 'overlaps' | 'broken lines' | 'gaps and overshoots' | 'empty layers';
  pieces: number;
  /** Where, in mm on paper: the first so many of them. */
  places: Point[];
}

/** Places that are kept of each kind. */
const MOST_PLACES = 200;

/** Counts one kind of fault, and keeps where it was. */
class Found {
  pieces = 0;
  readonly places: Point[] = [];

  add(x: number, y: number): void {
    this.pieces++;
    if (this.places.length < MOST_PLACES) this.places.push({ x: round(x), y: round(y) });
  }
}

interface Piece {
  at: number;
  from: number;
  to: number;
}

/** Pieces nearer than this to one line lie on it, in mm. */
const ON_LINE = TOLERANCE;
/** What is shorter has no length, in mm: two ends of it differ by rounding. */
const NOTHING = 1e-6;
/** Ends are the same within this, in mm. */
const SAME = 0.02;
/** Ends may miss the line they were to meet by this, in mm. */
const MISS = 1.2;

/**
 * Counts what cleaning does to the level and upright lines: pieces of no length, pieces drawn twice, pieces that overlap
 * others on their line, pieces that only go on where others end, and ends that miss the line across.
 * @param items linework in mm on paper
 * @param counts whether a piece belongs to what is cleaned: of a plan in the drawing area nothing is set right
 * @param emptyLayers layers of the file with nothing on them, which go as well
 */
export function cleaningOf(
  items: readonly Item[],
  counts: (piece: Segment) => boolean,
  emptyLayers = 0,
): CleaningStep[] {
  const level: Piece[] = [];
  const upright: Piece[] = [];
  const [zero, duplicates, overlaps, broken, misses] = [
    new Found(),
    new Found(),
    new Found(),
    new Found(),
    new Found(),
  ];
  for (const item of items) {
    const { x, y, width, height } = boundsOf(item);
    const isPoint = item.kind === 'stroke' && width < NOTHING && height < NOTHING;
    if (isPoint && counts({ x0: x, y0: y, x1: x, y1: y })) zero.add(x, y);
  }
  eachSegment(items, (x0, y0, x1, y1) => {
    const [dx, dy] = [Math.abs(x1 - x0), Math.abs(y1 - y0)];
    // A closed line that ends where it begins has a last piece without length, which is no fault of its maker.
    if ((dx < NOTHING && dy < NOTHING) || !counts({ x0, y0, x1, y1 })) return;
    if (dy <= LEVEL * dx) level.push({ at: (y0 + y1) / 2, from: Math.min(x0, x1), to: Math.max(x0, x1) });
    else if (dx <= LEVEL * dy) upright.push({ at: (x0 + x1) / 2, from: Math.min(y0, y1), to: Math.max(y0, y1) });
  });
  for (const [pieces, across] of [
    [level, upright],
    [upright, level],
  ] as const) {
    const add = (found: Found, along: number, at: number): void =>
      pieces === level ? found.add(along, at) : found.add(at, along);
    for (const line of linesOf(pieces)) {
      line.sort((a, b) => a.from - b.from || b.to - a.to);
      let end = -Infinity;
      line.forEach((piece, i) => {
        const before = line[i - 1];
        const { at, from, to } = piece;
        if (before && Math.abs(before.from - from) < SAME && Math.abs(before.to - to) < SAME)
          add(duplicates, (from + to) / 2, at);
        else if (from < end - SAME) add(overlaps, from, at);
        else if (from < end + 2 * ON_LINE) add(broken, from, at);
        end = Math.max(end, to);
      });
    }
    findMisses(pieces, across, (end, at) => add(misses, end, at));
  }
  const steps: CleaningStep[] = [
    { what: 'zero lengths', ...zero },
    { what: 'duplicates', ...duplicates },
    { what: 'overlaps', ...overlaps },
    { what: 'broken lines', ...broken },
    { what: 'gaps and overshoots', ...misses },
    { what: 'empty layers', pieces: emptyLayers, places: [] },
  ];
  return steps.filter(({ pieces }) => pieces > 0);
}

function linesOf(pieces: readonly Piece[]): Piece[][] {
  const lines: Piece[][] = [];
  let last = -Infinity;
  for (const piece of pieces.toSorted((a, b) => a.at - b.at)) {
    if (piece.at - last > ON_LINE) lines.push([]);
    lines[lines.length - 1]?.push(piece);
    last = piece.at;
  }
  return lines;
}

/**
 * Finds ends that come near a line across without meeting it, or run a little over it.
 * @param found takes where each stands along its line, and where its line stands
 */
function findMisses(
  pieces: readonly Piece[],
  across: readonly Piece[],
  found: (end: number, at: number) => void,
): void {
  const sorted = across.toSorted((a, b) => a.at - b.at);
  // As flat numbers: of a dense plan they are gone through for every end.
  const places = Float64Array.from(sorted, (piece) => piece.at);
  const froms = Float64Array.from(sorted, (piece) => piece.from - MISS);
  const tos = Float64Array.from(sorted, (piece) => piece.to + MISS);
  /** Whether a line stands across at a position, no farther than `reach` from an end. */
  const crosses = (end: number, at: number, reach: number): boolean => {
    for (let i = firstPlace(places, end - reach); i < places.length && (places[i] ?? 0) <= end + reach; i++)
      if (at >= (froms[i] ?? 0) && at <= (tos[i] ?? 0)) return true;
    return false;
  };
  // What meets one line misses none.
  const isMiss = (end: number, at: number): boolean => !crosses(end, at, SAME) && crosses(end, at, MISS);
  for (const { at, from, to } of pieces) for (const end of [from, to]) if (isMiss(end, at)) found(end, at);
}
