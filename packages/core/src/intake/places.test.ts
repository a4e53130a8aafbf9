import type { Item } from '../drawing';
import { placed } from '../drawing';
import { STARTING_STANDARD } from '../standard';
import { convertSpaces } from './convert';
import type { LegacyDrawing } from './legacyDrawing';
import type { IntakeProgress } from './progress';
import { INTAKE_STEPS } from './progress';
import { oldBox as box, oldLine, oldText as word } from '../testing/oldLinework';
import { TEST_TYPEFACES } from '../testing/typefaces';

const on = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };

/** An A3 sheet with a block of two cells. */
const sheet = (number: string): Item[] => [
  box(0, 0, 420, 297),
  box(20, 10, 390, 277),
  box(230, 10, 90, 20),
  box(320, 10, 90, 20),
  word('TITLE', 232, 26, 1.8),
  word(`Plan ${number}`, 232, 13, 3.5),
  word('DRAWING NO.', 322, 26, 1.8),
  word(number, 322, 13, 5),
];
const drawing = (items: Item[]): LegacyDrawing => ({
  items,
  source: { format: 'DXF', version: 'AC1015', entities: items.length },
  dropped: [],
});
const beside = drawing(
  ['A-101', 'A-102', 'A-103', 'A-104'].flatMap((number, i) =>
    sheet(number).map((item) => placed(item, 50, 50 * 500 * (i % 2), -50 * 400 * Math.floor(i / 2))),
  ),
);

test('sheets beside one another in a model are told apart, row by row, and each can be taken', () => {
  const first = convertSpaces([{ name: 'Model', drawing: beside }], 'four', on);
  expect(first.places.map(({ space, place }) => [space, place])).toEqual([0, 1, 2, 3].map((place) => ['Model', place]));
  const numbers = [0, 1, 2, 3].map((place) => {
    const { values, places } = convertSpaces([{ name: 'Model', drawing: beside }], 'four', {
      ...on,
      corrections: { space: 'Model', place },
    });
    expect(places.filter(({ taken }) => taken).map((each) => each.place)).toEqual([place]);
    return values['sheet.number'];
  });
  expect(numbers).toEqual(['A-101', 'A-102', 'A-103', 'A-104']);
});

test('pages of one file are places of it; a file with one sheet has none', () => {
  const pages = ['A-1', 'A-2'].map((number, i) => ({ name: `Page ${i + 1}`, drawing: drawing(sheet(number)) }));
  expect(convertSpaces(pages, 'pages', on).places.map(({ space }) => space)).toEqual(['Page 1', 'Page 2']);
  expect(convertSpaces(pages, 'pages', { ...on, corrections: { space: 'Page 1' } }).values['sheet.number']).toBe('A-1');
  expect(convertSpaces(pages.slice(0, 1), 'page', on).places).toEqual([]);
});

test('it is told how far a reading is: every step once it has begun, none before the one it follows', () => {
  const told: IntakeProgress[] = [];
  convertSpaces(
    [
      { name: 'Model', drawing: beside },
      { name: 'Layout', drawing: drawing(sheet('A-105')) },
    ],
    'five',
    { ...on, tell: (progress) => told.push(progress) },
  );
  const steps = told.map(({ step }) => INTAKE_STEPS.indexOf(step));
  expect(steps).toEqual([1, 1, 2, 3, 4, 5]);
  expect(told.map(({ part }) => part)).toEqual([0, 0.5, 0, 0, 0, 0]);
});

test('what a picture has no room for is counted', () => {
  const dots = Array.from({ length: 2300 }, (_, i): Item => {
    const [x, y] = [325 + (i % 80), 12 + (i % 7)];
    return { kind: 'fill', layer: 'LOGO', part: 'block', rings: [[x, y, x + 0.5, y, x, y + 0.5]] };
  });
  const { design, report } = convertSpaces(
    [{ name: 'Model', drawing: drawing([...sheet('A-101'), ...dots]) }],
    'one',
    on,
  );
  expect(JSON.stringify(design)).toContain('"picture"');
  const why = 'a picture in a cell has more pieces than a picture may have';
  expect(report.dropped).toContainEqual({ layer: 'LOGO', entities: 300, why });
});

test('the edge of a sheet is nothing that was left out of it', () => {
  const bare = sheet('A-101').filter((item) => item.kind !== 'text');
  const { report } = convertSpaces(
    [{ name: 'Model', drawing: drawing([...bare, word('A-101', 322, 13, 5)]) }],
    'bare',
    on,
  );
  expect(report.cells).toHaveLength(2);
  expect(report.dropped).toEqual([]);
});

test('what belongs to another sheet of the drawing is told as such, not as linework that runs out', () => {
  const beside = sheet('A-102').map((item) => placed(item, 1, 500, 0));
  const helping = oldLine([-80, 150, -20, 150]);
  const { report, places } = convertSpaces(
    [{ name: 'Model', drawing: drawing([...sheet('A-101'), ...beside, { ...helping, layer: 'HELP' }]) }],
    'two',
    { ...on, corrections: { place: 0 } },
  );
  expect(places).toHaveLength(2);
  const whys = new Map(report.dropped.map(({ layer, why }) => [layer, why]));
  expect(whys.get('HELP')).toBe('it runs out of the sheet or lies beside it');
  expect(report.dropped.map(({ why }) => why)).toContain('it belongs to another sheet of the drawing');
});
