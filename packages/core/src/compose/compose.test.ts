import type { Cell, Design } from '../design';
import { deviationBetween, segmentsOf } from '../drawing';
import type { Drawing, StrokeItem, TextItem } from '../drawing';
import { solveDesign } from '../layout';
import type { Values } from '../parameter';
import { moduleGrid, placeViews } from '../placement';
import { STARTING_STANDARD } from '../standard';
import type { TableRows } from '../table';
import { cell, designWith, divided, field } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { composeSheet } from './compose';

const ON = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };

function draw(design: Design, values: Values = {}, tables?: TableRows): Drawing {
  const layout = solveDesign(design, { size: 'ISO A1', values, tables, ...ON });
  return composeSheet(design, layout, ON);
}
const blockLines = (drawing: Drawing) => segmentsOf(drawing.items.filter((item) => item.part === 'block'));
const texts = (drawing: Drawing): TextItem[] => drawing.items.filter((item): item is TextItem => item.kind === 'text');
const strokes = (drawing: Drawing): StrokeItem[] =>
  drawing.items.filter((item): item is StrokeItem => item.kind === 'stroke');

describe('cell lines', () => {
  test('are the edges of the cells, each once', () => {
    const root = divided(
      'root',
      'rows',
      [{ fixed: '20 mm' }, { share: 1 }],
      [divided('upper', 'columns', [{ share: 1 }, { share: 1 }], [cell('a'), cell('b')]), cell('c')],
    );
    const design = designWith(root, { dock: 'lower-right', width: '80 mm', height: '50 mm' });
    const drawing = draw(design);
    const layout = solveDesign(design, { size: 'ISO A1', values: {}, ...ON });
    const edges = layout.cells
      .filter((each) => !each.divided)
      .flatMap(({ x, y, width, height }) => [
        { x0: x, y0: y, x1: x + width, y1: y },
        { x0: x, y0: y + height, x1: x + width, y1: y + height },
        { x0: x, y0: y, x1: x, y1: y + height },
        { x0: x + width, y0: y, x1: x + width, y1: y + height },
      ]);
    expect(deviationBetween(blockLines(drawing), edges).max).toBeLessThan(1e-6);
    expect(blockLines(drawing)).toHaveLength(4 + 2);
  });

  test('stop where a cell spans several tracks', () => {
    const child = (id: string, column: number, row: number, columnSpan: number, rowSpan: number) => ({
      column,
      row,
      columnSpan,
      rowSpan,
      cell: cell(id),
    });
    const root: Cell = {
      ...cell('root'),
      division: {
        columns: [{ share: 1 }, { share: 1 }],
        rows: [{ share: 1 }, { share: 1 }],
        children: [child('wide', 0, 0, 2, 1), child('left', 0, 1, 1, 1), child('right', 1, 1, 1, 1)],
      },
    };
    const drawing = draw(designWith(root, { dock: 'lower-right', width: '80 mm', height: '40 mm' }));
    const upright = blockLines(drawing).filter((each) => each.x0 === each.x1 && each.x0 === 831 - 40);
    expect(upright).toEqual([{ x0: 791, y0: 30, x1: 791, y1: 10 }]);
  });

  test('of a cell that is not shown are left out', () => {
    const hidden = (id: string) => ({ ...cell(id), when: 'sheet.width < 500 mm' });
    const tracks = [{ share: 1 }, { fixed: '10 mm' }, { fixed: '10 mm' }, { fixed: '12 mm' }];
    const root = divided('root', 'rows', tracks, [cell('a'), hidden('b'), cell('c'), hidden('d')]);
    const lines = blockLines(draw(designWith(root, { dock: 'right', width: '60 mm' })));
    expect(lines.filter((line) => line.y0 === line.y1).map((line) => line.y0)).toEqual([10, 584, 20]);
    const gone = { ...root, when: 'sheet.width < 500 mm' };
    expect(blockLines(draw(designWith(gone, { dock: 'right', width: '60 mm' })))).toEqual([]);
  });
});

