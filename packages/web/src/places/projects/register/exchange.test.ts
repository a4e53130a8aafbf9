import type { Sheet } from '@mendrel/contract';
import { STARTING_STANDARD, USUAL_KINDS } from '@mendrel/core';
import { sheetOf } from '../../../testing/practice';
import { readCsv, writeCsv } from '@mendrel/formats/csv';
import { differencesOf, tableOf } from './exchange';
import type { TableDifferences } from './exchange';
import { exchangeColumns, ownOf } from './registerColumns';
import { rowOf } from './rows';
import { decoded, readTableFile, tableFrom } from '../../../app/tableFile';

const sheet = (number: string): Sheet =>
  sheetOf(number, { title: `Plan ${number}`, values: { 'sheet.drawnBy': 'MO', 'sheet.status': 'Tender' } });
const OWN = ownOf(STARTING_STANDARD, {});
const KEYS = OWN.map(({ key }) => key);
const COLUMNS = exchangeColumns(OWN);
const ROWS = [sheet('A-101'), sheet('A-102'), sheet('A-103')].map((each) =>
  rowOf(each, undefined, STARTING_STANDARD.wording, KEYS),
);
const compare = (table: string[][]) =>
  differencesOf(table, ROWS, COLUMNS, KEYS, { kinds: USUAL_KINDS, sizeFor: () => 'ISO A2' });
const does = (table: string[][]): TableDifferences => {
  const found = compare(table);
  if (typeof found === 'string') throw new Error(found);
  return found;
};

test('a register that goes out and comes in again as CSV changes nothing', () => {
  const { headings, cells } = tableOf(ROWS, COLUMNS);
  expect(headings).toEqual(expect.arrayContaining(['Number', 'Title', 'Scale', 'Status', 'Notes']));
  const back = does(readCsv(`\uFEFF${writeCsv(headings, cells)}`));
  expect(back).toMatchObject({ differences: [], edits: [], added: [], unknown: [], missing: [], problems: [] });
  expect(back.computed).toEqual(['Scale', 'Rev']);
});

test('what differs is told cell by cell; sheets that the register lacks come, those that the table lacks stay', () => {
  const found = does([
    ['Title', 'number', 'STATUS'],
    ['Roof', 'A-102', 'Tender'],
    ['Stair details', 'A-501', 'Draft'],
    ['Plan A-101', 'A-101', ''],
  ]);
  expect(found.differences).toEqual([
    { number: 'A-102', column: 'Title', before: 'Plan A-102', after: 'Roof' },
    { number: 'A-101', column: 'Status', before: 'Tender', after: '' },
  ]);
  expect(found.edits.map(({ change }) => change)).toEqual([{ title: 'Roof' }, { values: { 'sheet.drawnBy': 'MO' } }]);
  expect(found.added).toMatchObject([
    { number: 'A-501', title: 'Stair details', kind: 'detail', size: 'ISO A2', values: { 'sheet.status': 'Draft' } },
  ]);
  expect(found.missing).toEqual(['A-103']);
});

test('wrong columns, rows without a number and numbers that come twice are told, the others are taken', () => {
  expect(
    compare([
      ['Sheet', 'Title'],
      ['A-101', 'x'],
    ]),
  ).toContain('no column is called Number');
  expect(compare([])).toContain('no column is called Number');
  expect(compare([['Number', 'Title', 'title']])).toBe('two columns are called Title');
  const found = does([
    ['Number', 'Tittle', 'Title'],
    ['', 'x', 'y'],
    ['A-101', 'x', 'One'],
    ['A-101', 'x', 'Two'],
  ]);
  expect(found.unknown).toEqual(['Tittle']);
  expect(found.problems).toEqual(['line 2 has no number', 'line 4: A-101 is there twice']);
  expect(found.differences.map(({ after }) => after)).toEqual(['One']);
});

test('a table of a hundred thousand rows is refused, not cut', async () => {
  const { buffer } = new TextEncoder().encode(`Number\r\n${'X\r\n'.repeat(100_000)}`);
  const file = { name: 'long.csv', arrayBuffer: () => Promise.resolve(buffer) } as unknown as File;
  await expect(readTableFile(file)).rejects.toThrow('more than 5000 rows');
});

test.each<[string, number[]]>([
  ['UTF-8', [...new TextEncoder().encode('Façade\tb')]],
  ['UTF-16 little-endian', [0xff, 0xfe, ...[...'Façade\tb'].flatMap((each) => [each.charCodeAt(0), 0])]],
  ['UTF-16 big-endian', [0xfe, 0xff, ...[...'Façade\tb'].flatMap((each) => [0, each.charCodeAt(0)])]],
  ['Windows-1252', [0x46, 0x61, 0xe7, 0x61, 0x64, 0x65, 0x09, 0x62]],
])('a table in %s is read', (_encoding, bytes) => {
  expect(tableFrom(decoded(Uint8Array.from(bytes)))).toEqual([['Façade', 'b']]);
});
