import type { Drawing, StrokeItem, TextItem } from '../drawing';
import { STARTING_STANDARD } from '../standard';
import { oldLine, oldText } from '../testing/oldLinework';
import { cleaningOf } from './cleaning';
import { compared } from './comparison';
import { pensOf } from './oldPens';
import { proposalsFor } from './proposals';
import type { ReportText } from './report';
import { withRepeatedLengths } from './repeatedLengths';
import type { Design } from '../design';

const line = (x0: number, y0: number, x1: number, y1: number, oldPen?: StrokeItem['oldPen']): StrokeItem =>
  oldLine([x0, y0, x1, y1], oldPen ? { oldPen } : {});
const word = (text: string, x: number, y: number): TextItem => ({ ...oldText(text, x, y, 2.5), width: 10 });
const sheet = (...items: Drawing['items']): Drawing => ({ width: 420, height: 297, items });
const FRAME = { x: 20, y: 10, width: 390, height: 277 };
const CELL = { x: 230, y: 10, width: 180, height: 40 };

/** Cleaning of lines that all belong to the block. */
const cleaned = (items: readonly StrokeItem[]) => cleaningOf(items, () => true);

test('cleaning counts what was wrong with the lines, and nothing when nothing was', () => {
  expect(cleaned([line(0, 0, 100, 0), line(100, 0, 100, 50)])).toEqual([]);
  expect(
    cleaned([
      line(0, 0, 100, 0),
      line(0, 0, 100, 0),
      line(50, 0, 150, 0),
      line(150.1, 0, 200, 0),
      line(7, 7, 7, 7),
      line(200.6, 0, 200.6, 50),
    ]),
  ).toEqual([
    { what: 'zero lengths', pieces: 1, places: [{ x: 7, y: 7 }] },
    { what: 'duplicates', pieces: 1, places: [{ x: 50, y: 0 }] },
    { what: 'overlaps', pieces: 1, places: [{ x: 50, y: 0 }] },
    { what: 'broken lines', pieces: 1, places: [{ x: 150.1, y: 0 }] },
    { what: 'gaps and overshoots', pieces: 1, places: [{ x: 200, y: 0 }] },
  ]);
});

test('cleaning counts only what belongs to the block, and no circle as a piece without length', () => {
  const twice = (y: number): StrokeItem[] => [line(0, y, 100, y), line(0, y, 100, y)];
  const nearFrame = cleaningOf([...twice(5), ...twice(200)], ({ y0 }) => y0 < 50);
  expect(nearFrame).toEqual([{ what: 'duplicates', pieces: 1, places: [{ x: 50, y: 5 }] }]);
  const round = Array.from({ length: 73 }, (_, i) => [
    Math.cos(i * 5 * (Math.PI / 180)),
    Math.sin(i * 5 * (Math.PI / 180)),
  ]);
  expect(cleaned([oldLine(round.flat(), { closed: true }), oldLine([0, 0, 10, 7, 0, 0], { closed: true })])).toEqual(
    [],
  );
});

test('equal words in two cells are two texts, each compared with the one in its cell', () => {
  const cells = [
    { x: 230, y: 10, width: 90, height: 40 },
    { x: 320, y: 10, width: 90, height: 40 },
  ];
  const { texts, differences } = compared(
    sheet(word('MO', 232, 20), word('MO', 322, 20)),
    sheet(word('MO', 322, 20.5)),
    FRAME,
    cells,
  );
  expect(texts.max).toBeCloseTo(0.5, 6);
  expect(differences).toEqual([
    { what: 'text', words: '“MO” does not stand in the design as it is', x: 232, y: 20, by: null },
  ]);
});

test('of many faults the places of the first are kept, and all are counted', () => {
  const twice = Array.from({ length: 300 }, (_, i) => [line(0, i, 10, i), line(0, i, 10, i)]).flat();
  const [{ what, pieces, places } = {}] = cleaned(twice);
  expect([what, pieces, places?.length]).toEqual(['duplicates', 300, 200]);
});

test('lines and texts that moved are listed with how far, those that are gone without', () => {
  const old = sheet(
    line(230, 50, 410, 50),
    line(300, 10, 300, 50),
    word('TITLE', 232, 45),
    word('Roof', 232, 20),
    word('gone', 240, 30),
  );
  const now = sheet(
    line(230, 50, 410, 50),
    line(300.4, 10, 300.4, 50),
    word('TITLE', 232, 45.5),
    word('Roof', 235, 24),
  );
  const { lines, texts, differences } = compared(old, now, FRAME, [CELL]);
  expect(lines.max).toBeCloseTo(0.4, 6);
  expect(texts).toEqual({ max: 5, mean: 2.75 });
  expect(differences.map(({ what, by }) => [what, by])).toEqual([
    ['text', null],
    ['text', 5],
    ['line', 0.4],
    ['line', 0.4],
  ]);
});

