import type { DrawingRecord, DrawingSpace } from '@mendrel/contract';
import type { Chosen } from './chosenWindow';
import { chosenOf, shownIn, wholeOf } from './chosenWindow';
import { shapedAs, shapeOf, typedCorners, windowAround, withCorners, withWindow } from './windowShape';

const SPACE: DrawingSpace = {
  name: 'Model',
  linework: 'a'.repeat(64),
  box: { x: 10, y: 20, width: 12, height: 8 },
  layers: [],
  items: 4,
  unit: 1000,
  dropped: [],
};
const DRAWING: DrawingRecord = { id: 'd', name: 'shed.dxf', bytes: 1, spaces: [SPACE], addedAt: '' };
const whole: Chosen = wholeOf(DRAWING, SPACE, 'mm');

test('a window becomes round about its middle, has corners, and becomes a rectangle again', () => {
  const round = shapedAs(whole, 'circle');
  expect(round).toMatchObject({ window: { x: 12, y: 20, width: 8, height: 8 }, outline: 'circle' });
  const cornered = shapedAs(whole, 'corners');
  expect(cornered.outline).toEqual([10, 20, 22, 20, 22, 28, 10, 28]);
  expect([whole, round, cornered, shapedAs(cornered, 'rectangle')].map(shapeOf)).toEqual([
    'rectangle',
    'circle',
    'corners',
    'rectangle',
  ]);
});

test('a round window stays round, and corners stretch with theirs', () => {
  const round = shapedAs(whole, 'circle');
  expect(withWindow(round, { ...round.window, width: 4 }).window).toMatchObject({ width: 4, height: 4 });
  expect(withWindow(round, { ...round.window, height: 6 }).window).toMatchObject({ width: 6, height: 6 });
  const triangle = withCorners(whole, [10, 20, 22, 20, 10, 28])!;
  expect(withWindow(triangle, { x: 0, y: 0, width: 6, height: 4 }).outline).toEqual([0, 0, 6, 0, 0, 4]);
});

test('corners are typed from the lower left of the drawing, in metres or with a unit', () => {
  expect(typedCorners('0, 0; 12, 0; 6 m, 8000 mm', whole, 'mm')).toEqual([10, 20, 22, 20, 16, 28]);
  expect(typedCorners('0, 0; 12, 0', whole, 'mm')).toBeUndefined();
  expect(typedCorners('0, 0; 12; 6, 8', whole, 'mm')).toBeUndefined();
  expect(typedCorners('here, 0; 12, 0; 6, 8', whole, 'mm')).toBeUndefined();
  expect(windowAround([0, 0, 5, 0, 9, 0])).toBeUndefined();
});

test('a view keeps the outline of its window, and is opened again with it', () => {
  const triangle = withCorners(whole, [10, 20, 22, 20, 10, 28])!;
  const view = { ...shownIn({ id: 'v', name: 'Shed' }, triangle), scale: '1:50', module: null };
  expect(view.drawing?.outline).toEqual([10, 20, 22, 20, 10, 28]);
  expect(chosenOf(view, [DRAWING])).toMatchObject({ window: triangle.window, outline: triangle.outline });
  const plain = { ...shownIn(view, shapedAs(triangle, 'rectangle')), scale: '1:50', module: null };
  expect(plain.drawing).not.toHaveProperty('outline');
});
