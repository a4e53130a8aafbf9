import Yoga, { Direction, FlexDirection } from 'yoga-layout';
import type { Node } from 'yoga-layout';
import type { Cell, Design, Field, Track } from '@mendrel/core';
import { solveDesign, STARTING_STANDARD, tryOnValues } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypefaces } from '@mendrel/formats/typeface';
import { inTurns, report } from './measure';

const ROWS = 10;
const COLUMNS = 3;

let lastId = 0;
const fieldOf = (pattern: string): Field => ({
  id: `f${++lastId}`,
  kind: 'field',
  pattern,
  role: 'value',
  horizontal: 'left',
  vertical: 'bottom',
  rotation: 0,
  fit: { lines: 2, condense: 0.85, steps: 1 },
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

/** A strip of ten rows of three cells: 41 cells in all, a text in each of the 30 that hold content. */
function benchDesign(): Design {
  const keys = ['project.name', 'sheet.title', 'sheet.drawnBy', 'project.client', 'sheet.date', 'sheet.number'];
  const rows = Array.from({ length: ROWS }, (_, r) => {
    const cells = Array.from({ length: COLUMNS }, (__, c): Cell => ({
      id: `c${++lastId}`,
      name: '',
      contents: [fieldOf(`{${keys[(r * COLUMNS + c) % keys.length]}}`)],
    }));
    return row(cells, [{ fixed: '60 mm' }, { share: 1 }, { share: 2 }], 'columns');
  });
  const tracks = Array.from({ length: ROWS }, (_, r): Track => (r % 3 === 0 ? { share: 1 } : { fixed: '16 mm' }));
  return {
    format: 'mendrel-design',
    version: 2,
    name: 'Bench',
    unit: 'mm',
    sizes: [{ size: 'ISO A1', orientation: 'landscape' }],
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
        root: row(rows, tracks, 'rows'),
      },
    ],
    modules: { columns: 4, rows: 3 },
  };
}

/** The same tree in yoga-layout, without text: made, laid out, read and given back. */
function yogaTree(): number {
  const root = Yoga.Node.create();
  root.setWidth(180);
  root.setHeight(574);
  root.setFlexDirection(FlexDirection.Column);
  const nodes: Node[] = [];
  for (let r = 0; r < ROWS; r++) {
    const line = Yoga.Node.create();
    line.setFlexDirection(FlexDirection.Row);
    if (r % 3 === 0) {
      line.setFlexGrow(1);
      line.setFlexBasis(0);
    } else line.setHeight(16);
    root.insertChild(line, r);
    nodes.push(line);
    for (let c = 0; c < COLUMNS; c++) {
      const cell = Yoga.Node.create();
      if (c === 0) cell.setWidth(60);
      else {
        cell.setFlexGrow(c);
        cell.setFlexBasis(0);
      }
      line.insertChild(cell, c);
      nodes.push(cell);
    }
  }
  root.calculateLayout(undefined, undefined, Direction.LTR);
  let sum = 0;
  for (const node of nodes) {
    const { left, top, width, height } = node.getComputedLayout();
    sum += left + top + width + height;
  }
  root.freeRecursive();
  return sum;
}

export function benchSolving(): void {
  const design = benchDesign();
  const typefaces = readTypefaces(shippedFontFiles());
  const on = { size: 'ISO A1', values: tryOnValues('longest'), standard: STARTING_STANDARD, typefaces };
  report(
    'Solving a sheet of 41 cells with 30 texts',
    'yoga-layout for the same tree without text',
    inTurns(
      () => void solveDesign(design, on),
      () => void yogaTree(),
      200,
      10,
    ),
  );
}
