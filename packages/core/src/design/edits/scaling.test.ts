import fc from 'fast-check';
import { solveDesign } from '../../layout';
import { STARTING_STANDARD } from '../../standard';
import { EVERY_CONTENT, valuesFor } from '../../testing/contents';
import { caption, cell, designWith, divided, field } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { mapLengths } from '../../formula';
import type { Design } from '../schema';
import { cellsOf } from '../visit';
import { validateDesign } from '../validate';
import { addPanel, EditError, lockPanel, scaleDesign } from '.';

const FINE = 0.001;
const ON = { size: 'ISO A1', values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
const rects = (design: Design, panel = 'panel') =>
  solveDesign(design, ON)
    .cells.filter((each) => each.panel === panel)
    .map(({ id, x, y, width, height }) => ({ id, x: x - 20, y: y - 10, width, height }));

/** A corner block of 90 x 60 mm in rows and columns, with a dimension, a gap, padding and texts. */
const block: Design = {
  ...designWith(
    {
      ...divided(
        'root',
        'rows',
        [{ fixed: 'row' }, { fixed: 'round(row / 3, 1 mm)' }, { share: 1, min: '10 mm' }],
        [
          { ...cell('a', [field('title', '{sheet.title}', { role: 'title' })]), padding: '2 mm' },
          divided('b', 'columns', [{ fixed: '30 mm' }, { share: 2 }], [cell('c'), cell('d')]),
          { ...cell('e', [caption('words', 'Client')]), when: 'frame.height > 100 mm' },
        ],
      ),
    },
    { dock: 'lower-left', width: 'wide', height: '60 mm' },
  ),
  dimensions: [
    { name: 'wide', formula: '90 mm', bySize: { 'ISO A3': '60 mm' } },
    { name: 'row', formula: '24 mm' },
    { name: 'part', formula: '0.4' },
  ],
};
block.panels[0]!.root.division!.gaps = { rows: '1 mm' };

describe('lengths in a formula', () => {
  test.each([
    ['strip / 2 + 12 mm', 'strip / 2 + 24 mm'],
    ['round(strip * 0.32, 1 mm)', 'round(strip * 0.32, 1 mm)'],
    ['round(10 mm + max(4 mm, row), 0.5 mm) + 1 mm', 'round(20 mm + max(8 mm, row), 0.5 mm) + 2 mm'],
    ['min(1/2 in, box2)', 'min(25.4 mm, box2)'],
    ['sheet.kind == "2 mm plan" ? 4 mm : 6 mm', 'sheet.kind == "2 mm plan" ? 8 mm : 12 mm'],
    ['-(5 mm)', '-(10 mm)'],
  ])('%s', (text, doubled) => {
    expect(mapLengths(text, (mm) => `${2 * mm} mm`)).toBe(doubled);
  });
});

describe('a design in another size', () => {
  test('has every cell so many times as large, whatever the factor', () => {
    const before = rects(block);
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 400 }), (per) => {
        const factor = per / 100;
        const scaled = scaleDesign(block, { factor, step: FINE }, STARTING_STANDARD);
        expect(validateDesign(scaled)).toEqual([]);
        rects(scaled).forEach((rect, i) => {
          // The row that is rounded to whole millimetres is up to half of one off.
          for (const key of ['x', 'y', 'width', 'height'] as const)
            expect(Math.abs(rect[key] - before[i]![key] * factor)).toBeLessThan(0.51 * (1 + factor));
        });
        expect(rects(scaled)[0]!.width).toBeCloseTo(90 * factor, 3);
      }),
    );
  });

  test('takes its own values for single sizes along, and leaves conditions, proportions and steps as they are', () => {
    const scaled = scaleDesign(block, { factor: 2, step: 0.5 }, STARTING_STANDARD);
    expect(scaled.dimensions).toEqual([
      { name: 'wide', formula: '180 mm', bySize: { 'ISO A3': '120 mm' } },
      { name: 'row', formula: '48 mm' },
      { name: 'part', formula: '0.4' },
    ]);
    const root = scaled.panels[0]!.root;
    expect(root.division?.rows).toEqual([
      { fixed: 'row' },
      { fixed: 'round(row / 3, 1 mm)' },
      { share: 1, min: '20 mm' },
    ]);
    expect(root.division?.gaps).toEqual({ rows: '2 mm' });
    expect([...cellsOf(scaled)].find(({ cell: { id } }) => id === 'e')?.cell.when).toBe('frame.height > 100 mm');
  });

  test('has its texts in the roles of their use that come nearest, and lengths in whole steps', () => {
    const scaled = scaleDesign(block, { factor: 1.41, step: 0.5 }, STARTING_STANDARD);
    const roles = [...cellsOf(scaled)].flatMap(({ cell: { contents } }) =>
      contents.map((each) => ('role' in each ? each.role : '')),
    );
    // 5 mm by 1.41 is 7.05, 2 mm is 2.82: the series has 7 and 2.5.
    expect(roles).toEqual(['title-large', 'caption-large']);
    expect(scaled.panels[0]).toMatchObject({ height: '84.5 mm' });
    expect(scaled.dimensions[0]?.formula).toBe('127 mm');
    // Short lengths are rounded to a tenth of a step.
    expect([...cellsOf(scaled)].find(({ cell: { id } }) => id === 'a')?.cell.padding).toBe('3 mm');
    expect(scaled.panels[0]!.root.division?.gaps).toEqual({ rows: '1.4 mm' });
  });

  test('keeps its margins, also where they are computed from dimensions', () => {
    const margins = { left: 'row / 2', right: '10 mm', top: 'row * part', bottom: '10 mm' };
    const framed: Design = { ...block, frame: { ...block.frame, margins } };
    const scaled = scaleDesign(framed, { factor: 2, step: FINE }, STARTING_STANDARD);
    expect(scaled.frame.margins).toEqual({ ...margins, left: '(row * 0.5) / 2', top: '(row * 0.5) * part' });
    expect(solveDesign(scaled, ON).frame).toEqual(solveDesign(framed, ON).frame);
  });

  test('is itself again after there and back, to a hundredth', () => {
    const there = scaleDesign(block, { factor: 2, step: FINE }, STARTING_STANDARD);
    expect(rects(scaleDesign(there, { factor: 0.5, step: FINE }, STARTING_STANDARD))).toEqual(rects(block));
  });

  test('scales every kind of content', () => {
    for (const content of Object.values(EVERY_CONTENT)) {
      const design: Design = {
        ...designWith(cell('root', [content]), { dock: 'lower-left', width: '180 mm', height: '120 mm' }),
        dimensions: [{ name: 'gap', formula: '2 mm' }],
      };
      const scaled = scaleDesign(design, { factor: 2, step: FINE }, STARTING_STANDARD);
      expect(validateDesign(scaled)).toEqual([]);
      const placed = (of: Design) =>
        solveDesign(of, { ...ON, size: 'ISO A1', values: valuesFor(content) }).placed.map(({ width }) => width);
      // Texts in a box keep to the series, so only boxes without them are exactly twice as wide.
      if (content.kind === 'picture' || content.kind === 'symbol' || content.kind === 'code')
        expect(placed(scaled)).toEqual(placed(design).map((width) => expect.closeTo(2 * width, 6)));
    }
  });
});

