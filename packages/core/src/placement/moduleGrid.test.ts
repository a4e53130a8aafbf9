import fc from 'fast-check';
import type { Modules } from '../design';
import { MODULE_CORNERS, MODULE_NAMES, moduleCounts, modulesSchema, moduleWords } from '../design';
import { contains, overlaps } from '../geometry';
import { moduleGrid, moduleNear, modulePicked, moduleRect, modulesFor, modulesOf } from './moduleGrid';
import { moduleAt, moduleLabel, renamedModules } from './moduleNames';
import { parseScale } from '../quantity';
import { placeViews } from './placeViews';
import { scaleChoices } from './room';
import type { View } from './view';

const area = { x: 20, y: 10, width: 720, height: 573 };

const modules: fc.Arbitrary<Modules> = fc.record(
  {
    columns: fc.integer({ min: 1, max: 40 }),
    rows: fc.integer({ min: 1, max: 40 }),
    gutter: fc.double({ min: 0, max: 200, noNaN: true }),
    margin: fc.double({ min: 0, max: 500, noNaN: true }),
    wanted: fc.record({
      width: fc.double({ min: 5, max: 5000, noNaN: true }),
      height: fc.double({ min: 5, max: 5000, noNaN: true }),
    }),
    naming: fc.record({ from: fc.constantFrom(...MODULE_CORNERS), by: fc.constantFrom(...MODULE_NAMES) }),
  },
  { requiredKeys: ['columns', 'rows'] },
);

test('modules never overlap, lie in the drawing area and are as far apart as the gutter (property)', () => {
  fc.assert(
    fc.property(modules, (given) => {
      const grid = moduleGrid(area, modulesSchema.parse(given));
      const all = modulesOf(grid).map(({ column, row }) => moduleRect(grid, column, row));
      for (const each of all) {
        expect(each.width).toBeGreaterThan(0);
        expect(each.height).toBeGreaterThan(0);
        expect(contains(area, each, 1e-6)).toBe(true);
      }
      const [first, second] = all;
      if (grid.columns > 1) expect(second!.x - first!.x - first!.width).toBeCloseTo(grid.gutter, 6);
      expect(all.slice(0, 40).some((a, i) => all.slice(i + 1, 60).some((b) => overlaps(a, b)))).toBe(false);
    }),
    { numRuns: 60 },
  );
});

test('every module has a name of its own, whatever it is called by (property)', () => {
  fc.assert(
    fc.property(modules, (given) => {
      const all = modulesOf(moduleGrid(area, given));
      expect(new Set(all.map(({ label }) => label)).size).toBe(all.length);
      expect(new Set(all.map(({ name }) => name)).size).toBe(all.length);
    }),
    { numRuns: 60 },
  );
});

// US National CAD Standard (from memory): rows lettered from the bottom, columns numbered from the left.
test('names begin where the office begins them', () => {
  const label = (naming: Modules['naming'], column: number, row: number): string =>
    moduleLabel(column, row, { columns: 4, rows: 3, ...(naming ? { naming } : {}) });
  expect(label(undefined, 2, 1)).toBe('B3');
  expect(label({ from: 'lower-right', by: 'row-column' }, 3, 0)).toBe('A1');
  expect(label({ from: 'upper-left', by: 'row-column' }, 0, 2)).toBe('A1');
  expect(label({ from: 'upper-left', by: 'column-row' }, 2, 2)).toBe('C1');
  expect(label({ from: 'upper-left', by: 'along-rows' }, 1, 1)).toBe('6');
  expect(label({ from: 'upper-right', by: 'along-rows' }, 3, 2)).toBe('1');
  expect(label({ from: 'lower-right', by: 'along-columns' }, 2, 0)).toBe('4');
});

test('a wanted size makes as many modules as bring them nearest to it, on every size of sheet', () => {
  const wanted = { columns: 1, rows: 1, wanted: { width: 180, height: 190 } };
  expect(moduleCounts(wanted, area)).toEqual({ columns: 4, rows: 3 });
  expect(moduleCounts(wanted, { width: 300, height: 180 })).toEqual({ columns: 2, rows: 1 });
  expect(moduleCounts(wanted, { width: 20, height: 18 })).toEqual({ columns: 1, rows: 1 });
  expect(moduleCounts({ ...wanted, bySize: { 'ISO A3': { columns: 3, rows: 2 } } }, area, 'ISO A3')).toEqual({
    columns: 3,
    rows: 2,
  });
});

