import type { Sheet } from '@mendrel/contract';
import { STARTING_STANDARD } from '@mendrel/core';
import { pastedEdits } from './pastedRows';
import { rowOf } from './rows';

const sheet = (id: string): Sheet => ({
  id,
  projectId: 'p',
  number: id,
  title: `Plan ${id}`,
  kind: 'plan',
  size: 'ISO A1',
  design: null,
  values: { 'sheet.drawnBy': 'MO' },
  views: [],
  revisions: [],
  issues: [],
  changedSince: false,
  version: 1,
});
const rows = ['A-101', 'A-102', 'A-103'].map((id) => rowOf(sheet(id), undefined, STARTING_STANDARD.wording));
const FIELDS = ['number', 'title', 'kind', 'size', 'drawnBy', 'checkedBy', 'date'];

test('a piece of a spreadsheet goes into the rows and columns it was pasted at', () => {
  const piece = [
    ['TL', 'RH'],
    ['MO', ''],
  ];
  expect(pastedEdits(piece, rows, { row: 1, field: 'drawnBy' }, FIELDS, [])).toEqual({
    edits: [{ sheet: sheet('A-102'), change: { values: { 'sheet.drawnBy': 'TL', 'sheet.checkedBy': 'RH' } } }],
    over: 0,
  });
});

test('rows below the last sheet and columns right of the last one have no place', () => {
  const piece = [['1'], ['2'], ['3']].map(([title]) => [title!, 'plan', 'ISO A1', 'MO', 'TL', '2031-04-02', 'over']);
  const { edits, over } = pastedEdits(piece, rows, { row: 2, field: 'title' }, FIELDS, []);
  expect(over).toBe(2);
  expect(edits).toEqual([
    {
      sheet: sheet('A-103'),
      change: {
        title: '1',
        values: { 'sheet.drawnBy': 'MO', 'sheet.checkedBy': 'TL', 'sheet.date': '2031-04-02' },
      },
    },
  ]);
});

test('nothing is put into what cannot be edited', () => {
  expect(pastedEdits([['x']], rows, { row: 0, field: 'findings' }, FIELDS, [])).toEqual({ edits: [], over: 0 });
});
