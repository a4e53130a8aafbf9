import type { Item } from '../drawing';
import type { Rect } from '../geometry';
import type { LegacyText } from './legacyText';
import { LETTER_WIDTH } from './textPlaces';
import type { TickMark } from './tickMarks';
import { tickMarks } from './tickMarks';

/** The box that words stand beside, in mm on paper. */
export interface OptionBox extends Rect {
  ticked: boolean;
  /** Boxes of one row or of one column have the same number within their cell. */
  row: number;
  /** What draws the box and its tick. */
  items: Item[];
  /** Letters that stand for the box, or tick it. */
  letters: LegacyText[];
  /** How the box was typed before its words. */
  typed?: string;
}

/** What stands beside boxes in a cell, and what else does. */
export interface FoundOptions {
  /** Words with their boxes, in reading order. */
  options: Map<LegacyText, OptionBox>;
  texts: LegacyText[];
  linework: Item[];
}

/** Options at the least, where other words stand with them: one box is a mark then. */
const FEWEST = 2;
/** Words begin at most so many sides of their box behind it, and lie on its middle within this part of the larger of both. */
const BESIDE = { sides: 3, within: 0.7 } as const;

/** Boxes that are letters: in the signs of Unicode, or typed with brackets. */
const TYPED = /^(?:([☐□◻▢◯○])|([☑☒■◼✓✔●])|\[(?:\s*|([xX✓*]))\])\s*(?=\S)/u;
/** Before each further box of a line. */
const NEXT_TYPED = /\s+(?=[☐□◻▢◯○☑☒■◼✓✔●]\s*\S|\[\s?[xX✓*]?\]\s*\S)/u;

/** Words beside boxes in a cell that are options of one choice, with the boxes taken out of its linework. */
export function optionsOf(texts: readonly LegacyText[], linework: readonly Item[]): FoundOptions {
  return typedOptions(texts, linework) ?? drawnOptions(texts, linework);
}

function drawnOptions(texts: readonly LegacyText[], linework: readonly Item[]): FoundOptions {
  const none = { options: new Map<LegacyText, OptionBox>(), texts: [...texts], linework: [...linework] };
  const marks = tickMarks(linework, texts);
  const ticks = new Set(marks.flatMap((mark) => mark.texts));
  const words = texts.filter((text) => !ticks.has(text) && text.rotation === 0);
  const paired = pairs(marks, words);
  const alone = marks.length === 1 && words.length === 1 && linework.length === marks[0]?.items.length;
  if (paired.length < (alone ? 1 : FEWEST)) return none;
  const inOrder = paired.sort((a, b) => b.mark.box.y - a.mark.box.y || a.mark.box.x - b.mark.box.x);
  const rows = inRows(inOrder.map(({ mark }) => mark.box));
  const used = new Set(inOrder.flatMap(({ mark }) => mark.items));
  const ticking = new Set(inOrder.flatMap(({ mark }) => mark.texts));
  return {
    options: new Map(
      inOrder.map(({ mark, text }, i) => [
        text,
        { ...mark.box, ticked: mark.ticked, row: rows[i] ?? 0, items: mark.items, letters: mark.texts },
      ]),
    ),
    texts: texts.filter((text) => !ticking.has(text)),
    linework: linework.filter((item) => !used.has(item)),
  };
}

/** The row or column that each of some boxes is in: one where all lie on a line; else columns, where there are some, or rows. */
function inRows(boxes: readonly Rect[]): number[] {
  const along = (key: 'x' | 'y'): number[] => {
    const places: number[] = [];
    return boxes.map((box) => {
      const i = places.findIndex((each) => Math.abs(each - box[key]) < Math.max(box.width, box.height));
      return i >= 0 ? i : places.push(box[key]) - 1;
    });
  };
  const [columns, rows] = [along('x'), along('y')];
  const count = (numbers: readonly number[]): number => new Set(numbers).size;
  if (count(rows) === 1 || count(columns) === 1) return boxes.map(() => 0);
  return count(columns) < boxes.length ? columns : rows;
}

/** Each box with the words behind it; where nothing stands behind the boxes, with those before it. */
function pairs(marks: readonly TickMark[], words: readonly LegacyText[]): { mark: TickMark; text: LegacyText }[] {
  const behind = nearest(marks, words, (text, box) => text.at.x - box.x - box.width);
  return behind.length >= Math.min(FEWEST, marks.length)
    ? behind
    : nearest(marks, words, (text, box) => box.x - text.at.x - text.text.length * text.height * LETTER_WIDTH);
}

function nearest(
  marks: readonly TickMark[],
  words: readonly LegacyText[],
  gap: (text: LegacyText, box: Rect) => number,
): { mark: TickMark; text: LegacyText }[] {
  const all = marks.flatMap((mark) =>
    words.flatMap((text) => {
      const { box } = mark;
      const side = Math.max(box.width, box.height);
      const off = Math.abs(text.at.y + text.height / 2 - box.y - box.height / 2);
      const apart = gap(text, box);
      const fits =
        apart > -side / 2 && apart <= BESIDE.sides * side && off <= BESIDE.within * Math.max(side, text.height);
      return fits ? [{ mark, text, apart: Math.abs(apart) + off }] : [];
    }),
  );
  const found: { mark: TickMark; text: LegacyText }[] = [];
  for (const { mark, text } of all.sort((a, b) => a.apart - b.apart))
    if (!found.some((each) => each.mark === mark || each.text === text)) found.push({ mark, text });
  return found;
}

/** Words behind boxes that are letters themselves; several may stand in one line. */
function typedOptions(texts: readonly LegacyText[], linework: readonly Item[]): FoundOptions | undefined {
  const options = new Map<LegacyText, OptionBox>();
  const rest: LegacyText[] = [];
  for (const text of texts) {
    const parts =
      text.tag === undefined && text.rotation === 0 && TYPED.test(text.text) ? text.text.split(NEXT_TYPED) : [];
    if (parts.length === 0) rest.push(text);
    let from = 0;
    for (const part of parts) {
      const [box = '', , full, crossed] = TYPED.exec(part) ?? [];
      const start = text.text.indexOf(part, from);
      from = start + part.length;
      const place = (letters: number): { x: number; y: number } => ({
        x: text.at.x + letters * LETTER_WIDTH * text.height,
        y: text.at.y,
      });
      const words = { ...text, text: part.slice(box.length).trim(), at: place(start + box.length) };
      options.set(words, {
        ...place(start),
        width: text.height,
        height: text.height,
        ticked: full !== undefined || crossed !== undefined,
        row: 0,
        items: [],
        letters: [text],
        typed: box,
      });
    }
  }
  if (options.size < FEWEST) return undefined;
  const rows = inRows([...options.values()]);
  [...options.values()].forEach((box, i) => (box.row = rows[i] ?? 0));
  return { options, texts: [...rest, ...options.keys()], linework: [...linework] };
}
