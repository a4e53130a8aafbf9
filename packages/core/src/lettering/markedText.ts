import { breakPlaces, MOST_TEXT } from './lineBreaking';
import type { Measure } from './typeface';

/** How some words of a text stand out. */
export interface MarkedRun {
  text: string;
  strong?: true | undefined;
  underlined?: true | undefined;
}

/** A paragraph, with the number or the dash of a list before it, which its lines hang behind. */
export interface MarkedParagraph {
  label?: string | undefined;
  runs: MarkedRun[];
}

/** Words of one look on one line; lengths in mm. */
export interface MarkedSegment extends MarkedRun {
  /** It is the number or the dash of a list. */
  label?: true;
  /** From the start of the line. */
  x: number;
  width: number;
}

export interface MarkedLine {
  text: string;
  segments: MarkedSegment[];
  width: number;
}

/** How plain and strong words are measured, and how far the words of a list stand from their label, in mm. */
export interface MarkedMeasures {
  plain: Measure;
  strong: Measure;
  gap: number;
}

/** The words of paragraphs without their marks. */
export const plainText = (paragraphs: readonly MarkedParagraph[]): string =>
  paragraphs
    .map(({ label, runs }) => `${label === undefined ? '' : `${label} `}${runs.map(({ text }) => text).join('')}`)
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

/**
 * Breaks marked paragraphs into lines no wider than `width` where that is possible, with the same breaks that plain text has. The
 * lines of a list hang behind its labels.
 * @param kept words of the office's own that no line ends within
 */
export function breakMarked(
  paragraphs: readonly MarkedParagraph[],
  width: number,
  measures: MarkedMeasures,
  kept?: readonly string[],
): MarkedLine[] {
  const lines: MarkedLine[] = [];
  const indent = indents(paragraphs, measures);
  let left = MOST_TEXT;
  paragraphs.forEach(({ label, runs }, i) => {
    const text = runs
      .map((run) => run.text)
      .join('')
      .slice(0, Math.max(0, left));
    left -= text.length;
    const hanging = indent[i] ?? 0;
    const widthOf = (from: number, to: number): number =>
      between(runs, from, to).reduce((sum, run) => sum + measureOf(run, measures)(run.text), 0);
    const ends = breakPlaces(text, kept, (from, to) => widthOf(from, to) <= width - hanging);
    let from = 0;
    for (const end of ends) {
      const to = from + text.slice(from, end).trimEnd().length;
      lines.push(lineOf(between(runs, from, to), from === 0 ? label : undefined, hanging, measures));
      from = end;
    }
  });
  return lines;
}

function lineOf(
  runs: readonly MarkedRun[],
  label: string | undefined,
  hanging: number,
  measures: MarkedMeasures,
): MarkedLine {
  const segments: MarkedSegment[] = [];
  if (label !== undefined) segments.push({ text: label, label: true, x: 0, width: measures.plain(label) });
  let x = hanging;
  for (const run of runs) {
    const measure = measureOf(run, measures);
    const wide = measure(run.text);
    // Spaces at the ends of a part are room: programs that read the sheet leave them out.
    const text = run.text.trim();
    if (text !== '') segments.push({ ...run, text, x: x + wide - measure(run.text.trimStart()), width: measure(text) });
    x += wide;
  }
  const words = runs.map(({ text }) => text).join('');
  return { text: label === undefined ? words : `${label} ${words}`, segments, width: x };
}
