import type { Drawing, Item } from '../drawing';
import { boundsOf, distanceTo, segmentsOf } from '../drawing';
import type { Point, Rect } from '../geometry';
import { contains } from '../geometry';
import { isOfBlock } from './comparison';
import { signOf } from './oldPens';
import type { IntakeReport } from './report';
import { round } from './rounding';

/** One thing of the old drawing, and what became of it. */
export interface Asked {
  kind: 'text' | 'line' | 'area' | 'picture';
  /** What a text says, or what a picture is called. */
  words: string;
  layer: string;
  /** Height of a text, in mm on paper. */
  height?: number;
  /** The sign of the pen that a line was drawn with. */
  pen?: string;
  /** Where it lies, in mm on paper. */
  bounds: Rect;
  became: Fate;
}

/** What became of a thing: a text of the report, a part of the design, or why it was left out. */
export type Fate =
  | { kind: 'text'; text: IntakeReport['texts'][number] }
  | { kind: 'row' | 'frame' | 'block' | 'mark' }
  | { kind: 'out'; why: string };

/** A text that begins this near to one of the report is it, in mm. */
const SAME_PLACE = 0.05;

/** The distance in mm from a point to what an item draws; 0 within a text, an area or a picture. */
function distanceOf(item: Item, at: Point): number {
  const bounds = boundsOf(item);
  const far = Math.hypot(
    Math.max(bounds.x - at.x, 0, at.x - bounds.x - bounds.width),
    Math.max(bounds.y - at.y, 0, at.y - bounds.y - bounds.height),
  );
  if (item.kind === 'arc') {
    const away = Math.hypot(at.x - item.centre.x, at.y - item.centre.y);
    return Math.abs(away - item.radius);
  }
  if (item.kind !== 'stroke' || far > 0) return far;
  return segmentsOf([item]).reduce((least, piece) => Math.min(least, distanceTo(piece, at.x, at.y)), Infinity);
}

/** Of things under a point the smallest is meant: a text before the area behind it. */
const sizeOf = (item: Item): number => {
  const { width, height } = boundsOf(item);
  return width + height;
};

/**
 * What lies at a point of the old drawing, and what became of it.
 * @param legacy the old drawing on its paper
 * @param reach how near a thing must lie, in mm
 */
export function askedAt(legacy: Drawing, report: IntakeReport, at: Point, reach: number): Asked | undefined {
  let best: { item: Item; distance: number } | undefined;
  for (const item of legacy.items) {
    const bounds = boundsOf(item);
    if (!contains(bounds, at, reach)) continue;
    const distance = distanceOf(item, at);
    if (distance > reach) continue;
    const nearer =
      !best || distance < best.distance || (distance === best.distance && sizeOf(item) < sizeOf(best.item));
    if (nearer) best = { item, distance };
  }
  return best && about(best.item, report);
}

function about(item: Item, report: IntakeReport): Asked {
  const base = { layer: item.layer, bounds: boundsOf(item), became: fateOf(item, report) };
  switch (item.kind) {
    case 'text':
      return { ...base, kind: 'text', words: item.text.trim(), height: round(item.height, 3) };
    case 'image':
    case 'piece':
      return { ...base, kind: 'picture', words: item.name };
    case 'fill':
      return { ...base, kind: 'area', words: '' };
    case 'stroke':
    case 'arc': {
      const pen = signOf(item.oldPen, report.source.unitsPerPaperMm) + (item.dashes ? ', dashed' : '');
      return { ...base, kind: 'line', words: '', pen };
    }
  }
}

function fateOf(item: Item, report: IntakeReport): Fate {
  const parts = [...report.cells, ...report.tables];
  const bounds = boundsOf(item);
  const middle = { x: bounds.x + bounds.width / 2, y: bounds.y + bounds.height / 2 };
  const within = parts.some((part) => contains(part, middle, SAME_PLACE));
  if (item.kind === 'text') {
    const words = item.text.trim();
    const text = report.texts.find(
      (each) =>
        words.includes(each.text) &&
        each.text !== '' &&
        Math.abs(each.y - item.at.y) < SAME_PLACE &&
        each.x - item.at.x > -SAME_PLACE &&
        each.x <= bounds.x + bounds.width,
    );
    if (text) return { kind: 'text', text };
    if (report.tables.some((table) => contains(table, item.at))) return { kind: 'row' };
  } else if (item.kind === 'stroke' && segmentsOf([item]).some((piece) => isOfBlock(piece, report.frame, []))) {
    return { kind: 'frame' };
  } else if (item.kind === 'stroke' && segmentsOf([item]).some((piece) => isOfBlock(piece, report.frame, parts))) {
    return { kind: 'block' };
  } else if (within) return { kind: 'mark' };
  // What is left out is counted by layers, texts by themselves.
  const reasons = report.dropped.filter(({ layer }) => layer === item.layer).map(({ why }) => why);
  const why = reasons.find((each) => each.startsWith('texts ') === (item.kind === 'text')) ?? reasons[0];
  return { kind: 'out', why: why ?? 'it does not belong to the title block' };
}
