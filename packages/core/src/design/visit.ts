import type { Cell, Content, Design, Panel } from './schema';

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

/** The name to show for a cell: its own, else its first caption's or field's words, else where it stands. */
export function cellLabel(cell: Cell): string {
  if (cell.name) return cell.name;
  for (const content of cell.contents) {
    if (content.kind === 'caption' && content.text) return content.text;
    if (content.kind === 'field') return content.pattern;
    if (content.kind === 'picture') return content.name || 'Picture';
    if (content.kind === 'table') return `Table of ${content.table}`;
  }
  if (cell.division) return cell.division.rows.length > 1 ? 'Rows' : 'Columns';
  return 'Empty cell';
}
