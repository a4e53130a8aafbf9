import type { Deviation, Drawing, Segment, SegmentDeviation, TextItem } from '../drawing';
import { deviationOf, deviationsFrom, segmentsOf } from '../drawing';
import type { Rect } from '../geometry';
import { contains } from '../geometry';
import { round } from './rounding';
import { BESIDE_CELL, BESIDE_LINE } from './tolerances';

/** Something that stands otherwise in the design than in the old drawing, with its place in mm on paper. */
export interface Difference {
  what: 'line' | 'text';
  words: string;
  x: number;
  y: number;
  /** How far it is off in mm; null for what is missing on one side. */
  by: number | null;
}

export interface Comparison {
  /** Linework of frame and title block. */
  lines: Deviation;
  /** Starts of texts that stand in both. */
  texts: Deviation;
  /** The largest first. */
  differences: Difference[];
  /** How many more there are than are listed. */
  moreDifferences: number;
}

/** What lies farther apart is listed, in mm. */
const LISTED = { line: 0.1, text: 1 };
const MOST_LISTED = 1000;

/**
 * Compares the old drawing with the sheet that was rebuilt from it with the same values: linework of frame and title
 * block; zone lines and the edge of the sheet are left out of both. Texts by where each starts.
 * @param parts cells and tables of the title block
 * @param rows where the filled rows of tables lie: what stands there is data, and no part of a design
 */
export function compared(
  legacy: Drawing,
  rebuilt: Drawing,
  frame: Rect,
  parts: readonly Rect[],
  rows: readonly Rect[] = [],
): Comparison {
  const inBlock = (s: Segment): boolean => isOfBlock(s, frame, parts);
  const long = (s: Segment): boolean => Math.hypot(s.x1 - s.x0, s.y1 - s.y0) > 1e-6;
  const old = segmentsOf(legacy.items).filter((s) => inBlock(s) && long(s));
  const now = segmentsOf(rebuilt.items.filter((item) => item.layer !== 'SHEET-MARKS')).filter(
    (s) => inBlock(s) && long(s),
  );
  const [there, back] = [deviationsFrom(old, now), deviationsFrom(now, old)];
  const { max, mean } = deviationOf(there, back);
  const differences = [
    ...lineDifferences(old, there, 'of the old drawing'),
    ...lineDifferences(now, back, 'of the design'),
  ];
  const texts = textDifferences(legacy, rebuilt, parts, rows);
  differences.push(...texts.differences);
  differences.sort((a, b) => (b.by ?? Infinity) - (a.by ?? Infinity));
  return {
    lines: { max: round(max), mean: round(mean) },
    texts: texts.deviation,
    differences: differences.slice(0, MOST_LISTED),
    moreDifferences: Math.max(0, differences.length - MOST_LISTED),
  };
}

/** Whether a piece of linework is one of the frame or of the title block's cells and tables. */
export const isOfBlock = (s: Segment, frame: Rect, parts: readonly Rect[]): boolean =>
  onFrame(s, frame) ||
  parts.some((part) => contains(part, { x: (s.x0 + s.x1) / 2, y: (s.y0 + s.y1) / 2 }, BESIDE_LINE));

function onFrame(s: Segment, { x, y, width, height }: Rect): boolean {
  const level = Math.abs(s.y1 - s.y0) < Math.abs(s.x1 - s.x0);
  const at = level ? (s.y0 + s.y1) / 2 : (s.x0 + s.x1) / 2;
  return (level ? [y, y + height] : [x, x + width]).some((edge) => Math.abs(edge - at) < BESIDE_LINE);
}

function lineDifferences(
  lines: readonly Segment[],
  deviations: readonly SegmentDeviation[],
  whose: string,
): Difference[] {
  return deviations.flatMap(({ max: by }, i): Difference[] => {
    const s = lines[i];
    if (!s || by <= LISTED.line) return [];
    const length = Math.hypot(s.x1 - s.x0, s.y1 - s.y0);
    return [
      {
        what: 'line',
        words: `a line ${whose}, ${length.toFixed(1)} mm long`,
        x: round((s.x0 + s.x1) / 2),
        y: round((s.y0 + s.y1) / 2),
        by: Number.isFinite(by) ? round(by) : null,
      },
    ];
  });
}

function textDifferences(
  legacy: Drawing,
  rebuilt: Drawing,
  parts: readonly Rect[],
  rows: readonly Rect[],
): { deviation: Deviation; differences: Difference[] } {
  const partOf = (text: TextItem): number => {
    const within = parts.findIndex((part) => contains(part, text.at));
    return within >= 0 ? within : parts.findIndex((part) => contains(part, text.at, BESIDE_CELL));
  };
  const textsOf = ({ items }: Drawing): TextItem[] =>
    items.flatMap((item) =>
      item.kind === 'text' && partOf(item) >= 0 && !rows.some((area) => contains(area, item.at)) ? [item] : [],
    );
  const words = (text: TextItem): string => text.text.replace(/\s+/g, ' ').trim();
  // The same words in another cell are another text: "MO" drew the sheet, and "MO" checked it.
  const keyOf = (text: TextItem, own: string): string => `${partOf(text)} ${own}`;
  /** Texts that no old one was found for yet, by their cells and words. */
  const now = new Map<string, TextItem[]>();
  for (const text of textsOf(rebuilt)) {
    const key = keyOf(text, words(text));
    const same = now.get(key);
    if (same) same.push(text);
    else now.set(key, [text]);
  }
  const differences: Difference[] = [];
  let [max, sum, count] = [0, 0, 0];
  for (const text of textsOf(legacy)) {
    const own = words(text);
    if (own === '') continue;
    const place = { x: round(text.at.x), y: round(text.at.y) };
    const same = now.get(keyOf(text, own)) ?? [];
    let best: { i: number; by: number } | undefined;
    same.forEach((other, i) => {
      const by = startDistance(text, other);
      if (!best || by < best.by) best = { i, by };
    });
    if (!best) {
      const broken = beginningsOf(own).some((beginning) => (now.get(keyOf(text, beginning))?.length ?? 0) > 0);
      const how = broken ? 'breaks over several lines now' : 'does not stand in the design as it is';
      differences.push({ what: 'text', words: `“${own}” ${how}`, ...place, by: null });
      continue;
    }
    same.splice(best.i, 1);
    max = Math.max(max, best.by);
    sum += best.by;
    count++;
    if (best.by > LISTED.text) differences.push({ what: 'text', words: `“${own}”`, ...place, by: round(best.by) });
  }
  return { deviation: { max: round(max), mean: count === 0 ? 0 : round(sum / count) }, differences };
}

/** Every beginning of a text that is shorter than it, but for the empty one. */
const beginningsOf = (text: string): string[] =>
  Array.from({ length: Math.max(0, text.length - 1) }, (_, i) => text.slice(0, i + 1));

/** Between the ends that the old text is aligned by; its letters may have been wider or narrower. */
function startDistance(old: TextItem, now: TextItem): number {
  const along = { left: 0, centre: 0.5, right: 1 }[old.align ?? 'left'];
  const at = (text: TextItem): { x: number; y: number } => {
    const turn = (text.rotation * Math.PI) / 180;
    return { x: text.at.x + along * text.width * Math.cos(turn), y: text.at.y + along * text.width * Math.sin(turn) };
  };
  const [a, b] = [at(old), at(now)];
  return Math.hypot(a.x - b.x, a.y - b.y);
}
