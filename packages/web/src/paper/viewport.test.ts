import fc from 'fast-check';
import { onPaper, onScreen, viewportFor } from './viewport';

const length = fc.integer({ min: 5, max: 1200 });

test('a rectangle is shown whole and in the middle', () => {
  fc.assert(
    fc.property(length, length, length, length, (x, y, width, height) => {
      const window = { width: 700, height: 500 };
      const view = viewportFor({ x, y, width, height }, 594, window);
      const lower = onScreen(view, 594, x, y);
      const upper = onScreen(view, 594, x + width, y + height);
      expect(lower.x + upper.x).toBeCloseTo(window.width, 4);
      expect(lower.y + upper.y).toBeCloseTo(window.height, 4);
      expect(Math.min(lower.x, upper.y)).toBeGreaterThanOrEqual(-1e-6);
    }),
  );
});

test('places on screen and on paper answer to each other', () => {
  fc.assert(
    fc.property(length, length, length, (x, y, scale) => {
      const view = { scale: scale / 100, x: 30, y: -70 };
      const there = onScreen(view, 594, x, y);
      const back = onPaper(view, 594, there.x, there.y);
      expect(back.x).toBeCloseTo(x, 6);
      expect(back.y).toBeCloseTo(y, 6);
    }),
  );
});