describe('fields', () => {
  test('carry a tag of their own each, made from their parameters', () => {
    const contents = [
      field('f1', '{sheet.number}'),
      field('f2', '{sheet.number}', { vertical: 'top' }),
      field('f3', '{sheet.position} of {set.count}', { vertical: 'middle' }),
    ];
    // Letters keep their accents’ letter: other programs take plain ones only.
    const named = { ...cell('c', contents), name: 'Küche' };
    const drawing = draw(designWith(named, { dock: 'lower-right', width: '80 mm', height: '60 mm' }), {
      'sheet.number': 'A-101',
    });
    expect(
      texts(drawing)
        .map((item) => item.field?.tag)
        .sort(),
    ).toEqual(['SHEET_NUMBER', 'SHEET_NUMBER_KUCHE', 'SHEET_POSITION_SET_COUNT']);
    expect(texts(drawing)[0]?.field).toMatchObject({ prompt: 'Sheet number', parameter: 'sheet.number' });
  });
});

describe('the frame', () => {
  // ISO 5457 (from memory): 16 by 12 fields on A1, marks on both opposite sides, centring marks at the ends of both axes.
  test('has its zone grid and centring marks', () => {
    const plain = designWith(cell('c'), { dock: 'right', width: '60 mm' });
    const design: Design = { ...plain, frame: { ...plain.frame, zones: true, centringMarks: true, trimLine: true } };
    const drawing = draw(design);
    const marks = texts(drawing).map((item) => item.text);
    expect(marks.filter((mark) => mark === '16')).toHaveLength(2);
    expect(marks.filter((mark) => mark === 'M')).toHaveLength(2);
    const centring = strokes(drawing).filter((item) => item.width === 0.7 && !item.closed);
    expect(centring.map((item) => item.points)).toContainEqual([420.5, 589, 420.5, 579]);
    expect(centring).toHaveLength(4);
    expect(drawing).toMatchObject({ width: 841, height: 594 });
  });
});

describe('tables', () => {
  const table = (heading: 'top' | 'bottom'): Design =>
    designWith(
      cell('c', [
        {
          id: 't',
          kind: 'table',
          horizontal: 'left',
          vertical: 'bottom',
          rotation: 0,
          table: 'revisions',
          columns: [
            { heading: 'Rev', shows: '{row.code}', width: '15 mm' },
            { heading: 'Description', shows: '{row.description}', width: '45 mm' },
          ],
          rowHeight: '7 mm',
          rows: 3,
          heading,
          captionRole: 'caption',
          valueRole: 'value-small',
        },
      ]),
      { dock: 'lower-right', width: '60 mm', height: '28 mm' },
    );
  const rows: TableRows = {
    revisions: [
      { code: 'A', description: 'First issue' },
      { code: 'B', description: 'Wasserversorgungsbetriebsleitungsplan' },
    ],
  };

  test('whose lettering the standard does not have are found, for their words are left out', () => {
    const standard = { ...STARTING_STANDARD, roles: STARTING_STANDARD.roles.filter(({ id }) => id !== 'value-small') };
    const on = { size: 'ISO A1', values: {}, tables: rows, standard, typefaces: TEST_TYPEFACES };
    const { findings } = solveDesign(table('top'), on);
    expect(findings).toEqual([
      expect.objectContaining({
        weight: 'error',
        message: expect.stringContaining(
          'no lettering role "value-small", so words of the table of revisions are left out',
        ),
        where: { cell: 'c', content: 't' },
      }),
    ]);
  });

  test('have their lines to the size, and no outline of their panel besides', () => {
    const lines = blockLines(draw(table('bottom')));
    expect(lines).toHaveLength(4 + 3 + 1);
    expect(
      lines
        .filter((each) => each.y0 === each.y1)
        .map((each) => each.y0)
        .sort((a, b) => a - b),
    ).toEqual([10, 17, 24, 31, 38]);
  });

  test('a column has a line of its own to its right, or none', () => {
    const upright = (pen: string | undefined): number[] => {
      const design = table('bottom');
      const [content] = design.panels[0]!.root.contents;
      if (content?.kind === 'table' && pen !== undefined) content.columns[0] = { ...content.columns[0]!, pen };
      return strokes(draw(design))
        .filter(({ points: [x0, , x1], closed, part }) => part === 'block' && !closed && x0 === x1)
        .map(({ width }) => width);
    };
    expect(upright(undefined)).toEqual([0.35]);
    expect(upright('frame')).toEqual([0.7]);
    expect(upright('none')).toEqual([]);
  });

  test.each([
    ['bottom', [10, 17, 24]],
    ['top', [31, 24, 17]],
  ] as const)('rows grow away from a heading at the %s', (heading, feet) => {
    const drawing = draw(table(heading), {}, rows);
    const at = (text: string): number => texts(drawing).find((item) => item.text === text)!.at.y;
    expect(['Rev', 'A', 'B'].map((text) => Math.floor((at(text) - 10) / 7) * 7 + 10)).toEqual(feet);
  });

  test('condense a value into its column', () => {
    const long = texts(draw(table('bottom'), {}, rows)).find((item) => item.text.startsWith('Wasser'))!;
    expect(long.width).toBeLessThanOrEqual(43.01);
    expect(long.widthFactor).toBeLessThan(1);
  });
});

