import { sheetOf } from '../../../testing/practice';
import { codeFor, codesInWords, firstChoice, sheetsWith } from './chosenSheets';

const revision = (id: string, code: string, withdrawn = false) => ({
  id,
  code,
  date: '2031-04-02',
  description: 'Tender',
  by: 'MO',
  checked: 'TL',
  withdrawn,
});

const old = sheetOf('A-101', { revisions: [revision('one', 'P01')] });
const other = sheetOf('A-102', { revisions: [revision('one', 'P01'), revision('two', 'P02', true)] });
const blank = sheetOf('A-103');

test('sheets that changed since their last revision are chosen at first, or else those without one', () => {
  expect(firstChoice([old, other, blank])).toEqual([blank]);
  const changed = { ...old, changedSince: true };
  expect(firstChoice([changed, other, blank])).toEqual([changed]);
  expect(firstChoice([old])).toEqual([]);
});

test('each sheet gets the next code of its own; one code for all tells who had it', () => {
  expect(codeFor(old, null, 'P01')).toEqual({ code: 'P02', had: false });
  // A withdrawn code is not given again.
  expect(codeFor(other, null, 'P01')).toEqual({ code: 'P03', had: false });
  expect(codeFor(blank, null, 'P01')).toEqual({ code: 'P01', had: false });
  expect(codeFor(other, 'P02', 'P01')).toEqual({ code: 'P02', had: true });
});

test('codes are told each once, of many the first and the last', () => {
  expect(codesInWords(['P02', 'P01', 'P02'])).toBe('P01, P02');
  expect(codesInWords(['10', '9', '2', '1'])).toBe('1 … 10');
  expect(codesInWords([])).toBe('');
});

test('the sheets of a revision are found with their codes', () => {
  expect(sheetsWith([old, other, blank], 'one').map(({ sheet, code }) => [sheet.number, code])).toEqual([
    ['A-101', 'P01'],
    ['A-102', 'P01'],
  ]);
});
