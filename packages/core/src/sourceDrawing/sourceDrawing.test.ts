import fc from 'fast-check';
import type { Item, PieceItem, StrokeItem, TextItem } from '../drawing';
import { boundsOf, drawnTexts, segmentsOf } from '../drawing';
import { contains } from '../geometry';
import type { Typefaces } from '../lettering';
import { pairwiseTypeface } from '../lettering';
import { clipped } from './clip';
import { isLikelyUnit, likelyUnit } from './drawingUnit';
import { pieceItems } from './pieceItems';
import { sourceSpace } from './sourceSpace';
import { ON_VIEW as on, stroke } from '../testing/strokes';

const window = { x: 0, y: 0, width: 10, height: 10 };
const length = (items: readonly Item[]): number =>
  segmentsOf(items).reduce((sum, { x0, y0, x1, y1 }) => sum + Math.hypot(x1 - x0, y1 - y0), 0);

/** The area of rings by the shoelace formula, each by its own sense. */
const area = (items: readonly Item[]): number =>
  items.reduce((sum, item) => {
    if (item.kind !== 'fill') return sum;
    for (const ring of item.rings) {
      let twice = 0;
      for (let i = 0; i < ring.length; i += 2) {
        const j = (i + 2) % ring.length;
        twice += ring[i]! * ring[j + 1]! - ring[j]! * ring[i + 1]!;
      }
      sum += twice / 2;
    }
    return sum;
  }, 0);

describe('what lies within a window', () => {
  test('lines end at its edge, and go on where they come back', () => {
    expect(clipped(stroke([-5, 5, 15, 5]), window)).toMatchObject([{ points: [0, 5, 10, 5], closed: false }]);
    expect(clipped(stroke([5, 5, 15, 5, 15, 8, 5, 8]), window)).toMatchObject([
      { points: [5, 5, 10, 5] },
      { points: [10, 8, 5, 8] },
    ]);
    expect(clipped(stroke([20, 20, 30, 30]), window)).toEqual([]);
  });

  test('a closed line that begins within it goes on from its end', () => {
    expect(clipped(stroke([2, 2, 8, 2, 8, 20, 2, 20], true), window)).toMatchObject([
      { points: [2, 10, 2, 2, 8, 2, 8, 10], closed: false },
    ]);
    const inside = stroke([2, 2, 8, 2, 8, 8], true);
    expect(clipped(inside, window)).toEqual([inside]);
  });

  test('a circle leaves the arcs within it', () => {
    // Worked by hand: about a corner a quarter is left, about the middle of an edge a half.
    const circle = (x: number, y: number): Item => ({
      kind: 'arc',
      centre: { x, y },
      radius: 4,
      from: 0,
      to: 360,
      width: 0.25,
      ...on,
    });
    const sweeps = (item: Item): number[] =>
      clipped(item, window).map((each) => (each.kind === 'arc' ? Math.round(each.to - each.from) : 0));
    expect(sweeps(circle(0, 0))).toEqual([90]);
    expect(sweeps(circle(5, 5))).toEqual([360]);
    expect(sweeps(circle(0, 5)).reduce((a, b) => a + b, 0)).toBe(180);
    expect(sweeps(circle(-20, 5))).toEqual([]);
  });

  test('an area keeps what of it lies within, with its holes', () => {
    const ring = [-10, -10, 20, -10, 20, 20, -10, 20];
    const hole = [4, 4, 4, 6, 6, 6, 6, 4];
    expect(area(clipped({ kind: 'fill', rings: [ring, hole], ...on }, window))).toBeCloseTo(96, 9);
  });

  test('a word is whole or not there', () => {
    const word = (x: number): Item => ({
      kind: 'text',
      text: 'Hall',
      at: { x, y: 5 },
      height: 1,
      width: 3,
      widthFactor: 1,
      rotation: 0,
      typeface: '',
      role: '',
      ...on,
    });
    expect(clipped(word(2), window)).toHaveLength(1);
    expect(clipped(word(8), window)).toEqual([]);
  });

  test('nothing is longer than it was, and nothing lies outside (property)', () => {
    const number = fc.integer({ min: -40, max: 40 });
    fc.assert(
      fc.property(fc.array(number, { minLength: 4, maxLength: 24 }), fc.boolean(), (numbers, closed) => {
        const points = numbers.length % 2 === 0 ? numbers : numbers.slice(1);
        const item = stroke(points, closed);
        const parts = clipped(item, window);
        expect(length(parts)).toBeLessThanOrEqual(length([item]) + 1e-6);
        for (const part of parts) {
          const { x, y, width, height } = boundsOf(part);
          expect(contains(window, { x, y }, 1e-6) && contains(window, { x: x + width, y: y + height }, 1e-6)).toBe(
            true,
          );
        }
        // What is cut off and what is left make up the whole: the windows around leave the rest.
        const far = 1000;
        const around = [
          { x: -far, y: -far, width: far, height: 2 * far },
          { x: 10, y: -far, width: far, height: 2 * far },
          { x: 0, y: -far, width: 10, height: far },
          { x: 0, y: 10, width: 10, height: far },
        ];
        const rest = around.reduce((sum, each) => sum + length(clipped(item, each)), 0);
        const onEdges = segmentsOf([item]).some(
          ({ x0, y0, x1, y1 }) => (x0 === x1 && (x0 === 0 || x0 === 10)) || (y0 === y1 && (y0 === 0 || y0 === 10)),
        );
        if (!onEdges) expect(length(parts) + rest).toBeCloseTo(length([item]), 6);
      }),
    );
  });
});

