import { contains } from '../geometry';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith, divided, field } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import type { Design, Track } from '../design';
import type { Values } from '../parameter';
import { solveDesign } from './solve';

const solve = (design: Design, size = 'ISO A1', values: Values = {}) =>
  solveDesign(design, { size, values, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES });
const rectOf = (layout: ReturnType<typeof solve>, id: string) => {
  const { x, y, width, height } = layout.cells.find((each) => each.id === id)!;
  return { x, y, width, height };
};
const IN = 25.4;

describe('worked examples', () => {
  // Worked example 1 (common practice): a 34 x 22 in sheet with a strip and a stack of rows.
  test('1: frame, strip line and rows of a 34 x 22 in sheet', () => {
    const rows: Track[] = [
      { share: 1 },
      ...['9/16 in', '1/2 in', '1/2 in', '1/2 in', '3/4 in', '1 in'].map((fixed) => ({ fixed })),
    ];
    const root = divided(
      'strip',
      'columns',
      [{ fixed: '1/8 in' }, { share: 1 }],
      [
        cell('line'),
        divided(
          'stack',
          'rows',
          rows,
          rows.map((_, i) => cell(`row-${i}`)),
        ),
      ],
    );
    const layout = solve(
      designWith(
        root,
        { dock: 'right', width: '3 in' },
        {
          unit: 'in',
          sizes: [{ size: 'ASME D', orientation: 'landscape' }],
          frame: {
            margins: { left: '1 1/2 in', right: '9/16 in', top: '9/16 in', bottom: '9/16 in' },
            pen: 'frame',
            trimLine: false,
            zones: false,
            centringMarks: false,
          },
        },
      ),
      'ASME D',
    );
    expect(layout.frame.width).toBeCloseTo(811.2125, 6);
    expect(layout.frame.height).toBeCloseTo(530.225, 6);
    const line = rectOf(layout, 'line');
    expect(line.x).toBeCloseTo(layout.frame.x + layout.frame.width - 3 * IN, 6);
    expect(line.width).toBeCloseTo(IN / 8, 6);
    const top = rectOf(layout, 'row-1');
    expect(top.y + top.height - layout.frame.y).toBeCloseTo((3 + 13 / 16) * IN, 6);
  });

  // Worked example 2 (common practice): A3 with a 5 mm frame, a block 150 x 40 in 4 rows and 2 columns.
  test('2: a block of 4 rows and 2 columns', () => {
    const share: Track = { share: 1 };
    const root = divided(
      'block',
      'rows',
      [share, share, share, share],
      [0, 1, 2, 3].map((row) =>
        divided(`row-${row}`, 'columns', [share, share], [cell(`c-${row}-0`), cell(`c-${row}-1`)]),
      ),
    );
    const layout = solve(
      withMargin(designWith(root, { dock: 'lower-right', width: '150 mm', height: '40 mm' })),
      'ISO A3',
    );
    expect(layout.frame).toMatchObject({ width: 410, height: 287 });
    for (const each of layout.cells.filter((c) => !c.divided)) expect(each).toMatchObject({ width: 75, height: 10 });
  });

  // Worked example 3 (common practice): A3 with a 5 mm frame and a bottom strip 55 high with boxes inset by 5.
  test('3: a bottom strip with inset boxes', () => {
    const inset = divided(
      'middle',
      'columns',
      [{ fixed: '5 mm' }, { fixed: '140 mm' }, { fixed: '5 mm' }, { share: 1 }, { fixed: '5 mm' }],
      [
        cell('gap-1'),
        divided('left', 'rows', [{ share: 1 }, { share: 1 }], [cell('half-1'), cell('half-2')]),
        cell('gap-2'),
        divided(
          'right',
          'columns',
          [{ share: 1 }, { share: 1 }, { share: 1 }],
          [
            divided(
              'third-1',
              'rows',
              [{ fixed: '15 mm' }, { fixed: '10 mm' }, { fixed: '10 mm' }, { share: 1 }],
              ['a', 'b', 'c', 'd'].map((id) => cell(id)),
            ),
            divided('third-2', 'rows', [{ fixed: '20 mm' }, { share: 1 }], [cell('e'), cell('f')]),
            divided('third-3', 'columns', [{ fixed: '40 mm' }, { share: 1 }], [cell('g'), cell('h')]),
          ],
        ),
        cell('gap-3'),
      ],
    );
    const root = divided(
      'strip',
      'rows',
      [{ fixed: '5 mm' }, { share: 1 }, { fixed: '5 mm' }],
      [cell('above'), inset, cell('below')],
    );
    const layout = solve(withMargin(designWith(root, { dock: 'bottom', height: '55 mm' })), 'ISO A3');
    expect(rectOf(layout, 'strip').width).toBe(410);
    expect(rectOf(layout, 'right').width).toBe(255);
    expect(rectOf(layout, 'left').height).toBe(45);
    expect(rectOf(layout, 'half-1').height).toBe(22.5);
    expect(rectOf(layout, 'd').height).toBe(10);
    expect(rectOf(layout, 'f').height).toBe(25);
    expect(rectOf(layout, 'third-3').width).toBe(85);
    expect(rectOf(layout, 'h').width).toBe(45);
  });
});

