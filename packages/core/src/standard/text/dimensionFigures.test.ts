import fc from 'fast-check';
import { MM_PER, parseLength } from '../../quantity';
import { dimensionFigures, figuresOnOneLine } from './dimensionFigures';
import { INCH_DIMENSIONS, METRIC_DIMENSIONS } from './dimensionLettering';

const inWords = (rules: Parameters<typeof dimensionFigures>[0], mm: number): string =>
  figuresOnOneLine(dimensionFigures(rules, mm));
const ft = MM_PER.ft;
const inch = MM_PER.in;

// Common practice in offices that draw in feet and inches: no zero feet, always the inches, a sixteenth as the least part.
test.each([
  [6 * ft + 8 * inch, `6'-8"`],
  [6 * ft, `6'-0"`],
  [8.5 * inch, `8 1/2"`],
  [0.5 * inch, `1/2"`],
  [6 * ft + inch / 16, `6'-0 1/16"`],
  [12 * inch - inch / 64, `1'-0"`],
  [0, `0"`],
])('%d mm in feet and inches are %s', (mm, words) => {
  expect(inWords(INCH_DIMENSIONS, mm)).toBe(words);
});

test('zeros of feet and inches are written where the office writes them', () => {
  const rules = { ...INCH_DIMENSIONS, leadingZeros: true, trailingZeros: false };
  expect(inWords(rules, 8 * inch)).toBe(`0'-8"`);
  expect(inWords(rules, 6 * ft)).toBe(`6'`);
  expect(inWords(rules, 6 * ft + inch / 2)).toBe(`6'-0 1/2"`);
});

test('decimals have the zeros that the office writes', () => {
  const rules = { ...METRIC_DIMENSIONS, precision: 2 };
  expect([0.5, 2000, 12.345].map((mm) => inWords(rules, mm))).toEqual(['0.50', '2000.00', '12.35']);
  const short = { ...rules, leadingZeros: false, trailingZeros: false };
  expect([0.5, 2000, 12.3].map((mm) => inWords(short, mm))).toEqual(['.5', '2000', '12.3']);
  expect(inWords(METRIC_DIMENSIONS, 2000.4)).toBe('2000');
});

test('what is written is never further off than half of the least part', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 50_000, noNaN: true }),
      fc.integer({ min: 0, max: 6 }),
      fc.boolean(),
      fc.boolean(),
      (mm, precision, leadingZeros, trailingZeros) => {
        const rules = { ...INCH_DIMENSIONS, precision, leadingZeros, trailingZeros };
        expect(Math.abs(parseLength(inWords(rules, mm)) - mm)).toBeLessThanOrEqual(inch / 2 ** precision / 2 + 1e-6);
      },
    ),
  );
});
