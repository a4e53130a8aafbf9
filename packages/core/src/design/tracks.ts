import { FormulaError, parseFormula } from '../formula';
import type { LengthUnit } from '../quantity';
import { lengthAsFormula, parseLength, QuantityError } from '../quantity';
import type { Track } from './schema';

export class TrackError extends Error {
  override name = 'TrackError';
}

const MOST_TRACKS = 60;
const SHARE = /^(\d+(?:\.\d+)?)?\s*\*$/;
const REPEATED = /^(.+?)\s*[x×]\s*(\d+)$/;
const BARE_NUMBER = /^[\d.\s/-]+$/;

function readTrack(text: string, unit: 'mm' | 'in'): Track {
  const share = SHARE.exec(text);
  if (share) {
    const weight = Number(share[1] ?? 1);
    if (weight <= 0) throw new TrackError('a share must be more than zero');
    return { share: weight };
  }
  if (text.toLowerCase() === 'fit') return { fit: true };
  const kept: LengthUnit = unit;
  try {
    const mm = parseLength(text, kept);
    if (mm <= 0) throw new TrackError(`"${text}" must be more than zero`);
    return { fixed: BARE_NUMBER.test(text) ? lengthAsFormula(mm, unit) : text };
  } catch (error) {
    if (!(error instanceof QuantityError)) throw error;
  }
  try {
    parseFormula(text);
    return { fixed: text };
  } catch (error) {
    if (error instanceof FormulaError) throw new TrackError(`"${text}" is not a size; write 40, 3/4 in, *, 2* or fit`);
    throw error;
  }
}

/**
 * Reads a typed division such as `40 | * | 12 | 12` or `3/4in | 1/2in x3 | *`.
 * @param unit the unit of bare numbers
 * @throws TrackError in words for the person typing
 */
export function readTracks(text: string, unit: 'mm' | 'in'): Track[] {
  const tracks: Track[] = [];
  for (const part of text.split('|')) {
    const trimmed = part.trim();
    if (trimmed === '') throw new TrackError('a size is missing between two bars');
    const repeated = REPEATED.exec(trimmed);
    const count = repeated ? Number(repeated[2]) : 1;
    if (count < 1 || tracks.length + count > MOST_TRACKS) {
      throw new TrackError(`a division has between 1 and ${MOST_TRACKS} tracks`);
    }
    const track = readTrack(repeated?.[1] ?? trimmed, unit);
    for (let i = 0; i < count; i++) tracks.push({ ...track });
  }
  return tracks;
}

function trackInWords(track: Track, unit: 'mm' | 'in'): string {
  if ('share' in track) return track.share === 1 ? '*' : `${track.share}*`;
  if ('fit' in track) return 'fit';
  const suffix = ` ${unit}`;
  const bare = track.fixed.endsWith(suffix) ? track.fixed.slice(0, -suffix.length) : track.fixed;
  return BARE_NUMBER.test(bare) ? bare : track.fixed;
}

/** The line that `readTracks` reads back to the same tracks; equal neighbours are counted. */
export function writeTracks(tracks: readonly Track[], unit: 'mm' | 'in'): string {
  const words: { text: string; count: number }[] = [];
  for (const track of tracks) {
    const text = trackInWords(track, unit);
    const last = words[words.length - 1];
    if (last && last.text === text && text !== '*') last.count++;
    else words.push({ text, count: 1 });
  }
  return words.map(({ text, count }) => (count > 1 ? `${text} x${count}` : text)).join(' | ');
}
