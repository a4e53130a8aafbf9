import type { OverlayView } from '../../../paper/Paper';
import { onScreen } from '../../../paper/viewport';
import type { WorkedDivision } from './dividers';

/** Where the sizes and dividers of a division stand, in pixels of the paper's window. */
export interface EdgePlaces {
  rows: boolean;
  /** Where the labels begin: their left edge beside rows, their upper edge above columns. */
  edge: number;
  /** Upper left and lower right corner of the cell that is divided. */
  corner: { x: number; y: number };
  far: { x: number; y: number };
  /** Along the axis: each limit, the first and last included. */
  limits: number[];
  /** The upper left corner of each track's label; nothing where it has no room or lies outside. */
  labels: ({ x: number; y: number } | undefined)[];
}

export const LABEL = { width: 58, height: 22 };

/** Which labels can stand without covering each other; the selected track's own goes first. */
function withRoom(middles: readonly number[], selected: number | undefined, room: number): Set<number> {
  const order = middles.map((_, i) => i).sort((a, b) => Number(b === selected) - Number(a === selected) || a - b);
  const kept = new Set<number>();
  for (const i of order) {
    if ([...kept].every((other) => Math.abs((middles[other] ?? 0) - (middles[i] ?? 0)) >= room)) kept.add(i);
  }
  return kept;
}

/** Places the sizes and dividers of a division beside the paper. */
export function edgePlaces(
  { axis, limits, lengths, rect }: WorkedDivision,
  { viewport, paperHeight, size }: OverlayView,
  selectedTrack: number | undefined,
): EdgePlaces {
  const rows = axis === 'rows';
  const at = (mm: number): number =>
    rows ? onScreen(viewport, paperHeight, 0, mm).y : onScreen(viewport, paperHeight, mm, 0).x;
  const corner = onScreen(viewport, paperHeight, rect.x, rect.y + rect.height);
  const far = onScreen(viewport, paperHeight, rect.x + rect.width, rect.y);
  // Beside the cell where there is room, else inside its edge, always in the window.
  const edge = rows
    ? Math.max(6, Math.min(corner.x - LABEL.width - 22, size.width - LABEL.width - 6))
    : Math.max(4, Math.min(corner.y - 34, size.height - 120));
  const middles = lengths.map((_, i) => (at(limits[i] ?? 0) + at(limits[i + 1] ?? 0)) / 2);
  const kept = withRoom(middles, selectedTrack, rows ? 24 : LABEL.width + 4);
  const end = (rows ? size.height : size.width) - 8;
  const labels = middles.map((middle, i) => {
    if (!kept.has(i) || middle <= 8 || middle >= end) return undefined;
    return rows ? { x: edge, y: middle - LABEL.height / 2 } : { x: middle - LABEL.width / 2, y: edge };
  });
  return { rows, edge, corner, far, limits: limits.map(at), labels };
}

/** The two ends of the line that leads from the labels to a limit of the division. */
export function leader({ rows, edge, corner }: EdgePlaces, px: number): [number, number, number, number] {
  return rows ? [edge + LABEL.width + 2, px, corner.x - 3, px] : [px, edge + LABEL.height + 4, px, corner.y - 3];
}

/** The middle of the handle of a divider. */
export function handleMiddle(places: EdgePlaces, px: number): { x: number; y: number } {
  const half = handleLength(places) / 2;
  return places.rows ? { x: places.corner.x + half, y: px } : { x: px, y: places.corner.y + half };
}

/** How long a divider can be taken hold of, in pixels: at least 20. */
export const handleLength = ({ rows, corner, far }: EdgePlaces): number =>
  Math.max(20, rows ? far.x - corner.x : far.y - corner.y);
