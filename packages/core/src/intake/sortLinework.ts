import type { Drawing, Item, Segment } from '../drawing';
import { boundsOf } from '../drawing';
import type { Rect } from '../geometry';
import { contains } from '../geometry';
import type { FoundCell } from './builtDesign';
import { cellAt } from './buildDesign';
import { groundOf } from './grounds';
import type { Dropped } from './legacyDrawing';
import type { LegacyText } from './legacyText';
import type { RuledLine } from './linework';
import { piecesOf } from './linework';
import type { ReportLayer } from './report';
import type { FoundSheet } from './sheetSearch';
import { firstPlace } from './sortedPlaces';
import { LEVEL, OVER_CELL, TOLERANCE } from './tolerances';

/** Linework may reach this far over the sheet's edge, in mm. */
const OVER_EDGE = 3;
const TEXT_OVER_EDGE = 15;

/**
 * Takes out linework that runs out of the sheet, such as construction lines, what lies beside the sheet altogether, what belongs to
 * other sheets, and layers that were left out by hand.
 * @param others the other sheets of the drawing, in mm from this one's corner
 */
export function withoutStrays(
  drawing: Drawing,
  leftOut: ReadonlySet<string>,
  others: readonly Rect[],
): { legacy: Drawing; strayed: Dropped[] } {
  const counts = new Map<string, number>();
  const onOthers = new Map<string, number>();
  const byHand = new Map<string, number>();
  const items = drawing.items.filter((item) => {
    if (leftOut.has(item.layer)) {
      byHand.set(item.layer, (byHand.get(item.layer) ?? 0) + 1);
      return false;
    }
    const bounds = boundsOf(item);
    const over = Math.max(
      -bounds.x,
      -bounds.y,
      bounds.x + bounds.width - drawing.width,
      bounds.y + bounds.height - drawing.height,
    );
    // Widths of texts are estimates, so a text may seem to reach further than it does.
    if (over <= OVER_EDGE || (item.kind === 'text' && over <= TEXT_OVER_EDGE)) return true;
    const middle = { x: bounds.x + bounds.width / 2, y: bounds.y + bounds.height / 2 };
    const whose = others.some((sheet) => contains(sheet, middle, OVER_EDGE)) ? onOthers : counts;
    whose.set(item.layer, (whose.get(item.layer) ?? 0) + 1);
    return false;
  });
  const strayed = [
    ...asDropped(counts, 'it runs out of the sheet or lies beside it'),
    ...asDropped(onOthers, 'it belongs to another sheet of the drawing'),
    ...asDropped(byHand, 'the layer was left out by hand'),
  ];
  return { legacy: { ...drawing, items }, strayed };
}

const asDropped = (counts: ReadonlyMap<string, number>, why: string): Dropped[] =>
  [...counts].map(([layer, entities]) => ({ layer, entities, why }));

/** The layers of a drawing by name, with how much of each was not dropped. */
export function layersOf(items: readonly Item[], dropped: readonly Dropped[]): ReportLayer[] {
  const layers = new Map<string, ReportLayer>();
  for (const { layer } of items) {
    const known = layers.get(layer) ?? { name: layer, entities: 0, block: 0 };
    known.entities++;
    known.block++;
    layers.set(layer, known);
  }
  for (const { layer, entities } of dropped) {
    const known = layers.get(layer);
    if (known) known.block = Math.max(0, known.block - entities);
  }
  return [...layers.values()].sort((a, b) => a.name.localeCompare(b.name, 'en'));
}

