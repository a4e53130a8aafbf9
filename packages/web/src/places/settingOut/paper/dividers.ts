import type { Axis, Cell, Design, Rect, SheetLayout, Track, WorkingUnit } from '@mendrel/core';
import {
  findCell,
  formatLength,
  lengthAsFormula,
  parseLength,
  QuantityError,
  readTracks,
  setDimension,
  setTrack,
  setTrackOnSize,
  soleDimension,
  TrackError,
  trackLengths,
} from '@mendrel/core';
import type { EditScope } from '../settingOutSlice';

/** One axis of the division that is worked on: the selected cell's own, or else the one it is a part of. */
export interface WorkedDivision {
  cell: Cell;
  axis: Axis;
  /** Track lengths on the sheet shown, in mm. */
  lengths: number[];
  /** Positions of the limits in mm on paper; those between two tracks with a gap stand in its middle. */
  limits: number[];
  /** Half of the gap at each limit, in mm. */
  halves: number[];
  /** The rectangle that is divided. */
  rect: { x: number; y: number; width: number; height: number };
  /** Positions of other dividers of the panel on this axis, in mm on paper. */
  others: number[];
}

/** Finds the division to work on for a selected cell, on both axes where it has several tracks on both. */
export function workedDivisions(design: Design, layout: SheetLayout, selected: string | undefined): WorkedDivision[] {
  const place = selected === undefined ? undefined : findCell(design, selected);
  if (!place) return [];
  const owners = [place.cell, ...[...place.above].reverse()];
  const cell = owners.find((each) => each.division);
  const at = cell && layout.cells.find((each) => each.id === cell.id);
  if (!cell?.division || !at) return [];
  const { rows, columns } = cell.division;
  const axes: Axis[] =
    rows.length > 1 && columns.length > 1 ? ['rows', 'columns'] : columns.length > 1 ? ['columns'] : ['rows'];
  return axes.map((axis) => ({
    cell,
    axis,
    lengths: trackLengths(at, axis),
    limits: at[axis] ?? [],
    halves: at.halfGaps?.[axis] ?? [],
    rect: at,
    others: layout.cells
      .filter((each) => each.panel === at.panel && each.id !== cell.id)
      .flatMap((each) => each[axis]?.slice(1, -1) ?? []),
  }));
}

/** Which track of a division a cell stands in. */
export function trackOf(division: WorkedDivision, cell: Rect): number | undefined {
  const middle = division.axis === 'rows' ? cell.y + cell.height / 2 : cell.x + cell.width / 2;
  const index = division.limits.findIndex((limit, i) => {
    const next = division.limits[i + 1];
    return next !== undefined && (middle - limit) * (middle - next) < 0;
  });
  const same = division.cell.division?.children.some(
    (child) => (division.axis === 'rows' ? child.row : child.column) === index,
  );
  return index >= 0 && same && cell !== division.rect ? index : undefined;
}

/** Steps that a dragged divider snaps to. */
export const increment = (unit: WorkingUnit): number => (unit === 'mm' ? 0.5 : 25.4 / 32);

/** The dimension that sets a fixed track all alone, which is then what has to change. */
export const dimensionOf = (design: Design, track: Track | undefined): string | undefined =>
  track && 'fixed' in track ? soleDimension(design, track.fixed) : undefined;

const hasOwn = (design: Design, name: string, size: string): boolean =>
  design.dimensions.find((each) => each.name === name)?.bySize?.[size] !== undefined;

/**
 * Gives one track an exact length in mm. A track that a dimension sets changes the dimension, for its own size where it has
 * one; a plain length that is to count for one size only becomes a dimension with a value of its own for that size.
 */
export function setTrackLength(
  design: Design,
  division: WorkedDivision,
  index: number,
  mm: number,
  size: string,
  scope: EditScope = 'all',
): Design {
  const { cell, axis } = division;
  const track = cell.division?.[axis][index];
  if (!track) return design;
  const formula = lengthAsFormula(mm, design.unit);
  const name = dimensionOf(design, track);
  if (name !== undefined) {
    return setDimension(design, name, formula, scope === 'size' || hasOwn(design, name, size) ? size : undefined);
  }
  if (scope === 'all' || !('fixed' in track)) return setTrack(design, cell.id, axis, index, { fixed: formula });
  return setTrackOnSize(design, cell.id, axis, index, formula, size);
}

/** What a change of a track's length counts for, in words for the person who is about to make it. */
export function countsFor(design: Design, track: Track | undefined, size: string, scope: EditScope): string {
  const name = dimensionOf(design, track);
  if (name !== undefined && hasOwn(design, name, size)) return `${size} only: ${name} has its own value there`;
  // Only a length can differ by size; a share or `fit` is the same track everywhere.
  if (track && !('fixed' in track)) return 'all sizes';
  if (scope === 'size') return `${size} only`;
  return name === undefined ? 'all sizes' : `all sizes that share ${name}`;
}

/** How a dragged divider snaps. */
export interface Snapping {
  /** Distance in mm within which it goes to another divider or to equal halves. */
  reach: number;
  /** Hundredths of a millimetre instead of the increment. */
  fine: boolean;
}

/**
 * Moves the divider after track `index` by `delta` mm (to the right, or down). The fixed track beside it changes; a share
 * takes up the rest by itself. Between two fixed tracks both change; two shares stay shares, of what they had together.
 */