const withMargin = (design: Design): Design => ({
  ...design,
  frame: { ...design.frame, margins: { left: '5 mm', right: '5 mm', top: '5 mm', bottom: '5 mm' } },
});

describe('solving for sizes', () => {
  const dimensioned = designWith(
    divided('strip', 'rows', [{ share: 1 }, { fixed: 'row' }], [cell('rest'), cell('last')]),
    { dock: 'right', width: 'strip' },
    {
      dimensions: [
        { name: 'strip', formula: '90 mm', bySize: { 'ISO A3': '62 mm' } },
        { name: 'row', formula: 'strip * 0.5' },
      ],
    },
  );

  test('one design comes out for every size, with values of a size where it has them', () => {
    expect(rectOf(solve(dimensioned), 'last')).toEqual({ x: 741, y: 10, width: 90, height: 45 });
    expect(rectOf(solve(dimensioned, 'ISO A3'), 'last')).toEqual({ x: 348, y: 10, width: 62, height: 31 });
    expect(solve(dimensioned).drawingArea).toEqual({ x: 20, y: 10, width: 721, height: 574 });
  });

  test('panels claim edges in order; corner panels leave the drawing area whole', () => {
    const panel = dimensioned.panels[0]!;
    const design: Design = {
      ...dimensioned,
      panels: [
        panel,
        { ...panel, id: 'corner', dock: 'lower-right', width: '120 mm', height: '42 mm', root: cell('table') },
      ],
    };
    const layout = solve(design);
    expect(rectOf(layout, 'table')).toEqual({ x: 621, y: 10, width: 120, height: 42 });
    expect(layout.drawingArea.width).toBe(721);
    expect(layout.claimed).toEqual([{ x: 621, y: 10, width: 120, height: 42, name: 'Panel' }]);
  });

  test.each([
    // A wide block leaves what is over it, a high one what is beside it; the frame of A1 is 811 x 574 mm from 20, 10.
    ['lower-right', '180 mm', '60 mm', { x: 20, y: 70, width: 811, height: 514 }],
    ['upper-right', '180 mm', '60 mm', { x: 20, y: 10, width: 811, height: 514 }],
    ['lower-left', '100 mm', '400 mm', { x: 120, y: 10, width: 711, height: 574 }],
    ['upper-right', '100 mm', '400 mm', { x: 20, y: 10, width: 711, height: 574 }],
  ] as const)(
    'a block in the %s corner, %s by %s, may leave the larger rectangle beside it',
    (dock, width, height, area) => {
      const design = designWith(cell('block'), { dock, width, height });
      const [panel] = design.panels;
      const layout = solve({ ...design, panels: [{ ...panel!, leaves: 'rectangle' }] });
      expect(layout.drawingArea).toEqual(area);
      expect(layout.claimed).toEqual([]);
    },
  );

  test('a pinwheel of five cells fills its panel without gaps', () => {
    const [one, two]: Track[] = [{ fixed: '20 mm' }, { share: 1 }];
    const child = (id: string, column: number, row: number, columnSpan: number, rowSpan: number) => ({
      column,
      row,
      columnSpan,
      rowSpan,
      cell: cell(id),
    });
    const root = {
      ...cell('wheel'),
      division: {
        columns: [one!, two!, one!],
        rows: [one!, two!, one!],
        children: [
          child('n', 0, 0, 2, 1),
          child('e', 2, 0, 1, 2),
          child('s', 1, 2, 2, 1),
          child('w', 0, 1, 1, 2),
          child('m', 1, 1, 1, 1),
        ],
      },
    };
    const layout = solve(designWith(root, { dock: 'lower-right', width: '90 mm', height: '60 mm' }));
    const leaves = layout.cells.filter((each) => !each.divided);
    expect(leaves.reduce((sum, each) => sum + each.width * each.height, 0)).toBeCloseTo(90 * 60, 6);
    for (const leaf of leaves) expect(contains(layout.panels[0]!, leaf)).toBe(true);
  });

  test('too little room is a finding with the missing millimetres, not a shrunk track', () => {
    const root = divided('strip', 'rows', [{ fixed: '200 mm' }, { fixed: '100 mm' }], [cell('a'), cell('b')]);
    const layout = solve(designWith(root, { dock: 'right', width: '60 mm' }), 'ISO A3');
    expect(rectOf(layout, 'b').height).toBe(100);
    expect(layout.findings).toEqual([expect.objectContaining({ kind: 'room', weight: 'error', by: 23 })]);
  });

  test('a formula that fails names its place', () => {
    const broken = designWith(divided('strip', 'rows', [{ fixed: 'nothing' }, { share: 1 }], [cell('a'), cell('b')]), {
      dock: 'right',
      width: '60 mm',
    });
    expect(() => solve(broken)).toThrow(
      expect.objectContaining({ where: 'strip.rows.0.fixed', message: 'there is no dimension "nothing"' }),
    );
  });

  test('a cell whose condition does not hold keeps its room and loses its content', () => {
    const hidden = { ...cell('only-large', [field('f', '{sheet.title}')]), when: 'sheet.width > 500 mm' };
    const design = designWith(hidden, { dock: 'right', width: '60 mm' });
    expect(solve(design, 'ISO A1', { 'sheet.title': 'Plan' }).texts).toHaveLength(1);
    expect(solve(design, 'ISO A3', { 'sheet.title': 'Plan' }).texts).toHaveLength(0);
    expect(solve(design, 'ISO A3').hidden.has('only-large')).toBe(true);
  });
});

