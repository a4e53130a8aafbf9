import type { Cell, Child, Division } from '../cell';
import type { Design } from '../schema';
import { findCell } from '../visit';
import { contentsWithin, EditError, holdsAnything, idMaker, withCell } from './editing';
import { filledUp } from './dividing';

/**
 * Joins neighbours of one division into one cell that spans their tracks. The first one with something in it is kept
 * with its name; what the others hold comes into it.
 * @throws EditError when they are not in one division, or together are no rectangle
 */
export function joinNeighbours(design: Design, ids: readonly string[]): Design {
  if (ids.length < 2) throw new EditError('select two or more neighbours to join them');
  const parent = parentOf(design, ids);
  const chosen = new Set(ids);
  return withCell(design, parent.id, (cell) => {
    const division = cell.division;
    if (!division) throw new EditError('those cells are no longer there');
    const parts = division.children.filter((child) => chosen.has(child.cell.id));
    const column = Math.min(...parts.map((each) => each.column));
    const row = Math.min(...parts.map((each) => each.row));
    const columnSpan = Math.max(...parts.map((each) => each.column + each.columnSpan)) - column;
    const rowSpan = Math.max(...parts.map((each) => each.row + each.rowSpan)) - row;
    const area = parts.reduce((sum, each) => sum + each.columnSpan * each.rowSpan, 0);
    if (area !== columnSpan * rowSpan) throw new EditError('the selected cells do not make up a rectangle together');
    const joined: Child = { column, row, columnSpan, rowSpan, cell: merged(parts.map((each) => each.cell)) };
    const children = division.children.filter((child) => !chosen.has(child.cell.id)).concat(joined);
    children.sort((a, b) => a.row - b.row || a.column - b.column);
    return { ...cell, division: { ...division, children } };
  });
}

/** One cell from several: an undivided one with all contents, unless only one of them holds anything. */
function merged(cells: readonly Cell[]): Cell {
  const full = cells.filter(holdsAnything);
  const first = full[0] ?? cells[0];
  if (!first) throw new EditError('there is nothing to join');
  if (full.length <= 1) return first;
  const joined: Cell = { ...first, contents: full.flatMap(contentsWithin) };
  delete joined.division;
  return joined;
}

/** The cell whose division all the others are in. */
function parentOf(design: Design, ids: readonly string[]): Cell {
  const parents = ids.map((id) => findCell(design, id)?.above.at(-1));
  const [parent] = parents;
  if (!parent || parents.some((each) => each?.id !== parent.id)) {
    throw new EditError('only neighbours in one division can be joined; select cells of the same rows and columns');
  }
  return parent;
}

/** Takes a cell that spans several tracks apart again: it keeps the first place, empty cells take the others. */
export function splitSpan(design: Design, id: string): Design {
  const parent = parentOf(design, [id]);
  const make = idMaker(design);
  return withCell(design, parent.id, (cell) => {
    const division = cell.division as Division;
    const children = division.children.map((child) =>
      child.cell.id === id ? { ...child, columnSpan: 1, rowSpan: 1 } : child,
    );
    return { ...cell, division: filledUp({ ...division, children }, make) };
  });
}
