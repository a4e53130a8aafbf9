import type { Item, PieceItem, PiecePen, StrokeItem, TextItem } from '../drawing';
import { placed } from '../drawing';
import type { Rect } from '../geometry';
import type { Typefaces } from '../lettering';
import { textWidth, withFallback, withFallbackRuns } from '../lettering';
import { clipped } from './clip';
import { cutByOutline } from './clipRing';
import { pensOf } from './pensOf';
import type { SourceSpace } from './sourceSpace';
import { outlineRing } from './windowOutline';

/**
 * The lines, areas and texts of a piece on paper: those of the layers that are shown, at scale, cut at its window. Lettering
 * takes the typeface of the office, lines the width that they have in the drawing.
 * @param name gives the layer of exported files for one of the drawing
 */
export function pieceItems(
  piece: PieceItem,
  { items }: Pick<SourceSpace, 'items'>,
  typefaces: Typefaces,
  name: (layer: string) => string = () => piece.layer,
): Item[] {
  const hidden = new Set(piece.hidden);
  const { from, perUnit } = piece;
  const [dx, dy] = [piece.x - from.x * perUnit, piece.y - from.y * perUnit];
  const penOf = pensOf(piece.pens);
  const found: Item[] = [];
  const ring = outlineOnPaper(piece);
  const keep = (part: Item): void => {
    if (ring) for (const each of cutByOutline(part, ring)) found.push(each);
    else found.push(part);
  };
  for (const item of items) {
    if (hidden.has(item.layer)) continue;
    const layer = name(item.layer);
    if (item.kind === 'stroke') {
      const shown = strokeOnPaper(item, perUnit, dx, dy, layer, penOf(drawnLine(item)) ?? piece);
      if (isWithin(shown.points, piece)) keep(shown);
      else for (const part of clipped(shown, piece)) keep(part);
      continue;
    }
    const own = { ...placed(item, perUnit, dx, dy), layer, part: 'view' } as const;
    const shown = own.kind === 'text' ? lettered(own, piece, typefaces) : own;
    const pen = penOf(drawnLine(item));
    for (const part of clipped(shown, piece)) keep(inked(part, pen, piece.least));
  }
  return found;
}

/** The outline of a piece's window on paper, where it is no rectangle. */
export function outlineOnPaper(
  piece: Pick<PieceItem, keyof Rect | 'outline' | 'from' | 'perUnit'>,
): number[] | undefined {
  const { outline, from, perUnit } = piece;
  if (outline === undefined) return undefined;
  if (outline === 'circle') return [...outlineRing(piece, outline)];
  return outline.map((at, i) => (i % 2 === 0 ? piece.x + (at - from.x) * perUnit : piece.y + (at - from.y) * perUnit));
}

/** What a piece is in its drawing; areas and texts have no width. */
const drawnLine = (item: Item): Parameters<ReturnType<typeof pensOf>>[0] => ({
  layer: item.layer,
  weight: item.kind === 'stroke' || item.kind === 'arc' ? item.width : 0,
  colour: item.kind === 'stroke' || item.kind === 'arc' ? item.oldPen?.colour : undefined,
});

/** An arc, an area or a text in a pen; areas and texts take its colour alone. */
function inked(item: Item, pen: PiecePen | undefined, least: number): Item {
  const colour = pen?.colour === undefined ? {} : { colour: pen.colour };
  if (item.kind === 'arc') return { ...item, width: pen?.width ?? (item.width > 0 ? item.width : least), ...colour };
  return pen && (item.kind === 'fill' || item.kind === 'text') ? { ...item, ...colour } : item;
}

/** Written out: of a plan there are hundreds of thousands, and objects that are put together of others take five times as long. */
function strokeOnPaper(
  { points, closed, width, dashes, colour, opacity }: StrokeItem,
  perUnit: number,
  dx: number,
  dy: number,
  layer: string,
  pen: PiecePen | PieceItem,
): StrokeItem {
  const moved = new Array<number>(points.length);
  for (let i = 0; i + 1 < points.length; i += 2) {
    moved[i] = (points[i] ?? 0) * perUnit + dx;
    moved[i + 1] = (points[i + 1] ?? 0) * perUnit + dy;
  }
  const own = 'kind' in pen ? undefined : pen;
  const wide = own?.width ?? (width > 0 ? width : 'kind' in pen ? pen.least : 0);
  const shown: StrokeItem = { kind: 'stroke', layer, part: 'view', points: moved, closed, width: wide };
  if (dashes !== undefined) shown.dashes = dashes;
  const ink = own?.colour ?? colour;
  if (ink !== undefined) shown.colour = ink;
  if (opacity !== undefined) shown.opacity = opacity;
  return shown;
}

function isWithin(points: readonly number[], { x, y, width, height }: Rect): boolean {
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [across, up] = [points[i] ?? 0, points[i + 1] ?? 0];
    if (across < x || across > x + width || up < y || up > y + height) return false;
  }
  return true;
}

/** A text in the typeface of the office, in the place where it is anchored. */
function lettered(item: TextItem, { typeface: name, fallback }: PieceItem, typefaces: Typefaces): TextItem {
  const typeface = withFallback(typefaces, fallback).get(name);
  if (!typeface) return item;
  const natural = textWidth(typeface, item.text, item.height, item.widthFactor);
  const fields = { typeface: name, role: '' };
  const withRuns = (text: TextItem): TextItem => withFallbackRuns(text, fallback, typefaces);
  // Where the drawing says how long the line is, as a page does, it stays so long.
  if (item.align === undefined)
    return natural > 0
      ? withRuns({ ...item, ...fields, widthFactor: (item.widthFactor * item.width) / natural })
      : { ...item, ...fields };
  const over = (item.width - natural) * { left: 0, centre: 0.5, right: 1 }[item.align];
  const turn = (item.rotation * Math.PI) / 180;
  const at = { x: item.at.x + over * Math.cos(turn), y: item.at.y + over * Math.sin(turn) };
  return withRuns({ ...item, ...fields, at, width: natural });
}
