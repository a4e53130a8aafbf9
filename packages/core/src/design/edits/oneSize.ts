import type { Design } from '../schema';
import { findCell } from '../visit';
import { setDimension } from './dimensionEdits';
import type { Axis } from './editing';
import { EditError } from './editing';
import { namePanelLength, nameTrack, suggestedName, trackDimensionName } from './naming';

/** The dimension that is all there is to a formula, which is then what has to change. */
export const soleDimension = (design: Design, formula: string | undefined): string | undefined =>
  design.dimensions.find((each) => each.name === formula?.trim())?.name;

/**
 * Gives a fixed track another length on one size: the dimension that sets it gets a value of its own for that size. A plain
 * length becomes such a dimension first, so that it stays what it was on the others.
 * @throws EditError for a share or `fit`, which is the same on every size
 */
export function setTrackOnSize(
  design: Design,
  id: string,
  axis: Axis,
  index: number,
  formula: string,
  size: string,
): Design {
  const track = findCell(design, id)?.cell.division?.[axis][index];
  if (!track || !('fixed' in track))
    throw new EditError('only a fixed length can differ by size; a share adapts itself');
  const name = soleDimension(design, track.fixed);
  if (name !== undefined) return setDimension(design, name, formula, size);
  const made = trackDimensionName(design, id, axis, index);
  return setDimension(nameTrack(design, id, axis, index, made), made, formula, size);
}

/** As `setTrackOnSize`, for the width or height of a panel. @throws EditError when the panel has none */
export function setPanelLengthOnSize(
  design: Design,
  id: string,
  key: 'width' | 'height',
  formula: string,
  size: string,
): Design {
  const panel = design.panels.find((each) => each.id === id);
  const name = soleDimension(design, panel?.[key]);
  if (name !== undefined) return setDimension(design, name, formula, size);
  const made = suggestedName(design, `${panel?.name ?? ''} ${key}`);
  return setDimension(namePanelLength(design, id, key, made), made, formula, size);
}
