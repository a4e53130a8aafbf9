import fc from 'fast-check';
import type { OverlayView } from '../../../paper/Paper';
import { plainStrip } from '../../../testing/plainStrip';
import type { WorkedDivision } from './dividers';
import { edgePlaces, handleLength, handleMiddle, LABEL, leader } from './edgePlaces';

const view = (scale: number, size = { width: 700, height: 500 }): OverlayView => ({
  viewport: { scale, x: 100, y: 0 },
  paperHeight: 200,
  size,
});

/** Rows from the upper edge of a cell 80 mm wide, at x 10 to 90 and down from y 180. */
function rows(lengths: number[]): WorkedDivision {
  let at = 180;
  const limits = [at, ...lengths.map((length) => (at -= length))];
  const rect = { x: 10, y: at, width: 80, height: 180 - at };
  return { cell: plainStrip().panels[0]!.root, axis: 'rows', lengths, limits, halves: [], rect, others: [] };
}

test('sizes stand beside their rows, and leaders lead from them to the cell', () => {
  const places = edgePlaces(rows([40, 20]), view(2), undefined);
  expect(places.limits).toEqual([40, 120, 160]);
  expect(places.labels.map((each) => each && each.y + LABEL.height / 2)).toEqual([80, 140]);
  const [x0, y0, x1, y1] = leader(places, 120);
  expect([y0, y1]).toEqual([120, 120]);
  expect(x0).toBeGreaterThanOrEqual(places.edge + LABEL.width);
  expect(x1).toBeLessThanOrEqual(places.corner.x);
  expect(handleMiddle(places, 120)).toEqual({ x: places.corner.x + handleLength(places) / 2, y: 120 });
});

test('a divider can be taken hold of however narrow its cell is on screen', () => {
  expect(handleLength(edgePlaces(rows([40, 20]), view(0.01), undefined))).toBe(20);
});

test('narrow rows keep their figures, moved apart as little as it takes', () => {
  const { labels } = edgePlaces(rows([40, 4, 4, 40]), view(2), undefined);
  expect(labels.map((each) => each && each.y + LABEL.height / 2)).toEqual([80, 124, 148, 176]);
  const crowd = edgePlaces(rows(Array.from({ length: 12 }, () => 3)), view(2), 5);
  expect(crowd.labels.filter((each) => each !== undefined)).toHaveLength(12);
});

test('labels lie in the window and never cover each other; the one of the selected track is there if it can be', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 1, max: 60, noNaN: true }), { minLength: 1, maxLength: 20 }),
      fc.double({ min: 0.2, max: 12, noNaN: true }),
      fc.nat(19),
      (lengths, scale, picked) => {
        const selected = picked % lengths.length;
        const division = rows(lengths);
        const { labels, limits } = edgePlaces(division, view(scale), selected);
        const shown = labels.flatMap((each) => (each ? [each.y] : []));
        shown.forEach((y, i) => {
          expect(y + LABEL.height / 2).toBeGreaterThan(8);
          expect(y + LABEL.height / 2).toBeLessThan(492);
          if (i > 0) expect(y - shown[i - 1]!).toBeGreaterThanOrEqual(LABEL.height);
        });
        const middle = (limits[selected]! + limits[selected + 1]!) / 2;
        expect(labels[selected] !== undefined).toBe(middle > 8 && middle < 492);
      },
    ),
  );
});