test('with gutters a view of two modules takes two, and one a hair larger takes three', () => {
  // (720 − 3 × 8) / 4 = 174; two of them with their gutter are 356.
  const grid = moduleGrid(area, { columns: 4, rows: 3, gutter: 8 });
  expect(grid.moduleWidth).toBe(174);
  expect(modulesFor({ width: 356, height: 10 }, grid).columnSpan).toBe(2);
  expect(modulesFor({ width: 356.1, height: 10 }, grid).columnSpan).toBe(3);
  const second = moduleRect(grid, 1, 0);
  expect(moduleNear(second, grid)).toBe('A2');
  expect(modulePicked({ x: second.x + 1, y: second.y + 1 }, grid)).toEqual({ column: 1, row: 0 });
  expect(modulePicked({ x: 5, y: 5 }, grid)).toBeUndefined();
});

const plan: View = { id: 'plan', name: 'Plan', realWidth: 10_000, realHeight: 8_000, scale: '1:100', module: 'A4' };

test('reserved modules are those that the office calls so: in the same corner on every size', () => {
  const design: Modules = {
    columns: 4,
    rows: 3,
    bySize: { 'ISO A3': { columns: 2, rows: 2 } },
    naming: { from: 'upper-left', by: 'row-column' },
    reserved: ['A1', 'C4'],
  };
  const reservedOn = (size: string): string[] => [...moduleGrid(area, design, [], size).reserved];
  // Kept by row letter from below: the upper left is in row C of three and B of two; no fourth column there.
  expect(reservedOn('ISO A1').toSorted()).toEqual(['A4', 'C1']);
  expect(reservedOn('ISO A3')).toEqual(['B1']);
});

test('reserved modules stay where they are when the office names them otherwise, and back again (property)', () => {
  const namings = fc.record({ from: fc.constantFrom(...MODULE_CORNERS), by: fc.constantFrom(...MODULE_NAMES) });
  fc.assert(
    fc.property(fc.nat({ max: 39 }), fc.nat({ max: 39 }), namings, namings, (column, row, first, then) => {
      const counts = { columns: 40, rows: 40 };
      const before: Modules = {
        ...counts,
        naming: first,
        reserved: [moduleLabel(column, row, { ...counts, naming: first })],
      };
      const after: Modules = { ...counts, naming: then, reserved: renamedModules(before.reserved!, before, then) };
      expect(moduleGrid(area, after).reserved).toEqual(moduleGrid(area, before).reserved);
      expect(renamedModules(after.reserved!, after, first)).toEqual(before.reserved);
    }),
  );
});

test('of a wanted size, reserved modules keep their names as long as these can be names', () => {
  const wanted: Modules = { columns: 1, rows: 1, wanted: { width: 180, height: 190 }, reserved: ['A1'] };
  expect(renamedModules(['A1'], wanted, { from: 'upper-right', by: 'column-row' })).toEqual(['A1']);
  expect(renamedModules(['A1'], wanted, { from: 'upper-right', by: 'along-rows' })).toEqual([]);
});

test('a view in a reserved module is told by what the office calls it', () => {
  const grid = moduleGrid(area, {
    columns: 4,
    rows: 3,
    reserved: ['12', 'Z9'],
    naming: { from: 'upper-left', by: 'along-rows' },
  });
  expect(placeViews([plan], grid).findings.map(({ message }) => message)).toEqual([
    'Plan runs into the reserved module 12',
  ]);
});

test('a view that was moved stands off the middle of its modules, and is told when it leaves the drawing area', () => {
  const grid = moduleGrid(area, { columns: 4, rows: 3 });
  const at = (x: number, y: number): ReturnType<typeof placeViews> => placeViews([{ ...plan, shift: { x, y } }], grid);
  const [middle] = placeViews([plan], grid).placed;
  expect(at(12.5, -3).placed[0]).toMatchObject({ x: middle!.x + 12.5, y: middle!.y - 3 });
  expect(at(12.5, -3).findings).toEqual([]);
  expect(at(50, 0).findings.map(({ message }) => message)).toEqual(['Plan reaches 10.0 mm out of the drawing area']);
  expect(at(0, -80).findings.map(({ message }) => message)).toEqual(['Plan reaches 24.5 mm out of the drawing area']);
});

