import fc from 'fast-check';
import type { SheetKind } from './sheetNumber';
import { inSheetOrder, nextSheetNumber, readSheetNumber, SHEET_KINDS, writeSheetNumber } from './sheetNumber';
import { mayEnter, sheetValues } from './sheetValues';

// US National CAD Standard (from memory): discipline, one digit of sheet type, two digits of sequence.
describe('sheet numbers', () => {
  test.each<[string[], SheetKind, string]>([
    [['A-101', 'A-102', 'A-201'], 'plan', 'A-103'],
    [['A-101', 'A-102'], 'section', 'A-301'],
    [[], 'plan', 'A-101'],
    [['G-001', 'A-101'], 'cover', 'G-002'],
    [['S-101', 'S-102', 'A-101'], 'plan', 'S-103'],
    // A cover, or several general sheets, say nothing of the discipline of a plan; the other plans do.
    [['G-001'], 'plan', 'A-101'],
    [['G-001', 'G-002', 'S-201'], 'plan', 'S-101'],
    [['A-101', 'A-102', 'A-103', 'S-501'], 'detail', 'S-502'],
    [['A-199', 'A-101'], 'plan', 'A-102'],
    [['12', 'Blatt 3'], 'detail', 'A-501'],
  ])('after %j the next %s is %s', (existing, kind, next) => {
    expect(nextSheetNumber(existing, kind)).toBe(next);
  });

  test('a proposal is never taken and always of its kind', () => {
    const numbers = fc.array(
      fc.tuple(fc.constantFrom('A', 'S', 'G'), fc.integer({ min: 0, max: 6 }), fc.integer({ min: 1, max: 99 })),
      { maxLength: 60 },
    );
    fc.assert(
      fc.property(numbers, fc.constantFrom(...SHEET_KINDS), (parts, kind) => {
        const existing = parts.map(([discipline, type, sequence]) => writeSheetNumber({ discipline, type, sequence }));
        const next = nextSheetNumber(existing, kind);
        expect(existing).not.toContain(next);
        // The digits follow the order in which the kinds are named.
        expect(readSheetNumber(next)?.type).toBe(SHEET_KINDS.indexOf(kind));
      }),
    );
  });

  test('order: general sheets first, then disciplines, other forms last', () => {
    const mixed = ['S-101', 'A-201', 'misc 10', 'A-102', 'G-001', 'misc 9'];
    const ordered = inSheetOrder(mixed.map((number) => ({ number }))).map(({ number }) => number);
    expect(ordered).toEqual(['G-001', 'A-102', 'A-201', 'S-101', 'misc 9', 'misc 10']);
  });
});

test('a sheet has the data of its office and project, its own, and what is computed', () => {
  const values = sheetValues(
    {
      office: { 'office.name': 'Quillwater Studio' },
      project: { 'project.number': 'BFT', 'project.name': 'Ferry Terminal', 'set.purpose': 'For tender' },
    },
    {
      number: 'A-101',
      title: 'Plan',
      kind: 'plan',
      size: 'ISO A1',
      values: { 'sheet.drawnBy': 'MO', 'sheet.scale': 'typed' },
      views: [],
    },
    { index: 2, count: 42 },
    { severalScales: 'As noted', noScale: '', notToScale: 'NTS' },
  );
  expect(values).toMatchObject({
    'office.name': 'Quillwater Studio',
    'project.name': 'Ferry Terminal',
    'set.purpose': 'For tender',
    'sheet.number': 'A-101',
    'sheet.size': 'A1',
    'sheet.position': '3',
    'set.count': '42',
    'sheet.fileName': 'BFT-A-101',
    'sheet.scale': '',
  });
});

test('only entered parameters of the scope may be typed', () => {
  expect(mayEnter('sheet.drawnBy', 'sheet')).toBe(true);
  expect(mayEnter('sheet.scale', 'sheet')).toBe(false);
  expect(mayEnter('project.name', 'sheet')).toBe(false);
  expect(mayEnter('set.purpose', 'project')).toBe(true);
  expect(mayEnter('set.count', 'project')).toBe(false);
  expect(mayEnter('__proto__', 'sheet')).toBe(false);
});
