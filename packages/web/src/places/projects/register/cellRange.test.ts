import type { Sheet } from '@mendrel/contract';
import { STARTING_STANDARD } from '@mendrel/core';
import { readPasted } from '@mendrel/formats/csv';
import { asPiece, beside, cellsIn, filledAsSeries, filledDown, filledWith } from './cellRange';
import { rowOf } from './rows';

const row = (number: string, title = '') =>
  rowOf(
    {
      id: number,
      number,
      title,
      kind: 'plan',
      size: 'ISO A1',
      values: {},
      views: [],
      revisions: [],
    } as unknown as Sheet,
    undefined,
    STARTING_STANDARD.wording,
  );
const ROWS = [row('A-101', 'One'), row('A-102', 'Two'), row('A-103', 'Three')];
const FIELDS = ['number', 'title', 'scale', 'kind'];
const TYPED = new Set(['number', 'title', 'kind']);
const range = (from: [string, string], to: [string, string]) =>
  cellsIn({ from: { id: from[0], field: from[1] }, to: { id: to[0], field: to[1] } }, ROWS, FIELDS);

test('a range is what lies between its corners, whichever comes first', () => {
  const one = range(['A-103', 'title'], ['A-102', 'number']);
  expect(one.rows.map(({ id }) => id)).toEqual(['A-102', 'A-103']);
  expect(one.fields).toEqual(['number', 'title']);
  expect(range(['gone', 'title'], ['A-102', 'number']).rows).toEqual([]);
});

test('the cell beside another stays in the table', () => {
  expect(beside({ id: 'A-103', field: 'kind' }, [1, 1], ROWS, FIELDS)).toEqual({ id: 'A-103', field: 'kind' });
  expect(beside({ id: 'A-101', field: 'title' }, [1, -1], ROWS, FIELDS)).toEqual({ id: 'A-102', field: 'number' });
});

test('a copied range is a piece of a spreadsheet, read back cell by cell', () => {
  const rows = [row('A-101', 'Plan\twith "tabs"\nand lines'), row('A-102', 'Two')];
  const piece = asPiece({ rows, fields: ['number', 'title'] });
  expect(readPasted(piece)).toEqual([
    ['A-101', 'Plan\twith "tabs"\nand lines'],
    ['A-102', 'Two'],
  ]);
});

test('ranges are filled with words, or with their first row; columns that are computed stay', () => {
  const all = range(['A-101', 'title'], ['A-103', 'kind']);
  expect(filledWith(all, TYPED, 'x').map(({ field }) => field)).toEqual([
    'title',
    'kind',
    'title',
    'kind',
    'title',
    'kind',
  ]);
  expect(filledDown(range(['A-101', 'title'], ['A-103', 'scale']), TYPED).map(({ after }) => after)).toEqual([
    'One',
    'One',
  ]);
});

test.each([
  [
    ['A-101', 'A-107', 'x'],
    ['A-107', 'A-113'],
  ],
  [
    ['A-101', 'x', 'x'],
    ['A-102', 'A-103'],
  ],
  [
    ['Level 09', 'y', 'z'],
    ['Level 10', 'Level 11'],
  ],
  [
    ['no figure', 'y', 'z'],
    ['no figure', 'no figure'],
  ],
  [
    ['3rd', 'y', 'z'],
    ['4rd', '5rd'],
  ],
])('a series from %j goes on as %j', (titles, expected) => {
  const rows = titles.map((title, i) => row(`N${i}`, title));
  expect(filledAsSeries({ rows, fields: ['title'] }, TYPED).map(({ after }) => after)).toEqual(expected);
});
