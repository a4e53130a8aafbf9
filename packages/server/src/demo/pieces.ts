import type { Caption, Cell, Child, Field, Track } from '@mendrel/core';

let lastId = 0;
/** Ids are counted within a design. */
export const beginDesign = (): void => void (lastId = 0);
export const id = (kind: string): string => `${kind}-${++lastId}`;

type Fit = Field['fit'];
const ONE_LINE: Fit = { lines: 1, condense: 0.85, steps: 1 };
export const WRAPPED: Fit = { lines: 2, condense: 0.85, steps: 1 };

export const caption = (text: string, role = 'caption'): Caption => ({
  id: id('content'),
  kind: 'caption',
  text,
  role,
  horizontal: 'left',
  vertical: 'top',
  rotation: 0,
  fit: { lines: 1, condense: 0.8, steps: 1 },
});

export const field = (
  pattern: string,
  role = 'value',
  fit: Fit = ONE_LINE,
  vertical: Field['vertical'] = 'bottom',
): Field => ({
  id: id('content'),
  kind: 'field',
  pattern,
  role,
  horizontal: 'left',
  vertical,
  rotation: 0,
  fit,
});

export const cell = (name: string, ...contents: Cell['contents']): Cell => ({ id: id('cell'), name, contents });

export function divided(name: string, axis: 'rows' | 'columns', tracks: Track[], cells: Cell[]): Cell {
  const children = cells.map((each, i): Child => ({
    column: axis === 'columns' ? i : 0,
    row: axis === 'rows' ? i : 0,
    columnSpan: 1,
    rowSpan: 1,
    cell: each,
  }));
  const other: Track[] = [{ share: 1 }];
  return {
    id: id('cell'),
    name,
    contents: [],
    division: axis === 'rows' ? { rows: tracks, columns: other, children } : { columns: tracks, rows: other, children },
  };
}

export const pair = (name: string, left: Cell, right: Cell): Cell =>
  divided(name, 'columns', [{ share: 1 }, { share: 1 }], [left, right]);

/** The practice's own mark: a quill's nib over three waves. Drawn for this demo. */
function logo(): Cell['contents'][number] {
  const wave = (y: number): { kind: 'stroke'; points: number[]; closed: false } => {
    const points: number[] = [];
    for (let i = 0; i <= 48; i++) points.push(i, y + 1.4 * Math.sin((i / 48) * 6 * Math.PI));
    return { kind: 'stroke', points, closed: false };
  };
  return {
    id: id('content'),
    kind: 'picture',
    name: 'Quillwater mark',
    parameter: 'office.logo',
    horizontal: 'left',
    vertical: 'top',
    rotation: 0,
    width: 48,
    height: 30,
    linework: [
      {
        kind: 'fill',
        rings: [
          [24, 10, 31, 21, 24, 30, 17, 21],
          [24, 15, 25.2, 20, 24, 24, 22.8, 20],
        ],
      },
      wave(7.5),
      wave(4.5),
      wave(1.5),
    ],
  };
}

/** The practice with its mark and where it is. */
export const practice = (): Cell =>
  cell(
    'Logo',
    logo(),
    field('{office.name}', 'value', WRAPPED),
    field('{office.address}', 'notes', WRAPPED),
    field('{office.phone}', 'notes'),
  );
