import type { ArcItem, Item, TextItem } from '../drawing';
import { arcPoints } from '../drawing';
import type { Point } from '../geometry';
import type { Outline, OutlinePart } from './outline';
import { MOST_OUTLINE_CHARACTERS, MOST_PART_NAME, MOST_PARTS, outlineValue, sameName } from './outline';

/** A drawing that is no outline, in words. */
export class OutlineError extends Error {
  override name = 'OutlineError';
}

/** Lines and rings that are looked at. */
const MOST_LINES = 20_000;

/**
 * The outline that a drawing shows: closed lines and areas are its parts, each called by the text that stands in it. Where there are
 * texts, closed lines without one are lines only, such as one around all of them; without any, the parts are called A, B, C …
 * from left to right.
 * @throws OutlineError for a drawing without a closed line, or one with too much in it
 */
export function outlineOf(items: readonly Item[]): Outline {
  const rings: number[][] = [];
  const lines: number[][] = [];
  const texts: TextItem[] = [];
  for (const item of items) {
    if (item.kind === 'fill') rings.push(...item.rings.filter((ring) => ring.length >= 6));
    else if (item.kind === 'arc') (isCircle(item) ? rings : lines).push(arcPoints(item));
    else if (item.kind === 'stroke') (isClosed(item.points, item.closed) ? rings : lines).push(item.points);
    else if (item.kind === 'text') texts.push(item);
    if (rings.length + lines.length > MOST_LINES)
      throw new OutlineError(
        `this drawing has more than ${MOST_LINES.toLocaleString('en')} lines; an outline has a few`,
      );
  }
  if (rings.length === 0)
    throw new OutlineError('there is no closed line in this drawing; draw each part as one closed line');
  const single = withoutDoubles(rings);
  const parts = named(single, texts);
  const isPart = new Set(parts.map(({ ring }) => ring));
  const rest = [
    ...lines,
    ...single.filter((ring) => !isPart.has(ring)).map((ring) => [...ring, ring[0] ?? 0, ring[1] ?? 0]),
  ];
  const outline = inItsBox({ parts, lines: rest });
  // Parts may get other names later, as long as a name may be.
  if (outlineValue(outline).length + parts.length * MOST_PART_NAME > MOST_OUTLINE_CHARACTERS)
    throw new OutlineError(
      'this drawing has too many corners for an outline; draw it simpler, with a few hundred at most',
    );
  return outline;
}

const isCircle = ({ from, to }: ArcItem): boolean => Math.abs(Math.abs(to - from) - 360) < 1e-6;

function isClosed(points: readonly number[], closed: boolean): boolean {
  if (points.length < 6) return false;
  if (closed) return true;
  const reach = Math.hypot((points.at(-2) ?? 0) - (points[0] ?? 0), (points.at(-1) ?? 0) - (points[1] ?? 0));
  return points.length >= 8 && reach < 1e-3;
}

/** An area is often drawn twice, filled and with a line around it. */
function withoutDoubles(rings: readonly number[][]): number[][] {
  const seen = new Set<string>();
  return rings.filter((ring) => {
    const box = boxOf([ring]);
    const key = [box.left, box.lower, box.right, box.upper, areaOf(ring)].map((each) => each.toFixed(2)).join(' ');
    return !seen.has(key) && seen.add(key);
  });
}

function named(rings: readonly number[][], texts: readonly TextItem[]): OutlinePart[] {
  const smallestFirst = [...rings].sort((a, b) => areaOf(a) - areaOf(b));
  const names = new Map<number[], string>();
  for (const text of texts) {
    const middle = middleOf(text);
    const ring = smallestFirst.find((each) => holds(each, middle));
    const name = text.text.trim().slice(0, MOST_PART_NAME);
    if (ring && name !== '' && !names.has(ring)) names.set(ring, name);
  }
  const taken = new Set<string>();
  if (names.size > 0) {
    const parts = [...names].map(([ring, name]) => ({ name: unused(name, taken), ring }));
    if (parts.length > MOST_PARTS) throw tooMany(parts.length);
    return parts;
  }
  if (rings.length > MOST_PARTS) throw tooMany(rings.length);
  return [...rings]
    .sort((a, b) => boxOf([a]).left - boxOf([b]).left || boxOf([b]).upper - boxOf([a]).upper)
    .map((ring, i) => ({ name: letter(i), ring }));
}

const tooMany = (count: number): OutlineError =>
  new OutlineError(`this drawing has ${count} closed lines; an outline has at most ${MOST_PARTS} parts`);

/** A, B … Z, AA, AB … */
const letter = (i: number): string =>
  (i < 26 ? '' : letter(Math.floor(i / 26) - 1)) + String.fromCharCode(65 + (i % 26));

/** A name that no part has yet: `B`, `B 2`. */
function unused(name: string, taken: Set<string>): string {
  let free = name;
  for (let n = 2; taken.has(sameName(free)); n++) free = `${name} ${n}`;
  taken.add(sameName(free));
  return free;
}

function middleOf({ at, width, height, rotation }: TextItem): Point {
  const turn = (rotation * Math.PI) / 180;
  const [along, up] = [width / 2, height / 2];
  return {
    x: at.x + along * Math.cos(turn) - up * Math.sin(turn),
    y: at.y + along * Math.sin(turn) + up * Math.cos(turn),
  };
}

/** Whether a point stands in a ring, by the even-odd rule. */
function holds(ring: readonly number[], { x, y }: Point): boolean {
  let inside = false;
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const [xi = 0, yi = 0, xj = 0, yj = 0] = [ring[i], ring[i + 1], ring[j], ring[j + 1]];
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
  }
  return inside;
}

function areaOf(ring: readonly number[]): number {
  let sum = 0;
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2)
    sum += (ring[j] ?? 0) * (ring[i + 1] ?? 0) - (ring[i] ?? 0) * (ring[j + 1] ?? 0);
  return Math.abs(sum) / 2;
}

function boxOf(lines: readonly number[][]): { left: number; lower: number; right: number; upper: number } {
  let [left, lower, right, upper] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const line of lines) {
    for (let i = 0; i + 1 < line.length; i += 2) {
      const [x = 0, y = 0] = [line[i], line[i + 1]];
      [left, right] = [Math.min(left, x), Math.max(right, x)];
      [lower, upper] = [Math.min(lower, y), Math.max(upper, y)];
    }
  }
  return { left, lower, right, upper };
}

/** Moved so that its box begins at 0, 0. @throws OutlineError for one without extent */
function inItsBox({ parts, lines }: Pick<Outline, 'parts' | 'lines'>): Outline {
  const { left, lower, right, upper } = boxOf([...parts.map(({ ring }) => ring), ...lines]);
  const [width, height] = [right - left, upper - lower];
  if (!(width > 0 && height > 0 && Number.isFinite(width + height)))
    throw new OutlineError('this drawing has no extent both ways, so it is no outline');
  const moved = (points: readonly number[]): number[] => points.map((value, i) => value - (i % 2 === 0 ? left : lower));
  return {
    width,
    height,
    parts: parts.map(({ name, ring }) => ({ name, ring: moved(ring) })),
    lines: lines.map(moved),
  };
}
