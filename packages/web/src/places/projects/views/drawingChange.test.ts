import type { DrawingRecord, DrawingSpace } from '@mendrel/contract';
import { changedParts, overlaid } from './drawingChange';
import { replacedWords } from './replacedWords';

const space = (name: string, linework: string, layers: Record<string, number>, unit?: number): DrawingSpace => ({
  name,
  linework,
  box: { x: 10, y: 20, width: 100, height: 50 },
  layers: Object.entries(layers).map(([layer, items]) => ({ name: layer, items })),
  items: 0,
  dropped: [],
  ...(unit === undefined ? {} : { unit }),
});
const drawing = (...spaces: DrawingSpace[]): DrawingRecord => ({
  id: 'd',
  name: 'plan.dxf',
  bytes: 1,
  spaces,
  addedAt: '',
});

test('parts are paired by name, or where there is one only, and equal ones are left out', () => {
  const before = drawing(space('Model', 'a', { WALL: 9, TEXT: 2 }), space('Layout', 'b', {}));
  const [model, ...rest] = changedParts(
    before,
    drawing(space('Model', 'c', { WALL: 4, DOOR: 1, TEXT: 2 }), space('Layout', 'b', {})),
  );
  expect(rest).toEqual([]);
  expect(model?.layers).toEqual([
    { name: 'WALL', was: 9, is: 4 },
    { name: 'DOOR', was: 0, is: 1 },
  ]);
  expect(changedParts(drawing(space('Model', 'a', {})), drawing(space('page 1', 'z', {})))).toHaveLength(1);
});

test('both states show the same window of the building, whatever their files are drawn in', () => {
  const [part] = changedParts(
    drawing(space('Model', 'a', {}, 1)),
    // The same extent of numbers in metres is a thousand times as large.
    drawing({ ...space('Model', 'b', {}, 1000), box: { x: 0.01, y: 0.02, width: 0.2, height: 0.05 } }),
  );
  const { was, is, height } = overlaid(part!, 400);
  // 200 mm of the building are 400 mm wide.
  expect(was.perUnit).toBeCloseTo(2, 9);
  expect(is.perUnit).toBeCloseTo(2000, 6);
  expect(is.from.x * 1000).toBeCloseTo(was.from.x, 9);
  expect(height).toBeCloseTo(100, 9);
});

test('the sheets that show a new file and those that went out with the old one are named', () => {
  expect(replacedWords({ sheets: [], issued: [] })).toBe('The new file is in its place; no view shows it yet');
  expect(replacedWords({ sheets: ['A-1', 'A-2', 'A-3', 'A-4', 'A-5', 'A-6'], issued: ['A-1'] })).toBe(
    'The new file shows on A-1, A-2, A-3, A-4 and 2 more; A-1 went out with the old one',
  );
});