const typefaces: Typefaces = new Map([
  [
    'Plain',
    pairwiseTypeface(
      { name: 'Plain', unitsPerEm: 1000, capHeight: 700, descent: 200, stem: 90 },
      (text) => 500 * text.length,
      () => true,
    ),
  ],
]);

const piece = (over: Partial<PieceItem> = {}): PieceItem => ({
  kind: 'piece',
  name: 'Plan',
  linework: '0'.repeat(64),
  x: 100,
  y: 50,
  width: 200,
  height: 100,
  from: { x: 1000, y: 2000 },
  perUnit: 0.01,
  hidden: [],
  typeface: 'Plain',
  least: 0.18,
  ...on,
  ...over,
});

describe('a piece on paper', () => {
  test('lies at its scale, with its corner where the window begins', () => {
    const [line] = pieceItems(piece(), { items: [stroke([1000, 2000, 11_000, 7000])] }, typefaces);
    expect(line).toMatchObject({ points: [100, 50, 200, 100], width: 0.25, layer: 'A', part: 'view' });
  });

  test('is cut at its window, leaves out layers that are hidden, and gives lines without a width one', () => {
    const hidden = { ...stroke([1000, 2000, 2000, 2000]), layer: 'Furniture' };
    const items = [{ ...stroke([0, 3000, 100_000, 3000]), width: 0 }, hidden];
    expect(pieceItems(piece({ hidden: ['Furniture'] }), { items }, typefaces)).toMatchObject([
      { points: [100, 60, 300, 60], width: 0.18 },
    ]);
  });

  test('takes pens by layer and by the width in the drawing, the first that matches', () => {
    const wall = (width: number): StrokeItem => ({ ...stroke([1000, 2000, 2000, 2000]), layer: 'A-WALL', width });
    const text = { ...stroke([1000, 2000, 2000, 2000]), layer: 'A-TEXT (old)', width: 0 };
    const circle: Item = {
      ...on,
      kind: 'arc',
      layer: 'a-wall-round',
      centre: { x: 5000, y: 5000 },
      radius: 500,
      from: 0,
      to: 360,
      width: 0.1,
    };
    const pens = [
      { layers: 'A-WALL', weight: 0.5, width: 0.7 },
      { layers: 'A-WALL*', width: 0.35, colour: '#aa0000' },
      { layers: 'A-TEXT (OLD)', width: 0.13 },
    ];
    const drawn = pieceItems(piece({ pens }), { items: [wall(0.5), wall(0.25), text, circle] }, typefaces);
    expect(drawn).toMatchObject([
      { width: 0.7 },
      { width: 0.35, colour: '#aa0000' },
      { width: 0.13 },
      { width: 0.35, colour: '#aa0000' },
    ]);
    expect(drawn[0]).not.toHaveProperty('colour');
    // By colour: the number that DXF has for it.
    const red = { ...wall(0.25), oldPen: { colour: 1 } };
    expect(
      pieceItems(piece({ pens: [{ layers: '*', was: 1, width: 1 }] }), { items: [red, wall(0.25)] }, typefaces),
    ).toMatchObject([{ width: 1 }, { width: 0.25 }]);
    // Without a pen that matches everything is as wide as in the drawing.
    expect(
      pieceItems(piece({ pens: [{ layers: 'X', width: 1 }] }), { items: [wall(0.5), text] }, typefaces),
    ).toMatchObject([{ width: 0.5 }, { width: 0.18 }]);
  });

  test('letters its texts anew about the point where they are anchored, or as long as a page has them', () => {
    // Capitals of 2.5 mm in this typeface: 500 / 700 × 2.5 a letter.
    const natural = (4 * 500 * 2.5) / 700;
    const text = {
      kind: 'text',
      text: 'HALL',
      at: { x: 5000, y: 4000 },
      height: 250,
      width: 800,
      widthFactor: 1,
      rotation: 0,
      typeface: '',
      role: '',
      ...on,
    } as const;
    const shown = (align?: 'left' | 'centre' | 'right'): Item | undefined =>
      pieceItems(piece(), { items: [align ? { ...text, align } : text] }, typefaces)[0];
    expect(shown('left')).toMatchObject({ at: { x: 140, y: 70 }, height: 2.5, typeface: 'Plain' });
    expect(shown('right')).toMatchObject({ at: { x: expect.closeTo(148 - natural, 9), y: 70 } });
    expect(shown('centre')).toMatchObject({ at: { x: expect.closeTo(144 - natural / 2, 9), y: 70 } });
    expect(shown()).toMatchObject({ width: 8, widthFactor: expect.closeTo(8 / natural, 9) });
  });

  test('takes letters that the typeface of the office lacks from its fallback, as wide as they then are', () => {
    const greek = pairwiseTypeface(
      { name: 'Greek', unitsPerEm: 1000, capHeight: 700, descent: 200, stem: 90 },
      (words) => 800 * words.length,
      () => true,
    );
    const latin = { ...typefaces.get('Plain')!, has: (code: number) => code < 0x370 };
    const both: Typefaces = new Map([
      ['Plain', latin],
      ['Greek', greek],
    ]);
    const anchored = {
      kind: 'text',
      text: 'R 5 Ω',
      at: { x: 5000, y: 4000 },
      height: 250,
      width: 800,
      widthFactor: 1,
      rotation: 90,
      typeface: '',
      role: '',
      align: 'right',
      ...on,
    } as const;
    // Capitals of 2.5 mm: four letters of 500 / 700 × 2.5, one of 800 / 700 × 2.5.
    const wide = ((4 * 500 + 800) * 2.5) / 700;
    const [shown] = pieceItems(piece({ fallback: 'Greek' }), { items: [anchored] }, both);
    expect(shown).toMatchObject({ width: expect.closeTo(wide, 9), at: { y: expect.closeTo(70 + 8 - wide, 9) } });
    expect(drawnTexts(shown as TextItem)).toMatchObject([
      { text: 'R 5 ', typeface: 'Plain' },
      { text: 'Ω', typeface: 'Greek', at: { y: expect.closeTo(78 - (800 * 2.5) / 700, 9) } },
    ]);
    expect(pieceItems(piece(), { items: [anchored] }, both)[0]).not.toHaveProperty('runs');
  });

  test('keeps dashes as long on paper at every scale', () => {
    const items = [{ ...stroke([1000, 2000, 2000, 2000]), dashes: [3, 1.5] }];
    for (const perUnit of [0.01, 0.02, 0.05]) {
      expect(pieceItems(piece({ perUnit }), { items }, typefaces)).toMatchObject([{ dashes: [3, 1.5] }]);
    }
  });
});

