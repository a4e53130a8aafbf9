import type { WorkingUnit } from '../quantity';
import type { Finding } from '../check';
import type { Axis, Cell } from '../design';
import { cellLabel } from '../design';
import { amountInWords } from '../quantity';
import { trackSpan } from './division';
import type { SizedTrack } from './tracks';

/** Less than this many mm over or spare is rounding, not a finding. */
const TOLERANCE = 0.001;

/**
 * What is wrong with the room of one division: tracks that are longer than it, or that leave some of it over. Each
 * finding names a track, the length, and two ways to mend it.
 */
export function roomFindings(
  cell: Cell,
  axis: Axis,
  tracks: readonly SizedTrack[],
  lengths: readonly number[],
  room: number,
  unit: WorkingUnit,
): Finding[] {
  let sum = 0;
  for (const length of lengths) sum += length;
  const off = sum - room;
  if (Math.abs(off) <= TOLERANCE) return [];
  const open = tracks.map((_, i) => i).filter((i) => (lengths[i] ?? 0) > 0 || tracks[i]?.kind !== 'fixed');
  return off > 0
    ? [over(cell, axis, tracks, lengths, open, off, unit)]
    : open.length > 0
      ? [spare(cell, axis, tracks, lengths, open, -off, unit)]
      : [];
}

/** A track in words: `row 3 (Project)`. */
function trackName(cell: Cell, axis: Axis, index: number): string {
  const child = cell.division?.children.find((each) => {
    const { from, span } = trackSpan(each, axis);
    return from === index && span === 1;
  });
  const name = child?.cell.name ? ` (${child.cell.name})` : '';
  return `${axis === 'rows' ? 'row' : 'column'} ${index + 1}${name}`;
}

function over(
  cell: Cell,
  axis: Axis,
  tracks: readonly SizedTrack[],
  lengths: readonly number[],
  open: readonly number[],
  by: number,
  unit: WorkingUnit,
): Finding {
  const words = (length: number): string => amountInWords(length, unit);
  const longest = (among: readonly number[]): number | undefined =>
    among.reduce<number | undefined>(
      (best, i) => ((lengths[i] ?? 0) > (lengths[best ?? -1] ?? 0) ? i : best),
      undefined,
    );
  const fixed = longest(open.filter((i) => tracks[i]?.kind === 'fixed'));
  const index = fixed ?? longest(open) ?? 0;
  const length = lengths[index] ?? 0;
  const track = tracks[index];
  const name = trackName(cell, axis, index);
  const shorter =
    length > by
      ? `shorten ${name} from ${words(length)} to ${words(length - by)}`
      : `take ${name} away, it has only ${words(length)}`;
  const other =
    track?.kind === 'fixed'
      ? `make it a share (*)`
      : track?.kind === 'share'
        ? `lower its least length`
        : `make its contents smaller`;
  return {
    kind: 'room',
    weight: 'error',
    message: `the ${axis} of ${cellLabel(cell)} are ${words(by)} longer than the room they have; the longest is ${name}`,
    where: { cell: cell.id, track: `${axis}.${index}` },
    by,
    mend: `${shorter}, ${other}, or give ${cellLabel(cell)} ${words(by)} more`,
  };
}

function spare(
  cell: Cell,
  axis: Axis,
  tracks: readonly SizedTrack[],
  lengths: readonly number[],
  open: readonly number[],
  by: number,
  unit: WorkingUnit,
): Finding {
  const words = (length: number): string => amountInWords(length, unit);
  const bounded = open.filter((i) => tracks[i]?.kind === 'share');
  const index = bounded[bounded.length - 1] ?? open[open.length - 1] ?? 0;
  const length = lengths[index] ?? 0;
  const track = tracks[index];
  const name = trackName(cell, axis, index);
  const mend =
    track?.kind === 'share'
      ? `raise the most of ${name} from ${words(length)} to ${words(length + by)}, or take its limit away`
      : `lengthen ${name} from ${words(length)} to ${words(length + by)}, or make it a share (*)`;
  return {
    kind: 'room',
    weight: 'gap',
    message: `the ${axis} of ${cellLabel(cell)} leave ${words(by)} over; none of them takes what is left`,
    where: { cell: cell.id, track: `${axis}.${index}` },
    by,
    mend,
  };
}
