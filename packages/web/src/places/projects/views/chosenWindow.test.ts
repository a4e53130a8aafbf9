import type { DrawingRecord, DrawingSpace } from '@mendrel/contract';
import { moduleGrid } from '@mendrel/core';
import {
  chosenOf,
  largestScale,
  madeAs,
  nameOf,
  newViewOf,
  scalesFor,
  shownIn,
  usualUnits,
  wholeOf,
  worksIn,
} from './chosenWindow';

const SPACE: DrawingSpace = {
  name: 'Model',
  linework: 'a'.repeat(64),
  box: { x: 10, y: 20, width: 62, height: 40 },
  layers: [{ name: 'WALL', items: 9 }],
  items: 9,
  dropped: [],
};
const DRAWING: DrawingRecord = {
  id: 'd',
  name: 'plan.dxf',
  bytes: 1,
  spaces: [SPACE],
  addedAt: '2026-03-02T09:00:00.000Z',
};
const grid = moduleGrid({ x: 20, y: 10, width: 720, height: 573 }, { columns: 4, rows: 3 });

test('a drawing that does not say its unit gets a likely one; that of a part stands beside its name', () => {
  expect(wholeOf(DRAWING, SPACE, 'mm')).toMatchObject({ unit: 1000, window: SPACE.box, hidden: [] });
  expect(nameOf({ drawing: DRAWING, space: SPACE })).toBe('plan.dxf');
  expect(nameOf({ drawing: { ...DRAWING, spaces: [SPACE, SPACE] }, space: SPACE })).toBe('plan.dxf, Model');
});

test('a new view is called as its file without the ending, with its part; it has the largest scale that fits and no place yet', () => {
  const { id, ...view } = newViewOf(wholeOf(DRAWING, SPACE, 'mm'), ['1:50', '1:100', '1:200'], grid);
  expect(id).not.toBe('');
  expect(view).toMatchObject({ name: 'plan', realWidth: 62_000, realHeight: 40_000, scale: '1:100', module: null });
  const pages = { ...DRAWING, name: 'pages.pdf', spaces: [SPACE, { ...SPACE, name: 'Page 2' }] };
  expect(newViewOf(wholeOf(pages, pages.spaces[1]!, 'mm'), ['1:100'], grid).name).toBe('pages, Page 2');
});

test('a page or a picture says nothing of what it shows: a scale is proposed, whatever its size', () => {
  const a1 = { ...SPACE, box: { x: 0, y: 0, width: 841, height: 594 } };
  const names = ['sheet.pdf', 'plan.SVG', 'photo.jpeg', 'plan.dxf'];
  expect(names.map((name) => wholeOf({ ...DRAWING, name }, a1, 'mm').unit)).toEqual([100, 100, 10, 1]);
});

test('what a view shows is what was chosen, and is chosen again when it is opened', () => {
  const chosen = {
    ...wholeOf(DRAWING, SPACE, 'mm'),
    window: { x: 12, y: 21, width: 30, height: 20 },
    hidden: ['WALL'],
  };
  const view = { ...shownIn({ id: 'v', name: 'Plan' }, chosen), scale: '1:100', module: 'A1' };
  expect(view).toMatchObject({
    realWidth: 30_000,
    realHeight: 20_000,
    drawing: { x: 12, y: 21, unit: 1000, hidden: ['WALL'], brought: DRAWING.addedAt },
  });
  expect(chosenOf(view, [DRAWING])).toEqual(chosen);
  expect(chosenOf(view, [])).toBeUndefined();
});

test('the largest scale is the one at which the drawing area just holds it', () => {
  const whole = wholeOf(DRAWING, SPACE, 'mm');
  const scales = ['1:20', '1:50', '1:100', '1:200'];
  expect(largestScale(whole, scales, grid)?.scale.words).toBe('1:100');
  expect(largestScale({ ...whole, unit: 1_000_000 }, scales, grid)).toBeUndefined();
  // Its title needs room under it; where no scale leaves any, the view comes before it.
  expect(largestScale(whole, scales, { ...grid, titleRoom: 181 })?.scale.words).toBe('1:200');
  expect(largestScale(whole, ['1:100'], { ...grid, titleRoom: 200 })?.scale.words).toBe('1:100');
});

test('a sheet is measured as its views are, as those of other sheets are, and then as its size and its design say', () => {
  const feet = { scale: '1/8" = 1\'-0"' };
  expect(worksIn([{ scale: null }, feet], [{ scale: '1:50' }], ['mm', 'mm'])).toBe('in');
  expect(worksIn([{ scale: '1:50' }], [feet], ['in', 'in'])).toBe('mm');
  expect(worksIn([{ scale: null }], [feet], ['mm', 'mm'])).toBe('in');
  expect(worksIn([{ scale: null }], [{ scale: null }], ['in', 'mm'])).toBe('in');
  expect(worksIn([], [], ['mm', 'in'])).toBe('in');
  expect(worksIn([], [], ['mm', 'mm'])).toBe('mm');
});

test('pages and pictures are offered what is usual in feet and inches, where a project is measured so', () => {
  const inFeet = (name: string) => usualUnits(madeAs({ name }) as 'page' | 'picture', 'in');
  expect(wholeOf({ ...DRAWING, name: 'plan.pdf' }, SPACE, 'in').unit).toBe(96);
  expect(wholeOf({ ...DRAWING, name: 'plan.png' }, SPACE, 'in').unit).toBeCloseTo(12.7, 9);
  expect(inFeet('plan.pdf').find(({ mm }) => mm === 240)?.words).toBe(`1" = 20'`);
  expect(inFeet('plan.png').map(({ words }) => words)).toContain('1/16 in');
});

test('views in inches are offered scales in feet and inches; a list without any is offered whole', () => {
  const list = ['1:50', '1:100', '1/8" = 1\'-0"'];
  expect(scalesFor(list, 'mm')).toEqual(['1:50', '1:100']);
  expect(scalesFor(list, 'in')).toEqual(['1/8" = 1\'-0"']);
  expect(scalesFor(['1:50'], 'in')).toEqual(['1:50']);
});
