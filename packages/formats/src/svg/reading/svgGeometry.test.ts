import fc from 'fast-check';
import { flattened } from './svgGeometry';

const FLAT = [1, 0, 0, 1, 0, 0] as const;
const rings = (data: string) => flattened(data, [...FLAT], 0.1);

test('a path whose commands stand once for many points is the same as one that repeats them', () => {
  const number = fc.integer({ min: -500, max: 500 });
  fc.assert(
    fc.property(
      fc.constantFrom('l', 'L', 'c', 'C', 's', 'Q', 't', 'h', 'V'),
      fc.array(fc.tuple(number, number, number, number, number, number), { minLength: 300, maxLength: 400 }),
      (command, groups) => {
        const count = { l: 2, c: 6, s: 4, q: 4, t: 2, h: 1, v: 1 }[command.toLowerCase()] ?? 2;
        const own = groups.map((group) => group.slice(0, count).join(' '));
        const once = `M1 2${command}${own.join(',')}`;
        expect(once.length).toBeGreaterThan(0);
        expect(rings(once)).toEqual(rings(`M1 2${own.map((each) => `${command}${each}`).join('')}`));
      },
    ),
    { numRuns: 30 },
  );
});

test('points after a move are lines, also in small letters, and signs may stand for spaces', () => {
  const points = Array.from({ length: 2000 }, (_, i) => `${i % 7}-${i % 5}`).join(' ');
  const [ring] = rings(`m${points}`) ?? [];
  expect(ring?.points).toHaveLength(4000);
  expect(ring?.points.slice(0, 6)).toEqual([0, 0, 1, -1, 3, -3]);
});

test('a long path that cannot be read is refused as a short one is', () => {
  expect(rings(`M0 0L${'1 1 '.repeat(2000)}§`)).toBeUndefined();
  expect(rings('M0 0L1 1 §')).toBeUndefined();
});
