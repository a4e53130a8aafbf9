import type { ArcItem, Item, Segment } from '../drawing';
import { boundsOf, segmentsOf } from '../drawing';
import type { Rect } from '../geometry';
import { around, contains } from '../geometry';
import type { LegacyText } from './legacyText';
import { TOLERANCE } from './tolerances';

/** A small box or circle that can be ticked, in mm on paper. */
export interface TickMark {
  box: Rect;
  ticked: boolean;
  /** What it is drawn of, with what ticks it. */
  items: Item[];
  /** Letters that tick it. */
  texts: LegacyText[];
}

/** Sides of boxes that are ticked by hand, in mm, and how far one may be longer than the other (common practice). */
const SIDE = { least: 1.2, most: 8, uneven: 0.2 } as const;
/** More linework than this in one cell is a picture. */
const MOST_ITEMS = 400;
/** Corners of a box meet within this, in mm. */
const CORNER = 0.3;
/** What ticks a box is at most so many times as large as it: the stroke of a pen runs over its edge. */
const OVER_BOX = 2;
/** Letters that tick a box. */
const TICK_LETTERS = /^[xX✓✔✗✘×•●■]$/u;
/** An arc of so many degrees is a circle. */
const FULL_TURN = 359;

export const isCircle = (item: Item): item is ArcItem => item.kind === 'arc' && item.to - item.from >= FULL_TURN;

const isBoxSize = ({ width, height }: Rect): boolean =>
  Math.min(width, height) >= SIDE.least &&
  Math.max(width, height) <= SIDE.most &&
  Math.abs(width - height) <= SIDE.uneven * Math.max(width, height);

const isStraight = (s: Segment): boolean => Math.min(Math.abs(s.x1 - s.x0), Math.abs(s.y1 - s.y0)) < TOLERANCE;

/** Whether items draw the four sides of their bounds and nothing else. */
function outlines(items: readonly Item[], bounds: Rect): boolean {
  const pieces = segmentsOf(items);
  if (pieces.length < 4 || !pieces.every(isStraight)) return false;
  const { x, y, width, height } = bounds;
  const side = (at: (s: Segment) => number, where: number, length: (s: Segment) => number, whole: number): boolean =>
    pieces.reduce((sum, s) => sum + (Math.abs(at(s) - where) < CORNER ? length(s) : 0), 0) > whole - 2 * CORNER;
  const along = (s: Segment): number => Math.abs(s.x1 - s.x0);
  const up = (s: Segment): number => Math.abs(s.y1 - s.y0);
  const level = (s: Segment): number => (along(s) > up(s) ? (s.y0 + s.y1) / 2 : Infinity);
  const upright = (s: Segment): number => (up(s) > along(s) ? (s.x0 + s.x1) / 2 : Infinity);
  return (
    side(level, y, along, width) &&
    side(level, y + height, along, width) &&
    side(upright, x, up, height) &&
    side(upright, x + width, up, height) &&
    pieces.every((s) =>
      up(s) > along(s)
        ? Math.min(Math.abs(upright(s) - x), Math.abs(upright(s) - x - width)) < CORNER
        : Math.min(Math.abs(level(s) - y), Math.abs(level(s) - y - height)) < CORNER,
    )
  );
}

/** Whether one item is a box, a circle or a filled box by itself. */
function isWhole(item: Item, bounds: Rect): 'open' | 'filled' | undefined {
  if (item.kind === 'arc') return isCircle(item) ? 'open' : undefined;
  if (item.kind === 'stroke') return outlines([item], bounds) ? 'open' : undefined;
  if (item.kind !== 'fill' || item.rings.length !== 1) return undefined;
  const corners = (item.rings[0]?.length ?? 0) / 2;
  return corners === 4 || corners === 5 ? 'filled' : undefined;
}

/** Four lines of which each ends where others begin, as boxes. */
function fromLines(items: readonly Item[]): Item[][] {
  const lines = items.filter((item) => item.kind === 'stroke' && item.points.length === 4 && !item.closed);
  const open = new Set(lines);
  const found: Item[][] = [];
  for (const start of lines) {
    if (!open.delete(start)) continue;
    const group = [start];
    for (let i = 0; i < group.length && group.length <= 4; i++) {
      const own = group[i] && segmentsOf([group[i] as Item])[0];
      if (!own || !isStraight(own)) continue;
      for (const other of [...open]) {
        const s = segmentsOf([other])[0];
        if (!s || !isStraight(s) || !meetAtEnds(own, s)) continue;
        open.delete(other);
        group.push(other);
      }
    }
    if (group.length === 4) found.push(group);
  }
  return found;
}

function meetAtEnds(a: Segment, b: Segment): boolean {
  const ends = (s: Segment): [number, number][] => [
    [s.x0, s.y0],
    [s.x1, s.y1],
  ];
  return ends(a).some(([x, y]) => ends(b).some(([u, v]) => Math.hypot(x - u, y - v) < CORNER));
}

/** The small boxes among the linework of a cell, with what ticks them. */
export function tickMarks(linework: readonly Item[], texts: readonly LegacyText[]): TickMark[] {
  if (linework.length === 0 || linework.length > MOST_ITEMS) return [];
  const marks: TickMark[] = [];
  const add = (items: Item[], ticked: boolean): void => {
    const box = around(items.map(boundsOf));
    if (box && isBoxSize(box)) marks.push({ box, ticked, items, texts: [] });
  };
  const filled: Item[] = [];
  const rest: Item[] = [];
  for (const item of linework) {
    const bounds = boundsOf(item);
    const whole = isBoxSize(bounds) ? isWhole(item, bounds) : undefined;
    if (whole === 'open') add([item], false);
    else if (whole === 'filled') filled.push(item);
    else rest.push(item);
  }
  for (const group of fromLines(rest)) {
    const bounds = around(group.map(boundsOf));
    if (bounds && outlines(group, bounds)) add(group, false);
  }
  const taken = new Set(marks.flatMap(({ items }) => items));
  const middleIn = (bounds: Rect): TickMark | undefined =>
    marks.find(({ box }) => contains(box, { x: bounds.x + bounds.width / 2, y: bounds.y + bounds.height / 2 }));
  // A ring within a ring is one box; so is a filled one on an outline.
  for (const item of [...rest, ...filled]) {
    if (taken.has(item)) continue;
    const bounds = boundsOf(item);
    const mark = middleIn(bounds);
    if (mark && Math.max(bounds.width, bounds.height) <= OVER_BOX * Math.max(mark.box.width, mark.box.height)) {
      mark.items.push(item);
      mark.ticked = true;
    } else if (filled.includes(item)) add([item], true);
  }
  for (const text of texts) {
    const mark = TICK_LETTERS.test(text.text)
      ? marks.find(({ box }) => contains(box, text.anchor, CORNER) || contains(box, text.at, CORNER))
      : undefined;
    if (!mark) continue;
    mark.texts.push(text);
    mark.ticked = true;
  }
  return marks;
}
