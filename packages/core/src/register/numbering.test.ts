import fc from 'fast-check';
import { fileNameProblems, fileNamePatternProblem, fileNameOf } from './fileNames';
import { numberingProblems } from './numberingProblems';
import type { NumberingScheme, SheetToNumber } from './numberingScheme';
import {
  nextByScheme,
  numberingSchema,
  patternProblem,
  readNumber,
  USUAL_SCHEMES,
  writeNumber,
} from './numberingScheme';
import { renumbered } from './renumber';
import { USUAL_KINDS } from './sheetKind';
import { inSheetOrder } from './sheetNumber';
import { SHIPPED_PARAMETERS } from '../parameter';

const [national] = USUAL_SCHEMES.map(({ scheme }) => scheme) as [NumberingScheme];
const zoned: NumberingScheme = {
  pattern: '{zone}.{discipline}{type}-{sequence}',
  disciplines: ['A', 'AI', 'S'],
  zones: ['N', 'NE', 'S'],
  digits: 3,
};
const plan = (number: string): SheetToNumber => ({ number, kind: 'plan' });
const words = (scheme: NumberingScheme, sheets: readonly SheetToNumber[]): string[] =>
  numberingProblems(scheme, sheets, USUAL_KINDS).map(({ message }) => message);

test('the usual schemes are schemes', () => {
  for (const { scheme } of USUAL_SCHEMES) expect(numberingSchema.parse(scheme)).toEqual(scheme);
});

test.each([
  ['{discipline}-{number}', 'no {number}'],
  ['{discipline}', 'needs its {sequence}'],
  ['{sequence}{sequence}', 'twice'],
  ['{sequence}-{', 'brace'],
])('the pattern %s is refused: %s', (pattern, expected) => {
  expect(patternProblem(pattern)).toContain(expected);
});

test('what a scheme writes it reads again, whatever its words and lists are', () => {
  const parts = fc.record({
    discipline: fc.constantFrom(...zoned.disciplines),
    type: fc.integer({ min: 0, max: 9 }),
    zone: fc.constantFrom(...zoned.zones),
    sequence: fc.integer({ min: 0, max: 99_999 }),
  });
  fc.assert(
    fc.property(parts, fc.constantFrom('', '(', '.*', 'No '), (each, before) => {
      const scheme = { ...zoned, pattern: `${before}${zoned.pattern}` };
      expect(readNumber(scheme, writeNumber(scheme, each))).toEqual(each);
    }),
  );
});

test.each<[NumberingScheme, string[], 'plan' | 'cover' | 'detail', string]>([
  [national, [], 'plan', 'A-101'],
  [national, [], 'cover', 'G-001'],
  [national, ['A-101', 'A-103'], 'plan', 'A-104'],
  [national, ['S-101', 'S-102'], 'plan', 'S-103'],
  [national, ['A-199'], 'plan', 'A-1100'],
  [zoned, ['NE.A1-001'], 'plan', 'NE.A1-002'],
  [zoned, ['NE.A1-001'], 'detail', 'NE.A5-001'],
])('by %j after %j the next %s is %s', (scheme, numbers, kind, next) => {
  expect(nextByScheme(scheme, numbers.map(plan), kind, USUAL_KINDS)).toBe(next);
});

test('numbers of another form, of another kind, gaps and numbers that look alike are told', () => {
  expect(words(national, [plan('A-101'), plan('A-102')])).toEqual([]);
  expect(words(national, [plan('A101')])).toEqual(['A101 is not of the form of A-101']);
  expect(words(national, [plan('A-501')])).toEqual(['A-501 is a plan, whose figure is 1 and not 5']);
  expect(words(national, [plan('A-101'), plan('A-104')])).toEqual(['A-102, A-103 are missing between A-101 and A-104']);
  expect(words(national, [plan('A-101'), plan('A-110')])).toEqual([
    'A-102 to A-109 are missing between A-101 and A-110',
  ]);
  expect(words(national, [plan('A-101'), plan('a 101')])).toContain('A-101 and a 101 are easily taken for each other');
  // A discipline that the standard does not know.
  expect(words(national, [plan('K-101')])).toEqual(['K-101 is not of the form of A-101']);
});