test('what differs is listed up to a thousand, and counted beyond', () => {
  const rows = Array.from({ length: 1200 }, (_, i) => line(230, 11 + i / 40, 410, 11 + i / 40));
  const { differences, moreDifferences } = compared(
    sheet(line(230, 10, 410, 10), ...rows),
    sheet(line(230, 10, 410, 10)),
    FRAME,
    [CELL],
  );
  expect(differences).toHaveLength(1000);
  expect(moreDifferences).toBe(200);
  expect(differences[0]?.by).toBeCloseTo(1 + 1199 / 40, 3);
});

test('pens are chosen by width, by what was taught, and else by what a line is for', () => {
  const block = [
    line(230, 10, 230, 50, { weight: 0.5 }),
    line(230, 50, 410, 50, { weight: 0.5 }),
    line(230, 30, 410, 30, { colour: 3 }),
  ];
  const edges = [line(20, 10, 410, 10, { drawnWidth: 70 }), line(20, 287, 410, 287, { drawnWidth: 70 })];
  const cells = [
    { ...CELL, height: 20 },
    { ...CELL, y: 30, height: 20 },
  ];
  const find = (taught: Record<string, string>) =>
    pensOf(sheet(...block, ...edges), 100, FRAME, cells, [CELL], STARTING_STANDARD, taught);
  expect(find({}).pens).toEqual({ frame: 'frame', outline: 'outline', divider: 'divider' });
  expect(find({}).report.map(({ sign, pen }) => [sign, pen])).toEqual([
    ['0.70 mm wide', 'frame'],
    ['0.50 mm', 'outline'],
    ['colour 3', 'divider'],
  ]);
  expect(find({ 'colour 3': 'fine' }).pens.divider).toBe('fine');
  expect(find({ 'colour 3': 'a pen that is gone' }).pens.divider).toBe('divider');
});

test('a caption that nobody knows becomes a proposal with the words under it', () => {
  const text = (id: number, words: string, kind: ReportText['kind'], cell: string): ReportText => ({
    id,
    text: words,
    kind,
    parameter: null,
    role: null,
    x: 0,
    y: 0,
    height: 2.5,
    cell,
  });
  const texts = [
    text(1, 'FIRE CLASS:', 'caption', 'a'),
    text(2, 'Class 2', 'note', 'a'),
    text(3, 'Größe', 'caption', 'b'),
    text(4, 'DATE', 'caption', 'c'),
    text(5, 'soon', 'note', 'c'),
    text(6, '§', 'caption', 'd'),
    text(7, 'x', 'note', 'd'),
  ];
  expect(proposalsFor(texts, (caption) => (caption === 'DATE' ? 'sheet.date' : undefined))).toEqual([
    { caption: 'FIRE CLASS:', key: 'sheet.fireClass', name: 'Fire class', value: 'Class 2', texts: [2] },
  ]);
});

test.each([
  ['Flurstück:', 'project.flurstuck'],
  ['Planning permit', 'project.planningPermit'],
  ['CONTRACTOR', 'project.contractor'],
  ['Fire class', 'sheet.fireClass'],
  ['Plotted', 'sheet.plotted'],
])('“%s” is asked of a project or of a sheet by its words: %s', (caption, key) => {
  const texts = [
    { id: 1, text: caption, kind: 'caption', cell: 'a' },
    { id: 2, text: 'x', kind: 'note', cell: 'a' },
  ] as ReportText[];
  expect(proposalsFor(texts, () => undefined).map((each) => each.key)).toEqual([key]);
});

test('a length that is repeated becomes a dimension; one that is not stays', () => {
  const cell = (id: string) => ({ id, name: '', contents: [] });
  const design = {
    dimensions: [{ name: 'strip', formula: '80 mm' }],
    panels: [
      {
        root: {
          ...cell('root'),
          division: {
            columns: [{ share: 1 }],
            rows: [{ fixed: '12 mm' }, { fixed: '12 mm' }, { fixed: '12 mm' }, { fixed: '30 mm' }, { share: 1 }],
            children: [0, 1, 2, 3, 4].map((row) => ({
              row,
              column: 0,
              rowSpan: 1,
              columnSpan: 1,
              cell: cell(`c${row}`),
            })),
          },
        },
      },
    ],
  } as unknown as Design;
  const named = withRepeatedLengths(design);
  expect(named.dimensions).toEqual([
    { name: 'strip', formula: '80 mm' },
    { name: 'row', formula: '12 mm' },
  ]);
  expect(named.panels[0]!.root.division!.rows).toEqual([
    { fixed: 'row' },
    { fixed: 'row' },
    { fixed: 'row' },
    { fixed: '30 mm' },
    { share: 1 },
  ]);
});
