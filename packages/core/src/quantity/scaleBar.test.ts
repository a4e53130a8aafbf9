import fc from 'fast-check';
import { parseScale } from './scale';
import { barOfScale } from './scaleBar';

// Worked by hand: the longest round step of which four go into the length at that scale.
test.each([
  ['1:100', 50, 10, ['0', '1', '2', '3', '4 m']],
  ['1:100', 100, 25, ['0', '2.5', '5', '7.5', '10 m']],
  ['1:50', 80, 20, ['0', '1', '2', '3', '4 m']],
  ['1:20', 50, 12.5, ['0', '0.25', '0.5', '0.75', '1 m']],
  ['1:5', 50, 10, ['0', '50', '100', '150', '200 mm']],
  ['1:1', 50, 10, ['0', '10', '20', '30', '40 mm']],
  ['2:1', 50, 10, ['0', '5', '10', '15', '20 mm']],
  ['1:1250', 50, 8, ['0', '10', '20', '30', '40 m']],
  [`1/8" = 1'-0"`, 50.8, 4 * 3.175, ['0', '4', '8', '12', '16 ft']],
  [`1/4" = 1'-0"`, 50.8, 2 * 6.35, ['0', '2', '4', '6', '8 ft']],
  [`1" = 20'`, 50.8, 12.7, ['0', '10', '20', '30', '40 ft']],
  [`3" = 1'-0"`, 50.8, 12.7, ['0', '2', '4', '6', '8 in']],
] as const)('%s on %p mm of paper', (scale, longest, field, figures) => {
  const bar = barOfScale(parseScale(scale), longest);
  expect(bar.field).toBeCloseTo(field, 9);
  expect(bar.figures).toEqual(figures);
});

const scales = fc.oneof(
  fc.integer({ min: 1, max: 20_000 }).map((n) => `1:${n}`),
  fc.integer({ min: 1, max: 64 }).map((n) => `1/${n}" = 1'-0"`),
);

test('a bar is never longer than it may be, takes at least two fifths of that, and its figures are true at the scale', () => {
  fc.assert(
    fc.property(scales, fc.double({ min: 10, max: 400, noNaN: true }), (words, longest) => {
      const scale = parseScale(words);
      const { field, fields, figures } = barOfScale(scale, longest);
      expect(field * fields).toBeLessThanOrEqual(longest * (1 + 1e-6));
      expect(field * fields).toBeGreaterThan(0.4 * longest);
      const [last = '', unit = ''] = figures[fields]!.split(' ');
      const real = Number(last) * { m: 1000, mm: 1, ft: 304.8, in: 25.4 }[unit]!;
      expect(real / scale.denominator).toBeCloseTo(field * fields, 2);
    }),
  );
});
