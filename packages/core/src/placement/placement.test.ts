import fc from 'fast-check';
import { contains, overlaps } from '../geometry';
import { parseScale } from '../quantity';
import { arrangedViews } from './arrange';
import { moduleGrid, moduleNear } from './moduleGrid';
import { moduleAt, moduleName } from './moduleNames';
import { placeViews } from './placeViews';
import { freeModule, scaleChoices, whyNoRoom } from './room';
import type { View } from './view';
import { sheetScale } from './view';

const WORDING = { severalScales: 'As noted', noScale: '', notToScale: 'Not to scale' };
const view = (id: string, scale: string | null, module: string | null, width = 10_000, height = 8_000): View => ({
  id,
  name: id,
  realWidth: width,
  realHeight: height,
  scale,
  module,
});

// Worked example 7 (common practice).
describe('the scale of a sheet', () => {
  test('is that of its one view', () =>
    expect(sheetScale([view('a', `1/8" = 1'-0"`, 'A1')], WORDING)).toBe(`1/8" = 1'-0"`));
  test('is the office wording for several', () =>
    expect(sheetScale([view('a', `1/8" = 1'-0"`, 'A1'), view('b', `3/32" = 1'-0"`, 'A2')], WORDING)).toBe('As noted'));
  test('is blank without a view, and views without a place do not count', () => {
    expect(sheetScale([], WORDING)).toBe('');
    expect(sheetScale([view('a', '1:50', null)], WORDING)).toBe('');
  });
  test('says so when a view is sized to fill', () => {
    expect(sheetScale([view('a', null, 'A1')], WORDING)).toBe('Not to scale');
    expect(sheetScale([view('a', null, 'A1'), view('b', '1:50', 'A2')], WORDING)).toBe('As noted');
  });
  test('counts equal scales once, however they are written', () =>
    expect(sheetScale([view('a', '1:100', 'A1'), view('b', '1:100.0', 'A2')], WORDING)).toBe('1:100'));
});

const grid = moduleGrid({ x: 20, y: 10, width: 720, height: 573 }, { columns: 4, rows: 3 }, [
  { x: 600, y: 10, width: 140, height: 50, name: 'Quay block' },
]);

describe('views that are arranged', () => {
  const sizes = fc.record({
    width: fc.integer({ min: 1000, max: 40_000 }),
    height: fc.integer({ min: 1000, max: 30_000 }),
  });
  const viewsOf = (list: readonly { width: number; height: number }[]): View[] =>
    list.map(({ width, height }, i) => view(`v${i}`, '1:100', null, width, height));

  test('stand in reading order from the upper left', () => {
    const views = viewsOf([
      { width: 17_000, height: 18_000 },
      { width: 30_000, height: 18_000 },
      { width: 17_000, height: 18_000 },
    ]);
    expect(arrangedViews(views, grid).map(({ module }) => module)).toEqual(['C1', 'C2', 'C4']);
  });

  test('go with the largest first where more find room that way', () => {
    // In their own order the small one stands in C1, the tall one beside it in columns 2 and 3, and nothing is left for the third.
    const views = viewsOf([
      { width: 17_000, height: 18_000 },
      { width: 35_000, height: 56_000 },
      { width: 35_000, height: 37_000 },
    ]);
    const open = moduleGrid(grid.area, { columns: 4, rows: 3 });
    const [small, tall, third] = views as [View, View, View];
    const before = [
      { ...small, module: 'C1' },
      { ...tall, module: 'A2' },
    ];
    expect(freeModule(third, before, open)).toBeUndefined();
    expect(arrangedViews(views, open).map(({ module }) => module)).toEqual(['A3', 'A1', 'B3']);
  });

  test('never run into each other, into a panel or out of the drawing area, and no fewer stand than in their own order (property)', () => {
    fc.assert(
      fc.property(fc.array(sizes, { maxLength: 10 }), (list) => {
        const views = viewsOf(list);
        const arranged = arrangedViews(views, grid);
        expect(arranged.map(({ id }) => id)).toEqual(views.map(({ id }) => id));
        expect(placeViews(arranged, grid).findings).toEqual([]);
        const one: View[] = [];
        for (const each of views) one.push({ ...each, module: freeModule(each, one, grid) ?? null });
        const standing = (of: readonly View[]): number => of.filter(({ module }) => module !== null).length;
        expect(standing(arranged)).toBeGreaterThanOrEqual(standing(one));
      }),
    );
  });
});