test('a view stands higher in its modules where its title had no room under it', () => {
  // 5 mm are free; in the middle 2.5 mm of them are under the view, and its title asks for 4 mm.
  const grid = { ...moduleGrid({ x: 0, y: 0, width: 100, height: 85 }, { columns: 1, rows: 1 }), titleRoom: 4 };
  const drawing = { linework: 'a'.repeat(64), name: 'plan.dxf', unit: 1, x: 0, y: 0 };
  const at = (more: Partial<View>): number =>
    placeViews([{ ...plan, module: 'A1', drawing, ...more }], grid).placed[0]!.y;
  expect(at({})).toBe(4);
  expect(at({ realHeight: 8400 })).toBe(1);
  const told = (realHeight: number): string[] =>
    placeViews([{ ...plan, module: 'A1', drawing, realHeight }], grid).findings.map(({ message }) => message);
  expect(told(8000)).toEqual([]);
  expect(told(8400)).toEqual(['the title of Plan reaches 3.0 mm out of the drawing area']);
  expect(at({ realHeight: 4000 })).toBe(22.5);
  // One that shows nothing yet has its title within.
  expect(at({ drawing: undefined })).toBe(2.5);
});

test('a title that reaches into the view below is told, with how far; a scale says whether it has room', () => {
  // Two rows of 40 mm without a gutter: a view of 39 mm leaves 1 mm for a title of 4 mm.
  const rows = moduleGrid({ x: 0, y: 0, width: 100, height: 80 }, { columns: 1, rows: 2, gutter: 0 });
  const grid = { ...rows, titleRoom: 4 };
  const drawing = { linework: 'a'.repeat(64), name: 'plan.dxf', unit: 1, x: 0, y: 0 };
  const view = (id: string, module: string, realHeight: number): View => ({
    ...plan,
    id,
    name: id,
    module,
    realWidth: 5000,
    realHeight,
    drawing,
  });
  const told = (upper: number, lower: number): string[] =>
    placeViews([view('upper', 'B1', upper), view('lower', 'A1', lower)], grid)
      .findings.filter(({ message }) => message.includes('lower'))
      .map(({ message }) => message);
  // The lower one of 32 mm leaves 4 mm above it; one of 36 mm stands 4 mm higher than its modules' foot, and so as high as they do.
  expect(told(3900, 3200)).toEqual([]);
  expect(told(3900, 3600)).toEqual(['the title of upper reaches 3.0 mm into lower']);
  expect(told(3500, 3600)).toEqual([]);
  const scales = [parseScale('1:100'), parseScale('1:200')];
  expect(
    scaleChoices({ realWidth: 5000, realHeight: 7900 }, scales, grid).map(({ fits, titled }) => [fits, titled]),
  ).toEqual([
    [true, false],
    [true, false],
  ]);
  expect(scaleChoices({ realWidth: 5000, realHeight: 7200 }, scales, grid).map(({ titled }) => titled)).toEqual([
    true,
    true,
  ]);
});

test('numbers run as views are read, or are those of their modules and told when two are the same', () => {
  const grid = moduleGrid(area, { columns: 4, rows: 3 });
  const views: View[] = [
    { ...plan, id: 'a', name: 'Lower', module: 'A1' },
    { ...plan, id: 'b', name: 'Upper right', module: 'C4' },
    { ...plan, id: 'c', name: 'Upper left', module: 'C1' },
  ];
  const numbers = (by: 'module' | 'running'): string[] =>
    placeViews(views, grid, 'mm', by).placed.map(({ number }) => number);
  expect(numbers('module')).toEqual(['A1', 'C4', 'C1']);
  expect(numbers('running')).toEqual(['3', '2', '1']);
  const small = { ...plan, realWidth: 4000, shift: { x: -60, y: 0 } };
  const twice = [
    { ...small, id: 'd', name: 'Left', module: 'B2' },
    { ...small, id: 'e', name: 'Right', shift: { x: 60, y: 0 }, module: 'B2' },
  ];
  expect(placeViews(twice, grid).findings.map(({ message }) => message)).toEqual(['Right is numbered B2, as Left is']);
  expect(placeViews(twice, grid, 'mm', 'running').findings).toEqual([]);
});

test('a grid is told in short words', () => {
  expect(moduleWords({ columns: 4, rows: 3 })).toBe('4 × 3');
  expect(
    moduleWords({ columns: 4, rows: 3, gutter: 8, reserved: ['A4'], naming: { from: 'upper-left', by: 'along-rows' } }),
  ).toBe('4 × 3, 8 mm between them, named from the upper left, A4 reserved');
});

test('a name that is no module of the grid is none', () =>
  expect(['D1', 'A5', 'A0', ''].map((name) => moduleAt(name, { columns: 4, rows: 3 }))).toEqual(
    Array.from({ length: 4 }, () => undefined),
  ));
