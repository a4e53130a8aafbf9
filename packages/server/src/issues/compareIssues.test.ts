import { pairsOf } from './compareIssues';
import type { IssueSheetRow } from './issueModel';

const row = (number: string, sheet: string | null): IssueSheetRow => ({
  issue_id: 'i',
  position: 0,
  sheet_id: sheet,
  number,
  title: '',
  size: 'ISO A1',
  revision: '',
  shared: '',
  own: '',
});
const told = (before: IssueSheetRow[], after: IssueSheetRow[]) => {
  const { pairs, added, gone } = pairsOf(before, after);
  const numbers = (rows: readonly IssueSheetRow[]): string[] => rows.map(({ number }) => number);
  return { pairs: pairs.map(numbers), added: numbers(added), gone: numbers(gone) };
};

test('a sheet is known by itself, however its number changed, also where another sheet has that number now', () => {
  const before = [row('A-101', 'x'), row('A-102', 'y')];
  const after = [row('A-101', 'new'), row('A-102', 'x'), row('A-103', 'y')];
  expect(told(before, after)).toEqual({
    pairs: [
      ['A-101', 'A-102'],
      ['A-102', 'A-103'],
    ],
    added: ['A-101'],
    gone: [],
  });
});

test('a sheet that was deleted is known by its number; what is in one issue only came or went', () => {
  expect(told([row('A-101', null), row('A-102', 'y')], [row('A-101', null), row('A-103', 'z')])).toEqual({
    pairs: [['A-101', 'A-101']],
    added: ['A-103'],
    gone: ['A-102'],
  });
});
