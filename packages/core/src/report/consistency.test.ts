import type { Cell, Design, Track } from '../design';
import { STARTING_STANDARD } from '../standard';
import { caption, cell, designWith, divided, field } from '../testing/designs';
import { inconsistencies } from './consistency';

const rows = (cells: Cell[], tracks: Track[] = cells.map(() => ({ share: 1 }))): Design =>
  designWith(divided('root', 'rows', tracks, cells), { dock: 'right', width: '90 mm' });
const said = (design: Design): string[] => inconsistencies(design, STARTING_STANDARD).map(({ message }) => message);

test('a design that does each thing in one way has nothing to say', () => {
  const cells = [
    cell('a', [caption('ca', 'Title'), field('fa', '{sheet.title}')]),
    cell('b', [caption('cb', 'Client'), field('fb', '{project.client}')]),
  ];
  expect(said(rows(cells, [{ fixed: '12 mm' }, { fixed: '20 mm' }]))).toEqual([]);
});

test('one parameter in two roles, and with two captions, is told with its cells', () => {
  const design = rows([
    cell('a', [caption('ca', 'Title'), field('fa', '{sheet.title}', { role: 'title' })]),
    cell('b', [caption('cb', 'Drawing'), field('fb', '{sheet.title}', { role: 'value' })]),
    // Words around a value, or several values, are another thing.
    cell('c', [caption('cc', 'Key'), field('fc', '{sheet.number} {sheet.title}', { role: 'number' })]),
  ]);
  expect(inconsistencies(design, STARTING_STANDARD)).toEqual([
    { topic: 'roles', message: 'Sheet title is set in Title and Value', cells: ['a', 'b'] },
    { topic: 'captions', message: 'Sheet title is called “Title” and “Drawing”', cells: ['a', 'b'] },
  ]);
});

test('roles that are nearly as high as each other are told, equal ones are not', () => {
  const texts = ['caption-small', 'caption', 'value-small', 'notes'].map((role) =>
    cell(role, [caption(`c-${role}`, 'x', { role })]),
  );
  expect(said(rows(texts))).toEqual(['Small caption and Caption are nearly equal: 1.8 mm and 2 mm']);
});

test('rows that were most likely meant to be equal are told; formulas and columns are looked at by themselves', () => {
  const cells = ['a', 'b', 'c', 'd'].map((id) => cell(id));
  const tracks = [{ fixed: '12 mm' }, { fixed: '12.4 mm' }, { fixed: 'strip / 2' }, { fixed: '30 mm' }];
  expect(said(rows(cells, tracks))).toEqual(['Rows of 12 mm and 12.4 mm are nearly equal']);
});

test('captions without words in a language that others have words in are told, those that need none are not', () => {
  const standard = { ...STARTING_STANDARD, languages: ['English', 'German', 'French'] };
  const german = (id: string, text: string) => caption(id, text, { inLanguages: { German: 'Wort' } });
  const design = rows([
    cell('a', [german('ca', 'Title')]),
    cell('b', [caption('cb', 'Client')]),
    cell('c', [caption('cc', '±0.00')]),
  ]);
  // Nothing of the design is in French, which may be meant.
  expect(inconsistencies(design, standard)).toEqual([
    { topic: 'languages', message: '1 caption has no words in German', cells: ['b'] },
  ]);
  expect(inconsistencies(design, STARTING_STANDARD)).toEqual([]);
});
