import type { Item, TextItem } from '../drawing';
import { boundsOf } from '../drawing';
import type { Point, Rect } from '../geometry';
import { overlaps, right, top } from '../geometry';
import type { Outline } from './outlines';
import { closedOutlines, MOST_OUTLINES } from './outlines';
import { namedBy } from './areaName';
import { isInside, pointInside, ringsCross, selfCrossing } from './polygons';

/** An area measured from a drawing. */
export interface MeasuredArea {
  /** What stands in it: its name, and its number where one of the words is a number. */
  name: string;
  number: string;
  /** Its group, where the drawing or a list says it. */
  group?: string;
  /** Square metres, less what lies in it as an outline of its own. */
  squareMetres: number;
  /** Its outline and a point well within it, in units of the drawing; no points for one that comes from a list. */
  ring: readonly number[];
  at: Point;
  layer: string;
}

/** What is wrong with outlines, and where, in units of the drawing. */
export interface AreaFinding {
  kind: 'open' | 'crosses itself' | 'overlaps' | 'no name' | 'same number' | 'outside' | 'too many';
  message: string;
  at: Point;
}

export interface MeasuredAreas {
  areas: MeasuredArea[];
  findings: AreaFinding[];
}

/** What is measured. */
export interface AreasAsked {
  /** Layers of the outlines. */
  layers: readonly string[];
  /** Millimetres of the building for each unit of the drawing. */
  unit: number;
}

/** Findings of one kind that are told. */
const MOST_TOLD = 100;
/** Pairs of edges that are looked through for crossings. */
const MOST_PAIRS = 200_000_000;

/** Whether a box lies within another, touching or not. */
const isWithin = (box: Rect, other: Rect): boolean => {
  const by = 1e-6 * Math.max(other.width, other.height);
  return (
    box.x >= other.x - by && right(box) <= right(other) + by && box.y >= other.y - by && top(box) <= top(other) + by
  );
};

