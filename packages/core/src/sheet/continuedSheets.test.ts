import fc from 'fast-check';
import { sheetSize, STARTING_STANDARD } from '../standard';
import { starterDesign } from '../starter';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { continuedSheets, drawSheet, toMend } from '.';
import type { SheetSource } from '.';

const design = starterDesign('transmittal', 'Transmittal', 'mm', [sheetSize('ISO A4')], STARTING_STANDARD);
const withRows = (count: number): SheetSource => ({
  design,
  standard: STARTING_STANDARD,
  office: { 'office.name': 'Studio' },
  project: { 'project.name': 'Pier', 'project.number': '1' },
  tables: {
    index: Array.from({ length: count }, (_, i) => ({ 'sheet.number': `A-${i}`, 'sheet.title': `Plan ${i}` })),
  },
  sheet: { number: 'Issue 1', title: 'Tender', kind: 'schedule', size: 'ISO A4', values: {}, views: [] },
  position: { index: 0, count },
});

test('an index that has room stays on one sheet, which says nothing of pages', () => {
  const [only, ...others] = continuedSheets(withRows(5), TEST_TYPEFACES);
  expect(others).toEqual([]);
  expect(only?.sheet.values).toEqual({});
});

test('however long an index is, each row stands on one sheet, in its order, and nothing spills', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 260 }), (count) => {
      const source = withRows(count);
      const pages = continuedSheets(source, TEST_TYPEFACES);
      expect(pages.flatMap((page) => page.tables?.['index'] ?? [])).toEqual(source.tables?.['index']);
      for (const page of pages)
        expect(toMend(drawSheet(page, TEST_TYPEFACES)).filter(({ kind }) => kind === 'spill')).toEqual([]);
      if (pages.length > 1) expect(pages[1]?.sheet.values['sheet.subtitle']).toBe(`Page 2 of ${pages.length}`);
    }),
    { numRuns: 25 },
  );
});

test('an index that does not leave rows to another stays on one sheet, which tells what has no room', () => {
  const root = JSON.parse(JSON.stringify(design).replaceAll('"more":"next",', '')) as SheetSource['design'];
  const pages = continuedSheets({ ...withRows(200), design: root }, TEST_TYPEFACES);
  expect(pages).toHaveLength(1);
  expect(toMend(drawSheet(pages[0]!, TEST_TYPEFACES)).some(({ message }) => message.includes('no room'))).toBe(true);
});
