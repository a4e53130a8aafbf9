import type { SymbolName } from '../design';
import { SYMBOL_WORDS } from '../design';
import type { Item, StrokeItem } from '../drawing';
import { boundsOf, segmentsOf } from '../drawing';
import type { Rect } from '../geometry';
import { around } from '../geometry';
import type { BuiltDesign, FoundCell } from './builtDesign';
import { round } from './rounding';
import { isCircle } from './tickMarks';

/** A mark that is known: a symbol, or a scale bar. */
export type MarkName = SymbolName | 'scale bar';

/** What marks are called. */
export const MARK_WORDS: Readonly<Record<MarkName, string>> = { ...SYMBOL_WORDS, 'scale bar': 'Scale bar' };

/** A mark of the old block that is one of the known ones, in mm on paper. */
export interface ReportMark extends Rect {
  symbol: MarkName;
  cell: string;
}

/** A mark has no more pieces than this; more is a picture. */
const MOST_PIECES = 80;
const NORTH = /^(n|north|nord|norte|noord)\.?$/i;
/** Figures beside a scale bar, the last one with its unit. */
const FIGURE = /^\d+([.,]\d+)?\s*(mm|cm|m|km|ft|')?$/i;
/** How much longer a scale bar is than high, and how many fields it has, at the least. */
const BAR = { slender: 5, fields: 3, figures: 2 } as const;
/** A north arrow is about as wide as high; its letter stands so many heights from it at most. */
const ARROW = { proportion: 2.5, letter: 2.5 } as const;
/** What is level, or as long as another, within this part of the mark. */
const SAME = 0.04;

/** Which of the known marks the linework of a cell is, by its lines and by the words beside it, where both leave no doubt. */
export function markOf({ linework, texts }: Pick<FoundCell, 'linework' | 'texts'>): MarkName | undefined {
  const lines = linework.filter((item) => item.kind !== 'image');
  const bounds = around(lines.map(boundsOf));
  if (!bounds || lines.length === 0 || lines.length > MOST_PIECES || lines.length < linework.length) return undefined;
  const words = texts.filter(({ kind }) => kind === 'note');
  if (isNorth(lines, bounds, words)) return 'north';
  if (isScaleBar(lines, bounds, words)) return 'scale bar';
  return projectionOf(lines, bounds);
}

function isNorth(lines: readonly Item[], bounds: Rect, words: FoundCell['texts']): boolean {
  const proportion = bounds.width / bounds.height;
  if (proportion > ARROW.proportion || proportion < 1 / ARROW.proportion) return false;
  const needle = lines.some(({ kind }) => kind === 'fill') || lines.some(isCircle) || lines.length >= 3;
  return (
    needle &&
    words.some(({ text }) => {
      if (!NORTH.test(text.text)) return false;
      const across = Math.abs(text.anchor.x - bounds.x - bounds.width / 2);
      const reach = ARROW.letter * text.height;
      return across < bounds.width && text.at.y > bounds.y - reach && text.at.y < bounds.y + bounds.height + reach;
    })
  );
}

function isScaleBar(lines: readonly Item[], bounds: Rect, words: FoundCell['texts']): boolean {
  if (bounds.width < BAR.slender * bounds.height) return false;
  const widths = lines
    .filter((item) => item.kind === 'fill' || (item.kind === 'stroke' && item.closed))
    .map((item) => boundsOf(item))
    .filter(({ height }) => height > 0)
    .map(({ x, width }) => ({ x: Math.round(x / SAME / bounds.width), width }));
  const fields = new Map(widths.map(({ x, width }) => [x, width]));
  const all = [...fields.values()];
  const equal = all.filter((width) => Math.abs(width - (all[0] ?? 0)) < SAME * bounds.width);
  return equal.length >= BAR.fields && words.filter(isFigure).length >= BAR.figures;
}

/** Whether a text is a figure as it stands beside a scale bar. */
export const isFigure = ({ kind, text }: FoundCell['texts'][number]): boolean =>
  kind === 'note' && FIGURE.test(text.text);

/** A truncated cone from the side beside its end view, two rings in one another: ISO 5456-2 (from memory). */
function projectionOf(lines: readonly Item[], bounds: Rect): 'first angle' | 'third angle' | undefined {
  const rings = lines.filter(isCircle);
  const [ring, other] = rings;
  if (!ring || !other || rings.length !== 2) return undefined;
  const near = SAME * bounds.width;
  if (Math.hypot(ring.centre.x - other.centre.x, ring.centre.y - other.centre.y) > near) return undefined;
  const cone = lines.find(
    (item): item is StrokeItem => item.kind === 'stroke' && item.closed && item.points.length === 8,
  );
  const ends = cone && segmentsOf([cone]).filter((s) => Math.abs(s.x1 - s.x0) < near);
  const [a, b] = ends ?? [];
  if (!a || !b) return undefined;
  const [one, two] = [a, b].map(({ x0, y0, y1 }) => ({ x: x0, length: Math.abs(y1 - y0) }));
  if (!one || !two || Math.abs(one.length - two.length) < near) return undefined;
  const [small, large] = one.length < two.length ? [one, two] : [two, one];
  // In first angle projection the end view stands on the side of the large end, away from the viewer.
  const away = Math.abs(ring.centre.x - large.x) < Math.abs(ring.centre.x - small.x);
  return away ? 'first angle' : 'third angle';
}

/** The marks of all cells, for the report. */
export function marksIn(cells: readonly FoundCell[], built: Pick<BuiltDesign, 'cellIds'>): ReportMark[] {
  return cells.flatMap((cell) => {
    const [symbol, id] = [markOf(cell), built.cellIds.get(cell.face)];
    const bounds = around(cell.linework.map(boundsOf));
    if (symbol === undefined || id === undefined || !bounds) return [];
    const { x, y, width, height } = bounds;
    return [{ symbol, cell: id, x: round(x), y: round(y), width: round(width), height: round(height) }];
  });
}
