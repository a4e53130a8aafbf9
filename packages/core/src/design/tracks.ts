import { FormulaError, parseFormula } from '../formula';
import type { LengthUnit, WorkingUnit } from '../quantity';
import { lengthAsFormula, parseLength, QuantityError } from '../quantity';
import type { Gaps, Track } from './cell';

export class TrackError extends Error {
  override name = 'TrackError';
}

const MOST_TRACKS = 60;
const SHARE = /^(\d+(?:\.\d+)?)?\s*\*$/;
// Not within a word: `max 60` is no `ma` 60 times, and `box2` is the name of a dimension. After a unit it may stand close.
const REPEATED = /^(.+?)\s*(?:(?<![A-Za-z])|(?<=\d\s*(?:mm|cm|m|in|ft)))[x×]\s*(\d+)$/;
const EQUAL = /^(\d+)\s+equal$/i;
const BOUNDED = /^(.*?(?:\*|\bfit))(?:\s+min\s+(.+?))?(?:\s+max\s+(.+?))?$/i;
const BARE_NUMBER = /^[\d.,\s/-]+$/;

function readTrack(text: string, unit: WorkingUnit): Track {
  const bounded = BOUNDED.exec(text);
  if (bounded) return readFlexible(bounded, unit);
  const fixed = readTrackLength(text, unit);
  if (fixed !== undefined) return { fixed };
  throw new TrackError(`"${text}" is not a size; write 40, 3/4 in, *, 2*, fit, or * min 30 max 60`);
}

function readFlexible([, head = '', min, max]: RegExpExecArray, unit: WorkingUnit): Track {
  const share = SHARE.exec(head.trim());
  const weight = Number(share?.[1] ?? 1);
  if (!share && head.trim().toLowerCase() !== 'fit') {
    throw new TrackError(`"${head.trim()}" is not a size; a share is written * or 2*`);
  }
  if (share && weight <= 0) throw new TrackError('a share must be more than zero');
  const bound = (text: string | undefined): string | undefined => {
    if (text === undefined) return undefined;
    const length = readTrackLength(text, unit);
    if (length === undefined) throw new TrackError(`"${text}" is not a length`);
    return length;
  };
  const [least, most] = [bound(min), bound(max)];
  return {
    ...(share ? { share: weight } : { fit: true as const }),
    ...(least === undefined ? {} : { min: least }),
    ...(most === undefined ? {} : { max: most }),
  };
}

/** A length or a formula as it is kept; undefined for what is neither. */
function readTrackLength(text: string, unit: WorkingUnit): string | undefined {
  const kept: LengthUnit = unit;
  try {
    const mm = parseLength(text, kept);
    if (mm <= 0) throw new TrackError(`"${text}" must be more than zero`);
    return BARE_NUMBER.test(text) ? lengthAsFormula(mm, unit) : text;
  } catch (error) {
    if (!(error instanceof QuantityError)) throw error;
  }
  try {
    parseFormula(text);
    return text;
  } catch (error) {
    if (error instanceof FormulaError) return undefined;
    throw error;
  }
}

/**
 * Reads a typed division such as `40 | * | 12 | 12`, `3/4in | 1/2in x3 | *`, `4 equal` or `* min 30 | strip / 2`.
 * @param unit the unit of bare numbers
 * @throws TrackError in words for the person typing
 */
export function readTracks(text: string, unit: WorkingUnit): Track[] {
  const tracks: Track[] = [];
  for (const part of text.split('|')) {
    const trimmed = part.trim();
    if (trimmed === '') throw new TrackError('a size is missing between two bars');
    const equal = EQUAL.exec(trimmed);
    const repeated = equal ? undefined : REPEATED.exec(trimmed);
    const count = Number(equal?.[1] ?? repeated?.[2] ?? 1);
    if (count < 1 || tracks.length + count > MOST_TRACKS) {
      throw new TrackError(`a division has between 1 and ${MOST_TRACKS} tracks`);
    }
    const track = equal ? { share: 1 } : readTrack(repeated?.[1] ?? trimmed, unit);
    for (let i = 0; i < count; i++) tracks.push({ ...track });
  }
  return tracks;
}

/** One track as it is typed: `40`, `2*`, `fit min 10`. */
export function trackInWords(track: Track, unit: WorkingUnit): string {
  if ('fixed' in track) return bareLength(track.fixed, unit);
  const head = 'share' in track ? (track.share === 1 ? '*' : `${track.share}*`) : 'fit';
  const min = track.min === undefined ? '' : ` min ${bareLength(track.min, unit)}`;
  const max = track.max === undefined ? '' : ` max ${bareLength(track.max, unit)}`;
  return `${head}${min}${max}`;
}

function bareLength(text: string, unit: WorkingUnit): string {
  const suffix = ` ${unit}`;
  const bare = text.endsWith(suffix) ? text.slice(0, -suffix.length) : text;
  return BARE_NUMBER.test(bare) ? bare : text;
}

/** What a cell is to be divided into, as it was typed. */
export interface TypedDivision {
  columns?: Track[];
  rows?: Track[];
  gaps?: Gaps;
}

/** Tracks with the gap between them behind the last one; a dimension that is called `gap` may stand for a track. */
const WITH_GAP = /^(.*[^|\s])\s+gap\s+([^|]+)$/i;

function readAxis(text: string, axis: 'rows' | 'columns', unit: WorkingUnit): TypedDivision {
  const found = WITH_GAP.exec(text.trim());
  if (!found) return { [axis]: readTracks(text, unit) };
  const [, tracks = '', typed = ''] = found;
  const gap = readTrackLength(typed.trim(), unit);
  if (gap === undefined) throw new TrackError(`"${typed.trim()}" is not a length; a gap is written gap 5`);
  return { [axis]: readTracks(tracks, unit), gaps: { [axis]: gap } };
}

/**
 * Reads a typed division: tracks as `readTracks` does, with the gap between them where they have one, `40 | * | 12 gap 5`. A
 * grid is columns, the word `by`, rows: `75 x2 gap 3 by 4 equal`.
 * @throws TrackError in words for the person typing
 */
export function readDivision(text: string, into: 'rows' | 'columns' | 'grid', unit: WorkingUnit): TypedDivision {
  if (into !== 'grid') return readAxis(text, into, unit);
  const parts = text.split(/\s+by\s+/i);
  if (parts.length !== 2) throw new TrackError('a grid is written columns by rows, such as * x2 by 10 x4');
  const [columns, rows] = [readAxis(parts[0] ?? '', 'columns', unit), readAxis(parts[1] ?? '', 'rows', unit)];
  const gaps = { ...columns.gaps, ...rows.gaps };
  return { ...columns, ...rows, ...(Object.keys(gaps).length > 0 ? { gaps } : {}) };
}

/** The line that `readDivision` reads back to the same tracks and gap; equal neighbours are counted. */
export function writeTracks(tracks: readonly Track[], unit: WorkingUnit, gap?: string): string {
  const words: { text: string; count: number }[] = [];
  for (const track of tracks) {
    const text = trackInWords(track, unit);
    const last = words[words.length - 1];
    if (last && last.text === text && !text.startsWith('*')) last.count++;
    else words.push({ text, count: 1 });
  }
  const list = words.map(({ text, count }) => (count > 1 ? `${text} x${count}` : text)).join(' | ');
  return gap === undefined ? list : `${list} gap ${bareLength(gap, unit)}`;
}