describe('what is kept of a drawing', () => {
  test('layers are counted, and the lowest lettering is known', () => {
    const text = (height: number): Item => ({
      kind: 'text',
      text: 'A',
      at: { x: 5, y: 5 },
      height,
      width: 1,
      widthFactor: 1,
      rotation: 0,
      typeface: '',
      role: '',
      ...on,
      layer: 'Text',
    });
    const read = sourceSpace([stroke([0, 0, 10, 20]), stroke([0, 0, 5, 5]), text(2), text(1.5)]);
    expect(read?.summary).toEqual({
      box: { x: 0, y: 0, width: 10, height: 20 },
      layers: [
        { name: 'A', items: 2 },
        { name: 'Text', items: 2 },
      ],
      items: 4,
      leastText: 1.5,
    });
  });

  test('nothing, or nothing but a level line, is no drawing', () => {
    expect(sourceSpace([])).toBeUndefined();
    expect(sourceSpace([stroke([0, 0, 10, 0])])).toBeUndefined();
  });

  test('a stray point far away does not make a plan tiny', () => {
    const plan = Array.from({ length: 600 }, (_, i) => stroke([i, 0, i, 400]));
    const box = sourceSpace([...plan, stroke([1e8, 1e8, 1e8 + 1, 1e8 + 1])])!.summary.box;
    expect(box).toEqual({ x: 0, y: 0, width: 599, height: 400 });
  });
});

describe('the unit of a drawing', () => {
  test.each([
    ['what the file says', { width: 62, height: 40 }, 1000, 1000],
    ['millimetres for a building', { width: 62_000, height: 40_000 }, undefined, 1],
    ['metres where millimetres would be a toy', { width: 62, height: 40 }, undefined, 1000],
  ])('is %s', (_what, box, said, mm) => expect(likelyUnit(box, said)).toBe(mm));

  test('is inches or feet first in an office that works in inches', () => {
    expect(likelyUnit({ width: 2016, height: 864 }, undefined, 'in')).toBe(25.4);
    expect(likelyUnit({ width: 2, height: 1 }, undefined, 'in')).toBe(304.8);
  });

  test('a house of 30 mm or of 60 km is doubtful', () => {
    expect(isLikelyUnit({ width: 30, height: 20 }, 1)).toBe(false);
    expect(isLikelyUnit({ width: 62_000, height: 1 }, 1000)).toBe(false);
    expect(isLikelyUnit({ width: 62_000, height: 1 }, 1)).toBe(true);
  });
});
