import type { Rect } from '../geometry';
import { contains } from '../geometry';
import type { RuledLine } from './linework';
import { firstPlace, inOrderOf } from './sortedPlaces';

/** Lines that do not touch the frame are a block all the same when so many captions stand in them, and they are larger than a mark, in mm. */
const NAMED_BY = 2;
const LEAST_BLOCK = 5;
/**
 * Lines of a block meet in no more places to a caption than this: a block of two rows in 4, a table of twenty revisions in 25. The
 * walls of a plan meet in hundreds, to the few rooms that are called like something a title block asks for.
 */
const MOST_MEETINGS_TO_A_CAPTION = 30;

/**
 * Keeps the lines that belong to the frame or hang together with something that holds captions; what floats in the
 * drawing area or in a cell by itself is a drawing or a mark, not a title block. What lies on one line but apart is judged
 * apart: a wall of a plan may well be in line with a divider.
 * @param captions places of texts that look like captions
 * @param belonging layers whose lines are kept wherever they are
 */
export function blockLines(
  lines: readonly RuledLine[],
  frame: Rect,
  captions: readonly { x: number; y: number }[],
  tolerance: number,
  belonging: ReadonlySet<string>,
): { kept: RuledLine[]; loose: RuledLine[] } {
  const pieces = lines.flatMap((line) =>
    line.spans.length === 1 ? line : line.spans.map((span): RuledLine => ({ ...line, spans: [span] })),
  );
  const owner = new Int32Array(pieces.length);
  for (let i = 0; i < owner.length; i++) owner[i] = i;
  const find = (i: number): number => {
    let root = i;
    while (owner[root] !== root) root = owner[root] ?? root;
    while (owner[i] !== root) {
      const next = owner[i] ?? root;
      owner[i] = root;
      i = next;
    }
    return root;
  };
  const met = new Int32Array(pieces.length);
  eachMeeting(pieces, tolerance, (level, upright) => {
    owner[find(level)] = find(upright);
    met[level]! += 1;
  });
  const groups = new Map<number, RuledLine[]>();
  const meetings = new Int32Array(pieces.length);
  pieces.forEach((piece, i) => {
    const root = find(i);
    meetings[root]! += met[i] ?? 0;
    const group = groups.get(root);
    if (group) group.push(piece);
    else groups.set(root, [piece]);
  });
  const kept: RuledLine[] = [];
  const loose: RuledLine[] = [];
  for (const [root, group] of groups) {
    const bounds = boundsOf(group);
    const onFrame = group.some((line) => liesOnFrame(line, frame, tolerance));
    const named =
      bounds.width > LEAST_BLOCK &&
      bounds.height > LEAST_BLOCK &&
      captions.filter((point) => contains(bounds, point)).length >=
        Math.max(NAMED_BY, (meetings[root] ?? 0) / MOST_MEETINGS_TO_A_CAPTION);
    for (const piece of group) {
      const belongs =
        onFrame || named || (belonging.size > 0 && [...piece.layers].some((layer) => belonging.has(layer)));
      (belongs ? kept : loose).push(piece);
    }
  }
  return { kept: joinedAgain(kept), loose: joinedAgain(loose) };
}

/** Pieces in one band are held against each other; so many bands that few uprights stand in more than some of them. */
const MOST_BANDS = 400;
const TO_A_BAND = 40;

