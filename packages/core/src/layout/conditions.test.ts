import type { Cell, Design, Notes, Panel } from '../design';
import { STARTING_STANDARD } from '../standard';
import { caption, cell, designWith, divided, field } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { solveDesign } from './solve';

const ON = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
const solve = (design: Design, size = 'ISO A1', values: Record<string, string> = {}) =>
  solveDesign(design, { size, values, ...ON });
const heights = (design: Design, size: string, values?: Record<string, string>): Record<string, number> =>
  Object.fromEntries(solve(design, size, values).cells.map((each) => [each.id, each.height]));

const strip = (...rows: { cell: Cell; height?: string }[]): Design =>
  designWith(
    divided(
      'root',
      'rows',
      rows.map(({ height }) => (height === undefined ? { share: 1 } : { fixed: height })),
      rows.map((row) => row.cell),
    ),
    { dock: 'right', width: '80 mm' },
  );
const when = (id: string, condition: string, contents: Cell['contents'] = []): Cell => ({
  ...cell(id, contents),
  when: condition,
});

describe('a cell that is left out', () => {
  // A1 has a frame of 574 mm in height, A3 one of 277 mm: ISO 5457, from memory.
  test('closes its track up and leaves the room to the shares', () => {
    const design = strip(
      { cell: cell('a') },
      { cell: when('b', 'sheet.width > 500 mm'), height: '40 mm' },
      { cell: cell('c'), height: '20 mm' },
    );
    expect(heights(design, 'ISO A1')).toMatchObject({ a: 514, b: 40, c: 20 });
    expect(heights(design, 'ISO A3')).toMatchObject({ a: 257, b: 0, c: 20 });
    expect(solve(design, 'ISO A3').hidden).toEqual(new Set(['b']));
  });

  test('takes the cells in it along, and a divided cell goes when all of its cells go', () => {
    const pair = divided(
      'pair',
      'columns',
      [{ share: 1 }, { share: 1 }],
      [when('l', 'sheet.width > 500 mm'), when('r', 'sheet.width > 500 mm')],
    );
    const design = strip({ cell: cell('a') }, { cell: pair, height: '40 mm' });
    expect(heights(design, 'ISO A3')).toMatchObject({ a: 277, pair: 0 });
    expect(solve(design, 'ISO A3').hidden).toEqual(new Set(['pair', 'l', 'r']));
  });

  test('keeps its track while another cell stands in it', () => {
    const grid: Cell = {
      ...cell('root'),
      division: {
        columns: [{ share: 1 }, { share: 1 }],
        rows: [{ share: 1 }, { fixed: '30 mm' }],
        children: [
          { column: 0, row: 0, columnSpan: 2, rowSpan: 1, cell: cell('a') },
          { column: 0, row: 1, columnSpan: 1, rowSpan: 1, cell: when('b', 'sheet.width > 500 mm') },
          { column: 1, row: 1, columnSpan: 1, rowSpan: 1, cell: cell('c') },
        ],
      },
    };
    const design = designWith(grid, { dock: 'right', width: '80 mm' });
    expect(heights(design, 'ISO A3')).toMatchObject({ a: 247, c: 30 });
  });
});

