import type { Caption, Cell, Design, Dock, Field, Track } from '../design';
import { DESIGN_VERSION } from '../design';

/** A design with one panel, for tests. */
export function designWith(
  root: Cell,
  panel: { dock: Dock; width?: string; height?: string },
  more: Partial<Design> = {},
): Design {
  return {
    format: 'mendrel-design',
    version: DESIGN_VERSION,
    name: 'Test',
    unit: 'mm',
    sizes: [
      { size: 'ISO A1', orientation: 'landscape' },
      { size: 'ISO A3', orientation: 'landscape' },
    ],
    dimensions: [],
    frame: { margins: 'standard', pen: 'frame', trimLine: false, zones: false, centringMarks: false },
    panels: [{ id: 'panel', name: 'Panel', outlinePen: 'outline', dividerPen: 'divider', root, ...panel }],
    modules: { columns: 4, rows: 3 },
    ...more,
  };
}

export const cell = (id: string, contents: Cell['contents'] = []): Cell => ({ id, name: id, contents });

/** A cell divided into rows from the top, or into columns. */
export function divided(id: string, axis: 'rows' | 'columns', tracks: Track[], children: Cell[]): Cell {
  const other: Track[] = [{ share: 1 }];
  return {
    id,
    name: id,
    contents: [],
    division: {
      rows: axis === 'rows' ? tracks : other,
      columns: axis === 'columns' ? tracks : other,
      children: children.map((each, i) => ({
        row: axis === 'rows' ? i : 0,
        column: axis === 'columns' ? i : 0,
        rowSpan: 1,
        columnSpan: 1,
        cell: each,
      })),
    },
  };
}

export const field = (id: string, pattern: string, more: Partial<Field> = {}): Field => ({
  id,
  kind: 'field',
  pattern,
  role: 'value',
  horizontal: 'left',
  vertical: 'bottom',
  rotation: 0,
  fit: { lines: 1, condense: 1, steps: 0 },
  ...more,
});

export const caption = (id: string, text: string, more: Partial<Caption> = {}): Caption => ({
  id,
  kind: 'caption',
  text,
  role: 'caption',
  horizontal: 'left',
  vertical: 'top',
  rotation: 0,
  fit: { lines: 1, condense: 1, steps: 0 },
  ...more,
});
