import { choices, EntryError, lengths, numbers, plainOptions, ticks, words } from './columns';
import { rowsFromCsv, tableAsCsv } from './exchange';

interface Row {
  name: string;
  width: number;
  kind: string;
  on: boolean;
  factor: number;
}

const fresh = (): Row => ({ name: '', width: 100, kind: 'plan', on: false, factor: 1 });
const width = lengths<Row>(
  { key: 'width', name: 'Width', width: 60 },
  (row) => row.width,
  (row, mm) => ({ ...row, width: mm }),
  () => 'in',
  [25.4, 2540],
);
const COLUMNS = [
  words<Row>(
    { key: 'name', name: 'Name', width: 60 },
    (row) => row.name,
    (row, name) => ({ ...row, name }),
  ),
  width,
  choices<Row>(
    { key: 'kind', name: 'Kind', width: 60 },
    (row) => row.kind,
    (row, kind) => ({ ...row, kind }),
    () => plainOptions(['plan', 'detail']),
  ),
  ticks<Row>(
    { key: 'on', name: 'On', width: 60 },
    (row) => row.on,
    (row, on) => ({ ...row, on }),
  ),
  numbers<Row>(
    { key: 'factor', name: 'Factor', width: 60 },
    (row) => row.factor,
    (row, factor) => ({ ...row, factor }),
    [0.5, 2],
  ),
];

test.each([
  ['12', 304.8],
  ['12.5 mm', undefined],
  ['1/2"', undefined],
  ['30 mm', 30],
  [`2'-10"`, 863.6],
  [`2' 6 1/2"`, 774.7],
  ['12,5', 317.5],
  ['1/0"', undefined],
  ['-3', undefined],
  ['0', undefined],
  ['1e9', undefined],
  ['1000000000', undefined],
  ['', undefined],
])('a length typed as %s comes to %s mm, or is refused in words', (text, mm) => {
  if (mm !== undefined) expect(width.read(text, fresh()).width).toBeCloseTo(mm, 9);
  else expect(() => width.read(text, fresh())).toThrow(/\w+ \w+/);
});

test('limits are told in the unit of the row', () => {
  expect(() => width.read('1/2', fresh())).toThrow('width is from 1 in to 100 in');
});

describe('a table as CSV', () => {
  const rows: Row[] = [
    { name: 'One, or two', width: 254, kind: 'plan', on: true, factor: 1.5 },
    { name: '=Two', width: 25.4 * 1.5, kind: 'detail', on: false, factor: 1 },
  ];

  test('is read back as it was', () => {
    expect(rowsFromCsv(tableAsCsv(COLUMNS, rows), COLUMNS, [], fresh)).toEqual(rows);
  });

  test('keeps of a known row what the file does not say', () => {
    expect(rowsFromCsv('Name,Width\n"One, or two",20', COLUMNS, rows, fresh)).toEqual([{ ...rows[0], width: 508 }]);
  });

  test('two lines that are called the same are two rows, one of them new', () => {
    const read = rowsFromCsv('Name,Width\n"One, or two",20\n"One, or two",30', COLUMNS, rows, fresh);
    expect(read.map(({ width, factor }) => [width, factor])).toEqual([
      [508, rows[0]!.factor],
      [762, 1],
    ]);
    expect(read[0]).not.toBe(read[1]);
  });

  test.each([
    ['Name,Colour\na,b', 'the file has a column “Colour”; the columns of this table are Name, Width, Kind, On, Factor'],
    ['Width\n3', 'the file has no column “Name”'],
    ['Name;Factor\na;1,2\nb;3', 'line 3, Factor: factor is a number from 0.5 to 2'],
    ['Name,Kind\na,roof', 'line 2, Kind: kind is one of plan, detail'],
    ['', 'the file has no column “Name”'],
  ])('%j is refused with its place', (text, message) => {
    expect(() => rowsFromCsv(text, COLUMNS, rows, fresh)).toThrow(EntryError);
    expect(() => rowsFromCsv(text, COLUMNS, rows, fresh)).toThrow(message);
  });
});
