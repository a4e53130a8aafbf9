import type { Axis, Cell, Design, SheetLayout, Track } from '@mendrel/core';
import {
  findCell,
  formatLength,
  lengthAsFormula,
  parseLength,
  QuantityError,
  setDimension,
  setTrack,
  trackLengths,
} from '@mendrel/core';

/** The division that is worked on: the selected cell's own, or else the one it is a part of. */
export interface WorkedDivision {
  cell: Cell;
  axis: Axis;
  /** Track lengths on the sheet shown, in mm. */
  lengths: number[];
  /** Positions of the limits in mm on paper. */
  limits: number[];
  /** The rectangle that is divided. */
  rect: { x: number; y: number; width: number; height: number };
}

/** Finds the division to work on for a selected cell. */
export function workedDivision(
  design: Design,
  layout: SheetLayout,
  selected: string | undefined,
): WorkedDivision | undefined {
  const place = selected === undefined ? undefined : findCell(design, selected);
  if (!place) return undefined;
  const owners = [place.cell, ...[...place.above].reverse()];
  const cell = owners.find((each) => each.division);
  const at = cell && layout.cells.find((each) => each.id === cell.id);
  if (!cell?.division || !at) return undefined;
  const axis: Axis = cell.division.rows.length > 1 || cell.division.columns.length === 1 ? 'rows' : 'columns';
  const limits = at[axis] ?? [];
  return { cell, axis, lengths: trackLengths(at, axis), limits, rect: at };
}

/** Steps that a dragged divider snaps to. */
export const increment = (unit: 'mm' | 'in'): number => (unit === 'mm' ? 0.5 : 25.4 / 32);

/** Whether a fixed track is set by one dimension alone, which is then what has to change. */
const dimensionOf = (design: Design, track: Track): string | undefined =>
  'fixed' in track ? design.dimensions.find((each) => each.name === track.fixed.trim())?.name : undefined;

/** Gives one track an exact length in mm; a track that a dimension sets changes the dimension, for its own size where it has one. */
export function setTrackLength(
  design: Design,
  division: WorkedDivision,
  index: number,
  mm: number,
  size: string,
): Design {
  const track = division.cell.division?.[division.axis][index];
  if (!track) return design;
  const formula = lengthAsFormula(mm, design.unit);
  const name = dimensionOf(design, track);
  if (name === undefined) return setTrack(design, division.cell.id, division.axis, index, { fixed: formula });
  const own = design.dimensions.find((each) => each.name === name)?.bySize?.[size] !== undefined;
  return setDimension(design, name, formula, own ? size : undefined);
}

/**
 * Moves the divider after track `index` by `delta` mm (to the right, or down). The fixed track beside it changes; a share
 * takes up the rest by itself. Between two fixed tracks both change, between two shares the first becomes fixed.
 */
export function moveDivider(
  design: Design,
  division: WorkedDivision,
  index: number,
  delta: number,
  size: string,
): Design {
  const tracks = division.cell.division?.[division.axis] ?? [];
  const [before, after] = [tracks[index], tracks[index + 1]];
  const [lengthBefore = 0, lengthAfter = 0] = [division.lengths[index], division.lengths[index + 1]];
  if (!before || !after) return design;
  const step = increment(design.unit);
  const least = step;
  const snapped = Math.round((lengthBefore + delta) / step) * step;
  const length = Math.max(least, Math.min(lengthBefore + lengthAfter - least, snapped));
  const rest = lengthBefore + lengthAfter - length;
  if ('fixed' in before && !('fixed' in after)) return setTrackLength(design, division, index, length, size);
  if (!('fixed' in before) && 'fixed' in after) return setTrackLength(design, division, index + 1, rest, size);
  const moved = setTrackLength(design, division, index, length, size);
  return 'fixed' in before && 'fixed' in after ? setTrackLength(moved, division, index + 1, rest, size) : moved;
}

/** A typed length for a track, or a share or a formula; the error says what may be typed. */
export function typedTrack(
  design: Design,
  division: WorkedDivision,
  index: number,
  text: string,
  size: string,
): Design {
  const trimmed = text.trim();
  const share = /^(\d+(?:\.\d+)?)?\s*\*$/.exec(trimmed);
  if (share) return setTrack(design, division.cell.id, division.axis, index, { share: Number(share[1] ?? 1) || 1 });
  try {
    return setTrackLength(design, division, index, parseLength(trimmed, design.unit), size);
  } catch (error) {
    if (!(error instanceof QuantityError)) throw error;
    const known = design.dimensions.some((each) => each.name === trimmed);
    if (known) return setTrack(design, division.cell.id, division.axis, index, { fixed: trimmed });
    throw error;
  }
}

export const lengthWords = (mm: number, unit: 'mm' | 'in'): string => formatLength(Math.round(mm * 1000) / 1000, unit);
