import fc from 'fast-check';
import { amountInWords, formatLength, lengthAsFormula, parseLength, QuantityError } from './length';

describe('parseLength', () => {
  test.each([
    ['40', 40],
    ['12 mm', 12],
    ['1.5 m', 1500],
    ['2cm', 20],
    ['3/4in', 19.05],
    ['1 1/2 "', 38.1],
    ['1-1/2 in', 38.1],
    [`2'-10 1/2"`, 876.3],
    [`2' 10"`, 863.6],
    ['20 ft', 6096],
    ['-5 mm', -5],
    ['.5 in', 12.7],
    ['12,5', 12.5],
    ['0,125 in', 3.175],
  ])('reads %s as %d mm', (text, mm) => {
    expect(parseLength(text)).toBeCloseTo(mm, 9);
  });

  test('a bare number has the unit that is asked for', () => {
    expect(parseLength('3 13/16', 'in')).toBeCloseTo(96.8375, 9);
    expect(parseLength('2', 'm')).toBe(2000);
  });

  test.each(['', 'wide', '12 apples', '1/0 in', '4 mm 5', '--3', '1e400', '1,200', '1,2,3'])(
    'refuses "%s" in words',
    (text) => {
      expect(() => parseLength(text)).toThrow(QuantityError);
    },
  );
});

describe('formatLength', () => {
  // Worked example 1 (common practice): a frame of 31 15/16 x 20 7/8 in is 811.2125 x 530.225 mm.
  test('writes inches as fractions', () => {
    expect(formatLength(811.2125, 'in')).toBe('31 15/16');
    expect(formatLength(530.225, 'in', true)).toBe('20 7/8 in');
    expect(formatLength(876.3, 'ft-in')).toBe(`2'-10 1/2"`);
  });

  test.each([
    [12.34, 'mm', '12.3 mm'],
    [0.046, 'mm', '0.046 mm'],
    [38.1, 'in', '1 1/2 in'],
    [1, 'in', '0.0394 in'],
  ] as const)('%d mm are, as an amount in %s, %s', (mm, unit, words) => {
    expect(amountInWords(mm, unit)).toBe(words);
  });

  test('what is written is read back without loss to a thousandth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2_000_000 }), (thousandths) => {
        const mm = thousandths / 1000;
        expect(Math.abs(parseLength(formatLength(mm, 'mm')) - mm)).toBeLessThan(0.0006);
        expect(Math.abs(parseLength(lengthAsFormula(mm, 'in')) - mm)).toBeLessThan(0.002);
      }),
    );
  });

  test('sixty-fourths of an inch stay exact in feet and inches', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 64 * 12 * 40 }), (count) => {
        const mm = (count / 64) * 25.4;
        expect(parseLength(formatLength(mm, 'ft-in'))).toBeCloseTo(mm, 6);
      }),
    );
  });
});