/** Gives each piece of linework that is no ruled line to the cell it lies in, and cells their grounds; counts what lies in none. */
export function sortLinework(
  items: readonly Item[],
  cells: readonly FoundCell[],
  loose: readonly RuledLine[],
  sheet: FoundSheet,
): Dropped[] {
  const counts = new Map<string, number>();
  const drop = (layer: string): void => {
    counts.set(layer, (counts.get(layer) ?? 0) + 1);
  };
  // Lines of one layer share the set of it.
  const looseLayers = new Set([...new Set(loose.map(({ layers }) => layers))].flatMap((layers) => [...layers]));
  const index = indexOf(loose);
  const dark = new Map<string, number>();
  for (const item of items) {
    if (item.kind === 'text') continue;
    const ground = item.kind === 'fill' && piecesOf(item, TOLERANCE).length === 0 ? groundOf(item, cells) : undefined;
    if (ground) {
      for (const each of ground.cells) if (ground.colour) each.ground = ground.colour;
      if (!ground.colour) dark.set(item.layer, (dark.get(item.layer) ?? 0) + 1);
      continue;
    }
    const pieces = piecesOf(item, TOLERANCE);
    const ruled = pieces.length > 0 && pieces.every(isRuled);
    if (ruled && !looseLayers.has(item.layer)) continue;
    const bounds = boundsOf(item);
    const cell = cellAt(cells, { x: bounds.x + bounds.width / 2, y: bounds.y + bounds.height / 2 });
    const holds = cell && bounds.width <= cell.face.width + OVER_CELL && bounds.height <= cell.face.height + OVER_CELL;
    if (!ruled && holds) cell.linework.push(item);
    else if (!ruled) drop(item.layer);
    else if (isWithin(bounds, sheet.frame) && isLoose(pieces, index)) {
      // A box or a line that touches nothing is part of a mark in the cell, if it is in one.
      if (holds) cell.linework.push(item);
      else drop(item.layer);
    }
  }
  return [
    ...asDropped(counts, 'it lies in the drawing area and does not hang together with the title block'),
    ...asDropped(dark, 'a ground on which no letters could be read'),
  ];
}

/** The sheet's own edge has its middle in the frame, but does not lie in it. */
const isWithin = ({ x, y, width, height }: Rect, frame: Rect): boolean =>
  contains(frame, { x, y }, OVER_EDGE) && contains(frame, { x: x + width, y: y + height }, OVER_EDGE);

const isRuled = (s: Segment): boolean => {
  const [dx, dy] = [Math.abs(s.x1 - s.x0), Math.abs(s.y1 - s.y0)];
  return Math.min(dx, dy) <= Math.max(LEVEL * Math.max(dx, dy), TOLERANCE);
};

type LineIndex = Readonly<Record<RuledLine['axis'], { at: Float64Array; lines: RuledLine[] }>>;

/** Lines by their positions, for finding those near a place. */
function indexOf(lines: readonly RuledLine[]): LineIndex {
  const along = (axis: RuledLine['axis']) => {
    const own = lines.filter((line) => line.axis === axis).sort((a, b) => a.at - b.at);
    return { at: Float64Array.from(own, (line) => line.at), lines: own };
  };
  return { horizontal: along('horizontal'), vertical: along('vertical') };
}

/** A piece lies on a line when it is no farther from it than this, in mm. */
const ON_LINE = 0.5;

function isLoose(pieces: readonly Segment[], loose: LineIndex): boolean {
  return pieces.every((s) => {
    const level = Math.abs(s.y1 - s.y0) < Math.abs(s.x1 - s.x0);
    const at = level ? (s.y0 + s.y1) / 2 : (s.x0 + s.x1) / 2;
    const middle = level ? (s.x0 + s.x1) / 2 : (s.y0 + s.y1) / 2;
    const { at: places, lines } = loose[level ? 'horizontal' : 'vertical'];
    const holds = (line: RuledLine | undefined): boolean =>
      line !== undefined && line.spans.some(([from, to]) => middle >= from - ON_LINE && middle <= to + ON_LINE);
    // Outwards from its own place, where most pieces have the line that was made of them.
    const own = firstPlace(places, at);
    for (let i = own; i < lines.length && (places[i] ?? 0) < at + ON_LINE; i++) if (holds(lines[i])) return true;
    for (let i = own - 1; i >= 0 && (places[i] ?? 0) >= at - ON_LINE; i--) if (holds(lines[i])) return true;
    return false;
  });
}

/** Counts the linework that pictures have no room for, by its layers. */
export function droppedPieces(cut: readonly Item[]): Dropped[] {
  const counts = new Map<string, number>();
  for (const { layer } of cut) counts.set(layer, (counts.get(layer) ?? 0) + 1);
  return asDropped(counts, 'a picture in a cell has more pieces than a picture may have');
}

/** Counts texts that stand in no cell, by their layers. */
export function droppedTexts(outside: readonly LegacyText[], why: string): Dropped[] {
  const counts = new Map<string, number>();
  for (const text of outside) counts.set(text.layer, (counts.get(text.layer) ?? 0) + 1);
  return asDropped(counts, why);
}