test('a placed view shows its module, name and scale, apart from the title block', () => {
  const design = designWith(cell('c'), { dock: 'right', width: '90 mm' });
  const layout = solveDesign(design, { size: 'ISO A1', values: {}, ...ON });
  const view = { id: 'v', name: 'Roof plan', realWidth: 30_000, realHeight: 20_000, scale: '1:100', module: 'B2' };
  const { placed } = placeViews([view], moduleGrid(layout.drawingArea, design.modules));
  const drawing = composeSheet(design, layout, { ...ON, views: placed });
  const items = drawing.items.filter((item) => item.part === 'view');
  expect(items.filter((item) => item.kind === 'stroke')).toHaveLength(4);
  expect(texts(drawing).map((item) => item.text)).toContain('B2  Roof plan  1:100');
});

describe('pens of single lines', () => {
  const rows = (line: string | undefined): Cell =>
    divided('root', 'rows', [{ fixed: '20 mm', ...(line ? { line } : {}) }, { share: 1 }], [cell('a'), cell('b')]);
  const block = (root: Cell): Design => designWith(root, { dock: 'lower-right', width: '80 mm', height: '50 mm' });
  const level = (drawing: Drawing, y: number): StrokeItem[] =>
    strokes(drawing).filter(
      (item) => !item.closed && item.part === 'block' && item.points[1] === y && item.points[3] === y,
    );

  test('a divider takes the pen of its track, or is not drawn', () => {
    expect(level(draw(block(rows(undefined))), 40)[0]?.width).toBe(0.35);
    expect(level(draw(block(rows('frame'))), 40)[0]?.width).toBe(0.7);
    expect(level(draw(block(rows('none'))), 40)).toEqual([]);
  });

  test('a cell draws the edges it has pens for, once', () => {
    const root = rows(undefined);
    const [first] = root.division!.children;
    first!.cell = { ...first!.cell, edges: { bottom: 'frame', left: 'none' } };
    expect(level(draw(block(root)), 40).map((item) => item.width)).toEqual([0.7]);
  });

  test('an outline with pens of its own is drawn edge by edge', () => {
    const design = block(rows(undefined));
    const edged: Design = {
      ...design,
      panels: design.panels.map((panel) => ({ ...panel, edges: { top: 'frame', right: 'none' } })),
    };
    const outline = strokes(draw(edged)).filter((item) => item.part === 'block' && item.points[1] !== 40);
    expect(outline.map((item) => item.width).sort()).toEqual([0.5, 0.5, 0.7]);
  });
});

test('grounds lie under lines and lettering', () => {
  const filled = { ...cell('c', [field('f', '{sheet.title}')]), fill: '#d9d9d9' };
  const drawing = draw(designWith(filled, { dock: 'lower-right', width: '80 mm', height: '20 mm' }), {
    'sheet.title': 'Plan',
  });
  const block = drawing.items.filter((item) => item.part === 'block');
  expect(block[0]).toMatchObject({ kind: 'fill', colour: '#d9d9d9', rings: [[751, 10, 831, 10, 831, 30, 751, 30]] });
});

