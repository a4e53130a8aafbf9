import type { ArcItem, FillItem, Item, Segment } from '../drawing';
import { boundsOf, segmentsOf } from '../drawing';
import { firstPlace, inOrderOf } from './sortedPlaces';
import { LEVEL } from './tolerances';

/** All pieces of horizontal or vertical linework that lie on one line, joined. */
export interface RuledLine {
  axis: 'horizontal' | 'vertical';
  /** y of a horizontal line, x of a vertical one. */
  at: number;
  /** Where along the line there is ink: from, to in ascending order, not overlapping. */
  spans: [number, number][];
  layers: ReadonlySet<string>;
}

interface Piece {
  at: number;
  from: number;
  to: number;
  layer: string;
}

/** A filled bar is a line up to this many times the tolerance: 1.8 mm for that of 0.12 mm on paper. */
const BAR = 15;
/** A bar is at least this many times as long as thick. */
const SLENDER = 6;
/** Corners of a bar lie on its sides, within this part of its thickness. */
const OFF_SIDE = 0.02;

/** A filled rectangle that stands for a line, as its middle line; undefined when the fill is anything else. */
export function barOf(fill: FillItem): (Segment & { thickness: number }) | undefined {
  const ring = fill.rings.length === 1 ? fill.rings[0] : undefined;
  // Three corners make a triangle; a rectangle may repeat its first corner.
  if (!ring || ring.length < 2 * 4 || ring.length > 2 * 5) return undefined;
  const { x, y, width, height } = boundsOf(fill);
  const [long, thickness] = [Math.max(width, height), Math.min(width, height)];
  if (long < SLENDER * thickness) return undefined;
  const off = OFF_SIDE * thickness;
  for (let i = 0; i < ring.length; i += 2) {
    const [px, py] = [ring[i] ?? 0, ring[i + 1] ?? 0];
    const onSide = Math.min(px - x, x + width - px) <= off && Math.min(py - y, y + height - py) <= off;
    if (!onSide) return undefined;
  }
  return width > height
    ? { x0: x, y0: y + height / 2, x1: x + width, y1: y + height / 2, thickness }
    : { x0: x + width / 2, y0: y, x1: x + width / 2, y1: y + height, thickness };
}

/** Roundings and bevels of corners reach this many times the tolerance at most: 12 mm for that of 0.12 mm on paper. */
const ROUNDING = 100;

/**
 * The straight pieces that an item draws: of a filled bar its middle line, of a polyline with rounded or bevelled corners
 * its sides up to the corners they would have met in, of a quarter of a small circle the corner it rounds.
 */
export function piecesOf(item: Item, tolerance: number): Segment[] {
  switch (item.kind) {
    case 'stroke':
      // Most lines of a plan are one piece each.
      if (item.points.length === 4 && !item.closed) {
        const { points } = item;
        return [{ x0: points[0] ?? 0, y0: points[1] ?? 0, x1: points[2] ?? 0, y1: points[3] ?? 0 }];
      }
      return squared(segmentsOf([item]), item.closed, ROUNDING * tolerance);
    case 'fill': {
      const bar = barOf(item);
      return bar && bar.thickness <= BAR * tolerance ? [bar] : [];
    }
    case 'arc':
      return cornerOf(item, ROUNDING * tolerance);
    default:
      return [];
  }
}

const isLevel = (s: Segment): boolean => Math.abs(s.y1 - s.y0) <= LEVEL * Math.abs(s.x1 - s.x0);
const isUpright = (s: Segment): boolean => Math.abs(s.x1 - s.x0) <= LEVEL * Math.abs(s.y1 - s.y0);

/** Replaces what lies between two sides at right angles, when it is short, by the corner in which they would have met. */
function squared(pieces: readonly Segment[], closed: boolean, reach: number): Segment[] {
  if (pieces.length < 3 || pieces.every((piece) => isLevel(piece) || isUpright(piece))) return [...pieces];
  const sides = pieces.flatMap((piece, i) => (isLevel(piece) || isUpright(piece) ? [i] : []));
  const kept = pieces.map((piece): Segment | undefined => ({ ...piece }));
  sides.forEach((from, i) => {
    const to = sides[i + 1] ?? (closed ? sides[0] : undefined);
    if (to === undefined || to === from) return;
    const between: number[] = [];
    for (let k = (from + 1) % pieces.length; k !== to; k = (k + 1) % pieces.length) between.push(k);
    const [a, b] = [kept[from], kept[to]];
    if (between.length === 0 || !a || !b || isLevel(a) === isLevel(b)) return;
    const corner = isLevel(a) ? { x: b.x0, y: a.y1 } : { x: a.x1, y: b.y0 };
    const ahead = Math.hypot(corner.x - a.x1, corner.y - a.y1);
    if (ahead > reach || Math.hypot(corner.x - b.x0, corner.y - b.y0) > reach) return;
    [a.x1, a.y1] = [corner.x, corner.y];
    [b.x0, b.y0] = [corner.x, corner.y];
    for (const k of between) kept[k] = undefined;
  });
  return kept.filter((piece) => piece !== undefined);
}

