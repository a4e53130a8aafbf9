import type { Cell, Child, Division, Track } from '../cell';
import type { Design } from '../schema';
import { findCell } from '../visit';
import type { Axis } from './editing';
import { copyOf, EditError, holdsAnything, idMaker, withCell } from './editing';
import { filledUp } from './dividing';

interface OnAxis {
  from: number;
  span: number;
}

const onAxis = (child: Child, axis: Axis): OnAxis =>
  axis === 'rows' ? { from: child.row, span: child.rowSpan } : { from: child.column, span: child.columnSpan };

const placedOn = (child: Child, axis: Axis, { from, span }: OnAxis): Child =>
  axis === 'rows' ? { ...child, row: from, rowSpan: span } : { ...child, column: from, columnSpan: span };

function withDivision(design: Design, id: string, change: (division: Division, cell: Cell) => Division): Design {
  return withCell(design, id, (cell) => {
    if (!cell.division) throw new EditError('this cell is not divided');
    return { ...cell, division: change(cell.division, cell) };
  });
}

/** Sets one track of a division; the pen of the line after it stays. */
export function setTrack(design: Design, id: string, axis: Axis, index: number, track: Track): Design {
  return withDivision(design, id, (division) => {
    const old = division[axis][index];
    if (!old) throw new EditError('that track is gone');
    const next = old.line === undefined || track.line !== undefined ? track : { ...track, line: old.line };
    return { ...division, [axis]: division[axis].map((each, i) => (i === index ? next : each)) };
  });
}

/** Sets the pen of the line after a track; undefined takes the panel's again. */
export function setTrackLine(design: Design, id: string, axis: Axis, index: number, pen: string | undefined): Design {
  return withDivision(design, id, (division) => {
    const track = division[axis][index];
    if (!track) throw new EditError('that track is gone');
    const next: Track = { ...track };
    if (pen === undefined) delete next.line;
    else next.line = pen;
    return { ...division, [axis]: division[axis].map((each, i) => (i === index ? next : each)) };
  });
}

/** Puts a track with empty cells before the one at `index`; cells that span the place span it too. */
export function insertTrack(design: Design, id: string, axis: Axis, index: number, track: Track): Design {
  const make = idMaker(design);
  return withDivision(design, id, (division) => filledUp(opened(division, axis, index, track), make));
}

/**
 * Puts a track with empty cells before or after one, as large as that one: another row like this.
 * @param index the track beside it
 */
export function insertBeside(design: Design, id: string, axis: Axis, index: number, side: 'before' | 'after'): Design {
  const track = findCell(design, id)?.cell.division?.[axis][index];
  if (!track) throw new EditError('that track is gone');
  const like: Track = { ...track };
  delete like.line;
  return insertTrack(design, id, axis, side === 'before' ? index : index + 1, like);
}

/** Puts a track in without cells of its own. */
function opened(division: Division, axis: Axis, index: number, track: Track): Division {
  const tracks = [...division[axis]];
  tracks.splice(index, 0, track);
  const children = division.children.map((child) => {
    const { from, span } = onAxis(child, axis);
    if (from >= index) return placedOn(child, axis, { from: from + 1, span });
    return from + span > index ? placedOn(child, axis, { from, span: span + 1 }) : child;
  });
  return { ...division, [axis]: tracks, children };
}

/** Takes a track away with its empty cells. @throws EditError when one of them holds something, or it is the last track */
export function removeTrack(design: Design, id: string, axis: Axis, index: number): Design {
  return withDivision(design, id, (division) => {
    if (division[axis].length <= 1) throw new EditError('the last track stays; join the cells instead');
    if (!division[axis][index]) throw new EditError('that track is gone');
    const children: Child[] = [];
    for (const child of division.children) {
      const { from, span } = onAxis(child, axis);
      if (from === index && span === 1) {
        if (holdsAnything(child.cell)) {
          throw new EditError(
            `${axis === 'rows' ? 'row' : 'column'} ${index + 1} still holds something; empty it first`,
          );
        }
        continue;
      }
      if (from > index) children.push(placedOn(child, axis, { from: from - 1, span }));
      else if (from + span > index) children.push(placedOn(child, axis, { from, span: span - 1 }));
      else children.push(child);
    }
    return { ...division, [axis]: division[axis].filter((_, i) => i !== index), children };
  });
}

/** Moves a track with its cells to another place. @throws EditError when a cell spans it together with others */
export function moveTrack(design: Design, id: string, axis: Axis, index: number, to: number): Design {
  return withDivision(design, id, (division) => {
    const order = division[axis].map((_, i) => i);
    if (order[index] === undefined || order[to] === undefined) throw new EditError('there is no place further on');
    order.splice(to, 0, ...order.splice(index, 1));
    const placeOf = new Map(order.map((old, next) => [old, next]));
    const children = division.children.map((child) => {
      const { from, span } = onAxis(child, axis);
      const places = Array.from({ length: span }, (_, i) => placeOf.get(from + i) ?? 0);
      const first = Math.min(...places);
      if (Math.max(...places) - first !== span - 1) {
        throw new EditError('a cell spans that track together with others; split it first');
      }
      return placedOn(child, axis, { from: first, span });
    });
    children.sort((a, b) => a.row - b.row || a.column - b.column);
    return { ...division, [axis]: order.map((old) => division[axis][old] as Track), children };
  });
}

/** Puts a copy of a track, with copies of what its cells hold, after it. */
export function copyTrack(design: Design, id: string, axis: Axis, index: number): Design {
  const make = idMaker(design);
  return withDivision(design, id, (division) => {
    const track = division[axis][index];
    if (!track) throw new EditError('that track is gone');
    const wider = opened(division, axis, index + 1, track);
    const copies = division.children
      .filter((child) => onAxis(child, axis).from === index && onAxis(child, axis).span === 1)
      .map((child) => placedOn({ ...child, cell: copyOf(child.cell, make) }, axis, { from: index + 1, span: 1 }));
    return filledUp({ ...wider, children: [...wider.children, ...copies] }, make);
  });
}
