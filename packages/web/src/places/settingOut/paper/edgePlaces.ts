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

/**
 * Moves labels apart that would cover each other, as little as it takes, so that narrow tracks keep their figure. Where there are
 * more than fit at all, those without room go, the selected track's last.
 * @param span from where to where labels may have their middle
 */
function spread(
  middles: readonly number[],
  selected: number | undefined,
  room: number,
  [from, to]: readonly [number, number],
): (number | undefined)[] {
  const out: (number | undefined)[] = middles.map(() => undefined);
  let shown = middles.map((_, i) => i).filter((i) => (middles[i] ?? 0) > from && (middles[i] ?? 0) < to);
  const most = Math.max(1, Math.floor((to - from - 1) / room));
  if (shown.length > most) {
    const ranked = [...shown].sort((a, b) => Number(b === selected) - Number(a === selected) || a - b);
    shown = ranked.slice(0, most).sort((a, b) => a - b);
  }
  // Down from the first one, then up from the last, so that all stay between the two ends.
  const places = shown.map((i) => middles[i] ?? 0);
  for (let i = 1; i < places.length; i++) places[i] = Math.max(places[i] ?? 0, (places[i - 1] ?? 0) + room);
  for (let i = places.length - 1, limit = to - 0.5; i >= 0; i--) {
    places[i] = Math.min(places[i] ?? 0, limit);
    limit = (places[i] ?? 0) - room;
  }
  shown.forEach((track, i) => (out[track] = places[i]));
  return out;
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
  const end = (rows ? size.height : size.width) - 8;
  const labels = spread(middles, selectedTrack, rows ? 24 : LABEL.width + 4, [8, end]).map((middle) => {
    if (middle === undefined) return undefined;
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
