// oxlint-disable-next-line typescript/triple-slash-reference -- the package has no types, and the rooms that import this one need them too
/// <reference path="./linebreak.d.ts" />
import LineBreaker from 'linebreak';
import type { Measure, Typeface } from './typeface';

/** Texts longer than this are cut before they are broken into lines; no cell of a title block holds as much. */
export const MOST_TEXT = 4000;

/** A piece of a text that no line ends in, with and without its trailing spaces. */
interface Piece {
  text: string;
  trimmed: string;
}

/** Pieces that belong together, and what they are together. */
interface Group {
  whole: Piece;
  parts: readonly Piece[];
}

const pieceOf = (text: string): Piece => ({ text, trimmed: text.trimEnd() });

/** Words that an office never has broken, as one search for them all. */
const searches = new WeakMap<readonly string[], RegExp>();

/** Whether a place in a text lies within words of the office's own. */
function withinKept(text: string, kept: readonly string[]): (place: number) => boolean {
  if (kept.length === 0) return () => false;
  let search = searches.get(kept);
  if (!search) {
    const any = [...kept]
      .sort((a, b) => b.length - a.length)
      .map((words) => words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\s+/g, '\\s+'));
    search = new RegExp(`(?<![\\p{L}\\p{N}])(?:${any.join('|')})(?![\\p{L}\\p{N}])`, 'giu');
    searches.set(kept, search);
  }
  const ranges = [...text.matchAll(search)].map(({ index, 0: { length } }) => [index, index + length] as const);
  return (place) => ranges.some(([from, to]) => place > from && place < to);
}

/** Nothing besides what always belongs together. */
const NONE: readonly string[] = [];
const known = new WeakMap<readonly string[], Map<string, readonly Group[]>>();
const MOST_KNOWN = 2000;

/** The pieces of a text between which a line may end (Unicode line breaking, UAX 14); those together that belong together. */
function pieces(paragraph: string, kept: readonly string[]): readonly Group[] {
  let mine = known.get(kept);
  if (!mine) known.set(kept, (mine = new Map<string, readonly Group[]>()));
  const before = mine.get(paragraph);
  if (before) return before;
  const breaker = new LineBreaker(paragraph);
  const found: string[] = [];
  let last = 0;
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    found.push(paragraph.slice(last, next.position));
    last = next.position;
  }
  // The same words are set for every size and at every step of a drag.
  if (mine.size >= MOST_KNOWN) mine.clear();
  const grouped = groups(found, withinKept(paragraph, kept)).map((parts) => ({
    whole: pieceOf(parts.join('')),
    parts: parts.map(pieceOf),
  }));
  mine.set(paragraph, grouped);
  return grouped;
}

/** Numbers of sheets, projects and revisions: capitals and figures with strokes and points, `BFT-A-101`, `P02.01`. */
const CODE = /^[\p{Lu}\d.:_-]*\d[\p{Lu}\d.:_-]*$/u;
/** What ends in a figure, or in the sign of feet or inches, before a unit or an equals sign. */
const AMOUNT = /[\d"'\u2032\u2033]\s*$/u;
const UNIT = /^(?:mm|cm|m|km|m²|m³|ft|ft²|in|kg|t|kN|kPa|kW|°C|%)(?=[\s,;.)]|$)/u;

/** Whether a line must not end between two pieces that follow each other. */
function keptTogether(before: string, after: string): boolean {
  if (/=\s*$/.test(before)) return AMOUNT.test(before.replace(/=\s*$/, ''));
  if (AMOUNT.test(before)) return after.startsWith('=') || UNIT.test(after);
  // Two words with a stroke between them are one, as browsers have it too.
  if (before.endsWith('/')) return true;
  // A break within a word: after a hyphen.
  const [from, to] = [/[^\s/]*$/.exec(before)?.[0] ?? '', /^[^\s/]*/.exec(after)?.[0] ?? ''];
  return from !== '' && to !== '' && CODE.test(from + to);
}

/** Pieces, those together that belong together. @param within whether a place lies within words that are kept together */
function groups(all: readonly string[], within: (place: number) => boolean): string[][] {
  const found: string[][] = [];
  let place = 0;
  for (const piece of all) {
    const last = found.at(-1);
    if (last && (within(place) || keptTogether(last.join(''), piece))) last.push(piece);
    else found.push([piece]);
    place += piece.length;
  }
  return found;
}

/**
 * Breaks a text into lines no wider than `width` where that is possible; a single word that is wider stands alone. Numbers such as
 * `BFT-A-101`, words such as `and/or`, scales such as `1/8" = 1'-0"` and amounts with their units are broken only where they are wider themselves.
 * @param measure width of a text on one line, in the unit of `width`
 * @param kept words of the office's own that are broken no more than those, such as `Phase 2`
 */
export function breakLines(text: string, width: number, measure: Measure, kept: readonly string[] = NONE): string[] {
  return brokenLines(text, width, measure, kept).lines;
}