describe('one panel in another size', () => {
  const two: Design = addPanel(
    { ...block, dimensions: [...block.dimensions, { name: 'shared', formula: '20 mm' }] },
    { name: 'Other', dock: 'right', width: 'shared' },
    STARTING_STANDARD,
  );
  const [first, other] = two.panels;
  const design: Design = {
    ...two,
    panels: [{ ...first!, height: 'shared * 3' }, other!],
    dimensions: two.dimensions.map((each) => (each.name === 'row' ? { ...each, formula: 'shared + 4 mm' } : each)),
  };

  test('leaves the others as they are; of a dimension that they use it takes the part', () => {
    const scaled = scaleDesign(design, { factor: 0.5, step: FINE, panel: 'panel' }, STARTING_STANDARD);
    expect(scaled.dimensions).toEqual([
      { name: 'wide', formula: '45 mm', bySize: { 'ISO A3': '30 mm' } },
      { name: 'row', formula: '(shared * 0.5) + 2 mm' },
      { name: 'part', formula: '0.4' },
      { name: 'shared', formula: '20 mm' },
    ]);
    expect(scaled.panels[0]).toMatchObject({ height: '(shared * 0.5) * 3' });
    expect(scaled.panels[1]).toEqual(design.panels[1]);
    expect(rects(scaled, other!.id)).toEqual(rects(design, other!.id));
    expect(rects(scaled)[0]).toMatchObject({ width: 45, height: 30 });
  });

  test('is refused where it is locked or gone, and for a factor that is none', () => {
    const locked = lockPanel(design, 'panel', true);
    for (const [of, scaling, words] of [
      [locked, { factor: 2, step: 0.5, panel: 'panel' }, 'locked'],
      [locked, { factor: 2, step: 0.5 }, 'locked'],
      [design, { factor: 2, step: 0.5, panel: 'gone' }, 'no longer'],
      [design, { factor: 0, step: 0.5 }, 'a factor lies between 0.1 and 10'],
      [design, { factor: Number.NaN, step: 0.5 }, 'a factor lies between'],
    ] as const) {
      expect(() => scaleDesign(of, scaling, STARTING_STANDARD)).toThrow(EditError);
      expect(() => scaleDesign(of, scaling, STARTING_STANDARD)).toThrow(words);
    }
  });
});
