import type { Item } from '../drawing';
import { oldLine, oldText } from '../testing/oldLinework';
import { shownLegacy } from './shownLegacy';

const frame = { x: 20, y: 10, width: 390, height: 277 };
const cell = { x: 300, y: 10, width: 110, height: 40 };
const many = (x: number, y: number): Item[] => Array.from({ length: 30_000 }, () => oldLine([x, y, x + 5, y]));

test('of a dense plan as much is handed back as can be shown; block, frame and texts are whole', () => {
  const block = many(320, 20);
  const edge = oldLine([20, 10, 410, 10]);
  const room = oldText('Kitchen', 100, 150, 2.5);
  const { legacy, left } = shownLegacy(
    { width: 420, height: 297, items: [...many(100, 100), ...block, edge, room] },
    frame,
    [cell],
  );
  expect(left).toBe(10_000);
  expect(legacy.items).toHaveLength(20_000 + 30_000 + 2);
  expect(legacy.items).toEqual(expect.arrayContaining([edge, room]));
});

test('a drawing that is not dense is handed back as it is', () => {
  const drawing = { width: 420, height: 297, items: [oldLine([100, 100, 120, 100])] };
  expect(shownLegacy(drawing, frame, [cell])).toEqual({ legacy: drawing, left: 0 });
});