/** As `breakLines`, with the width of the widest line. */
export function brokenLines(
  text: string,
  width: number,
  measure: Measure,
  kept: readonly string[] = NONE,
): { lines: string[]; width: number } {
  const shown = text.length > MOST_TEXT ? text.slice(0, MOST_TEXT) : text;
  const lines: string[] = [];
  let widest = 0;
  for (const paragraph of shown.includes('\n') ? shown.split(/\r?\n/) : [shown]) {
    const whole = paragraph === '' ? 0 : measure(paragraph);
    widest = Math.max(widest, whole <= width ? whole : addBroken(lines, paragraph, width, measure, kept));
    if (whole <= width) lines.push(paragraph);
  }
  return { lines, width: widest };
}

/** Adds the lines of a paragraph that is wider than one. @returns the width of the widest of them */
function addBroken(
  lines: string[],
  paragraph: string,
  width: number,
  measure: Measure,
  kept: readonly string[],
): number {
  const { by } = measure;
  if (by) {
    const { ends, widest } = endsMeasured(measuredPieces(pieces(paragraph, kept), by), width / by.scale);
    lines.push(...linesUpTo(ends, paragraph));
    return widest * by.scale;
  }
  const ends = breakPlaces(paragraph, kept, (from, to) => measure(paragraph.slice(from, to)) <= width);
  const added = linesUpTo(ends, paragraph);
  lines.push(...added);
  return Math.max(...added.map(measure));
}

const linesUpTo = (ends: readonly number[], paragraph: string): string[] =>
  ends.map((end, i) => paragraph.slice(ends[i - 1] ?? 0, end).trimEnd());

/** A piece in the units of a typeface. */
interface MeasuredPiece {
  length: number;
  width: number;
  /** Width without its trailing spaces; nothing for a piece of spaces only, which never goes into the next line. */
  trimmed: number | undefined;
  /** What it adds to its width beside the piece before it. */
  beside: number;
}

interface MeasuredGroup {
  whole: MeasuredPiece;
  parts: readonly MeasuredPiece[];
}

const measuredBy = new WeakMap<Typeface, WeakMap<readonly Group[], readonly MeasuredGroup[]>>();

/** The pieces of a text measured by a typeface; they are the same at every height and for every room. */
function measuredPieces(
  all: readonly Group[],
  { typeface, between }: Required<Measure>['by'],
): readonly MeasuredGroup[] {
  let mine = measuredBy.get(typeface);
  if (!mine) measuredBy.set(typeface, (mine = new WeakMap()));
  const before = mine.get(all);
  if (before) return before;
  let last = '';
  const measured = ({ text, trimmed }: Piece, previous: string): MeasuredPiece => ({
    length: text.length,
    width: typeface.advance(text),
    trimmed: trimmed === '' ? undefined : typeface.advance(trimmed),
    beside: between(previous, text),
  });
  const found = all.map(({ whole, parts }): MeasuredGroup => {
    const first = last;
    const each = parts.map((part) => {
      const piece = measured(part, last);
      last = part.text;
      return piece;
    });
    return { whole: measured(whole, first), parts: each };
  });
  mine.set(all, found);
  return found;
}

/**
 * As `breakPlaces`, by sums of what the pieces measure: several times as quick as measuring each line that is tried.
 * @returns with the width of the widest line, in the units of the typeface
 */
function endsMeasured(all: readonly MeasuredGroup[], room: number): { ends: number[]; widest: number } {
  const ends: number[] = [];
  let [start, place, wide, line, widest] = [0, 0, 0, 0, 0];
  const add = (piece: MeasuredPiece): void => {
    const { length, width, trimmed, beside } = piece;
    if (place > start && trimmed !== undefined && wide + beside + trimmed > room) {
      ends.push(place);
      start = place;
      wide = 0;
      line = 0;
    }
    if (place > start) wide += beside;
    // Spaces at the end of a line are no part of its width.
    if (trimmed !== undefined) line = wide + trimmed;
    wide += width;
    place += length;
    if (line > widest) widest = line;
  };
  for (const { whole, parts } of all) {
    if (parts.length === 1 || (whole.trimmed ?? 0) > room) parts.forEach(add);
    else add(whole);
  }
  ends.push(place);
  return { ends, widest };
}

/**
 * The places at which the lines of a paragraph end, its own end last, by the rules of `breakLines`.
 * @param fits whether what stands between two places goes into a line
 */
export function breakPlaces(
  paragraph: string,
  kept: readonly string[] = NONE,
  fits: (from: number, to: number) => boolean,
): number[] {
  const ends: number[] = [];
  let [start, place] = [0, 0];
  for (const { whole, parts } of pieces(paragraph, kept)) {
    const together = parts.length === 1 || !fits(place, place + whole.trimmed.length) ? parts : [whole];
    for (const { text, trimmed } of together) {
      if (place > start && trimmed !== '' && !fits(start, place + trimmed.length)) {
        ends.push(place);
        start = place;
      }
      place += text.length;
    }
  }
  return [...ends, paragraph.length];
}
