import fc from 'fast-check';
import { codeAfter, FIRST_CODES, nextRevisionCode, revisionRows } from '.';

// Letters without I and O: practice of ASME Y14.35 and ISO 7573 (from memory). P and C: annex of ISO 19650-2 for the UK (from memory).
test.each([
  ['A', 'B'],
  ['H', 'J'],
  ['N', 'P'],
  ['Z', 'AA'],
  ['AZ', 'BA'],
  ['ZZ', 'AAA'],
  ['1', '2'],
  ['9', '10'],
  ['09', '10'],
  ['P01', 'P02'],
  ['P99', 'P100'],
  ['C01', 'C02'],
  ['P02.01', 'P02.02'],
  ['Rev A', 'Rev B'],
  ['-', 'A'],
  ['', 'A'],
  ['?', '?1'],
  ['99999999999999999999', '100000000000000000000'],
])('after %j comes %j', (code, next) => {
  expect(codeAfter(code)).toBe(next);
});

test.each([
  [[], 'P01', 'P01'],
  [['P01', 'P02'], 'P01', 'P03'],
  // Contract codes go on by themselves, whatever the project began with.
  [['P01', 'P02', 'C01'], 'P01', 'C02'],
  // A code that was given once, and withdrawn since, is not given again.
  [['P01', 'P03', 'P02'], 'P01', 'P04'],
])('after %j, beginning with %s, a sheet gets %s', (codes, first, next) => {
  expect(nextRevisionCode(codes, first)).toBe(next);
});

test('a sheet never gets a code twice, whatever it had', () => {
  const code = fc.oneof(fc.constantFrom('A', 'Z', 'P01', 'C01', '-', '1', '09', 'IO'), fc.string({ maxLength: 6 }));
  fc.assert(
    fc.property(
      fc.array(code, { maxLength: 12 }),
      fc.constantFrom(...FIRST_CODES.map(({ first }) => first)),
      (had, first) => {
        const codes = [...had];
        for (let i = 0; i < 60; i++) {
          const next = nextRevisionCode(codes, first);
          expect(codes).not.toContain(next);
          codes.push(next);
        }
      },
    ),
  );
});

test('the rows of a table are those that are not withdrawn, the oldest first', () => {
  const row = { date: '2031-03-21', description: 'Tender', by: 'MO', checked: 'TL' };
  expect(
    revisionRows([
      { ...row, code: 'P01' },
      { ...row, code: 'P02', withdrawn: true },
      { ...row, code: 'P03' },
    ]).map(({ code }) => code),
  ).toEqual(['P01', 'P03']);
});
