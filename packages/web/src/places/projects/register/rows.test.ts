import type { Sheet } from '@mendrel/contract';
import { STARTING_STANDARD } from '@mendrel/core';
import { changeOf, rowOf } from './rows';

const sheet: Sheet = {
  id: '3f1b6a52-0f6a-4d4e-9d11-2a8e7d5c9b00',
  projectId: '3f1b6a52-0f6a-4d4e-9d11-2a8e7d5c9b01',
  number: 'A-101',
  title: 'Ground floor plan',
  kind: 'plan',
  size: 'ISO A1',
  design: null,
  values: { 'sheet.drawnBy': 'MO', 'sheet.status': 'Tender' },
  views: [],
  revisions: [],
  issues: [],
  changedSince: false,
  version: 1,
};
const { wording } = STARTING_STANDARD;
const row = rowOf(sheet, undefined, wording);

test('an own parameter of sheets is a column under its key', () => {
  const own = ['sheet.zone'] as const;
  const before = rowOf({ ...sheet, values: { 'sheet.zone': 'B' } }, undefined, wording, own);
  expect(before['sheet.zone']).toBe('B');
  expect(changeOf(before, { ...before, 'sheet.zone': 'C' }, own)).toEqual({ values: { 'sheet.zone': 'C' } });
  expect(changeOf(before, { ...before, 'sheet.zone': '' }, own)).toEqual({ values: {} });
});

test.each([
  [{}, undefined],
  [{ title: 'Plan' }, { title: 'Plan' }],
  [{ number: ' A-102 ' }, { number: 'A-102' }],
  [{ drawnBy: 'TL' }, { values: { 'sheet.drawnBy': 'TL', 'sheet.status': 'Tender' } }],
  [{ drawnBy: '' }, { values: { 'sheet.status': 'Tender' } }],
  [
    { date: '2031-05-01', checkedBy: 'RH' },
    { values: { ...sheet.values, 'sheet.date': '2031-05-01', 'sheet.checkedBy': 'RH' } },
  ],
])('an edit of %j sends just that', (edit, change) => {
  expect(changeOf(row, { ...row, ...edit })).toEqual(change);
});