describe('conditions', () => {
  const shown = (condition: string, values: Record<string, string>, size = 'ISO A1'): boolean =>
    !solve(strip({ cell: cell('a') }, { cell: when('b', condition), height: '9 mm' }), size, values).hidden.has('b');

  test.each([
    ['filled(sheet.notes)', { 'sheet.notes': 'All levels in metres' }, true],
    ['filled(sheet.notes)', { 'sheet.notes': '  ' }, false],
    ['filled(sheet.notes)', {}, false],
    ['!filled(sheet.notes)', {}, true],
    ['sheet.kind == "plan"', { 'sheet.kind': 'Plan' }, true],
    ['sheet.kind != "plan"', { 'sheet.kind': 'detail' }, true],
    ['sheet.kind == "plan" || sheet.kind == "detail"', { 'sheet.kind': 'detail' }, true],
    ['sheet.size == "ISO A1" && sheet.width > 800 mm', {}, true],
    ['sheet.size == "ISO A3"', {}, false],
  ])('%s with %j', (condition, values, holds) => {
    expect(shown(condition, values as Record<string, string>)).toBe(holds);
  });

  test.each([
    ['sheet.kind', 'is not a comparison'],
    ['sheet.kind > 3', 'not words'],
    ['sheet.kind == 3 mm', 'compares words with a length'],
    ['filled(strip)', 'there is no parameter "strip"'],
    ['filled(3 mm)', 'takes one parameter'],
    ['plan == "plan"', 'there is no dimension "plan"'],
    ['sheet.width && sheet.height', 'needs comparisons'],
  ])('%s is refused in words', (condition, message) => {
    expect(() => shown(condition, {})).toThrow(message);
  });

  test('of a panel give its place back', () => {
    const narrow = strip({ cell: cell('a') });
    const [first] = narrow.panels as [Panel];
    const design: Design = {
      ...narrow,
      panels: [first, { ...first, id: 'second', when: 'sheet.width > 500 mm', width: '50 mm', root: cell('b') }],
    };
    expect(solve(design, 'ISO A1').drawingArea.width).toBeCloseTo(811 - 80 - 50, 9);
    expect(solve(design, 'ISO A3').drawingArea.width).toBeCloseTo(390 - 80, 9);
    expect(solve(design, 'ISO A3').panels.map((each) => each.id)).toEqual(['panel']);
  });

  test('of a content leave its room to the others', () => {
    const contents = [
      field('f', '{sheet.title}', { vertical: 'top' }),
      { ...caption('n', 'Reduced print'), when: 'sheet.width < 500 mm' },
    ];
    const design = strip({ cell: cell('a', contents) });
    expect(solve(design, 'ISO A1').texts.map((each) => each.content)).toEqual(['f']);
    expect(solve(design, 'ISO A3').texts.map((each) => each.content)).toEqual(['f', 'n']);
  });
});

describe('rooms that do not come out', () => {
  test('too long: the track, the millimetres and the ways to mend it', () => {
    const design = strip({ cell: cell('a'), height: '400 mm' }, { cell: cell('b'), height: '180 mm' });
    expect(solve(design).findings).toEqual([
      {
        kind: 'room',
        weight: 'error',
        message: 'the rows of root are 6.0 mm longer than the room they have; the longest is row 1 (a)',
        where: { cell: 'root', track: 'rows.0' },
        by: expect.closeTo(6, 9),
        mend: 'shorten row 1 (a) from 400.0 mm to 394.0 mm, make it a share (*), or give root 6.0 mm more',
      },
    ]);
  });

  test('too short: what is spare', () => {
    const design = strip({ cell: cell('a'), height: '400 mm' }, { cell: cell('b'), height: '164 mm' });
    expect(solve(design).findings).toMatchObject([
      {
        weight: 'gap',
        message: 'the rows of root leave 10.0 mm over; none of them takes what is left',
        mend: 'lengthen row 2 (b) from 164.0 mm to 174.0 mm, or make it a share (*)',
      },
    ]);
  });

  test('are told in inches where the office draws in them', () => {
    const root = divided('root', 'rows', [{ fixed: '12 in' }, { fixed: '12 1/2 in' }], [cell('a'), cell('b')]);
    const margins = { left: '1 in', right: '1/2 in', top: '1/2 in', bottom: '1/2 in' };
    const inches = designWith(
      root,
      { dock: 'right', width: '3 in' },
      { unit: 'in', sizes: [{ size: 'ARCH D', orientation: 'landscape' }] },
    );
    // ARCH D is 36 by 24 in; the frame is 23 in high.
    const [finding] = solve({ ...inches, frame: { ...inches.frame, margins } }, 'ARCH D').findings;
    expect(finding).toMatchObject({
      message: 'the rows of root are 1 1/2 in longer than the room they have; the longest is row 2 (b)',
      mend: 'shorten row 2 (b) from 12 1/2 in to 11 in, make it a share (*), or give root 1 1/2 in more',
    });
  });

  test('shares within their bounds', () => {
    const root = divided(
      'root',
      'rows',
      [
        { share: 1, max: '100 mm' },
        { share: 1, min: '30 mm', max: '200 mm' },
      ],
      [cell('a'), cell('b')],
    );
    const [finding] = solve(designWith(root, { dock: 'right', width: '80 mm' })).findings;
    expect(finding?.mend).toBe('raise the most of row 2 (b) from 200.0 mm to 474.0 mm, or take its limit away');
  });

  test('a least that is more than the most is an error of its own', () => {
    const root = divided('root', 'rows', [{ share: 1, min: '50 mm', max: '20 mm' }], [cell('a')]);
    expect(() => solve(designWith(root, { dock: 'right', width: '80 mm' }))).toThrow('is more than its most');
  });
});