describe('pictures, symbols and stamps', () => {
  const image = { type: 'png' as const, data: 'iVBORw0KGgo=', columns: 200, rows: 100 };
  const picture = (fitting: 'natural' | 'contain' | 'cover') =>
    cell('c', [
      {
        id: 'p',
        kind: 'picture',
        name: 'Mark',
        width: 20,
        height: 10,
        fitting,
        linework: [],
        image,
        horizontal: 'centre',
        vertical: 'middle',
        rotation: 0,
      },
    ]);
  const placed = (fitting: 'natural' | 'contain' | 'cover') =>
    draw(
      designWith({ ...picture(fitting), padding: '0 mm' }, { dock: 'lower-right', width: '80 mm', height: '20 mm' }),
    ).items.find((item) => item.kind === 'image');

  test('an image keeps its size, fills its cell, or covers it and is cut', () => {
    expect(placed('natural')).toMatchObject({ width: 20, height: 10, x: 781, y: 15 });
    expect(placed('contain')).toMatchObject({ width: 40, height: 20, x: 771, y: 10 });
    expect(placed('cover')).toMatchObject({ width: 80, height: 40, clip: { x: 751, y: 10, width: 80, height: 20 } });
  });

  test('a symbol is drawn at its exact height, the north arrow turned with north', () => {
    const north = designWith(
      {
        ...cell('c', [
          {
            id: 's',
            kind: 'symbol',
            symbol: 'north',
            height: '14 mm',
            horizontal: 'left',
            vertical: 'bottom',
            rotation: 0,
          },
        ]),
        padding: '0 mm',
      },
      { dock: 'lower-right', width: '80 mm', height: '20 mm' },
    );
    const tip = (values: Values): number[] => {
      const layout = solveDesign(north, { size: 'ISO A1', values, ...ON });
      const needle = composeSheet(north, layout, { ...ON, values }).items.find((item) => item.kind === 'fill');
      return needle?.kind === 'fill' ? needle.rings[0]!.slice(0, 2) : [];
    };
    // The middle of the symbol is 7 mm from the cell's lower left corner; the tip of the needle 6.72 mm from there.
    expect(tip({})).toEqual([expect.closeTo(758, 9), expect.closeTo(17 + 6.72, 9)]);
    expect(tip({ 'project.northAngle': '90' })).toEqual([expect.closeTo(758 + 6.72, 9), expect.closeTo(17, 9)]);
  });

  test('a stamp stands across the sheet at its angle, its middle where it hangs', () => {
    const plain = designWith(cell('c'), { dock: 'right', width: '60 mm' });
    const design: Design = {
      ...plain,
      loose: [
        {
          id: 's',
          kind: 'stamp',
          pattern: 'Preliminary',
          role: 'title',
          angle: 90,
          boxed: true,
          at: { of: 'frame', anchor: 'centre', x: '0', y: '0' },
        },
      ],
    };
    const drawing = draw(design);
    const stamp = texts(drawing).find((item) => item.text.toLowerCase() === 'preliminary')!;
    expect(stamp.rotation).toBe(90);
    expect(stamp.at.y + stamp.width / 2).toBeCloseTo(10 + 574 / 2, 6);
    expect(stamp.at.x - stamp.height / 2).toBeCloseTo(20 + 811 / 2, 6);
    expect(drawing.items.indexOf(stamp)).toBeGreaterThan(0);

    const [loose] = design.loose!;
    const faint = { ...loose!, opacity: 30, under: true } as NonNullable<Design['loose']>[number];
    const [words, box, first] = draw({ ...design, loose: [faint] }).items;
    expect([words, box]).toMatchObject([
      { kind: 'text', opacity: 0.3, under: true },
      { kind: 'stroke', opacity: 0.3, under: true },
    ]);
    expect(first!.part).toBe('frame');
  });
});