describe('renumbering', () => {
  const ids = (sheets: readonly SheetToNumber[]) => sheets.map((sheet, i) => ({ ...sheet, id: `s${i}` }));
  const run = (numbers: string[], chosen: number[], more: { from?: number; step?: number; byKind?: boolean } = {}) => {
    const sheets = ids(numbers.map(plan));
    const given = { step: 1, byKind: true, ...more };
    const made = renumbered(national, sheets, new Set(chosen.map((i) => `s${i}`)), given, USUAL_KINDS);
    return sheets.map(({ id, number }) => made.get(id) ?? number);
  };

  test('gaps close, in the order of the register, each series by itself', () => {
    expect(run(['A-101', 'A-104', 'A-109', 'S-107'], [0, 1, 2, 3])).toEqual(['A-101', 'A-102', 'A-103', 'S-107']);
    expect(run(['A-101', 'A-104', 'S-107'], [0, 1, 2], { from: 10 })).toEqual(['A-110', 'A-111', 'S-110']);
    expect(run(['A-101', 'A-102'], [0, 1], { step: 5 })).toEqual(['A-101', 'A-106']);
  });

  test('the figure of the kind is set right, and a number of another form gets one of the scheme', () => {
    expect(run(['A-501', 'Plan 3', 'A-102'], [0, 1])).toEqual(['A-101', 'A-103', 'A-102']);
    expect(run(['A-501'], [0], { byKind: false })).toEqual(['A-501']);
  });

  test('no number comes twice, and sheets that were not chosen keep theirs', () => {
    const number = fc.tuple(fc.constantFrom('A', 'S'), fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 30 }));
    fc.assert(
      fc.property(
        fc.uniqueArray(number, { selector: String, maxLength: 40 }),
        fc.array(fc.boolean(), { minLength: 40, maxLength: 40 }),
        fc.integer({ min: 1, max: 4 }),
        (parts, picked, step) => {
          const sheets = ids(
            parts.map(([discipline, type, sequence], i) => ({
              number: writeNumber(national, { discipline, type, sequence }),
              kind: USUAL_KINDS[i % USUAL_KINDS.length]!.name,
            })),
          );
          const chosen = new Set(sheets.filter((_, i) => picked[i]).map(({ id }) => id));
          const made = renumbered(national, sheets, chosen, { step, byKind: true }, USUAL_KINDS);
          expect([...made.keys()].sort()).toEqual([...chosen].sort());
          const after = sheets.map((sheet) => made.get(sheet.id) ?? sheet.number);
          expect(new Set(after).size).toBe(sheets.length);
        },
      ),
    );
  });
});

test('the register follows the order in which a scheme lists disciplines and zones', () => {
  const numbers = ['S-101', 'A-201', 'note', 'A-102', 'C-101', 'G-001'].map((number) => ({ number }));
  expect(inSheetOrder(numbers, national).map(({ number }) => number)).toEqual([
    'G-001',
    'C-101',
    'S-101',
    'A-102',
    'A-201',
    'note',
  ]);
  const free = { ...national, disciplines: [] };
  expect(
    inSheetOrder([{ number: 'S-101' }, { number: 'A-101' }, { number: 'AI-101' }], free).map((n) => n.number),
  ).toEqual(['A-101', 'AI-101', 'S-101']);
});

describe('names of files', () => {
  test('follow the pattern of the project, the usual one without', () => {
    const values = { 'sheet.number': 'A-101', 'project.number': 'BFT', 'sheet.title': 'Roof \n plan' };
    expect(fileNameOf(undefined, values)).toBe('BFT-A-101');
    expect(fileNameOf(undefined, { 'sheet.number': 'A-101' })).toBe('A-101');
    expect(fileNameOf('{sheet.number} {sheet.title}', values)).toBe('A-101 Roof plan');
  });

  test.each([
    ['{sheet.fileName}', 'stand in itself'],
    ['{project.number}', 'something of the sheet'],
    ['{sheet.nothing}', 'no parameter sheet.nothing'],
    ['{sheet.number', 'closing brace'],
  ])('the pattern %s is refused: %s', (pattern, expected) => {
    expect(fileNamePatternProblem(pattern, SHIPPED_PARAMETERS)).toContain(expected);
  });

  test('two of the same, what no name may hold, and what is too long are told', () => {
    const told = (names: string[]): string[] =>
      fileNameProblems(names.map((name, i) => ({ number: `A-${i}`, name }))).map(({ message }) => message);
    expect(told(['BFT-A-101', 'BFT-A-102'])).toEqual([]);
    expect(told(['Plan', 'plan'])).toEqual(['A-0, A-1 would have the same name']);
    expect(told(['a/b:c'])).toEqual(['A-0: “a/b:c” holds / :, which a file’s name may not']);
    expect(told(['con'])[0]).toContain('name of a device');
    expect(told(['x'.repeat(101)])[0]).toContain('101 characters');
    expect(told(['', ''])).toEqual(['A-0: it has no name', 'A-1: it has no name']);
  });
});
