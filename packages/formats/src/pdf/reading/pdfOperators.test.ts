import type { Item } from '@mendrel/core';
import { lineworkOf } from './pdfOperators';
import { textItemsOf } from './pdfTexts';

const TO_MM = [25.4 / 72, 0, 0, 25.4 / 72, 0, 0] as const;
const NAMES = new Map([
  [20, 'stroke'],
  [22, 'fill'],
]);
const path = (how: number, ...data: number[]) => ({ name: 'constructPath', args: [how, [Float32Array.from(data)]] });
const op = (name: string, ...args: unknown[]) => ({ name, args });
const read = (...operators: { name: string; args: unknown[] }[]) =>
  lineworkOf(operators, TO_MM, new Map([['7R', { name: 'A-PLAN', shown: false }]]), NAMES);

test('paths are placed by every matrix over them, and only as far as it reaches', () => {
  const { items } = read(
    op('save'),
    op('transform', 2, 0, 0, 2, 72, 0),
    op('setLineWidth', 1),
    path(20, 0, 0, 0, 1, 36, 0),
    op('restore'),
    path(20, 0, 0, 0, 1, 72, 0, 4),
  );
  const [inner, outer] = items as Extract<Item, { kind: 'stroke' }>[];
  expect(inner!.points.map((each) => Math.round(each * 1e6) / 1e6)).toEqual([25.4, 0, 50.8, 0]);
  expect(inner!.width).toBeCloseTo((2 * 25.4) / 72, 9);
  expect(outer).toMatchObject({ closed: true });
});

test('dashes are kept with the pen, in mm, until a pattern says otherwise', () => {
  const across = path(20, 0, 0, 0, 1, 72, 0);
  const { items } = read(
    op('setDash', [72, 36], 0),
    across,
    op('setDash', [18], 0),
    across,
    op('setDash', [], 0),
    across,
  );
  const pens = (items as Extract<Item, { kind: 'stroke' }>[]).map(({ dashes, oldPen }) => ({ dashes, oldPen }));
  const oldPen = { drawnWidth: 25.4 / 72 };
  expect(pens).toEqual([
    { dashes: [25.4, 12.7], oldPen },
    { dashes: [6.35, 6.35], oldPen },
    { dashes: undefined, oldPen },
  ]);
});

test('a picture that stands upright is told with its place, one that is turned is left out', () => {
  const { images, dropped } = read(
    op('transform', 72, 0, 0, 36, 144, 72),
    op('paintImageXObject', 'upright'),
    op('transform', 0, 1, -1, 0, 0, 0),
    op('paintImageXObject', 'turned'),
  );
  expect(images).toHaveLength(1);
  const [{ id, x, y, width, height }] = images as [(typeof images)[number]];
  expect([id, ...[x, y, width, height].map((each) => Math.round(each * 1e6) / 1e6)]).toEqual([
    'upright',
    50.8,
    25.4,
    25.4,
    12.7,
  ]);
  expect(dropped).toEqual([{ layer: '0', entities: 1, why: 'a picture that does not stand upright, or one too many' }]);
});

test('what is more than a page may hold is counted', () => {
  const lines = Array.from({ length: 500_000 }, (_, i) => [0, i % 100, 0, 1, i % 100, 72]);
  const many = op('constructPath', 20, [Float32Array.from(lines.flat())]);
  const { items, dropped } = read(many, path(20, 0, 0, 0, 1, 72, 0), path(20, 0, 0, 0, 1, 72, 0));
  expect(items).toHaveLength(500_000);
  expect(dropped).toEqual([{ layer: '0', entities: 2, why: 'the page has over 500000 lines and areas' }]);
});

test('areas are areas, white ones are counted, layers that are off are left out', () => {
  const square = [0, 0, 0, 1, 72, 0, 1, 72, 72, 4];
  const { items, dropped } = read(
    path(22, ...square),
    op('setFillRGBColor', '#ffffff'),
    path(22, ...square),
    op('beginMarkedContentProps', 'OC', { type: 'OCG', id: '7R' }),
    path(20, ...square),
    op('endMarkedContent'),
    op('paintImageMaskXObject', 'img'),
  );
  expect(items.map(({ kind }) => kind)).toEqual(['fill']);
  expect(dropped).toEqual([
    { layer: '0', entities: 1, why: 'a white area' },
    { layer: 'A-PLAN', entities: 1, why: 'the layer is off' },
    { layer: '0', entities: 1, why: 'a picture of dots' },
  ]);
});

test('a curve stays within a fiftieth of a millimetre of itself', () => {
  const k = 0.5522847498;
  const { items } = read(path(20, 0, 72, 0, 2, 72, 72 * k, 72 * k, 72, 0, 72));
  const { points } = items[0] as Extract<Item, { kind: 'stroke' }>;
  for (let i = 0; i < points.length - 2; i += 2) {
    const [x, y] = [(points[i]! + points[i + 2]!) / 2, (points[i + 1]! + points[i + 3]!) / 2];
    // Reference: a quarter of a circle of one inch; the cubic itself is 0.03 % off.
    expect(Math.abs(Math.hypot(x, y) - 25.4)).toBeLessThan(0.03);
  }
});

test('words that follow each other on a line are one text; those far apart are two', () => {
  const at = (words: string, x: number, width: number) => ({
    words,
    matrix: [10, 0, 0, 10, x, 100],
    width,
    capitals: 0.7,
  });
  const texts = textItemsOf([at('GROUND', 0, 40), at('FLOOR', 43, 30), at('1:50', 200, 20), at(' ', 90, 3)], TO_MM);
  expect(texts.map(({ text }) => text)).toEqual(['GROUND FLOOR', '1:50']);
  expect(texts[0]!.height).toBeCloseTo((7 * 25.4) / 72, 9);
  expect(texts[0]!.at.y).toBeCloseTo((100 * 25.4) / 72, 9);
});

test('nested instructions without end leave what can be drawn', () => {
  const saves = Array.from({ length: 50_000 }, () => op('save'));
  expect(read(...saves, path(20, 0, 0, 0, 1, 1, 1)).items).toHaveLength(1);
});
