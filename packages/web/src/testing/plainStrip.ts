import type { Cell, Design } from '@mendrel/core';
import { DESIGN_VERSION, RULED_FRAME } from '@mendrel/core';

const FIT = { lines: 2, condense: 0.85, steps: 1 };

function named(id: string, name: string, words: string, pattern: string, role: string): Cell {
  const base = { horizontal: 'left', rotation: 0, fit: FIT } as const;
  return {
    id,
    name,
    contents: [
      { ...base, id: `${id}-caption`, kind: 'caption', vertical: 'top', role: 'caption', text: words },
      { ...base, id: `${id}-field`, kind: 'field', vertical: 'bottom', role, pattern },
    ],
  };
}

/** A plain strip along the right edge, for tests. */
export function plainStrip(): Design {
  const cells = [
    { id: 'cell-1', name: 'Notes', contents: [] },
    named('cell-2', 'Project', 'Project', '{project.name}', 'title'),
    named('cell-3', 'Sheet title', 'Sheet title', '{sheet.title}', 'title'),
    named('cell-4', 'Scale', 'Scale', '{sheet.scale}', 'value'),
    named('cell-5', 'Sheet number', 'Sheet number', '{sheet.number}', 'number'),
  ];
  return {
    format: 'mendrel-design',
    version: DESIGN_VERSION,
    name: 'New design',
    unit: 'mm',
    sizes: ['ISO A0', 'ISO A1', 'ISO A2', 'ISO A3'].map((size) => ({ size, orientation: 'landscape' as const })),
    dimensions: [{ name: 'strip', formula: '80 mm', bySize: { 'ISO A3': '60 mm' } }],
    frame: RULED_FRAME,
    panels: [
      {
        id: 'panel-1',
        name: 'Right strip',
        dock: 'right',
        width: 'strip',
        outlinePen: 'outline',
        dividerPen: 'divider',
        root: {
          id: 'strip-1',
          name: 'Strip',
          contents: [],
          division: {
            columns: [{ share: 1 }],
            rows: [{ share: 1 }, { fixed: '34 mm' }, { fixed: '34 mm' }, { fixed: '16 mm' }, { fixed: '28 mm' }],
            children: cells.map((cell, row) => ({ column: 0, row, columnSpan: 1, rowSpan: 1, cell })),
          },
        },
      },
    ],
    modules: { columns: 4, rows: 3 },
  };
}
