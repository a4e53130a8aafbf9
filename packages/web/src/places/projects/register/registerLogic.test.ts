import fc from 'fast-check';
import type { Sheet } from '@mendrel/contract';
import { STARTING_STANDARD, USUAL_KINDS } from '@mendrel/core';
import { sheetOf } from '../../../testing/practice';
import { chosenColumns, keepChoice, keptChoice, shifted, toggled, USUAL_CHOICE } from './columnChoice';
import { copiesOf } from './copies';
import { editsOf, replacedCells } from './findReplace';
import { mentionsOf } from './mentions';
import { rowOf } from './rows';

const sheet = (number: string, more: Partial<Sheet> = {}): Sheet =>
  sheetOf(number, { title: 'Ground floor plan', values: {}, ...more });
const rowsOf = (...sheets: Sheet[]) =>
  sheets.map((each) => rowOf(each, undefined, STARTING_STANDARD.wording, ['sheet.status']));
const FIELDS = ['number', 'title', 'drawnBy', 'sheet.status'];
const wish = { find: '', replace: '', exact: false, whole: false, field: null };

describe('find and replace', () => {
  test('words are found in every column that holds words, whatever their capitals, and change sheet by sheet', () => {
    const rows = rowsOf(
      sheet('A-101', { values: { 'sheet.status': 'Draft plan' } }),
      sheet('A-102', { title: 'Roof' }),
    );
    const cells = replacedCells(rows, FIELDS, { ...wish, find: 'PLAN', replace: 'layout' });
    expect(cells.map(({ field, after }) => [field, after])).toEqual([
      ['title', 'Ground floor layout'],
      ['sheet.status', 'Draft layout'],
    ]);
    expect(editsOf(cells, ['sheet.status'])).toEqual([
      {
        sheet: rows[0]!.sheet,
        change: { title: 'Ground floor layout', values: { 'sheet.status': 'Draft layout' } },
      },
    ]);
  });

  test('capitals, whole cells and one column narrow it', () => {
    const rows = rowsOf(sheet('A-101', { title: 'Plan' }), sheet('A-102', { title: 'Plan A' }));
    const found = (more: object) =>
      replacedCells(rows, FIELDS, { ...wish, find: 'plan', replace: 'x', ...more }).length;
    expect([found({}), found({ exact: true }), found({ whole: true }), found({ field: 'number' })]).toEqual([
      2, 0, 1, 0,
    ]);
  });

  test('signs of patterns are plain signs, in what is found and in what comes in its place', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 6 }), fc.string({ maxLength: 6 }), (find, replace) => {
        const rows = rowsOf(sheet('A', { title: `<${find}>` }));
        const cells = replacedCells(rows, ['title'], { ...wish, find, replace, exact: true, field: 'title' });
        expect(cells[0]?.after ?? `<${find}>`).toBe(`<${find}>`.split(find).join(replace));
      }),
    );
  });
});

describe('columns', () => {
  const columns = ['number', 'title', 'kind', 'notes'].map((field) => ({ field }));
  const usual = (field: string): boolean => field !== 'notes';
  const fields = (choice: typeof USUAL_CHOICE) => chosenColumns(columns, choice, usual).map(({ field }) => field);

  test('one is hidden, another shown, and a third takes another place; what is not named stays where it is', () => {
    expect(fields(USUAL_CHOICE)).toEqual(['number', 'title', 'kind']);
    const choice = toggled(toggled(USUAL_CHOICE, 'title', false, true), 'notes', true, false);
    expect(fields(choice)).toEqual(['number', 'kind', 'notes']);
    expect(fields(shifted(choice, ['number', 'kind', 'notes'], 'notes', -1))).toEqual(['number', 'notes', 'kind']);
    expect(fields(toggled(choice, 'title', true, true))).toEqual(['number', 'title', 'kind', 'notes']);
  });

  test('a choice is kept as it is; what something else wrote in its place does no harm', () => {
    const store = new Map<string, string>();
    const storage = {
      getItem: (key: string) => store.get(key) ?? null,
      setItem: (k: string, v: string) => void store.set(k, v),
    };
    const choice = { order: ['kind'], hidden: ['title'], shown: [], large: true };
    keepChoice(choice, storage);
    expect(keptChoice(storage)).toEqual(choice);
    for (const other of ['null', '7', '{', '{"order":[1],"hidden":"x"}']) {
      for (const key of store.keys()) store.set(key, other);
      expect(keptChoice(storage)).toEqual(USUAL_CHOICE);
    }
  });
});

test('copies take the next numbers of their kinds, and views of their own where they take them along', () => {
  const view = { id: 'v', name: 'Plan', realWidth: 10, realHeight: 10, scale: '1:50', module: 'A1' };
  const sheets = [
    sheet('A-101', { views: [view], values: { 'sheet.status': 'Draft' } }),
    sheet('A-501', { kind: 'detail' }),
  ];
  const all = copiesOf(sheets, sheets, { numbering: null }, { views: true, data: true }, USUAL_KINDS);
  expect(all.map(({ number }) => number)).toEqual(['A-102', 'A-502']);
  expect(all[0]?.views[0]).toMatchObject({ name: 'Plan', module: 'A1' });
  expect(all[0]?.views[0]?.id).not.toBe('v');
  expect(all[0]?.values).toEqual({ 'sheet.status': 'Draft' });
  const bare = copiesOf(
    sheets,
    [sheets[0]!, sheets[0]!],
    { numbering: null },
    { views: false, data: false },
    USUAL_KINDS,
  );
  expect(bare.map(({ number, views, values }) => [number, views, values])).toEqual([
    ['A-102', [], {}],
    ['A-103', [], {}],
  ]);
});

test('texts that name a number are told, longer numbers are not taken for it', () => {
  const notes = (text: string) => ({ values: { 'sheet.notes': text } });
  const sheets = [sheet('A-101', notes('See A-102 and A-1020.')), sheet('A-102'), sheet('A-103', notes('see XA-102'))];
  expect(mentionsOf(sheets, ['A-102'])).toEqual([{ on: 'A-101', named: 'A-102' }]);
  expect(mentionsOf(sheets, [])).toEqual([]);
});