/** How far in degrees a rounding may be from a quarter of a circle. */
const OFF_QUARTER = 1;

/** The two straight pieces of the corner that a quarter of a circle rounds; none when it is larger, or no such quarter. */
function cornerOf({ centre, radius, from, to }: ArcItem, reach: number): Segment[] {
  const sweep = (((to - from) % 360) + 360) % 360;
  const quarter = Math.round(from / 90);
  if (radius > reach || Math.abs(sweep - 90) > OFF_QUARTER || Math.abs(from / 90 - quarter) * 90 > OFF_QUARTER)
    return [];
  const end = (turn: number): { x: number; y: number } => ({
    x: centre.x + radius * Math.round(Math.cos((turn * Math.PI) / 2)),
    y: centre.y + radius * Math.round(Math.sin((turn * Math.PI) / 2)),
  });
  const [a, b] = [end(quarter), end(quarter + 1)];
  const corner = { x: a.x + b.x - centre.x, y: a.y + b.y - centre.y };
  return [
    { x0: a.x, y0: a.y, x1: corner.x, y1: corner.y },
    { x0: corner.x, y0: corner.y, x1: b.x, y1: b.y },
  ];
}

/** What follows is in tolerances: how much a level line may rise, how wide the bundle is that makes one line, and the least gap that is closed. */
const SLOPE = 4;
const SPREAD = 3;
const LEAST_REACH = 4.5;
/** Two ends of an exact line differ by rounding. */
const NONE = 1e-12;

/**
 * Finds the ruled lines of a drawing: level and upright pieces are gathered by position, overlaps and gaps within the
 * tolerance are closed, ends are drawn to the lines they nearly meet.
 * @param tolerance distance under which two positions are one, in the unit of the items
 * @param reach how far ends are drawn to the lines across them; found from the drawing when left out
 */
export const ruledLines = (items: readonly Item[], tolerance: number, reach?: number): RuledLine[] =>
  closedLines(items, tolerance, reach).lines;

/** As `ruledLines`, with how far ends were drawn. */
export function closedLines(
  items: readonly Item[],
  tolerance: number,
  reach?: number,
): { lines: RuledLine[]; reach: number } {
  const level: Piece[] = [];
  const upright: Piece[] = [];
  const add = (x0: number, y0: number, x1: number, y1: number, layer: string): void => {
    const dx = Math.abs(x1 - x0);
    const dy = Math.abs(y1 - y0);
    if (dx > tolerance && dy <= Math.max(LEVEL * dx, NONE) && dy < SLOPE * tolerance) {
      level.push({ at: (y0 + y1) / 2, from: Math.min(x0, x1), to: Math.max(x0, x1), layer });
    } else if (dy > tolerance && dx <= Math.max(LEVEL * dy, NONE) && dx < SLOPE * tolerance) {
      upright.push({ at: (x0 + x1) / 2, from: Math.min(y0, y1), to: Math.max(y0, y1), layer });
    }
  };
  for (const item of items) {
    // Of the hundred thousand lines of a plan nearly all are one piece each: nothing is made for them on the way.
    if (item.kind === 'stroke' && item.points.length === 4 && !item.closed) {
      const { points, layer } = item;
      add(points[0] ?? 0, points[1] ?? 0, points[2] ?? 0, points[3] ?? 0, layer);
    } else for (const { x0, y0, x1, y1 } of piecesOf(item, tolerance)) add(x0, y0, x1, y1, item.layer);
  }
  const lines = [...gathered(level, 'horizontal', tolerance), ...gathered(upright, 'vertical', tolerance)];
  const own = reach ?? reachOf(lines, tolerance * LEAST_REACH);
  closeCorners(lines, own);
  for (const line of lines) if (line.spans.length > 1) line.spans = touchingAsOne(line.spans);
  return { lines, reach: own };
}

/** Ends may miss the line that they were to meet by this many times the usual reach in a carelessly drawn block. */
const CARELESS = 2.2;
/** A drawing is careless when this part of its ends miss by more than the usual reach, and so many of them. */
const MISSES = { part: 0.06, least: 3 };

/**
 * How far ends of lines are drawn to the lines across them, found from the drawing itself: the usual reach, or that of a
 * careless hand when many ends miss by more.
 */
