import type { Cell, Panel } from '../design';
import { NO_LINE } from '../design';
import type { Item } from '../drawing';
import { rectPoints } from '../drawing';
import type { Rect } from '../geometry';
import { right, top } from '../geometry';
import type { CellLayout } from '../layout';
import type { Edge, OfficeStandard } from '../standard';
import { EDGES } from '../standard';
import { besideIn, edgePoints } from './cellLines';
import { inkOf, layerName } from './layers';

/** A piece of an edge that is left open: from where to where along it. */
interface Opening {
  edge: Edge;
  from: number;
  to: number;
}

const SAME_PLACE = 1e-6;

const near = (a: number, b: number): boolean => Math.abs(a - b) < SAME_PLACE;

/** Where the gaps of a division come up to the outline of its panel. */
export function openingsOf(cell: Cell, at: CellLayout, panel: Rect): Opening[] {
  const { division } = cell;
  if (!division || !at.halfGaps) return [];
  const openings: Opening[] = [];
  const beside = besideIn(division);
  for (const axis of ['columns', 'rows'] as const) {
    const edges = (
      axis === 'columns'
        ? ([
            ['top', top(at), top(panel), 0],
            ['bottom', at.y, panel.y, division.rows.length - 1],
          ] as const)
        : ([
            ['left', at.x, panel.x, 0],
            ['right', right(at), right(panel), division.columns.length - 1],
          ] as const)
    ).filter(([, own, outer]) => near(own, outer));
    at.halfGaps[axis].forEach((half, limit) => {
      if (half === 0) return;
      const middle = at[axis]?.[limit] ?? 0;
      for (const [edge, , , track] of edges) {
        const [before, after] = beside(axis, limit, track);
        if (before !== after) openings.push({ edge, from: middle - half, to: middle + half });
      }
    });
  }
  return openings;
}

/** The outline of a panel, in pieces where its edges have pens of their own, and open where a gap comes up to it. */
export function outlineItems(panel: Panel, at: Rect, openings: readonly Opening[], standard: OfficeStandard): Item[] {
  const base = { layer: layerName(standard, 'cells'), part: 'block', cell: panel.root.id } as const;
  if (!panel.edges && openings.length === 0) {
    if (panel.outlinePen === NO_LINE) return [];
    return [{ ...base, kind: 'stroke', points: rectPoints(at), closed: true, ...inkOf(standard, panel.outlinePen) }];
  }
  return EDGES.flatMap((edge): Item[] => {
    const pen = panel.edges?.[edge] ?? panel.outlinePen;
    if (pen === NO_LINE) return [];
    const ink = inkOf(standard, pen);
    return pieces(
      edgePoints(at, edge),
      openings.filter((each) => each.edge === edge),
    ).map((points): Item => ({ ...base, kind: 'stroke', points, closed: false, ...ink }));
  });
}

/** What is left of a level or upright line without some openings. */
function pieces(line: number[], openings: readonly Opening[]): number[][] {
  const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = line;
  const level = near(y0, y1);
  const end = level ? x1 : y1;
  const left: number[][] = [];
  let start = level ? x0 : y0;
  for (const { from, to } of [...openings, { from: end, to: end }].sort((a, b) => a.from - b.from)) {
    if (from - start > SAME_PLACE) left.push(level ? [start, y0, from, y0] : [x0, start, x0, from]);
    start = Math.max(start, to);
  }
  return left;
}
