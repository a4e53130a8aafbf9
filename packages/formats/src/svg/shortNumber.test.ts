import fc from 'fast-check';
import { shortNumber } from './shortNumber';

// Reference: what the language itself writes of the rounded number.
test.each([
  ['numbers of drawings', fc.double({ min: -5000, max: 5000, noNaN: true })],
  ['those with few decimals', fc.integer({ min: -50_000_000, max: 50_000_000 }).map((parts) => parts / 10_000)],
  ['any numbers', fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e15, max: 1e15 })],
])('%s are written as the language writes them', (_what, numbers) => {
  fc.assert(
    fc.property(numbers, (value) => {
      expect(shortNumber(value)).toBe(String(Math.round(value * 10_000) / 10_000));
    }),
    { numRuns: 500 },
  );
});
