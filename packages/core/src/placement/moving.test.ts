import fc from 'fast-check';
import { right, top } from '../geometry';
import { moduleGrid } from './moduleGrid';
import { ALIGNMENTS, alignedViews, distributedViews, movedTo, placeOver } from './moving';
import type { PlacedView } from './placeViews';
import { placeViews } from './placeViews';
import type { View } from './view';

const grid = moduleGrid({ x: 20, y: 10, width: 720, height: 573 }, { columns: 4, rows: 3, gutter: 8 });

const viewOf = (id: string, module: string, more: Partial<View> = {}): View => ({
  id,
  name: id,
  realWidth: 12_000,
  realHeight: 9_000,
  scale: '1:100',
  module,
  ...more,
});
const placed = (...views: View[]): PlacedView[] => placeViews(views, grid).placed;
const drawing = (x: number, y: number, unit = 1): NonNullable<View['drawing']> => ({
  linework: 'a'.repeat(64),
  name: 'plan.dxf',
  unit,
  x,
  y,
});

const views = fc.array(
  fc.record({
    realWidth: fc.double({ min: 1000, max: 40_000, noNaN: true }),
    realHeight: fc.double({ min: 1000, max: 40_000, noNaN: true }),
    module: fc.constantFrom('A1', 'A3', 'B2', 'C4', 'C1'),
  }),
  { minLength: 3, maxLength: 8 },
);
const toViews = (given: readonly Partial<View>[]): View[] => given.map((each, i) => viewOf(`v${i}`, 'A1', each));

test('a view stands where it was moved to, to a thousandth of a millimetre (property)', () => {
  const places = fc.record({
    x: fc.double({ min: 0, max: 600, noNaN: true }),
    y: fc.double({ min: 0, max: 500, noNaN: true }),
  });
  fc.assert(
    fc.property(places, (at) => {
      const [one] = placed(movedTo(viewOf('v', 'A1'), at, grid));
      expect(Math.hypot(one!.x - at.x, one!.y - at.y)).toBeLessThan(0.008);
    }),
  );
});

test('moved to the middle of its modules it is not moved at all', () => {
  const [middle] = placed(viewOf('v', 'B2'));
  expect(movedTo(viewOf('v', 'A1', { shift: { x: 9, y: 9 } }), middle!, grid)).toEqual(viewOf('v', 'B2'));
});

test('plans of two floors lie over each other, whatever their files are drawn in', () => {
  const [ground] = placed(viewOf('ground', 'B2', { drawing: drawing(1000, 2000) }));
  // The same building in metres; its window begins 3 m further right and 1 m further down.
  const upper = viewOf('upper', 'A1', { drawing: drawing(4, 1, 1000), realWidth: 6000 });
  const at = placeOver(upper, ground!)!;
  // Worked by hand: 3000 / 100 to the right, −1000 / 100 up.
  expect(at.x).toBeCloseTo(ground!.x + 30, 9);
  expect(at.y).toBeCloseTo(ground!.y - 10, 9);
});

test('what has nothing in common does not lie over anything', () => {
  const [ground] = placed(viewOf('ground', 'B2', { drawing: drawing(0, 0) }));
  const over = (more: Partial<View>): unknown => placeOver(viewOf('other', 'A1', more), ground!);
  expect(over({})).toBeUndefined();
  expect(over({ drawing: drawing(0, 0), scale: '1:50' })).toBeUndefined();
  expect(over({ drawing: drawing(0, 0), scale: null })).toBeUndefined();
  expect(over({ drawing: drawing(90_000, 0) })).toBeUndefined();
  expect(over({ drawing: drawing(0, 0), scale: '1:100.0' })).toEqual({ x: ground!.x, y: ground!.y });
});

test('lined up views share an edge or an axis with the first, which stays (property)', () => {
  const edge = {
    left: ({ x }: PlacedView) => x,
    centre: (one: PlacedView) => one.x + one.width / 2,
    right,
    top,
    middle: (one: PlacedView) => one.y + one.height / 2,
    bottom: ({ y }: PlacedView) => y,
  };
  fc.assert(
    fc.property(views, fc.constantFrom(...ALIGNMENTS), (given, by) => {
      const before = placed(...toViews(given));
      const after = placed(...alignedViews(before, by, grid));
      expect(after[0]).toEqual(before[0]);
      for (const each of after) expect(edge[by](each)).toBeCloseTo(edge[by](before[0]!), 2);
    }),
  );
});

test('distributed views have equal room between them, and the outermost stay (property)', () => {
  fc.assert(
    fc.property(views, fc.constantFrom('across', 'up'), (given, way) => {
      const [at, size] = way === 'across' ? (['x', 'width'] as const) : (['y', 'height'] as const);
      const after = placed(...distributedViews(placed(...toViews(given)), way, grid));
      const gaps = after.slice(1).map((each, i) => each[at] - after[i]![at] - after[i]![size]);
      for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0]!, 1);
    }),
  );
});

test('two views have nothing to be distributed between', () => {
  const two = placed(viewOf('a', 'A1'), viewOf('b', 'B2'));
  expect(distributedViews(two, 'across', grid)).toEqual(two.map(({ view }) => view));
});