function reachOf(lines: readonly RuledLine[], usual: number): number {
  let [ends, misses] = [0, 0];
  const most = CARELESS * usual;
  for (const axis of ['horizontal', 'vertical'] as const) {
    const places = placesAcross(lines, axis);
    const standing = new Map<number, RuledLine[]>();
    for (const line of lines) {
      if (line.axis === axis) continue;
      const there = standing.get(line.at);
      if (there) there.push(line);
      else standing.set(line.at, [line]);
    }
    for (const line of lines) {
      if (line.axis !== axis) continue;
      for (const span of line.spans) {
        for (const end of span) {
          ends++;
          const at = nearestTo(places, end, most);
          const distance = at === end ? 0 : Math.abs(at - end);
          if (distance > usual && standing.get(at)?.some((each) => covers(each, line.at, line.at, most))) misses++;
        }
      }
    }
  }
  return misses >= MISSES.least && misses >= MISSES.part * ends ? most : usual;
}

/** Where the lines across stand, in ascending order. */
function placesAcross(lines: readonly RuledLine[], axis: RuledLine['axis']): Float64Array {
  const places = new Float64Array(lines.length);
  let count = 0;
  for (const line of lines) if (line.axis !== axis) places[count++] = line.at;
  return places.subarray(0, count).sort();
}

function gathered(pieces: Piece[], axis: RuledLine['axis'], tolerance: number): RuledLine[] {
  const lines: RuledLine[] = [];
  const alone = new Map<string, ReadonlySet<string>>();
  let group: Piece[] = [];
  const close = (): void => {
    if (group.length > 0) lines.push(joined(group, axis, tolerance, alone));
    group = [];
  };
  for (const piece of inOrderOf(pieces, ({ at }) => at)) {
    const last = group[group.length - 1];
    const first = group[0];
    if (last && first && (piece.at - last.at > tolerance || piece.at - first.at > SPREAD * tolerance)) close();
    group.push(piece);
  }
  close();
  return lines;
}

/** The layers of some pieces. @param alone holds the sets of one layer, each of which many lines share */
function layersOf(group: readonly Piece[], alone: Map<string, ReadonlySet<string>>): ReadonlySet<string> {
  const [first] = group;
  if (!first || group.some(({ layer }) => layer !== first.layer)) return new Set(group.map(({ layer }) => layer));
  const known = alone.get(first.layer) ?? new Set([first.layer]);
  alone.set(first.layer, known);
  return known;
}

function joined(
  group: readonly Piece[],
  axis: RuledLine['axis'],
  tolerance: number,
  alone: Map<string, ReadonlySet<string>>,
): RuledLine {
  const [first] = group;
  if (first && group.length === 1)
    return { axis, at: first.at, spans: [[first.from, first.to]], layers: layersOf(group, alone) };
  let [sum, weight] = [0, 0];
  for (const { at, from, to } of group) {
    sum += at * (to - from);
    weight += to - from;
  }
  const spans: [number, number][] = [];
  for (const { from, to } of [...group].sort((a, b) => a.from - b.from)) {
    const last = spans[spans.length - 1];
    if (last && from <= last[1] + 2 * tolerance) last[1] = Math.max(last[1], to);
    else spans.push([from, to]);
  }
  return { axis, at: sum / weight, spans, layers: layersOf(group, alone) };
}

/**
 * Spans that meet are one: dividers above and below a line that ended short of it have been drawn to it, and go through it
 * like one line.
 */
function touchingAsOne(spans: readonly [number, number][]): [number, number][] {
  const one: [number, number][] = [];
  for (const span of spans.toSorted((a, b) => a[0] - b[0])) {
    const last = one[one.length - 1];
    if (last && span[0] <= last[1]) last[1] = Math.max(last[1], span[1]);
    else one.push(span);
  }
  return one;
}

/** Draws the ends of spans to the lines across that they nearly reach. */
function closeCorners(lines: readonly RuledLine[], reach: number): void {
  for (const axis of ['horizontal', 'vertical'] as const) {
    const across = placesAcross(lines, axis);
    for (const line of lines) {
      if (line.axis !== axis) continue;
      for (const span of line.spans) {
        span[0] = nearestTo(across, span[0], reach);
        span[1] = nearestTo(across, span[1], reach);
      }
    }
  }
}

function nearestTo(sorted: Float64Array, value: number, reach: number): number {
  let best = value;
  let distance = reach;
  for (let i = firstPlace(sorted, value - reach); i < sorted.length; i++) {
    const each = sorted[i] ?? 0;
    if (each > value + reach) break;
    if (Math.abs(each - value) < distance) [best, distance] = [each, Math.abs(each - value)];
  }
  return best;
}

/** Whether a line has ink all the way between two positions, but for gaps within the tolerance. */
export function covers(line: RuledLine, from: number, to: number, tolerance: number): boolean {
  return line.spans.some(([start, end]) => start <= from + tolerance && end >= to - tolerance);
}