describe('tracks as large as their content', () => {
  test('follow how often a text wraps in the width there is', () => {
    const plain: Notes = {
      id: 'n',
      kind: 'notes',
      text: 'All levels are in metres above the harbour datum. '.repeat(4),
      role: 'notes',
      horizontal: 'left',
      vertical: 'top',
      rotation: 0,
    };
    const design = (width: string) =>
      designWith(divided('root', 'rows', [{ fit: true }, { share: 1 }], [cell('a', [plain]), cell('b')]), {
        dock: 'right',
        width,
      });
    const [wide, narrow] = [heights(design('160 mm'), 'ISO A1').a!, heights(design('50 mm'), 'ISO A1').a!];
    expect(narrow).toBeGreaterThan(2 * wide);
    expect(solve(design('50 mm')).findings).toEqual([]);
  });

  test('nested to any depth stay quick', () => {
    let root: Cell = cell('leaf', [caption('c', 'Caption')]);
    for (let i = 0; i < 22; i++) {
      root = divided(`d${i}`, i % 2 === 0 ? 'rows' : 'columns', [{ fit: true }, { share: 1 }], [root, cell(`e${i}`)]);
    }
    const layout = solve(designWith(root, { dock: 'right', width: '180 mm' }));
    expect(layout.texts).toHaveLength(1);
  });
});

describe('panels that stand off', () => {
  const strip = (dock: Panel['dock'], distance: string, more: Partial<Panel> = {}): Panel => {
    const [panel] = designWith(cell(`in-${dock}`), { dock, width: '60 mm', height: '40 mm' }).panels;
    return { ...panel!, id: dock, distance, ...more };
  };
  const solved = (...panels: Panel[]) => solve({ ...designWith(cell('a'), { dock: 'right', width: '1 mm' }), panels });

  // The frame of A1 is 811 by 574 mm from 20, 10.
  test('keep their distance from the frame on every side, and what is docked after them keeps its own', () => {
    const { panels, drawingArea, findings } = solved(strip('right', '5 mm'), strip('bottom', '3 mm'));
    expect(panels[0]).toMatchObject({ x: 831 - 5 - 60, y: 15, width: 60, height: 564 });
    expect(panels[1]).toMatchObject({ x: 23, y: 13, width: 811 - 65 - 6, height: 40 });
    expect(drawingArea).toMatchObject({ x: 20, y: 10 + 43, width: 811 - 65, height: 574 - 43 });
    expect(findings).toEqual([]);
  });

  test('stand off both sides of their corner', () => {
    expect(solved(strip('upper-left', '4 mm')).panels[0]).toMatchObject({ x: 24, y: 584 - 4 - 40 });
    expect(solved(strip('lower-right', '4 mm')).panels[0]).toMatchObject({ x: 831 - 4 - 60, y: 14 });
  });

  test('may not be nearer than the frame, and are told where they are too large with it', () => {
    expect(() => solved(strip('right', '-1 mm'))).toThrow('comes to less than zero');
    const [found] = solved(strip('lower-right', '5 mm', { width: '810 mm' })).findings;
    expect(found).toMatchObject({ kind: 'room', weight: 'error', by: 4 });
  });
});

describe('floating panels', () => {
  const floating = (panel: Partial<Panel>): Design => {
    const design = designWith(cell('a'), { dock: 'floating', width: '60 mm', height: '40 mm' });
    return { ...design, panels: design.panels.map((each) => ({ ...each, ...panel })) };
  };
  // The frame of A1 is 811 by 574 mm, 20 mm from the left and 10 mm from the other edges.
  test.each([
    ['lower-left', 20, 10],
    ['upper-right', 20 + 811 - 60, 10 + 574 - 40],
    ['centre', 20 + (811 - 60) / 2, 10 + (574 - 40) / 2],
    ['upper', 20 + (811 - 60) / 2, 10 + 574 - 40],
    ['right', 20 + 811 - 60, 10 + (574 - 40) / 2],
  ] as const)('hang on the %s of the frame', (anchor, x, y) => {
    expect(solve(floating({ anchor })).panels[0]).toMatchObject({ x, y });
    const [moved] = solve(floating({ anchor, x: '-5 mm', y: '7 mm' })).panels;
    expect(moved).toMatchObject({ x: x - 5, y: y + 7 });
  });

  test('that leave the sheet are said', () => {
    expect(solve(floating({ x: '-30 mm' })).findings[0]?.message).toBe(
      'Panel reaches 10.0 mm beyond the edge of ISO A1',
    );
  });
});

