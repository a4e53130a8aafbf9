import type { Rect } from '../geometry';
import type { ReadText } from './readText';
import { isSameChoice } from './readText';
import { LETTER_WIDTH, placeInCell, SAME_LINE } from './textPlaces';

/** A part of a cell with the texts that stand in it. */
export interface TextGroup {
  face: Rect;
  texts: ReadText[];
}

/** How texts of a cell stand beside or under each other without lines between them; parts from the left, or from above. */
export interface TextGroups {
  axis: 'columns' | 'rows';
  parts: TextGroup[];
}

/** Extents of a text along one direction of its cell, in mm. */
interface Span {
  from: number;
  to: number;
  texts: ReadText[];
}

/** Part of the height by which letters go below the base line, and by which lines keep apart. */
export const BELOW = 0.25;

/**
 * The parts of a cell whose texts stand side by side: as columns where each has one caption at most, over what it asks for; else as
 * rows, which may be columns again. Undefined where all texts stand under one another, so that one cell holds them.
 * @param inset how far a text begins from the edge of its part, in mm
 */
export function textGroups(texts: readonly ReadText[], face: Rect, inset: number): TextGroups | undefined {
  if (texts.length < 2 || texts.length > MOST_TEXTS) return undefined;
  if (texts.some((read) => read.text.rotation !== 0)) return undefined;
  if (!standBeside(texts, face)) return undefined;
  const columns = joined(texts, (read) => over(choiceWith(read, texts), (each) => along(each, face)));
  const rows = joined(texts, (read) => over(choiceWith(read, texts), (each) => up(each, face))).reverse();
  const together = columns.length > 1 && columns.every((column) => captionsIn(column) <= 1 && isUnder(column));
  if (!together && rows.length < 2 && columns.length < 2) return undefined;
  const groups = together || rows.length < 2 ? asColumns(columns, face, inset) : asRows(rows, face);
  return groups.parts.every((part) => Math.min(part.face.width, part.face.height) > LEAST_PART) ? groups : undefined;
}

/** A cell with more texts than this is a page of notes: each would be held against each. */
const MOST_TEXTS = 100;
/** Parts are at least this wide and high, in mm; what is narrower stands outside of its cell. */
const LEAST_PART = 1;

const captionsIn = ({ texts }: Span): number => texts.filter((read) => read.kind === 'caption').length;

/** Whether values stand under a caption rather than several of them by themselves. */
const isUnder = (column: Span): boolean => column.texts.length === 1 || captionsIn(column) === 1;

/** The options in the row or column that a text is one of; any other text by itself. */
const choiceWith = (read: ReadText, texts: readonly ReadText[]): readonly ReadText[] =>
  read.kind === 'option' && read.parameter !== undefined ? texts.filter((each) => isSameChoice(read, each)) : [read];

function over(texts: readonly ReadText[], extent: (read: ReadText) => Omit<Span, 'texts'>): Omit<Span, 'texts'> {
  const all = texts.map(extent);
  return { from: Math.min(...all.map(({ from }) => from)), to: Math.max(...all.map(({ to }) => to)) };
}

function along(read: ReadText, face: Rect): Omit<Span, 'texts'> {
  const { along: at } = placeInCell(read.text, face);
  const from = read.kind === 'option' && read.box ? Math.min(at, read.box.x - face.x) : at;
  return { from, to: at + Math.max(1, read.text.text.length) * read.text.height * LETTER_WIDTH };
}

function up(read: ReadText, face: Rect): Omit<Span, 'texts'> {
  const { up: base } = placeInCell(read.text, face);
  return { from: base - BELOW * read.text.height, to: base + read.text.height };
}

/** Texts whose extents overlap, together, in ascending order. */
function joined(texts: readonly ReadText[], extent: (read: ReadText) => Omit<Span, 'texts'>): Span[] {
  const spans: Span[] = [];
  const sorted = texts.map((read) => ({ read, ...extent(read) })).sort((a, b) => a.from - b.from);
  for (const { read, from, to } of sorted) {
    const last = spans[spans.length - 1];
    if (last && from < last.to) {
      last.to = Math.max(last.to, to);
      last.texts.push(read);
    } else spans.push({ from, to, texts: [read] });
  }
  // As they were read: lines of one value stay in order.
  for (const span of spans) span.texts.sort((a, b) => texts.indexOf(a) - texts.indexOf(b));
  return spans;
}

/** Whether two of the texts stand on one line, one behind the other. */
const standBeside = (texts: readonly ReadText[], face: Rect): boolean =>
  texts.some((one, i) =>
    texts.slice(i + 1).some((other) => {
      if (choiceWith(one, texts).includes(other)) return false;
      const [a, b] = [along(one, face), along(other, face)];
      const apart = a.to <= b.from || b.to <= a.from;
      const between = Math.abs(placeInCell(one.text, face).up - placeInCell(other.text, face).up);
      return apart && between < SAME_LINE * Math.max(one.text.height, other.text.height);
    }),
  );

/** Each column begins so that its first text keeps its place. */
function asColumns(columns: readonly Span[], face: Rect, inset: number): TextGroups {
  const limits = columns.map(({ from }, i) => {
    const before = columns[i - 1];
    return before ? Math.max(before.to, from - inset) : 0;
  });
  return {
    axis: 'columns',
    parts: columns.map(({ texts }, i) => {
      const [from, to] = [limits[i] ?? 0, limits[i + 1] ?? face.width];
      return { texts, face: { ...face, x: face.x + from, width: to - from } };
    }),
  };
}

/** Rows meet in the middle between their texts. @param rows from above */
function asRows(rows: readonly Span[], face: Rect): TextGroups {
  const limits = rows.map((row, i) => {
    const above = rows[i - 1];
    return above ? (row.to + above.from) / 2 : face.height;
  });
  return {
    axis: 'rows',
    parts: rows.map(({ texts }, i) => {
      const [to, from] = [limits[i] ?? face.height, limits[i + 1] ?? 0];
      return { texts, face: { ...face, y: face.y + from, height: to - from } };
    }),
  };
}
