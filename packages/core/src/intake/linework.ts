import type { Item } from '../drawing';
import { segmentsOf } from '../drawing';

/** All pieces of horizontal or vertical linework that lie on one line, joined. */
export interface RuledLine {
  axis: 'horizontal' | 'vertical';
  /** y of a horizontal line, x of a vertical one. */
  at: number;
  /** Where along the line there is ink: from, to in ascending order, not overlapping. */
  spans: [number, number][];
  layers: Set<string>;
}

interface Piece {
  at: number;
  from: number;
  to: number;
  layer: string;
}

/** A piece counts as level when it rises less than this part of its length (0.6 degrees). */
const LEVEL = 0.01;

/**
 * Finds the ruled lines of a drawing: level and upright pieces are gathered by position, overlaps and gaps within the
 * tolerance are closed, ends are drawn to the lines they nearly meet.
 * @param tolerance distance under which two positions are one, in the unit of the items
 */
export function ruledLines(items: readonly Item[], tolerance: number): RuledLine[] {
  const level: Piece[] = [];
  const upright: Piece[] = [];
  for (const item of items) {
    if (item.kind !== 'stroke') continue;
    for (const { x0, y0, x1, y1 } of segmentsOf([item])) {
      const [dx, dy] = [Math.abs(x1 - x0), Math.abs(y1 - y0)];
      if (dx > tolerance && dy <= Math.max(LEVEL * dx, 1e-12) && dy < 4 * tolerance) {
        level.push({ at: (y0 + y1) / 2, from: Math.min(x0, x1), to: Math.max(x0, x1), layer: item.layer });
      } else if (dy > tolerance && dx <= Math.max(LEVEL * dy, 1e-12) && dx < 4 * tolerance) {
        upright.push({ at: (x0 + x1) / 2, from: Math.min(y0, y1), to: Math.max(y0, y1), layer: item.layer });
      }
    }
  }
  const lines = [...gathered(level, 'horizontal', tolerance), ...gathered(upright, 'vertical', tolerance)];
  closeCorners(lines, tolerance * 4);
  return lines;
}

function gathered(pieces: Piece[], axis: RuledLine['axis'], tolerance: number): RuledLine[] {
  pieces.sort((a, b) => a.at - b.at);
  const lines: RuledLine[] = [];
  let group: Piece[] = [];
  const close = (): void => {
    if (group.length > 0) lines.push(joined(group, axis, tolerance));
    group = [];
  };
  for (const piece of pieces) {
    const last = group[group.length - 1];
    const first = group[0];
    if (last && first && (piece.at - last.at > tolerance || piece.at - first.at > 3 * tolerance)) close();
    group.push(piece);
  }
  close();
  return lines;
}

function joined(group: readonly Piece[], axis: RuledLine['axis'], tolerance: number): RuledLine {
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
  return { axis, at: sum / weight, spans, layers: new Set(group.map((piece) => piece.layer)) };
}

/** Draws the ends of spans to the lines across that they nearly reach. */
function closeCorners(lines: readonly RuledLine[], reach: number): void {
  for (const axis of ['horizontal', 'vertical'] as const) {
    const across = lines
      .filter((line) => line.axis !== axis)
      .map((line) => line.at)
      .sort((a, b) => a - b);
    for (const line of lines) {
      if (line.axis !== axis) continue;
      for (const span of line.spans) {
        span[0] = nearestTo(across, span[0], reach);
        span[1] = nearestTo(across, span[1], reach);
      }
    }
  }
}

function nearestTo(sorted: readonly number[], value: number, reach: number): number {
  let best = value;
  let distance = reach;
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] ?? 0) < value - reach) low = middle + 1;
    else high = middle;
  }
  for (let i = low; i < sorted.length; i++) {
    const each = sorted[i] ?? 0;
    if (each > value + reach) break;
    if (Math.abs(each - value) < distance) [best, distance] = [each, Math.abs(each - value)];
  }
  return best;
}

/** Length of the part of a line that has ink between two positions. */
export function inkBetween(line: RuledLine, from: number, to: number): number {
  let ink = 0;
  for (const [start, end] of line.spans) ink += Math.max(0, Math.min(end, to) - Math.max(start, from));
  return ink;
}

/** Whether a line has ink all the way between two positions, but for gaps within the tolerance. */
export function covers(line: RuledLine, from: number, to: number, tolerance: number): boolean {
  return line.spans.some(([start, end]) => start <= from + tolerance && end >= to - tolerance);
}
