import type { Cell, Child, EdgePens, Panel } from '../design';
import { NO_LINE } from '../design';
import type { Item } from '../drawing';
import { rectPoints } from '../drawing';
import type { Rect } from '../geometry';
import { right, top } from '../geometry';
import type { CellLayout } from '../layout';
import type { Edge, OfficeStandard } from '../standard';
import { EDGES } from '../standard';
import { inkOf, layerName } from './layers';

/** A line between cells, x0, y0, x1, y1, with its own pen where it has one. */
interface DividerLine {
  points: number[];
  pen: string | undefined;
}

/** Tracks that have closed up leave limits at one place; their line is drawn once, and not over the outline. */
const SAME_PLACE = 1e-6;

/**
 * The lines between the cells of one division: each limit between two tracks is drawn along those tracks of the other
 * axis where no child spans it, neighbouring pieces joined into one. Where a cell sets the pen of that edge itself the
 * line is left to it.
 */
export function dividerLines(cell: Cell, at: CellLayout): DividerLine[] {
  const { division } = cell;
  const { columns, rows } = at;
  if (!division || !columns || !rows) return [];
  const lines: DividerLine[] = [];
  // Which child stands on which track of both axes.
  const across = division.columns.length;
  const standing: (Child | undefined)[] = [];
  for (const child of division.children) {
    for (let row = child.row; row < child.row + child.rowSpan; row++) {
      for (let column = child.column; column < child.column + child.columnSpan; column++) {
        standing[row * across + column] = child;
      }
    }
  }
  const own = division.children.some((child) => child.cell.edges);
  /** Whether a limit is drawn by the division itself where it passes a track of the other axis. */
  const open = (axis: 'columns' | 'rows', limit: number, track: number): boolean => {
    const [before, after] = [limit - 1, limit].map((place) =>
      axis === 'columns' ? standing[track * across + place] : standing[place * across + track],
    );
    if (before && before === after) return false;
    if (!own) return true;
    const [ends, starts]: [Edge, Edge] = axis === 'columns' ? ['right', 'left'] : ['bottom', 'top'];
    return before?.cell.edges?.[ends] === undefined && after?.cell.edges?.[starts] === undefined;
  };
  const run = (axis: 'columns' | 'rows', limit: number, position: number, others: readonly number[]): void => {
    const pen = division[axis][limit - 1]?.line;
    let start: number | undefined;
    for (let track = 0; track < others.length; track++) {
      const shown = track < others.length - 1 && open(axis, limit, track);
      const here = others[track] ?? 0;
      if (shown && start === undefined) start = here;
      if (!shown && start !== undefined) {
        if (Math.abs(here - start) > SAME_PLACE) {
          const points = axis === 'columns' ? [position, start, position, here] : [start, position, here, position];
          lines.push({ points, pen });
        }
        start = undefined;
      }
    }
  };
  for (const [axis, limits, others] of [
    ['columns', columns, rows],
    ['rows', rows, columns],
  ] as const) {
    const end = limits[limits.length - 1] ?? 0;
    for (let limit = 1; limit < limits.length - 1; limit++) {
      const position = limits[limit] ?? 0;
      const doubled = Math.abs(position - (limits[limit - 1] ?? 0)) < SAME_PLACE;
      if (!doubled && Math.abs(position - end) > SAME_PLACE) run(axis, limit, position, others);
    }
  }
  return lines;
}

/** One edge of a rectangle as x0, y0, x1, y1. */
function edgePoints(rect: Rect, edge: Edge): number[] {
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

/** The outline of a panel, in pieces where its edges have pens of their own. */
export function outlineItems(panel: Panel, at: Rect, standard: OfficeStandard): Item[] {
  const base = { layer: layerName(standard, 'cells'), part: 'block', cell: panel.root.id } as const;
  if (!panel.edges) {
    if (panel.outlinePen === NO_LINE) return [];
    return [{ ...base, kind: 'stroke', points: rectPoints(at), closed: true, ...inkOf(standard, panel.outlinePen) }];
  }
  return edgeItems(
    at,
    {
      left: panel.outlinePen,
      right: panel.outlinePen,
      top: panel.outlinePen,
      bottom: panel.outlinePen,
      ...panel.edges,
    },
    base,
    standard,
  );
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
