import fc from 'fast-check';
import { MaxRectsPacker } from 'maxrects-packer';
import { overlaps } from '../geometry';
import type { Arrangement, ViewToArrange, WayToArrange } from './arrangeSheets';
import { arrangeOverSheets, MOST_ARRANGED, WAYS_TO_ARRANGE } from './arrangeSheets';
import { moduleGrid } from './moduleGrid';
import { placeViews } from './placeViews';
import { sheetsNeeded } from './sheetsNeeded';
import type { View } from './view';

// Modules of 10 by 10 mm, so that sizes at 1:100 in metres are modules.
const gridOf = (columns: number, rows: number): ReturnType<typeof moduleGrid> =>
  moduleGrid({ x: 0, y: 0, width: columns * 10, height: rows * 10 }, { columns, rows });
const viewOf = (id: string, columns: number, rows: number): View => ({
  id,
  name: id,
  realWidth: columns * 1000,
  realHeight: rows * 1000,
  scale: '1:100',
  module: null,
});
const toArrange = (sizes: readonly (readonly [number, number])[], group = ''): ViewToArrange[] =>
  sizes.map(([columns, rows], i) => ({ view: viewOf(`v${i}`, columns, rows), group }));

/** A generator of its own, so that the sets are the same in every run. */
function drawn(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return state / 2_147_483_648;
  };
}

const modulesIn = ({ sheets }: Arrangement): (string | null)[][] =>
  sheets.map(({ views }) => views.map(({ module }) => module));

test('never more than one sheet worse than maxrects-packer on 100 generated sets', () => {
  let ours = 0;
  let theirs = 0;
  for (let set = 1; set <= 100; set++) {
    const random = drawn(set * 7919);
    const [columns, rows] = [4 + Math.floor(random() * 9), 3 + Math.floor(random() * 7)];
    const sizes = Array.from(
      { length: 5 + Math.floor(random() * 76) },
      () => [1 + Math.floor(random() * columns * 0.7), 1 + Math.floor(random() * rows * 0.7)] as const,
    );
    const packer = new MaxRectsPacker(columns, rows, 0, { smart: false, pot: false, allowRotation: false, border: 0 });
    packer.addArray(sizes.map(([width, height]) => ({ x: 0, y: 0, width, height })) as never[]);
    const { sheets, left } = arrangeOverSheets(toArrange(sizes), [], gridOf(columns, rows), 'fewest');
    expect(left).toEqual([]);
    expect(sheets.length).toBeLessThanOrEqual(packer.bins.length + 1);
    ours += sheets.length;
    theirs += packer.bins.length;
  }
  // Over all of them no worse by more than one in a hundred.
  expect(ours).toBeLessThanOrEqual(theirs * 1.01);
});

test('whatever the way, nothing overlaps, runs out or is lost (property)', () => {
  const sizes = fc.array(
    fc.tuple(fc.double({ min: 0.2, max: 9, noNaN: true }), fc.double({ min: 0.2, max: 9, noNaN: true })),
    { maxLength: 40 },
  );
  const groups = fc.array(fc.constantFrom('plans', 'details', ''), { minLength: 40, maxLength: 40 });
  fc.assert(
    fc.property(sizes, groups, fc.constantFrom(...WAYS_TO_ARRANGE), fc.boolean(), (given, group, way, further) => {
      const views = toArrange(given).map((each, i) => ({ ...each, group: group[i] ?? '' }));
      const grid = moduleGrid({ x: 5, y: 5, width: 80, height: 60 }, { columns: 8, rows: 6, reserved: ['A8'] }, [
        { x: 70, y: 5, width: 15, height: 8, name: 'block' },
      ]);
      const stays = { ...viewOf('stays', 3, 2), module: 'C2' };
      const sheet = { id: 's1', grid, fixed: [stays] };
      const { sheets, left } = arrangeOverSheets(views, [sheet], further ? grid : undefined, way);
      const stood = sheets.flatMap((each) => each.views.map(({ id }) => id));
      expect([...stood, ...left.map(({ id }) => id)].sort()).toEqual(views.map(({ view }) => view.id).sort());
      for (const each of sheets) {
        const all = each.id === 's1' ? [stays, ...each.views] : each.views;
        const { placed, findings } = placeViews(all, each.grid);
        expect(findings).toEqual([]);
        expect(placed.some((a, i) => placed.slice(i + 1).some((b) => overlaps(a.modules, b.modules)))).toBe(false);
      }
      if (!further) expect(sheets.every(({ id }) => id !== null)).toBe(true);
    }),
    { numRuns: 150 },
  );
});

test('in order no view stands on a sheet before that of the one before it', () => {
  const sizes = [
    [3, 3],
    [4, 3],
    [1, 3],
  ] as const;
  const way = (of: WayToArrange): (string | null)[][] =>
    modulesIn(arrangeOverSheets(toArrange(sizes), [], gridOf(4, 3), of));
  expect(way('in-order')).toEqual([['A1'], ['A1'], ['A1']]);
  // The narrow one stands beside the first, and they are read in their own order.
  expect(way('fewest')).toEqual([['A1'], ['A1', 'A4']]);
});

test('each group begins on a sheet of its own', () => {
  const views = [...toArrange([[2, 2]], 'plans'), ...toArrange([[1, 1]], 'details'), ...toArrange([[2, 2]], 'plans')];
  const { sheets } = arrangeOverSheets(views, [], gridOf(4, 3), 'by-group');
  expect(sheets.map((each) => each.views.length)).toEqual([2, 1]);
});

test('sheets that there are come first; without further ones what finds no room is left', () => {
  const sheet = { id: 's1', grid: gridOf(4, 3), fixed: [{ ...viewOf('stays', 4, 2), module: 'B1' }] };
  const views = toArrange([
    [4, 1],
    [4, 1],
  ]);
  const further = arrangeOverSheets(views, [sheet], gridOf(4, 3), 'in-order');
  expect(further.sheets.map(({ id }) => id)).toEqual(['s1', null]);
  const none = arrangeOverSheets(views, [sheet], undefined, 'in-order');
  expect(none.left.map(({ id }) => id)).toEqual(['v1']);
  expect(arrangeOverSheets(views, [], undefined, 'fewest').left).toHaveLength(2);
});

test('a view that is larger than any sheet is left, and more than are arranged at once are left as well', () => {
  const many = Array.from({ length: MOST_ARRANGED + 5 }, (_, i) => ({ view: viewOf(`v${i}`, 1, 1), group: '' }));
  expect(arrangeOverSheets(many, [], gridOf(40, 40), 'in-order').left).toHaveLength(5);
  expect(arrangeOverSheets(toArrange([[5, 1]]), [], gridOf(4, 3), 'fewest')).toEqual({
    sheets: [],
    left: [viewOf('v0', 5, 1)],
  });
});

test('what fits: half the scale takes a quarter of the modules', () => {
  // Six views of 2 by 2 modules at 1:100 on sheets of 4 by 4: four to a sheet; at 1:200 all on one; at 1:50 one to a sheet.
  const views = Array.from({ length: 6 }, (_, i) => viewOf(`v${i}`, 2, 2));
  const needed = sheetsNeeded(views, gridOf(4, 4), ['1:20', '1:50', '1:100', '1:200']);
  expect(needed.map(({ sheets }) => sheets)).toEqual([undefined, 6, 2, 1]);
  expect(needed[0]?.tooLarge).toHaveLength(6);
});
