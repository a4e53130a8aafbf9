import type { Cell } from '../cell';
import type { Content } from '../content';
import type { Panel } from '../panel';
import type { Design } from '../schema';
import { cellsOf } from '../visit';

/** An edit that cannot be made, in words for the person who tried it. */
export class EditError extends Error {
  override name = 'EditError';
}

export type Axis = 'rows' | 'columns';

/** Refuses edits of a locked design. @throws EditError */
export function assertUnlocked(design: Design, panel?: Panel): void {
  if (design.locked) throw new EditError('this design is locked; unlock it first');
  if (panel?.locked) throw new EditError(`${panel.name} is locked; unlock it first`);
}

/**
 * Rewrites one cell and keeps everything else as it is, so that unchanged parts stay the same objects.
 * @throws EditError when the cell is gone or locked
 */
export function withCell(design: Design, id: string, change: (cell: Cell) => Cell): Design {
  let found = false;
  const walk = (cell: Cell): Cell => {
    if (cell.id === id) {
      found = true;
      return change(cell);
    }
    if (found || !cell.division) return cell;
    let changed = false;
    const children = cell.division.children.map((child) => {
      const next = walk(child.cell);
      if (next === child.cell) return child;
      changed = true;
      return { ...child, cell: next };
    });
    return changed ? { ...cell, division: { ...cell.division, children } } : cell;
  };
  const panels = design.panels.map((panel) => {
    if (found) return panel;
    const root = walk(panel.root);
    if (found) assertUnlocked(design, panel);
    return root === panel.root ? panel : { ...panel, root };
  });
  if (!found) throw new EditError('that cell is no longer in the design');
  return { ...design, panels };
}

/** Rewrites one panel. @throws EditError when it is gone; when it is locked, unless the change is to the lock */
export function withPanel(design: Design, id: string, change: (panel: Panel) => Panel): Design {
  const panel = design.panels.find((each) => each.id === id);
  if (!panel) throw new EditError('that panel is no longer in the design');
  assertUnlocked(design, panel);
  return { ...design, panels: design.panels.map((each) => (each === panel ? change(each) : each)) };
}

/** Gives out ids of the form `cell-7` that a design does not use yet, each once. */
export function idMaker(design: Design): (kind: string) => string {
  const used = new Set<string>(design.loose?.map((each) => each.id));
  for (const panel of design.panels) used.add(panel.id);
  for (const { cell } of cellsOf(design)) {
    used.add(cell.id);
    for (const content of cell.contents) used.add(content.id);
  }
  const last = new Map<string, number>();
  return (kind) => {
    let n = last.get(kind) ?? 1;
    while (used.has(`${kind}-${n}`)) n++;
    last.set(kind, n + 1);
    return `${kind}-${n}`;
  };
}

/** An id of the form `cell-7` that the design does not use yet. */
export const freshId = (design: Design, kind: string): string => idMaker(design)(kind);

export const emptyCell = (id: string): Cell => ({ id, name: '', contents: [] });

/** A copy of a cell with ids of its own throughout. */
export function copyOf(cell: Cell, make: (kind: string) => string): Cell {
  const contents = cell.contents.map((content): Content => ({ ...content, id: make('content') }));
  const copy: Cell = { ...cell, id: make('cell'), contents };
  if (cell.division) {
    const children = cell.division.children.map((child) => ({ ...child, cell: copyOf(child.cell, make) }));
    copy.division = { ...cell.division, children };
  }
  return copy;
}

/** Whether a cell holds anything that would be lost with it. */
export const holdsAnything = (cell: Cell): boolean =>
  cell.contents.length > 0 || (cell.division?.children.some((child) => holdsAnything(child.cell)) ?? false);

/** All contents of a cell and of the cells in it, in order. */
export const contentsWithin = (cell: Cell): Content[] => [
  ...cell.contents,
  ...(cell.division?.children.flatMap((child) => contentsWithin(child.cell)) ?? []),
];