/** Calls back for every level piece and every upright one that meet, by their numbers. */
function eachMeeting(
  pieces: readonly RuledLine[],
  tolerance: number,
  met: (level: number, upright: number) => void,
): void {
  const numbers = pieces.map((_, i) => i);
  const upright = inOrderOf(
    numbers.filter((i) => pieces[i]?.axis === 'vertical'),
    (i) => pieces[i]?.at ?? 0,
  );
  // As flat numbers: of a dense plan they are gone through for every level piece.
  const lows = Float64Array.from(upright, (i) => (pieces[i]?.spans[0]?.[0] ?? 0) - tolerance);
  const highs = Float64Array.from(upright, (i) => (pieces[i]?.spans[0]?.[1] ?? 0) + tolerance);
  const low = lows.reduce((least, each) => Math.min(least, each), Infinity);
  const high = highs.reduce((most, each) => Math.max(most, each), -Infinity);
  const count = Math.max(1, Math.min(MOST_BANDS, Math.ceil(upright.length / TO_A_BAND)));
  const bandOf = (up: number): number =>
    Math.min(count - 1, Math.max(0, Math.floor(((up - low) / (high - low)) * count)));
  const bands: number[][] = Array.from({ length: count }, () => []);
  upright.forEach((_, k) => {
    for (let band = bandOf(lows[k] ?? 0); band <= bandOf(highs[k] ?? 0); band++) bands[band]?.push(k);
  });
  const places = bands.map((band) => Float64Array.from(band, (k) => pieces[upright[k] ?? 0]?.at ?? 0));
  pieces.forEach(({ axis, at, spans }, i) => {
    if (axis !== 'horizontal' || at < low || at > high) return;
    const [from, to] = spans[0] ?? [0, 0];
    const [band, own] = [bands[bandOf(at)], places[bandOf(at)]];
    if (!band || !own) return;
    for (let n = firstPlace(own, from - tolerance); n < band.length; n++) {
      if ((own[n] ?? 0) > to + tolerance) break;
      const k = band[n] ?? 0;
      if (at >= (lows[k] ?? 0) && at <= (highs[k] ?? 0)) met(i, upright[k] ?? 0);
    }
  });
}

/** Lines by whether their pieces lie in one of some areas. */
export function splitLines(
  lines: readonly RuledLine[],
  areas: readonly Rect[],
  tolerance: number,
): Record<'inside' | 'outside', RuledLine[]> {
  const split: Record<'inside' | 'outside', RuledLine[]> = { inside: [], outside: [] };
  for (const line of lines) {
    for (const span of line.spans) {
      const ends = span.map((along) =>
        line.axis === 'horizontal' ? { x: along, y: line.at } : { x: line.at, y: along },
      );
      const lies = areas.some((area) => ends.every((end) => contains(area, end, tolerance)));
      split[lies ? 'inside' : 'outside'].push({ ...line, spans: [span] });
    }
  }
  return { inside: joinedAgain(split.inside), outside: joinedAgain(split.outside) };
}

/** Pieces of one line as one line again. */
function joinedAgain(pieces: readonly RuledLine[]): RuledLine[] {
  const lines: RuledLine[] = [];
  const places = { horizontal: new Map<number, RuledLine>(), vertical: new Map<number, RuledLine>() };
  for (const { axis, at, spans, layers } of pieces) {
    const known = places[axis].get(at);
    if (known) known.spans.push(...spans);
    else {
      const line = { axis, at, spans: [...spans], layers };
      places[axis].set(at, line);
      lines.push(line);
    }
  }
  for (const { spans } of lines) if (spans.length > 1) spans.sort((a, b) => a[0] - b[0]);
  return lines;
}

/** Lines meet the frame within so many tolerances: both may be off, and each may be a double line. */
const ON_FRAME = 4;

function liesOnFrame(line: RuledLine, frame: Rect, tolerance: number): boolean {
  const [edge, extent] = line.axis === 'horizontal' ? [frame.y, frame.height] : [frame.x, frame.width];
  const off = line.at - edge;
  return Math.min(Math.abs(off), Math.abs(off - extent)) <= ON_FRAME * tolerance;
}

function boundsOf(lines: readonly RuledLine[]): Rect {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { axis, at, spans } of lines) {
    for (const [from, to] of spans) {
      const level = axis === 'horizontal';
      x0 = Math.min(x0, level ? from : at);
      x1 = Math.max(x1, level ? to : at);
      y0 = Math.min(y0, level ? at : from);
      y1 = Math.max(y1, level ? at : to);
    }
  }
  return { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
}