/** The middle of a text. */
function middleOf({ at, width, height, rotation }: TextItem): Point {
  const turn = (rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return { x: at.x + (width * c - height * s) / 2, y: at.y + (width * s + height * c) / 2 };
}

/**
 * Measures the closed outlines on some layers of a drawing. An outline within another is taken off it: it is a hole, or an area of
 * its own. Names and numbers are read from the texts within.
 */
export function measureAreas(items: readonly Item[], { layers, unit }: AreasAsked): MeasuredAreas {
  const chosen = new Set(layers);
  const drawn = items.filter(({ layer, kind }) => chosen.has(layer) && kind !== 'text' && kind !== 'image');
  const extent = drawn.reduce((most, item) => {
    const { width, height } = boundsOf(item);
    return Math.max(most, width, height);
  }, 0);
  const { closed, tooMany, tooManyLines, open } = closedOutlines(drawn, extent);
  const findings: AreaFinding[] = [];
  const counts = new Map<AreaFinding['kind'], number>();
  const tell = (kind: AreaFinding['kind'], message: string, at: Point): void => {
    const count = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, count);
    if (count <= MOST_TOLD) findings.push({ kind, message, at });
  };
  const [first] = closed;
  if (tooMany && first)
    tell(
      'too many',
      `there are more than ${MOST_OUTLINES} outlines on these layers; choose those that areas are outlined on`,
      { x: first.box.x, y: first.box.y },
    );
  if (tooManyLines)
    tell(
      'too many',
      'these layers have more lines than are looked through for what they enclose; choose those that areas are outlined on',
      tooManyLines,
    );
  for (const at of open) tell('open', 'lines end here without closing an outline', at);
  const sorted = closed.toSorted((a, b) => b.area - a.area);
  const points = sorted.map(({ ring, box }) => pointInside(ring, box));
  const parents = sorted.map((outline, i) => parentOf(outline, points[i]!, sorted.slice(0, i)));
  const texts = sorted.map((): TextItem[] => []);
  const outside: TextItem[] = [];
  for (const item of items) {
    if (item.kind !== 'text') continue;
    const at = middleOf(item);
    const place = sorted.findLastIndex(({ ring, box }) => holds(box, at) && isInside(ring, at));
    if (place >= 0) texts[place]!.push(item);
    else outside.push(item);
  }
  const naming = new Set<string>();
  const areas = sorted.map(({ ring, area, layer }, i): MeasuredArea => {
    const within = sorted.reduce((sum, each, k) => (parents[k] === i ? sum + each.area : sum), 0);
    const { name, number, group, layers: of } = namedBy(texts[i]!);
    for (const each of of) naming.add(each);
    const squareMetres = ((area - within) * unit * unit) / 1e6;
    return { name, number, ...(group === '' ? {} : { group }), squareMetres, ring, at: points[i]!, layer };
  });
  const calls = ({ number, name }: MeasuredArea): string =>
    [number, name].filter(Boolean).join(' ') || 'an area without a name';
  // The work grows with the square of the corners.
  let left = MOST_PAIRS;
  areas.forEach((each, i) => {
    left -= (each.ring.length / 2) ** 2;
    const across = left > 0 ? selfCrossing(each.ring) : undefined;
    if (across) tell('crosses itself', `the outline of ${calls(each)} crosses itself`, across);
    // An outline within another that nobody named is a hole in it.
    if (each.name === '' && each.number === '' && parents[i] === undefined)
      tell('no name', 'nothing is written in this outline', each.at);
    const before = each.number === '' ? -1 : areas.findIndex(({ number }) => number === each.number);
    if (before >= 0 && before < i)
      tell('same number', `${calls(each)} and ${calls(areas[before]!)} have the same number`, each.at);
  });
  const whole = overlapsOf(sorted, (i, k, at) =>
    tell('overlaps', `${calls(areas[i]!)} and ${calls(areas[k]!)} overlap`, at),
  );
  if (left <= 0 || !whole)
    tell(
      'too many',
      'the outlines have too many corners; not all of them were looked through for crossings',
      areas[0]!.at,
    );
  // Layers whose texts name areas name nothing else.
  for (const text of outside)
    if (naming.has(text.layer)) tell('outside', `“${text.text}” stands in no outline`, middleOf(text));
  for (const [kind, count] of counts) {
    const last = findings.findLast((each) => each.kind === kind);
    if (count > MOST_TOLD && last)
      findings.push({ kind: 'too many', message: `and ${count - MOST_TOLD} more like “${last.message}”`, at: last.at });
  }
  const holes = new Set(
    areas.flatMap((each, i) => (each.name === '' && each.number === '' && parents[i] !== undefined ? [i] : [])),
  );
  return { areas: areas.filter((_, i) => !holes.has(i)), findings };
}

const holds = (box: Rect, { x, y }: Point): boolean => x >= box.x && x <= right(box) && y >= box.y && y <= top(box);

/** The place of the smallest outline that an outline lies in. */
function parentOf({ box }: Outline, at: Point, larger: readonly Outline[]): number | undefined {
  const place = larger.findLastIndex((each) => isWithin(box, each.box) && isInside(each.ring, at));
  return place < 0 ? undefined : place;
}

/** Tells of outlines that cross each other. @returns whether all were looked through */
function overlapsOf(outlines: readonly Outline[], tell: (i: number, k: number, at: Point) => void): boolean {
  let left = MOST_PAIRS;
  outlines.forEach((a, i) => {
    for (let k = i + 1; k < outlines.length; k++) {
      const b = outlines[k]!;
      if (!overlaps(a.box, b.box)) continue;
      left -= (a.ring.length / 2) * (b.ring.length / 2);
      const at = left > 0 ? ringsCross(a.ring, b.ring, [a.box, b.box]) : undefined;
      if (at) tell(i, k, at);
    }
  });
  return left > 0;
}
