import type { Axis, Cell, Child, Division, EdgePens } from '../design';
import { NO_LINE } from '../design';
import type { Item } from '../drawing';
import type { Rect } from '../geometry';
import { right, top } from '../geometry';
import type { CellLayout } from '../layout';
import type { Edge, OfficeStandard } from '../standard';
import { EDGES } from '../standard';
import { inkOf } from './layers';

/** A line between cells, x0, y0, x1, y1, with its own pen where it has one. */
interface DividerLine {
  points: number[];
  pen: string | undefined;
}

/** Tracks that have closed up leave limits at one place; their line is drawn once, and not over the outline. */
const SAME_PLACE = 1e-6;

/** What stands before and behind a limit where it passes a track of the other axis. */
type Beside = (axis: Axis, limit: number, track: number) => readonly [Child | undefined, Child | undefined];

/** Finds what stands beside the limits of a division. */
export function besideIn({ columns, children }: Division): Beside {
  const across = columns.length;
  // Which child stands on which track of both axes.
  const standing: (Child | undefined)[] = [];
  for (const child of children) {
    for (let row = child.row; row < child.row + child.rowSpan; row++) {
      for (let column = child.column; column < child.column + child.columnSpan; column++) {
        standing[row * across + column] = child;
      }
    }
  }
  return (axis, limit, track) =>
    axis === 'columns'
      ? [standing[track * across + limit - 1], standing[track * across + limit]]
      : [standing[(limit - 1) * across + track], standing[limit * across + track]];
}

/** Along which side of a limit a line runs: one for both, or where there is a gap one for each. */
type Side = 'both' | 'before' | 'after';

/**
 * The lines between the cells of one division: each limit between two tracks is drawn along those tracks of the other
 * axis where no child spans it, neighbouring pieces joined into one. Where there are gaps each side of the gap has its line,
 * and no line runs across a gap but along a cell that does. Where a cell sets the pen of that edge itself the line is left
 * to it.
 */
export function dividerLines(cell: Cell, at: CellLayout): DividerLine[] {
  const { division } = cell;
  const { columns, rows, halfGaps } = at;
  if (!division || !columns || !rows) return [];
  const lines: DividerLine[] = [];
  const own = division.children.some((child) => child.cell.edges);
  const beside = besideIn(division);
  /** Whether a limit is drawn by the division itself where it passes a track of the other axis. */
  const open = (axis: Axis, limit: number, track: number, side: Side): boolean => {
    const [before, after] = beside(axis, limit, track);
    if (before && before === after) return false;
    if (!own) return true;
    const [ends, starts]: [Edge, Edge] = axis === 'columns' ? ['right', 'left'] : ['bottom', 'top'];
    return (
      (side === 'after' || before?.cell.edges?.[ends] === undefined) &&
      (side === 'before' || after?.cell.edges?.[starts] === undefined)
    );
  };
  /** Whether a cell beside the limit runs on over the gap behind a track of the other axis. */
  const runsOn = (axis: Axis, limit: number, track: number, side: Side): boolean => {
    const [here, next] = [beside(axis, limit, track), beside(axis, limit, track + 1)];
    return (
      (side !== 'after' && here[0] !== undefined && here[0] === next[0]) ||
      (side !== 'before' && here[1] !== undefined && here[1] === next[1])
    );
  };
  const run = (axis: Axis, limit: number, position: number, side: Side): void => {
    const pen = division[axis][limit - 1]?.line;
    const [others, halves, direction] =
      axis === 'columns' ? [rows, halfGaps?.rows, -1] : [columns, halfGaps?.columns, 1];
    let start: number | undefined;
    for (let track = 0; track < others.length - 1; track++) {
      if (!open(axis, limit, track, side)) continue;
      start ??= (others[track] ?? 0) + direction * (halves?.[track] ?? 0);
      const gap = halves?.[track + 1] ?? 0;
      const last = track === others.length - 2;
      if (!last && open(axis, limit, track + 1, side) && (gap === 0 || runsOn(axis, limit, track, side))) continue;
      const end = (others[track + 1] ?? 0) - direction * gap;
      if (Math.abs(end - start) > SAME_PLACE) {
        const points = axis === 'columns' ? [position, start, position, end] : [start, position, end, position];
        lines.push({ points, pen });
      }
      start = undefined;
    }
  };
  for (const [axis, limits, direction] of [
    ['columns', columns, 1],
    ['rows', rows, -1],
  ] as const) {
    const end = limits[limits.length - 1] ?? 0;
    for (let limit = 1; limit < limits.length - 1; limit++) {
      const position = limits[limit] ?? 0;
      const doubled = Math.abs(position - (limits[limit - 1] ?? 0)) < SAME_PLACE;
      if (doubled || Math.abs(position - end) <= SAME_PLACE) continue;
      const half = halfGaps?.[axis][limit] ?? 0;
      if (half === 0) run(axis, limit, position, 'both');
      else {
        run(axis, limit, position - direction * half, 'before');
        run(axis, limit, position + direction * half, 'after');
      }
    }
  }
  return lines;
}

/** One edge of a rectangle as x0, y0, x1, y1. */
export function edgePoints(rect: Rect, edge: Edge): number[] {
  switch (edge) {
    case 'left':
      return [rect.x, rect.y, rect.x, top(rect)];
    case 'right':
      return [right(rect), rect.y, right(rect), top(rect)];
    case 'top':
      return [rect.x, top(rect), right(rect), top(rect)];
    case 'bottom':
      return [rect.x, rect.y, right(rect), rect.y];
  }
}

/** The edges that have a pen of their own. */
export function edgeItems(
  at: Rect,
  edges: EdgePens,
  base: { layer: string; part: 'block'; cell: string },
  standard: OfficeStandard,
): Item[] {
  return EDGES.flatMap((edge): Item[] => {
    const pen = edges[edge];
    if (pen === undefined || pen === NO_LINE) return [];
    return [{ ...base, kind: 'stroke', points: edgePoints(at, edge), closed: false, ...inkOf(standard, pen) }];
  });
}
