import { renderHook } from '@testing-library/react';
import type { Sheet } from '@mendrel/contract';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypefaces } from '@mendrel/formats/typeface';
import { STARTING_STANDARD } from '@mendrel/core';
import { plainStrip } from '../../testing/plainStrip';
import { drawnFrom } from './drawnSheets';
import { sheetDesigns, useSheetSources } from './sheetDrawings';

const typefaces = readTypefaces(shippedFontFiles());
const sheet = (number: string): Sheet => ({
  id: number,
  projectId: 'p',
  number,
  title: 'Plan',
  kind: 'plan',
  size: 'ISO A1',
  design: null,
  values: {},
  views: [],
  revisions: [],
  issues: [],
  changedSince: false,
  version: 1,
});
const SHEETS = ['A-101', 'A-102', 'A-103'].map(sheet);
const FROM = {
  designs: sheetDesigns({ designs: [plainStrip()], kinds: {}, own: [] }),
  standard: STARTING_STANDARD,
  office: {},
  project: {},
  tables: {},
};
type From = Parameters<typeof useSheetSources>[0];

const drawn = (from: From = FROM) =>
  renderHook(({ of, sheets }) => useSheetSources(of, sheets).map((each) => drawnFrom(each, typefaces)), {
    initialProps: { of: from, sheets: SHEETS },
  });

test('nothing is drawn before all is there', () => {
  for (const missing of ['designs', 'standard', 'office', 'project'] as const)
    expect(drawn({ ...FROM, [missing]: undefined }).result.current).toEqual([]);
});

test('an edit of one sheet draws that sheet again, and no other', () => {
  const { result, rerender } = drawn();
  const before = result.current;
  expect(before.map(({ sheet: { number } }) => number)).toEqual(['A-101', 'A-102', 'A-103']);
  const edited = SHEETS.map((each) => (each.number === 'A-102' ? { ...each, title: 'Section', version: 2 } : each));
  rerender({ of: { ...FROM }, sheets: edited });
  expect(result.current.map((each, i) => each === before[i])).toEqual([true, false, true]);
  expect(result.current[1]!.values['sheet.title']).toBe('Section');
});

test('a value of the project draws all of them again, and so does a sheet that comes or goes', () => {
  const { result, rerender } = drawn();
  const before = result.current;
  rerender({ of: { ...FROM, project: { 'project.name': 'Quay' } }, sheets: SHEETS });
  expect(result.current.some((each, i) => each === before[i])).toBe(false);
  expect(result.current[0]!.values).toMatchObject({ 'project.name': 'Quay', 'set.count': '3' });
  rerender({ of: FROM, sheets: SHEETS.slice(0, 2) });
  expect(result.current.map(({ values }) => values['set.count'])).toEqual(['2', '2']);
});