describe('the module grid', () => {
  // US National CAD Standard (from memory): columns numbered from the left, rows lettered from the bottom.
  test('names modules by row letter from the bottom and column number from the left', () => {
    expect(moduleName(0, 0)).toBe('A1');
    expect(moduleName(2, 1)).toBe('B3');
    expect(moduleAt('B3', grid)).toEqual({ column: 2, row: 1 });
    expect(moduleAt('D1', grid)).toBeUndefined();
    expect(moduleAt('A0', grid)).toBeUndefined();
  });

  test('a view takes as many modules as it needs and stands in their middle', () => {
    const { placed, findings } = placeViews([view('plan', '1:100', 'A1', 30_000, 20_000)], grid);
    expect(findings).toEqual([]);
    expect(placed[0]).toMatchObject({ width: 300, height: 200, columnSpan: 2, rowSpan: 2, x: 50, y: 101 });
  });

  test('reports what reaches out, runs into the title block or into another view', () => {
    const { findings } = placeViews(
      [
        view('wide', '1:100', 'B3', 50_000, 10_000),
        view('low', '1:100', 'A4', 15_000, 18_000),
        view('over', '1:100', 'B3', 5_000, 5_000),
        view('gone', '1:100', 'Z9'),
      ],
      grid,
    );
    expect(findings.map((each) => each.message)).toEqual([
      'wide reaches 180.0 mm out of the drawing area',
      'low runs into Quay block',
      'over runs into wide',
      'gone stands in module Z9, which this sheet does not have',
    ]);
  });

  test('a view that is let go starts where it is nearest, and stays within the grid', () => {
    // Modules of 180 by 191 from 20, 10 on; the view takes two of them across.
    const at = (x: number, y: number): string => moduleNear({ x, y, width: 300, height: 150 }, grid);
    expect(at(50, 30)).toBe('A1');
    expect(at(50 + 100, 30)).toBe('A2');
    expect(at(50 + 80, 30)).toBe('A1');
    expect(at(50, 30 + 191 + 90)).toBe('B1');
    expect(at(-500, -500)).toBe('A1');
    expect(at(5000, 5000)).toBe('C3');
    expect(moduleNear({ x: 0, y: 0, width: 5000, height: 5000 }, grid)).toBe('A1');
  });

  test('where a view stands already it starts again (property)', () => {
    const sizes = fc.record({
      width: fc.integer({ min: 1000, max: 70_000 }),
      height: fc.integer({ min: 1000, max: 55_000 }),
    });
    fc.assert(
      fc.property(sizes, fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 2 }), (size, column, row) => {
        const [placed] = placeViews(
          [view('v', '1:100', moduleName(column, row), size.width, size.height)],
          grid,
        ).placed;
        const fits = placed!.columnSpan + column <= grid.columns && placed!.rowSpan + row <= grid.rows;
        if (fits) expect(moduleNear(placed!, grid)).toBe(placed!.module);
      }),
    );
  });

  test('scale choices say which fit', () => {
    const choices = scaleChoices(
      view('plan', null, null, 62_000, 40_000),
      ['1:50', '1:100', '1:200'].map(parseScale),
      grid,
    );
    expect(choices.map((each) => each.fits)).toEqual([false, true, true]);
    expect(choices[1]).toMatchObject({ width: 620, height: 400, columnSpan: 4, rowSpan: 3 });
  });

  test('a panel may reach into the modules of a view, not into the view itself', () => {
    // 620 by 400 in the middle of all modules ends 36.5 mm above the block of 50 mm; 720 by 573 lies on it.
    const beside = view('plan', '1:100', null, 62_000, 40_000);
    expect(freeModule(beside, [], grid)).toBe('A1');
    const over = view('plan', '1:100', null, 72_000, 57_300);
    expect(freeModule(over, [], grid)).toBeUndefined();
    expect(scaleChoices(over, ['1:100', '1:200'].map(parseScale), grid).map((each) => each.fits)).toEqual([
      false,
      true,
    ]);
    // Where modules are free as a whole, they come first.
    expect(freeModule(view('small', '1:100', null, 17_000, 18_000), [], grid)).toBe('C1');
  });

  test('where there is no room, what is in the way is named', () => {
    expect(whyNoRoom(view('plan', '1:10', null, 62_000, 40_000), [], grid, 'mm')).toBe(
      'plan is 6200.0 mm by 4000.0 mm at 1:10; the drawing area has 720.0 mm by 573.0 mm',
    );
    const other = view('section', '1:100', 'A1', 60_000, 10_000);
    expect(whyNoRoom(view('plan', '1:100', null, 62_000, 40_000), [other], grid, 'mm')).toBe(
      'plan is 620.0 mm by 400.0 mm at 1:100 and needs 4 by 3 free modules; in the way: Quay block, section',
    );
  });

  test('a free module is free of everything', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ width: fc.integer({ min: 1000, max: 40_000 }), height: fc.integer({ min: 1000, max: 30_000 }) }),
          { maxLength: 8 },
        ),
        (sizes) => {
          const views: View[] = [];
          sizes.forEach(({ width, height }, i) => {
            const next = view(`v${i}`, '1:100', null, width, height);
            views.push({ ...next, module: freeModule(next, views, grid) ?? null });
          });
          const { placed } = placeViews(views, grid);
          placed.forEach((a, i) => {
            expect(contains(grid.area, { x: a.x, y: a.y }, 1e-6)).toBe(true);
            expect(grid.claimed.some((each) => overlaps(a, each))).toBe(false);
            for (const b of placed.slice(i + 1)) expect(overlaps(a, b)).toBe(false);
          });
        },
      ),
    );
  });
});
