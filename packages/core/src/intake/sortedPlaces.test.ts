import fc from 'fast-check';
import { inOrderOf } from './sortedPlaces';

test('items come in the order of their places, those in one place as they came', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: -50, max: 50 }), { maxLength: 200 }), (places) => {
      const items = places.map((place, i) => ({ place, i }));
      expect(inOrderOf(items, ({ place }) => place)).toEqual([...items].sort((a, b) => a.place - b.place || a.i - b.i));
    }),
  );
});

test('places that differ by less than the 2 000 millionth part of the whole may change places, and no others', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ noNaN: true, min: -1e6, max: 1e6 }), { maxLength: 100 }), (places) => {
      const sorted = inOrderOf(places, (each) => each);
      expect([...sorted].sort((a, b) => a - b)).toEqual([...places].sort((a, b) => a - b));
      const whole = Math.max(...places) - Math.min(...places);
      sorted.slice(1).forEach((each, i) => expect(each).toBeGreaterThanOrEqual(sorted[i]! - whole / 2 ** 30));
    }),
  );
});
