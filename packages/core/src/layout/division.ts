import type { Axis, Cell, Child, Track } from '../design';
import { naturalSize, paddingOf, shownContents } from './content';
import { LayoutError } from './measures';
import type { Solving } from './solving';
import { isShown } from './solving';
import type { SizedTrack } from './tracks';
import { sizeTracks } from './tracks';

/** Where a child starts along an axis and how many tracks it takes. */
export const trackSpan = (child: Child, axis: Axis): { from: number; span: number } =>
  axis === 'rows' ? { from: child.row, span: child.rowSpan } : { from: child.column, span: child.columnSpan };

/** Tracks that have closed up because every cell in them is left out. */
export function closedTracks(cell: Cell, axis: Axis, solving: Solving): Set<number> {
  const closed = new Set<number>();
  const { division } = cell;
  if (!division || division.children.every((child) => isShown(child.cell, solving))) return closed;
  const open = new Set<number>();
  const touched = new Set<number>();
  for (const child of division.children) {
    const { from, span } = trackSpan(child, axis);
    const shown = isShown(child.cell, solving);
    for (let i = from; i < from + span; i++) {
      touched.add(i);
      if (shown) open.add(i);
    }
  }
  for (const i of touched) if (!open.has(i)) closed.add(i);
  return closed;
}

/**
 * The tracks of a division with their lengths evaluated.
 * @param widths lengths of the columns in mm, once they are known: rows as large as their content depend on them
 */
export function sizedTracks(cell: Cell, axis: Axis, solving: Solving, widths?: readonly number[]): SizedTrack[] {
  const tracks = cell.division?.[axis] ?? [];
  const closed = closedTracks(cell, axis, solving);
  const { measures } = solving;
  return tracks.map((track, i): SizedTrack => {
    if (closed.has(i)) return { kind: 'fixed', length: 0 };
    const where = (part: string) => (): string => `${cell.id}.${axis}.${i}.${part}`;
    if ('fixed' in track) {
      const length = measures.length(track.fixed, where('fixed'));
      if (length < 0) throw new LayoutError(where('fixed')(), `"${track.fixed}" comes to less than zero`);
      return { kind: 'fixed', length };
    }
    const min = track.min === undefined ? 0 : measures.length(track.min, where('min'));
    const max = track.max === undefined ? Infinity : measures.length(track.max, where('max'));
    if (min > max) {
      throw new LayoutError(
        where('min')(),
        `its least, ${min.toFixed(2)} mm, is more than its most, ${max.toFixed(2)} mm`,
      );
    }
    if ('share' in track) return { kind: 'share', share: track.share, min, max };
    return { kind: 'fit', natural: naturalTrack(cell, axis, i, solving, widths), min, max };
  });
}

/** The gap between two neighbouring tracks of a division, in mm. @throws LayoutError for less than nothing */
export function gapBetween(cell: Cell, axis: Axis, { measures }: Solving): number {
  const text = cell.division?.gaps?.[axis];
  if (text === undefined) return 0;
  const where = (): string => `${cell.id}.gaps.${axis}`;
  const gap = measures.length(text, where);
  if (gap < 0) throw new LayoutError(where(), `"${text}" comes to less than zero`);
  return gap;
}

/** What the gaps of a division take of its room, in mm: a track that has closed up has none beside it. */
export function gapsTogether(cell: Cell, axis: Axis, solving: Solving): number {
  const gap = gapBetween(cell, axis, solving);
  if (gap === 0) return 0;
  const open = (cell.division?.[axis].length ?? 0) - closedTracks(cell, axis, solving).size;
  return gap * Math.max(0, open - 1);
}

/** Where the tracks of one axis stand. */
export interface TrackPlaces {
  /** Positions of the limits; one between two tracks with a gap stands in the middle of it. */
  limits: number[];
  /** Half of the gap at each limit. */
  halves: number[];
}

/**
 * Places tracks one after the other, from a position in a direction.
 * @param closed tracks that have closed up
 */
export function placeTracks(
  from: number,
  direction: 1 | -1,
  lengths: readonly number[],
  gap: number,
  closed: ReadonlySet<number>,
): TrackPlaces {
  const limits = [from];
  const halves = [0];
  let sum = 0;
  /** The limit after the last track that is open. */
  let after: number | undefined;
  lengths.forEach((length, i) => {
    if (!closed.has(i)) {
      if (gap > 0 && after !== undefined) {
        for (let limit = after; limit <= i; limit++) {
          limits[limit] = from + direction * (sum + gap / 2);
          halves[limit] = gap / 2;
        }
        sum += gap;
      }
      sum += length;
      after = i + 1;
    }
    limits.push(from + direction * sum);
    halves.push(0);
  });
  return { limits, halves };
}

/** The room that the cells of one track ask for, those that span several tracks left aside. */
function naturalTrack(
  cell: Cell,
  axis: Axis,
  index: number,
  solving: Solving,
  widths: readonly number[] | undefined,
): number {
  let most = 0;
  for (const child of cell.division?.children ?? []) {
    const { from, span } = trackSpan(child, axis);
    if (from !== index || span !== 1 || !isShown(child.cell, solving)) continue;
    const width = widths && sumOf(widths, child.column, child.columnSpan, gapBetween(cell, 'columns', solving));
    most = Math.max(most, naturalCell(child.cell, axis, solving, width));
  }
  return most;
}

/** The length of neighbouring tracks with the gaps between those of them that are open. */
function sumOf(lengths: readonly number[], from: number, span: number, gap: number): number {
  let [sum, open] = [0, 0];
  for (let i = from; i < from + span; i++) {
    const length = lengths[i] ?? 0;
    sum += length;
    if (length > 0) open++;
  }
  return sum + gap * Math.max(0, open - 1);
}

function naturalCell(cell: Cell, axis: Axis, solving: Solving, width: number | undefined): number {
  const key = `${cell.id} ${axis} ${width ?? ''}`;
  const known = solving.natural.get(key);
  if (known !== undefined) return known;
  const natural = cell.division
    ? naturalDivision(cell, axis, solving, width)
    : naturalContents(cell, axis, solving, width);
  solving.natural.set(key, natural);
  return natural;
}

function naturalDivision(cell: Cell, axis: Axis, solving: Solving, width: number | undefined): number {
  const across = width === undefined ? undefined : width - gapsTogether(cell, 'columns', solving);
  const widths = across === undefined ? undefined : sizeTracks(sizedTracks(cell, 'columns', solving), across).lengths;
  const closed = closedTracks(cell, axis, solving);
  return (cell.division?.[axis] ?? []).reduce(
    (sum, track: Track, i) => {
      if (closed.has(i)) return sum;
      const length =
        'fixed' in track
          ? solving.measures.length(track.fixed, () => `${cell.id}.${axis}.${i}.fixed`)
          : naturalTrack(cell, axis, i, solving, widths);
      return sum + length;
    },
    gapsTogether(cell, axis, solving),
  );
}

function naturalContents(cell: Cell, axis: Axis, solving: Solving, width: number | undefined): number {
  const contents = shownContents(cell, solving.measures);
  if (contents.length === 0) return 0;
  const padding = paddingOf(cell, solving.measures);
  const room = width === undefined ? Infinity : Math.max(0, width - 2 * padding);
  const sizes = contents.map((content) => {
    const size = naturalSize(cell, content, room, solving.setting, solving.measures);
    return axis === 'rows' ? size.height : size.width;
  });
  const stacked =
    axis === 'rows' ? sizes.reduce((sum, each) => sum + each, 0) + (sizes.length - 1) : Math.max(...sizes);
  return stacked + 2 * padding;
}
