import type { Cell, Child, Division, Gaps, Track } from '../cell';
import type { Design } from '../schema';
import type { Axis } from './editing';
import { contentsWithin, EditError, emptyCell, holdsAnything, idMaker, withCell } from './editing';

/** A division with these gaps, or without any. */
function withGaps(division: Division, gaps: Gaps | undefined): Division {
  const next: Division = { ...division };
  if (gaps?.columns === undefined && gaps?.rows === undefined) delete next.gaps;
  else next.gaps = gaps;
  return next;
}

/** Sets the gap between the tracks of one axis; '' takes it away. */
export function setGap(design: Design, id: string, axis: Axis, gap: string): Design {
  return withCell(design, id, (cell) => {
    if (!cell.division) throw new EditError('this cell is not divided');
    const gaps: Gaps = { ...cell.division.gaps };
    if (gap === '') delete gaps[axis];
    else gaps[axis] = gap;
    return { ...cell, division: withGaps(cell.division, gaps) };
  });
}

/**
 * Divides a cell into rows or columns. Content of an undivided cell moves into the first new cell; a cell that is
 * divided along the same axis keeps as many children as there are tracks.
 * @param gap the room between tracks, none where it is left out
 * @throws EditError when cells with content would be lost
 */
export function divideCell(design: Design, id: string, axis: Axis, tracks: readonly Track[], gap?: string): Design {
  const make = idMaker(design);
  return withCell(design, id, (cell) => {
    const other = axis === 'rows' ? 'columns' : 'rows';
    const before = cell.division;
    if (before && before[other].length > 1 && before[axis].length > 1) {
      const gaps: Gaps = { ...before.gaps };
      delete gaps[axis];
      const division = withGaps(retracked(before, axis, tracks, make), { ...gaps, ...(gap && { [axis]: gap }) });
      return { ...cell, contents: [], division };
    }
    if (before && before[other].length > 1) {
      throw new EditError(`this cell is divided into ${other}; select one of them, or divide it into a grid`);
    }
    const kept = before
      ? [...before.children].sort((a, b) => indexOn(a, axis) - indexOn(b, axis)).map((c) => c.cell)
      : [];
    refuseLoss(kept.slice(tracks.length), axis);
    const children = tracks.map((_, i): Child => {
      const cellHere = kept[i] ?? emptyCell(make('cell'));
      const inner = i === 0 && !before ? { ...cellHere, contents: cell.contents } : cellHere;
      return axis === 'rows'
        ? { column: 0, row: i, columnSpan: 1, rowSpan: 1, cell: inner }
        : { column: i, row: 0, columnSpan: 1, rowSpan: 1, cell: inner };
    });
    const division: Division =
      axis === 'rows'
        ? { columns: [{ share: 1 }], rows: [...tracks], children }
        : { columns: [...tracks], rows: [{ share: 1 }], children };
    return { ...cell, contents: [], division: withGaps(division, gap ? { [axis]: gap } : undefined) };
  });
}

/**
 * Divides a cell into a grid. What is there keeps its place: content of an undivided cell goes into the first cell, rows
 * and columns that are there keep their cells.
 * @throws EditError when cells with content would be lost
 */
export function divideIntoGrid(
  design: Design,
  id: string,
  columns: readonly Track[],
  rows: readonly Track[],
  gaps?: Gaps,
): Design {
  const make = idMaker(design);
  return withCell(design, id, (cell) => {
    const start: Division = cell.division ?? {
      columns: [{ share: 1 }],
      rows: [{ share: 1 }],
      children: [
        { column: 0, row: 0, columnSpan: 1, rowSpan: 1, cell: { ...emptyCell(make('cell')), contents: cell.contents } },
      ],
    };
    const division = retracked(retracked(start, 'columns', columns, make), 'rows', rows, make);
    return { ...cell, contents: [], division: withGaps(division, gaps) };
  });
}

/** Gives a division other tracks along one axis; cells keep their places, new ones are empty. */
function retracked(division: Division, axis: Axis, tracks: readonly Track[], make: (kind: string) => string): Division {
  const most = tracks.length;
  const kept: Child[] = [];
  const lost: Cell[] = [];
  for (const child of division.children) {
    const from = indexOn(child, axis);
    if (from >= most) lost.push(child.cell);
    else
      kept.push(
        axis === 'rows'
          ? { ...child, rowSpan: Math.min(child.rowSpan, most - from) }
          : { ...child, columnSpan: Math.min(child.columnSpan, most - from) },
      );
  }
  refuseLoss(lost, axis);
  return filledUp({ ...division, [axis]: [...tracks], children: kept }, make);
}

/** Puts an empty cell wherever no cell stands. */
export function filledUp(division: Division, make: (kind: string) => string): Division {
  const { columns, rows, children } = division;
  const taken = new Set<number>();
  for (const child of children) {
    for (let row = child.row; row < child.row + child.rowSpan; row++) {
      for (let column = child.column; column < child.column + child.columnSpan; column++) {
        taken.add(row * columns.length + column);
      }
    }
  }
  const all = [...children];
  for (let row = 0; row < rows.length; row++) {
    for (let column = 0; column < columns.length; column++) {
      if (taken.has(row * columns.length + column)) continue;
      all.push({ column, row, columnSpan: 1, rowSpan: 1, cell: emptyCell(make('cell')) });
    }
  }
  all.sort((a, b) => a.row - b.row || a.column - b.column);
  return { ...division, children: all };
}

function refuseLoss(cells: readonly Cell[], axis: Axis): void {
  if (cells.some(holdsAnything))
    throw new EditError(`the ${axis} that would go still hold something; empty them first`);
}

const indexOn = (child: Child, axis: Axis): number => (axis === 'rows' ? child.row : child.column);

/** Takes a division away; the contents of its cells come together in the cell itself. */
export function joinCell(design: Design, id: string): Design {
  return withCell(design, id, (cell) => {
    const joined: Cell = { ...cell, contents: contentsWithin(cell) };
    delete joined.division;
    return joined;
  });
}
