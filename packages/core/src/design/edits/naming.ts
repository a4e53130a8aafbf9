import type { Design } from '../schema';
import { cellLabel, findCell } from '../visit';
import type { Axis } from './editing';
import { EditError, withPanel } from './editing';
import { setDimension } from './dimensionEdits';
import { setTrack } from './trackEdits';

/** A name for a new dimension made from some words: `Sheet title` → `sheetTitle`, with a number where it is taken. */
export function suggestedName(design: Design, words: string): string {
  const parts = words.normalize('NFKD').match(/[A-Za-z0-9]+/g) ?? [];
  const joined = parts
    .map((part, i) => (i === 0 ? part.toLowerCase() : part.charAt(0).toUpperCase() + part.slice(1).toLowerCase()))
    .join('')
    .replace(/^\d+/, '')
    .slice(0, 34);
  const base = joined || 'length';
  const taken = new Set(design.dimensions.map((each) => each.name));
  let name = base;
  for (let n = 2; taken.has(name); n++) name = `${base}${n}`;
  return name;
}

/** What a track would be called as a dimension. */
export function trackDimensionName(design: Design, id: string, axis: Axis, index: number): string {
  const division = findCell(design, id)?.cell.division;
  const child = division?.children.find((each) => (axis === 'rows' ? each.row : each.column) === index);
  const words = child?.cell.name ?? (child && child.cell.contents.length > 0 ? cellLabel(child.cell) : '');
  return suggestedName(design, `${words} ${axis === 'rows' ? 'row' : 'column'}`);
}

/** Turns a typed length of a track into a dimension of its own. @throws EditError when the track has no typed length */
export function nameTrack(design: Design, id: string, axis: Axis, index: number, name: string): Design {
  const track = findCell(design, id)?.cell.division?.[axis][index];
  if (!track || !('fixed' in track)) throw new EditError('only a track with a fixed length can be named');
  return setTrack(newDimension(design, name, track.fixed), id, axis, index, { ...track, fixed: name });
}

/** Turns a typed width or height of a panel into a dimension of its own. */
export function namePanelLength(design: Design, id: string, key: 'width' | 'height', name: string): Design {
  const length = design.panels.find((panel) => panel.id === id)?.[key];
  if (length === undefined) throw new EditError(`that panel has no ${key} of its own`);
  return withPanel(newDimension(design, name, length), id, (panel) => ({ ...panel, [key]: name }));
}

function newDimension(design: Design, name: string, formula: string): Design {
  if (design.dimensions.some((each) => each.name === name)) {
    throw new EditError(`there is a dimension "${name}" already`);
  }
  return setDimension(design, name, formula);
}
