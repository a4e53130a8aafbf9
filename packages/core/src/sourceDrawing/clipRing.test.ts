import fc from 'fast-check';
import { polygonArea } from 'd3-polygon';
import type { ArcItem, FillItem, ImageItem, Item, TextItem } from '../drawing';
import { boundsOfPoints, placed, turned } from '../drawing';
import type { Rect } from '../geometry';
import { clipped } from './clip';
import { cutByOutline } from './clipRing';
import { outlineRing } from './windowOutline';
import { ON_VIEW as on, stroke } from '../testing/strokes';

const fill = (...rings: number[][]): FillItem => ({ kind: 'fill', rings, ...on });
const WINDOW: Rect = { x: 10, y: 20, width: 100, height: 60 };
const RECTANGLE = [10, 20, 110, 20, 110, 80, 10, 80];

const length = (items: readonly Item[]): number =>
  items.reduce((sum, item) => {
    if (item.kind === 'arc') return sum + (item.radius * (item.to - item.from) * Math.PI) / 180;
    if (item.kind !== 'stroke') return sum;
    const { points, closed } = item;
    const around = closed ? [...points, points[0]!, points[1]!] : points;
    let own = 0;
    for (let i = 0; i + 3 < around.length; i += 2)
      own += Math.hypot(around[i + 2]! - around[i]!, around[i + 3]! - around[i + 1]!);
    return sum + own;
  }, 0);
const pairs = (ring: readonly number[]): [number, number][] =>
  Array.from({ length: ring.length / 2 }, (_, i) => [ring[2 * i]!, ring[2 * i + 1]!]);
const area = (items: readonly Item[]): number =>
  Math.abs(
    items.reduce(
      (sum, item) => (item.kind === 'fill' ? item.rings.reduce((of, ring) => of + polygonArea(pairs(ring)), sum) : sum),
      0,
    ),
  );

const place = fc.double({ min: -50, max: 200, noNaN: true });
const points = fc.array(fc.tuple(place, place), { minLength: 2, maxLength: 12 }).map((all) => all.flat());

test('an outline that is a rectangle cuts lines and arcs as the rectangle does (property)', () => {
  const arcs = fc.record({
    centre: fc.record({ x: place, y: place }),
    radius: fc.double({ min: 1, max: 120, noNaN: true }),
    from: fc.integer({ min: 0, max: 359 }),
    sweep: fc.integer({ min: 1, max: 360 }),
  });
  fc.assert(
    fc.property(points, fc.boolean(), arcs, (given, closed, { sweep, ...arc }) => {
      const line = stroke(given, closed);
      const round: ArcItem = { kind: 'arc', ...arc, to: arc.from + sweep, width: 0.25, ...on };
      for (const item of [line, round])
        expect(length(cutByOutline(item, RECTANGLE))).toBeCloseTo(length(clipped(item, WINDOW)), 5);
    }),
  );
});

test('an area that is cut by a triangle and by the rest of a rectangle is as large in both together (property)', () => {
  const corners = fc.array(fc.double({ min: 5, max: 60, noNaN: true }), { minLength: 3, maxLength: 12 });
  fc.assert(
    fc.property(corners, (radii) => {
      const ring = radii.flatMap((radius, i) => {
        const turn = (2 * Math.PI * i) / radii.length;
        return [60 + radius * Math.cos(turn), 50 + radius * Math.sin(turn)];
      });
      const item = fill(ring);
      const [one, other] = [
        [10, 20, 110, 20, 10, 80],
        [110, 20, 110, 80, 10, 80],
      ].map((half) => area(cutByOutline(item, half)));
      expect(one! + other!).toBeCloseTo(area(clipped(item, WINDOW)), 4);
    }),
  );
});

// Worked by hand.
test('a round window cuts a line through its middle to its width, and keeps what is within', () => {
  const ring = outlineRing({ x: 0, y: 0, width: 100, height: 100 }, 'circle');
  expect(length(cutByOutline(stroke([-50, 50, 150, 50]), ring))).toBeCloseTo(100, 2);
  // A chord 30 from the middle of a circle of 50: 2 · √(50² − 30²) = 80.
  expect(length(cutByOutline(stroke([-50, 80, 150, 80]), ring))).toBeCloseTo(80, 2);
  const within = stroke([40, 40, 60, 40, 60, 60], true);
  expect(cutByOutline(within, ring)).toEqual([within]);
  expect(cutByOutline(stroke([0, 0, 5, 5]), ring)).toEqual([]);
  expect(area(cutByOutline(fill([0, 0, 100, 0, 100, 100, 0, 100]), ring))).toBeCloseTo(Math.PI * 2500, 0);
});

test('a window with a notch cuts a line twice, and holes of areas stay holes', () => {
  const notched = [0, 0, 100, 0, 100, 100, 60, 100, 60, 40, 40, 40, 40, 100, 0, 100];
  const parts = cutByOutline(stroke([-10, 70, 110, 70]), notched);
  expect(parts.map((each) => (each.kind === 'stroke' ? each.points : []))).toEqual([
    [0, 70, 40, 70],
    [60, 70, 100, 70],
  ]);
  const framed = fill([10, 10, 90, 10, 90, 30, 10, 30], [20, 15, 80, 15, 80, 25, 20, 25]);
  expect(area(cutByOutline(framed, notched))).toBeCloseTo(80 * 20 - 60 * 10, 6);
});

test('an image is cut at an outline, in parts where that has a notch, and moves and turns with it', () => {
  const image: ImageItem = {
    kind: 'image',
    name: 'photo.png',
    type: 'png',
    file: { data: '' },
    ...{ x: 0, y: 0, width: 100, height: 60 },
    ...on,
  };
  const around = (outline: readonly number[] = []): number => Math.abs(polygonArea(pairs(outline)));
  const [triangle, ...none] = cutByOutline(image, [50, 10, 150, 10, 50, 50]) as ImageItem[];
  expect(none).toEqual([]);
  // The half of a rectangle of 100 by 40 without its point, which lies beside the image.
  expect(around(triangle?.outline)).toBeCloseTo(2000 - 500, 6);
  expect(triangle?.clip).toEqual({ x: 50, y: 10, width: 50, height: 40 });
  expect(cutByOutline(image, [-1, -1, 101, -1, 101, 61, -1, 61])).toEqual([image]);
  expect(cutByOutline(image, [200, 0, 210, 0, 205, 10])).toEqual([]);
  // An M: its feet reach into the image.
  expect(cutByOutline(image, [0, 100, 0, 40, 20, 40, 50, 80, 80, 40, 100, 40, 100, 100])).toHaveLength(2);
  const moved = turned(placed(triangle!, 2, 10, 0), 90) as ImageItem;
  expect(boundsOfPoints(moved.outline!)).toEqual(moved.clip);
  expect(around(moved.outline)).toBeCloseTo(6000, 6);
});

test('lettering that an outline would cut is left out', () => {
  const text = (x: number): TextItem => ({
    kind: 'text',
    text: 'HALL',
    at: { x, y: 50 },
    height: 5,
    width: 20,
    widthFactor: 1,
    rotation: 0,
    typeface: '',
    role: '',
    ...on,
  });
  const ring = outlineRing({ x: 0, y: 0, width: 100, height: 100 }, 'circle');
  expect(cutByOutline(text(40), ring)).toHaveLength(1);
  expect(cutByOutline(text(85), ring)).toEqual([]);
});