export function moveDivider(
  design: Design,
  division: WorkedDivision,
  index: number,
  delta: number,
  size: string,
  scope: EditScope = 'all',
  snapping: Snapping = { reach: 0, fine: false },
): Design {
  const tracks = division.cell.division?.[division.axis] ?? [];
  const [before, after] = [tracks[index], tracks[index + 1]];
  const [lengthBefore = 0, lengthAfter = 0] = [division.lengths[index], division.lengths[index + 1]];
  if (!before || !after) return design;
  const step = snapping.fine ? 0.01 : increment(design.unit);
  const both = lengthBefore + lengthAfter;
  const snapped = snappedLength(division, index, lengthBefore + delta, both, step, snapping.reach);
  const length = Math.max(step, Math.min(both - step, snapped));
  const set = (of: Design, track: number, mm: number): Design => setTrackLength(of, division, track, mm, size, scope);
  if ('fixed' in before && !('fixed' in after)) return set(design, index, length);
  if (!('fixed' in before) && 'fixed' in after) return set(design, index + 1, both - length);
  if ('share' in before && 'share' in after) {
    const weights = before.share + after.share;
    const { cell, axis } = division;
    const share = tidyShare((weights * length) / both, weights, snapping.fine);
    const set = (of: Design, track: number, old: typeof before, value: number): Design =>
      setTrack(of, cell.id, axis, track, { ...old, share: value });
    return set(set(design, index, before, share), index + 1, after, Number((weights - share).toFixed(4)));
  }
  const moved = set(design, index, length);
  return 'fixed' in before && 'fixed' in after ? set(moved, index + 1, both - length) : moved;
}

/**
 * A share as a person would write it: in hundredths, or ten thousandths where they ask for fine steps, and never all or nothing
 * of what two tracks have together.
 */
function tidyShare(share: number, together: number, fine: boolean): number {
  const step = fine ? 0.0001 : 0.01;
  const rounded = Math.round(share / step) * step;
  return Number(Math.max(step, Math.min(together - step, rounded)).toFixed(4));
}

function snappedLength(
  { axis, limits, halves, others }: WorkedDivision,
  index: number,
  length: number,
  both: number,
  step: number,
  reach: number,
): number {
  const direction = axis === 'rows' ? -1 : 1;
  const start = (limits[index] ?? 0) + direction * (halves[index] ?? 0);
  // The middle of a gap goes to what it is near to, as a line does.
  const half = halves[index + 1] ?? 0;
  const candidates = [both / 2, ...others.map((position) => (position - start) * direction - half)];
  let best = Math.round(length / step) * step;
  let nearest = reach;
  for (const candidate of candidates) {
    const off = Math.abs(candidate - length);
    if (off < nearest && candidate > 0 && candidate < both) [best, nearest] = [candidate, off];
  }
  return best;
}

/** The bounds of a share or of a track that fits its content, in words; nothing for one without. */
function boundsInWords(track: Track | undefined): string | undefined {
  if (!track || 'fixed' in track) return undefined;
  const least = track.min === undefined ? [] : [`at least ${track.min}`];
  const most = track.max === undefined ? [] : [`at most ${track.max}`];
  return least.length + most.length === 0 ? undefined : [...least, ...most].join(', ');
}

/** What a divider stands at besides its lengths: within bounds, in line with another one, or in the middle. */
export function standsAt(division: WorkedDivision, index: number): string | undefined {
  const { cell, axis, limits, others, lengths } = division;
  const position = limits[index + 1] ?? 0;
  const tracks = cell.division?.[axis] ?? [];
  const bounds = boundsInWords(tracks[index]) ?? boundsInWords(tracks[index + 1]);
  if (bounds) return bounds;
  if (Math.abs((lengths[index] ?? 0) - (lengths[index + 1] ?? 0)) < 1e-6) return 'equal halves';
  return others.some((other) => Math.abs(other - position) < 1e-6) ? 'in line with another divider' : undefined;
}

/** A typed length for a track, or a share, `fit`, a dimension or a formula; the error says what may be typed. */
export function typedTrack(
  design: Design,
  division: WorkedDivision,
  index: number,
  text: string,
  size: string,
  scope: EditScope = 'all',
): Design {
  const trimmed = text.trim();
  try {
    return setTrackLength(design, division, index, parseLength(trimmed, design.unit), size, scope);
  } catch (error) {
    if (!(error instanceof QuantityError)) throw error;
    const other = otherTrack(design, trimmed);
    if (!other) throw error;
    return setTrack(design, division.cell.id, division.axis, index, other);
  }
}

/** A share, `fit`, or a formula that uses dimensions which are there; undefined for anything else. */
function otherTrack(design: Design, text: string): Track | undefined {
  let tracks: Track[];
  try {
    tracks = readTracks(text, design.unit);
  } catch (error) {
    if (error instanceof TrackError) return undefined;
    throw error;
  }
  const [track] = tracks;
  if (!track || tracks.length !== 1) return undefined;
  if (!('fixed' in track)) return track;
  const known = new Set(design.dimensions.map((each) => each.name));
  const names = track.fixed.match(/[A-Za-z][\w.]*/g) ?? [];
  const units = new Set(['mm', 'cm', 'm', 'in', 'ft', 'min', 'max', 'round', 'floor', 'ceil', 'abs']);
  const foreign = names.some((name) => !known.has(name) && !units.has(name) && !/^(sheet|frame)\./.test(name));
  return foreign ? undefined : track;
}

export const lengthWords = (mm: number, unit: WorkingUnit): string => formatLength(Math.round(mm * 1000) / 1000, unit);
