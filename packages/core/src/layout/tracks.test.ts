import fc from 'fast-check';
import type { SizedTrack } from './tracks';
import { sizeTracks } from './tracks';

const fixed = (length: number): SizedTrack => ({ kind: 'fixed', length });
const share = (weight = 1, min = 0, max = Infinity): SizedTrack => ({ kind: 'share', share: weight, min, max });

const anyTrack: fc.Arbitrary<SizedTrack> = fc.oneof(
  fc.integer({ min: 1, max: 200 }).map(fixed),
  fc
    .tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 0, max: 50 }), fc.integer({ min: 50, max: 300 }))
    .map(([weight, min, max]) => share(weight, min, max)),
  fc.integer({ min: 0, max: 90 }).map((natural): SizedTrack => ({ kind: 'fit', natural, min: 0, max: Infinity })),
);

describe('sizeTracks', () => {
  test('shares divide what fixed tracks leave', () => {
    expect(sizeTracks([fixed(40), share(), fixed(12), share(3)], 152).lengths).toEqual([40, 25, 12, 75]);
  });

  test('a share held at its least takes from the others', () => {
    expect(sizeTracks([share(1, 40), share(), share()], 90).lengths).toEqual([40, 25, 25]);
  });

  test('a share held at its most gives to the others', () => {
    expect(sizeTracks([share(1, 0, 10), share(), share()], 90).lengths).toEqual([10, 40, 40]);
  });

  test('least and most at once end in the right place', () => {
    expect(sizeTracks([share(1, 50), share(1, 0, 10), share()], 90).lengths).toEqual([50, 10, 30]);
  });

  test('fixed tracks are never shrunk; the excess is reported', () => {
    expect(sizeTracks([fixed(80), fixed(40), share()], 100)).toEqual({ lengths: [80, 40, 0], over: 20 });
  });

  test('hold for any tracks and any room', () => {
    fc.assert(
      fc.property(
        fc.array(anyTrack, { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 0, max: 2000 }),
        (tracks, room) => {
          const { lengths, over } = sizeTracks(tracks, room);
          const total = lengths.reduce((sum, each) => sum + each, 0);
          tracks.forEach((track, i) => {
            if (track.kind === 'fixed') expect(lengths[i]).toBe(track.length);
            if (track.kind === 'share') {
              expect(lengths[i]).toBeGreaterThanOrEqual(track.min - 1e-9);
              expect(lengths[i]).toBeLessThanOrEqual(track.max + 1e-9);
            }
          });
          const canGrow = tracks.some((track, i) => track.kind === 'share' && (lengths[i] ?? 0) < track.max - 1e-9);
          if (canGrow) expect(total).toBeGreaterThanOrEqual(room - 1e-6);
          expect(over).toBeCloseTo(Math.max(0, total - room), 6);
        },
      ),
    );
  });
});
