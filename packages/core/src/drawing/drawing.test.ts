import fc from 'fast-check';
import type { Item, TextItem } from './drawing';
import { boundsOf, rectPoints } from './drawing';
import { deviationBetween } from './deviation';
import type { Segment } from './segments';
import { distanceTo, segmentsOf } from './segments';
import { placed } from './transform';

const base = { layer: 'L', part: 'block', width: 0.25 } as const;
const stroke = (points: number[], closed = false): Item => ({ ...base, kind: 'stroke', points, closed });
const text = (rotation: number): TextItem => ({
  kind: 'text',
  text: 'A',
  at: { x: 10, y: 20 },
  height: 5,
  width: 30,
  widthFactor: 1,
  rotation,
  typeface: '',
  role: '',
  layer: 'L',
  part: 'block',
});
const length = fc.integer({ min: 1, max: 900 });

describe('bounds', () => {
  test.each([
    [0, { x: 10, y: 20, width: 30, height: 5 }],
    [90, { x: 5, y: 20, width: 5, height: 30 }],
    [180, { x: -20, y: 15, width: 30, height: 5 }],
    [270, { x: 10, y: -10, width: 5, height: 30 }],
  ])('of a text turned by %d', (rotation, expected) => {
    const bounds = boundsOf(text(rotation));
    for (const key of ['x', 'y', 'width', 'height'] as const) expect(bounds[key]).toBeCloseTo(expected[key], 9);
  });

  test('move and grow with what they bound', () => {
    fc.assert(
      fc.property(length, length, length, length, fc.integer({ min: 1, max: 50 }), (x, y, width, height, scale) => {
        const moved = boundsOf(placed(stroke(rectPoints({ x, y, width, height }), true), scale, 7, -3));
        expect(moved).toEqual({ x: x * scale + 7, y: y * scale - 3, width: width * scale, height: height * scale });
      }),
    );
  });
});

test('a closed stroke has a piece back to its start', () => {
  expect(segmentsOf([stroke([0, 0, 4, 0, 4, 3], true)])).toHaveLength(3);
  expect(segmentsOf([stroke([0, 0, 4, 0, 4, 3])])).toHaveLength(2);
});

test('distance to a piece is to its nearest point, ends included', () => {
  const piece: Segment = { x0: 0, y0: 0, x1: 10, y1: 0 };
  expect(distanceTo(piece, 5, 3)).toBe(3);
  expect(distanceTo(piece, 13, 4)).toBe(5);
  expect(distanceTo({ x0: 1, y0: 1, x1: 1, y1: 1 }, 4, 5)).toBe(5);
});

describe('deviation', () => {
  const line = (y: number, from = 0, to = 100): Segment => ({ x0: from, y0: y, x1: to, y1: y });

  test('is nothing for the same lines, however they are cut', () => {
    expect(deviationBetween([line(0)], [line(0, 0, 40), line(0, 30, 100)]).max).toBeCloseTo(0, 9);
  });

  test('is the distance of lines that lie apart', () => {
    expect(deviationBetween([line(0)], [line(0.4)])).toEqual({ max: 0.4, mean: expect.closeTo(0.4, 9) });
  });

  test('sees what only one of the two has, from either side', () => {
    const [less, more] = [[line(0)], [line(0), line(50)]];
    expect(deviationBetween(less, more).max).toBeCloseTo(50, 9);
    expect(deviationBetween(more, less).max).toBeCloseTo(50, 9);
  });

  // Reference: the distance to every piece, one by one; the index must find the same.
  test('finds the nearest of many pieces', () => {
    const piece = fc.tuple(length, length, length, length).map(([x0, y0, x1, y1]): Segment => ({ x0, y0, x1, y1 }));
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 60 }), length, length, (pieces, x, y) => {
        const point: Segment = { x0: x, y0: y, x1: x, y1: y };
        const oneByOne = Math.min(...pieces.map((each) => distanceTo(each, x, y)));
        const back = pieces.flatMap((each) =>
          Array.from({ length: 9 }, (_, i) =>
            Math.hypot(each.x0 + (i / 8) * (each.x1 - each.x0) - x, each.y0 + (i / 8) * (each.y1 - each.y0) - y),
          ),
        );
        expect(deviationBetween([point], pieces).max).toBeCloseTo(Math.max(oneByOne, ...back), 6);
      }),
    );
  });
});
