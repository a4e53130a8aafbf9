import fc from 'fast-check';
import type { Sheet } from '@mendrel/contract';
import { STARTING_STANDARD } from '@mendrel/core';
import { sheetOf } from '../../../testing/practice';
import { chosenLines, groupedRows, isGroup, rechosenRows } from './groupedRows';
import { rowOf } from './rows';

const row = (number: string, kind: Sheet['kind']) =>
  rowOf(sheetOf(number, { kind }), undefined, STARTING_STANDARD.wording);
const words = (lines: ReturnType<typeof groupedRows>): string[] =>
  lines.map((line) => (isGroup(line) ? `${line.group.words} ${line.group.members.length}` : line.number));

test('rows stand under the lines of their groups, which stand where their first row does', () => {
  const rows = [row('A-101', 'plan'), row('A-201', 'elevation'), row('A-102', 'plan')];
  expect(groupedRows(rows, undefined, new Set())).toBe(rows);
  expect(words(groupedRows(rows, 'kind', new Set()))).toEqual(['plan 2', 'A-101', 'A-102', 'elevation 1', 'A-201']);
  expect(words(groupedRows(rows, 'kind', new Set(['plan'])))).toEqual(['plan 2', 'elevation 1', 'A-201']);
});

test('no row is lost or comes twice, whatever the groups are', () => {
  const kinds = fc.array(fc.constantFrom('plan', 'detail', 'cover'), { maxLength: 30 });
  fc.assert(
    fc.property(kinds, (of) => {
      const rows = of.map((kind, i) => row(`A-${i}`, kind));
      const lines = groupedRows(rows, 'kind', new Set());
      expect(
        lines
          .filter((line) => !isGroup(line))
          .map(({ id }) => id)
          .sort(),
      ).toEqual(rows.map(({ id }) => id).sort());
      expect(
        lines.flatMap((line) => (isGroup(line) ? [line.group.members.length] : [])).reduce((a, b) => a + b, 0),
      ).toBe(rows.length);
    }),
  );
});

test('a group is chosen with all its rows, also those that are not seen', () => {
  const rows = [row('A-101', 'plan'), row('A-201', 'elevation'), row('A-102', 'plan')];
  for (const closed of [new Set<string>(), new Set(['plan'])]) {
    const lines = groupedRows(rows, 'kind', closed);
    const after = (before: string[], ids: string[], type: 'include' | 'exclude' = 'include'): string[] => [
      ...rechosenRows(rows, lines, new Set(before), { type, ids: new Set(ids) }),
    ];
    expect(after([], ['group plan'])).toEqual(['A-101', 'A-102']);
    expect(after(['A-201'], ['A-201', 'group elevation', 'group plan']).sort()).toEqual(['A-101', 'A-102', 'A-201']);
    expect(after(['A-101', 'A-102'], closed.size > 0 ? [] : ['A-101', 'A-102'])).toEqual([]);
    expect(after([], [], 'exclude').sort()).toEqual(['A-101', 'A-102', 'A-201']);
    expect(chosenLines(lines, new Set(['A-101', 'A-102']))).toContain('group plan');
  }
  // One row of a whole group that is let go leaves the others.
  const lines = groupedRows(rows, 'kind', new Set());
  const ids = new Set(['A-101', 'group plan']);
  expect([...rechosenRows(rows, lines, new Set(['A-101', 'A-102']), { type: 'include', ids })]).toEqual(['A-101']);
});