describe('what stands outside of cells', () => {
  const base = strip({ cell: cell('a') }, { cell: when('b', 'sheet.width > 500 mm'), height: '40 mm' });
  const at = (of: string, anchor: 'upper-left' | 'lower-right' | 'centre', x = '0', y = '0') => ({ of, anchor, x, y });

  test('hangs on the frame, the drawing area, panels and cells', () => {
    const design: Design = {
      ...base,
      loose: [
        { id: 'l', kind: 'line', from: at('frame', 'upper-left', '5 mm', '-5 mm'), to: at('b', 'centre'), pen: 'fine' },
        {
          id: 's',
          kind: 'stamp',
          at: at('drawing-area', 'centre'),
          pattern: '{sheet.status}',
          role: 'title',
          angle: 30,
          boxed: true,
        },
      ],
    };
    const [line, stamp] = solve(design, 'ISO A1', { 'sheet.status': 'Preliminary' }).loose;
    expect(line).toMatchObject({ from: { x: 25, y: 579 }, to: { x: 791, y: 30 } });
    expect(stamp).toMatchObject({ at: { x: 20 + (811 - 80) / 2, y: 297 }, text: 'Preliminary' });
    expect(solve(design, 'ISO A3').loose).toEqual([]);
    // A stamp whose role the standard lacks would be left out without a word.
    const unknown = { ...design, loose: design.loose?.map((each) => ({ ...each, role: 'gone' })) as Design['loose'] };
    const found = solve(unknown, 'ISO A1', { 'sheet.status': 'Preliminary' }).findings;
    expect(found).toContainEqual(
      expect.objectContaining({ kind: 'unknown', weight: 'error', where: { role: 'gone' } }),
    );
    expect(solve(unknown, 'ISO A1').findings).toEqual(solve(design, 'ISO A1').findings);
  });

  test('a picture lies on the sheet at its true size, or as large as goes in, and claims no room', () => {
    const picture = {
      id: 'border',
      kind: 'picture' as const,
      name: 'Border',
      width: 100,
      height: 50,
      linework: [{ kind: 'stroke' as const, points: [0, 0, 100, 50], closed: false }],
      at: { of: 'sheet', anchor: 'upper-left' as const, x: '5 mm', y: '-5 mm' },
    };
    const placeAt = (size: 'own' | 'frame' | 'sheet') => {
      const layout = solve({ ...base, loose: [{ ...picture, size }] });
      expect(layout.drawingArea).toEqual(solve(base).drawingArea);
      expect(layout.findings).toEqual(solve(base).findings);
      const [at] = layout.loose;
      return at?.kind === 'picture' ? at.place : undefined;
    };
    // A1 is 841 x 594 mm, its frame 811 x 574 from 20, 10.
    expect(placeAt('own')).toEqual({ x: 5, y: 594 - 5 - 50, width: 100, height: 50 });
    expect(placeAt('sheet')).toMatchObject({ x: 0, width: 841, height: 420.5 });
    expect(placeAt('frame')).toMatchObject({ x: 20, width: 811, height: 405.5 });
  });

  test('a picture without a file, or with a parameter that is none, is told', () => {
    const picture = { id: 'p', kind: 'picture' as const, name: '', width: 9, height: 9, linework: [] };
    const at = { of: 'sheet', anchor: 'centre' as const, x: '0', y: '0' };
    const said = (more: object): string[] =>
      solve({ ...base, loose: [{ ...picture, size: 'own' as const, at, ...more }] })
        .findings.filter((each) => !solve(base).findings.some((other) => other.message === each.message))
        .map(({ weight, message }) => `${weight}: ${message}`);
    expect(said({})).toEqual(['gap: a picture on the sheet has no file yet']);
    expect(said({ parameter: 'office.logo' })).toEqual(['gap: Office logo is missing']);
    expect(said({ parameter: 'sheet.title' })).toEqual(['error: Sheet title is no picture']);
  });

  test('on something that is gone is an error with its place', () => {
    const design: Design = {
      ...base,
      loose: [{ id: 'l', kind: 'line', from: at('gone', 'centre'), to: at('frame', 'centre'), pen: 'fine' }],
    };
    expect(() => solve(design)).toThrow('hangs on "gone"');
  });
});
