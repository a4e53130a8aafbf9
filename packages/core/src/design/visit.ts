import type { Cell } from './cell';
import type { Content } from './content';
import { kindOf } from './content';
import type { Panel } from './panel';
import type { Design } from './schema';

/** A cell with the panel it belongs to and the cells above it, the root first. */
export interface CellPlace {
  panel: Panel;
  cell: Cell;
  above: readonly Cell[];
}

/** All cells of a design, each before its children. */
export function* cellsOf(design: Design): Generator<CellPlace> {
  for (const panel of design.panels) yield* below(panel, panel.root, []);
}

function* below(panel: Panel, cell: Cell, above: readonly Cell[]): Generator<CellPlace> {
  yield { panel, cell, above };
  const path = [...above, cell];
  for (const child of cell.division?.children ?? []) yield* below(panel, child.cell, path);
}

/** Rewrites every cell of a design, each after those in it; what does not change stays the same object. */
export function mapCells(design: Design, change: (cell: Cell, panel: Panel) => Cell): Design {
  const walk = (cell: Cell, panel: Panel): Cell => {
    if (!cell.division) return change(cell, panel);
    let changed = false;
    const children = cell.division.children.map((child) => {
      const next = walk(child.cell, panel);
      if (next === child.cell) return child;
      changed = true;
      return { ...child, cell: next };
    });
    return change(changed ? { ...cell, division: { ...cell.division, children } } : cell, panel);
  };
  let changed = false;
  const panels = design.panels.map((panel) => {
    const root = walk(panel.root, panel);
    if (root === panel.root) return panel;
    changed = true;
    return { ...panel, root };
  });
  return changed ? { ...design, panels } : design;
}

export function findCell(design: Design, id: string): CellPlace | undefined {
  for (const place of cellsOf(design)) if (place.cell.id === id) return place;
  return undefined;
}

export function findContent(design: Design, id: string): { place: CellPlace; content: Content } | undefined {
  for (const place of cellsOf(design)) {
    const content = place.cell.contents.find((each) => each.id === id);
    if (content) return { place, content };
  }
  return undefined;
}

/** The name to show for a cell: its own, else what its first content that says something is called, else how it is divided. */
export function cellLabel(cell: Cell): string {
  if (cell.name) return cell.name;
  for (const content of cell.contents) {
    const label = kindOf(content).label(content);
    if (label !== '') return label;
  }
  if (cell.division) {
    const { rows, columns } = cell.division;
    return rows.length > 1 && columns.length > 1 ? 'Grid' : rows.length > 1 ? 'Rows' : 'Columns';
  }
  return 'Empty cell';
}
