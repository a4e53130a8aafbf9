import { breakPlaces, MOST_TEXT } from './lineBreaking';
import type { Measure } from './typeface';

/** How some words of a text stand out. */
export interface MarkedRun {
  text: string;
  strong?: true | undefined;
  underlined?: true | undefined;
}

/**
 * A paragraph, with the number or the dash of a list before it, which its lines hang behind. Tabs in its words stand between
 * columns: those of neighbouring paragraphs begin under each other, and what wraps hangs behind the last one.
 */
export interface MarkedParagraph {
  label?: string | undefined;
  runs: MarkedRun[];
}

/** Between the columns of a paragraph. */
export const TAB = '\t';

/** Words of one look on one line; lengths in mm. */
export interface MarkedSegment extends MarkedRun {
  /** It is the number or the dash of a list. */
  label?: true;
  /** It begins a column. */
  tab?: true;
  /** From the start of the line. */
  x: number;
  width: number;
}

export interface MarkedLine {
  text: string;
  segments: MarkedSegment[];
  width: number;
}

/** How plain and strong words are measured, and how far words stand from their label and columns from each other, in mm. */
export interface MarkedMeasures {
  plain: Measure;
  strong: Measure;
  gap: number;
  columnGap: number;
}

/** The words of paragraphs without their marks; a space stands for a tab. */
export const plainText = (paragraphs: readonly MarkedParagraph[]): string =>
  paragraphs
    .map(
      ({ label, runs }) =>
        `${label === undefined ? '' : `${label} `}${runs.map(({ text }) => text.replaceAll(TAB, ' ')).join('')}`,
    )
    .join('\n');

const measureOf = (run: MarkedRun, { plain, strong }: MarkedMeasures): Measure => (run.strong ? strong : plain);

/** How far the words of each paragraph are moved in: those of neighbouring labels stand under each other. */
function indents(paragraphs: readonly MarkedParagraph[], measures: MarkedMeasures): number[] {
  const found = paragraphs.map(({ label }) => (label === undefined ? 0 : measures.plain(label) + measures.gap));
  for (let i = 0; i < found.length;) {
    let end = i;
    while (end < found.length && paragraphs[end]?.label !== undefined) end++;
    const widest = Math.max(0, ...found.slice(i, end));
    for (let k = i; k < end; k++) found[k] = widest;
    i = Math.max(end, i + 1);
  }
  return found;
}

/** The runs between two places of a paragraph. */
function between(runs: readonly MarkedRun[], from: number, to: number): MarkedRun[] {
  const found: MarkedRun[] = [];
  let start = 0;
  for (const run of runs) {
    const text = run.text.slice(Math.max(0, from - start), Math.max(0, to - start));
    if (text !== '') found.push({ ...run, text });
    start += run.text.length;
  }
  return found;
}

/** Runs as columns, which tabs stand between; one for runs without. */
function columnsOf(runs: readonly MarkedRun[]): MarkedRun[][] {
  const columns: MarkedRun[][] = [[]];
  for (const run of runs) {
    run.text.split(TAB).forEach((text, i) => {
      if (i > 0) columns.push([]);
      if (text !== '') columns.at(-1)?.push({ ...run, text });
    });
  }
  return columns;
}

const wordsOf = (runs: readonly MarkedRun[]): string => runs.map(({ text }) => text).join('');
const widthOf = (runs: readonly MarkedRun[], measures: MarkedMeasures): number =>
  runs.reduce((sum, run) => sum + measureOf(run, measures)(run.text), 0);

/** Where the columns of each paragraph begin, in mm: those of neighbours that have some, behind the widest before them. */
function columnStarts(
  paragraphs: readonly (readonly MarkedRun[][])[],
  indent: readonly number[],
  measures: MarkedMeasures,
): number[][] {
  const starts = paragraphs.map((_, i) => [indent[i] ?? 0]);
  for (let i = 0; i < starts.length;) {
    let end = i;
    while ((paragraphs[end]?.length ?? 0) > 1) end++;
    const most = Math.max(0, ...paragraphs.slice(i, end).map(({ length }) => length));
    for (let column = 1; column < most; column++) {
      let widest = 0;
      for (let k = i; k < end; k++) {
        const before = paragraphs[k]?.[column - 1];
        const start = starts[k]?.[column - 1];
        // What no column follows takes room of its own only.
        if (before && start !== undefined && column < (paragraphs[k]?.length ?? 0))
          widest = Math.max(widest, start + widthOf(before, measures) + measures.columnGap);
      }
      for (let k = i; k < end; k++) if (column < (paragraphs[k]?.length ?? 0)) starts[k]?.push(widest);
    }
    i = Math.max(end, i + 1);
  }
  return starts;
}

/**
 * Breaks marked paragraphs into lines no wider than `width` where that is possible, with the same breaks that plain text has. The
 * lines of a list hang behind its labels, and those of columns behind the last one.
 * @param kept words of the office's own that no line ends within
 */
export function breakMarked(
  paragraphs: readonly MarkedParagraph[],
  width: number,
  measures: MarkedMeasures,
  kept?: readonly string[],
): MarkedLine[] {
  const lines: MarkedLine[] = [];
  let left = MOST_TEXT;
  const columns = paragraphs.map(({ runs }) => {
    const shown = between(runs, 0, left);
    left -= wordsOf(shown).length;
    return columnsOf(shown);
  });
  const starts = columnStarts(columns, indents(paragraphs, measures), measures);
  paragraphs.forEach(({ label }, i) => {
    const before = columns[i]?.slice(0, -1) ?? [];
    const runs = columns[i]?.at(-1) ?? [];
    const hanging = starts[i]?.at(-1) ?? 0;
    const first: MarkedSegment[] = [];
    if (label !== undefined) first.push({ text: label, label: true, x: 0, width: measures.plain(label) });
    before.forEach((column, k) => {
      const segments = segmentsOf(column, starts[i]?.[k] ?? 0, measures);
      first.push(...(k > 0 ? afterTab(segments) : segments));
    });
    const firstWords = [...(label === undefined ? [] : [label]), ...before.map(wordsOf)];
    const text = wordsOf(runs);
    const ends = breakPlaces(text, kept, (from, to) => widthOf(between(runs, from, to), measures) <= width - hanging);
    let from = 0;
    for (const end of ends) {
      const to = from + text.slice(from, end).trimEnd().length;
      const words = between(runs, from, to);
      const own = segmentsOf(words, hanging, measures);
      const segments = from > 0 ? own : [...first, ...(before.length > 0 ? afterTab(own) : own)];
      lines.push({
        text: [...(from > 0 ? [] : firstWords), wordsOf(words)].join(' '),
        segments,
        width: Math.max(0, ...segments.map(({ x, width }) => x + width)),
      });
      from = end;
    }
  });
  return lines;
}

const afterTab = ([first, ...others]: MarkedSegment[]): MarkedSegment[] =>
  first ? [{ ...first, tab: true }, ...others] : [];

/** The words of runs that follow each other on one line. @param from where they begin, in mm */
function segmentsOf(runs: readonly MarkedRun[], from: number, measures: MarkedMeasures): MarkedSegment[] {
  const segments: MarkedSegment[] = [];
  let x = from;
  for (const run of runs) {
    const measure = measureOf(run, measures);
    const wide = measure(run.text);
    // Spaces at the ends of a part are room: programs that read the sheet leave them out.
    const text = run.text.trim();
    if (text !== '') segments.push({ ...run, text, x: x + wide - measure(run.text.trimStart()), width: measure(text) });
    x += wide;
  }
  return segments;
}