describe('texts in cells', () => {
  const one = (text: Partial<ReturnType<typeof field>>, width = '22.4 mm', height = '12.4 mm') =>
    designWith(cell('c', [field('f', '{sheet.title}', text)]), { dock: 'lower-right', width, height });
  // Letters of the test typeface are 1.75 mm wide at 3.5 mm; the room inside is 20 x 10 mm.
  const setting = (text: Partial<ReturnType<typeof field>>, words: string) => {
    const layout = solve(one(text), 'ISO A1', { 'sheet.title': words });
    return { text: layout.texts[0]!, findings: layout.findings };
  };

  test('sits at the padding, on its base line', () => {
    const { text } = setting({}, 'Plan');
    expect(text).toMatchObject({ fit: 'fits', height: 3.5, width: 7 });
    expect(text.x).toBeCloseTo(831 - 22.4 + 1.2, 9);
    expect(text.y).toBeCloseTo(10 + 1.2, 9);
  });

  test('wraps, condenses and steps down only as far as its policy allows', () => {
    const words = 'Ground floor plan';
    expect(setting({ fit: { lines: 2, condense: 0.8, steps: 1 } }, words).text).toMatchObject({
      fit: 'wrapped',
      height: 3.5,
    });
    const condensed = setting({ fit: { lines: 1, condense: 0.6, steps: 0 } }, words).text;
    expect(condensed.fit).toBe('condensed');
    expect(condensed.widthFactor).toBeCloseTo(20 / (17 * 1.75), 3);
    expect(setting({ fit: { lines: 1, condense: 1, steps: 3 } }, 'Ground floor').text).toMatchObject({
      fit: 'stepped',
    });
  });

  test('steps only to heights of the office series', () => {
    const { text } = setting({ fit: { lines: 1, condense: 1, steps: 5 } }, 'Ground floor');
    expect(STARTING_STANDARD.heights).toContain(text.height);
  });

  test('what cannot fit spills by a stated length, at its own height', () => {
    const { text, findings } = setting({}, 'Ground floor plan');
    expect(text).toMatchObject({ fit: 'spills', height: 3.5 });
    expect(text.by).toBeCloseTo(17 * 1.75 - 20, 9);
    expect(findings).toEqual([expect.objectContaining({ kind: 'spill', weight: 'error', by: text.by })]);
  });

  // Worked example 4 (common practice): a cell 2 1/4 in wide wraps its notes at 2 in.
  test('notes wrap at the room between the paddings', () => {
    const padded = {
      ...cell('c', [field('f', '{sheet.notes}', { fit: { lines: 20, condense: 1, steps: 0 } })]),
      padding: '1/8 in',
    };
    const design = designWith(padded, { dock: 'lower-right', width: '2 1/4 in', height: '60 mm' });
    const layout = solve(design, 'ISO A1', {
      'sheet.notes': 'Do not scale from this drawing. Check all dimensions on site before work starts.',
    });
    const { lines } = layout.texts[0]!;
    expect(lines.length).toBeGreaterThan(2);
    for (const line of lines) expect(line.width).toBeLessThanOrEqual(2 * IN + 0.01);
  });

  test.each([
    [0, 831 - 22.4 + 1.2, 11.2],
    [90, 831 - 1.2, 11.2],
    [180, 831 - 1.2, 10 + 12.4 - 1.2],
    [270, 831 - 22.4 + 1.2, 10 + 12.4 - 1.2],
  ] as const)('turned by %d it starts in its own corner', (rotation, x, y) => {
    const { text } = setting({ rotation }, 'AB');
    expect(text.x).toBeCloseTo(x, 9);
    expect(text.y).toBeCloseTo(y, 9);
  });

  test('a field without a value keeps its place and is reported when it is entered data', () => {
    const layout = solve(one({}));
    expect(layout.texts).toEqual([expect.objectContaining({ text: '', fit: 'fits', by: 0 })]);
    expect(layout.findings).toEqual([expect.objectContaining({ kind: 'missing', message: 'Sheet title is missing' })]);
    const computed = solve(designWith(cell('c', [field('f', '{sheet.scale}')]), { dock: 'right', width: '60 mm' }));
    expect(computed.findings).toEqual([]);
  });

  test('a track as large as its content follows the value', () => {
    const root = divided(
      'row',
      'columns',
      [{ fit: true }, { share: 1 }],
      [cell('c', [field('f', '{sheet.title}')]), cell('rest')],
    );
    const design = designWith(root, { dock: 'bottom', height: '20 mm' });
    expect(rectOf(solve(design, 'ISO A1', { 'sheet.title': 'Plan' }), 'c').width).toBeCloseTo(4 * 1.75 + 2.4, 9);
    expect(rectOf(solve(design, 'ISO A1', { 'sheet.title': 'Ground floor' }), 'c').width).toBeCloseTo(
      12 * 1.75 + 2.4,
      9,
    );
  });
});
