import { feet, onPaper, parseScale, realSizeHeight } from './scale';

describe('scales', () => {
  test.each([
    ['1:100', 100],
    ['2:1', 0.5],
    [`1/4" = 1'-0"`, 48],
    [`1 1/2" = 1'-0"`, 8],
    [`3/32" = 1'-0"`, 128],
    [`1" = 20'`, 240],
  ])('%s shows 1 to %d', (words, denominator) => {
    expect(parseScale(words).denominator).toBeCloseTo(denominator, 9);
  });

  test.each(['100', '1:0', '0:5', '1" =', 'fit'])('refuses "%s"', (words) => {
    expect(() => parseScale(words)).toThrow('is not a scale');
  });

  // Worked example 5 (common practice): 1/8 in on paper is 6 in in a drawing made at real size for 1/4" = 1'-0".
  test('lettering for a drawing made at real size', () => {
    expect(realSizeHeight(25.4 / 8, parseScale(`1/4" = 1'-0"`))).toBeCloseTo(6 * 25.4, 9);
  });

  // Worked example 6 (common practice): a 20 ft line is 2 1/2, 5 and 10 in long at 1/8", 1/4" and 1/2" to the foot.
  test.each([
    [`1/8" = 1'-0"`, 2.5],
    [`1/4" = 1'-0"`, 5],
    [`1/2" = 1'-0"`, 10],
  ])('20 ft at %s are %d in', (words, inches) => {
    expect(onPaper(feet(20), parseScale(words))).toBeCloseTo(inches * 25.4, 9);
  });
});
