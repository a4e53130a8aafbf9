import type { Caption, Cell, Design, Field, Track } from '@mendrel/core';
import { DESIGN_VERSION } from '@mendrel/core';

export const COLUMNS = 3;

let lastId = 0;
const placed = { role: 'value', horizontal: 'left', rotation: 0, fit: { lines: 2, condense: 0.85, steps: 1 } } as const;
const fieldOf = (pattern: string): Field => ({
  ...placed,
  id: `f${++lastId}`,
  kind: 'field',
  pattern,
  vertical: 'bottom',
});
const captionOf = (text: string): Caption => ({
  ...placed,
  id: `f${++lastId}`,
  kind: 'caption',
  text,
  vertical: 'top',
  role: 'caption',
});

const row = (cells: Cell[], tracks: Track[], axis: 'rows' | 'columns'): Cell => ({
  id: `c${++lastId}`,
  name: '',
  contents: [],
  division: {
    rows: axis === 'rows' ? tracks : [{ share: 1 }],
    columns: axis === 'columns' ? tracks : [{ share: 1 }],
    children: cells.map((cell, i) => ({
      row: axis === 'rows' ? i : 0,
      column: axis === 'columns' ? i : 0,
      rowSpan: 1,
      columnSpan: 1,
      cell,
    })),
  },
});

/**
 * A strip of rows of three cells with a field each: `4 * rows + 1` cells and `3 * rows` texts.
 * @param captions cells that hold a caption besides
 */
export function stripDesign(rows: number, sizes: readonly string[], captions = 0): Design {
  const keys = ['project.name', 'sheet.title', 'sheet.drawnBy', 'project.client', 'sheet.date', 'sheet.number'];
  const cells = Array.from({ length: rows }, (_, r) => {
    const inRow = Array.from({ length: COLUMNS }, (__, c): Cell => {
      const n = r * COLUMNS + c;
      const field = fieldOf(`{${keys[n % keys.length]}}`);
      return { id: `c${++lastId}`, name: '', contents: n < captions ? [captionOf('Caption'), field] : [field] };
    });
    return row(inRow, [{ fixed: '60 mm' }, { share: 1 }, { share: 2 }], 'columns');
  });
  const tracks = Array.from({ length: rows }, (_, r): Track =>
    r % 3 === 0 ? { share: 1, min: '16 mm' } : { fixed: '16 mm' },
  );
  return {
    format: 'mendrel-design',
    version: DESIGN_VERSION,
    name: 'Bench',
    unit: 'mm',
    sizes: sizes.map((size) => ({ size, orientation: 'landscape' })),
    dimensions: [],
    frame: { margins: 'standard', pen: 'frame', trimLine: true, zones: false, centringMarks: false },
    panels: [
      {
        id: 'p',
        name: 'Strip',
        dock: 'right',
        width: '180 mm',
        outlinePen: 'outline',
        dividerPen: 'divider',
        root: row(cells, tracks, 'rows'),
      },
    ],
    modules: { columns: 4, rows: 3 },
  };
}
