import { MM_PER } from '../quantity';
import { INCH_DIMENSIONS, LETTERING_TYPEFACE, sheetSize, SHEET_SIZES, STARTING_STANDARD } from '../standard';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { dimensionItems, dimensionParts } from './dimensionSpecimen';
import { letteringSpecimen } from './letteringSpecimen';
import { specimenSheet } from './lineSpecimen';
import { frameSpecimen, sizeOutlines } from './sheetSpecimen';

const inch = MM_PER.in;
const style = { ...INCH_DIMENSIONS, typeface: LETTERING_TYPEFACE };

// Worked example 11 (common practice): lettering and ticks 3/32 in, extension past the dimension line 1/8 in, lettering
// 1/32 in off the line.
test('a dimension has its sizes on paper', () => {
  const parts = dimensionParts(style, 0, 10);
  expect(parts.extensionTo - 10).toBeCloseTo(inch / 8, 9);
  expect(parts.figures - 10).toBeCloseTo(inch / 32, 9);
  const items = dimensionItems(style, [0, 50], [0, 10], 6 * MM_PER.ft + 8 * inch, STARTING_STANDARD, TEST_TYPEFACES);
  const text = items.find((item) => item.kind === 'text');
  expect(text).toMatchObject({ height: (3 / 32) * inch, at: { y: 10 + inch / 32 } });
  const ticks = items.filter((item) => item.kind === 'stroke' && item.points[0] !== item.points[2]).slice(1);
  for (const tick of ticks) {
    if (tick.kind !== 'stroke') throw new Error('a tick is a stroke');
    const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = tick.points;
    expect(Math.hypot(x1 - x0, y1 - y0)).toBeCloseTo((3 / 32) * inch, 9);
  }
  expect(ticks).toHaveLength(2);
});

test('lettering stands between its base line and its cap line', () => {
  const role = STARTING_STANDARD.roles.find((each) => each.id === 'title')!;
  const { items } = letteringSpecimen(role, STARTING_STANDARD, TEST_TYPEFACES);
  const lines = items.flatMap((item) => (item.kind === 'text' && item.height === role.height ? [item.at.y] : []));
  expect(lines[0]! - lines[1]!).toBeCloseTo(role.height * 1.5, 9);
  const guides = items.flatMap((item) => (item.kind === 'stroke' && item.colour ? [item.points[1]] : []));
  expect(guides).toEqual(expect.arrayContaining(lines.flatMap((y) => [y, y + role.height])));
});

test('the specimen sheet stays on its paper', () => {
  const { items, width, height } = specimenSheet(STARTING_STANDARD, 'Quillwater Studio', TEST_TYPEFACES);
  for (const item of items) {
    if (item.kind === 'stroke') expect(Math.max(...item.points)).toBeLessThan(height);
    if (item.kind === 'text') expect(item.at.x + item.width).toBeLessThanOrEqual(width);
  }
});

test('every shipped size has its frame drawn by its rule', () => {
  for (const size of SHEET_SIZES) {
    const drawing = frameSpecimen(size, 'frame', STARTING_STANDARD, TEST_TYPEFACES);
    expect(drawing).toMatchObject({ width: size.width, height: size.height });
  }
});

// ISO 5457 (from memory): on A4 the zones are marked along the top and the right only.
test('zones stand on the edges of the rule, folds and trimming marks where it asks for them', () => {
  const marks = (name: string): string[] =>
    frameSpecimen(sheetSize(name), 'frame', STARTING_STANDARD, TEST_TYPEFACES).items.flatMap((item) =>
      item.kind === 'text' ? [item.text] : [],
    );
  expect(marks('ISO A4').filter((mark) => mark === '1')).toHaveLength(1);
  expect(marks('ISO A3').filter((mark) => mark === '1')).toHaveLength(2);
  const a1 = frameSpecimen(sheetSize('ISO A1'), 'frame', STARTING_STANDARD, TEST_TYPEFACES);
  expect(a1.items.filter((item) => item.kind === 'fill')).toHaveLength(4);
  const atFoot = a1.items.flatMap((item) =>
    item.kind === 'stroke' && item.points[1] === 0 && item.points[3] === 5 ? [item.points[0]] : [],
  );
  expect(atFoot).toEqual([210, 335.5, 461, 651]);
});

test('outlines are true to scale, over each other, the chosen one marked', () => {
  const { items, width, height } = sizeOutlines([sheetSize('ISO A1'), sheetSize('ARCH D')], 'ARCH D', TEST_TYPEFACES);
  const outlines = items.filter((item) => item.kind === 'stroke');
  expect(outlines).toHaveLength(2);
  const [marked, ...others] = outlines.filter((item) => item.colour !== undefined);
  expect(others).toHaveLength(0);
  const xs = marked?.points.filter((_, i) => i % 2 === 0) ?? [];
  const ys = marked?.points.filter((_, i) => i % 2 === 1) ?? [];
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(36 * inch, 9);
  // The widest line is not cut at the edge of the drawing.
  const half = (marked?.width ?? 0) / 2;
  expect(Math.min(...xs, ...ys)).toBeGreaterThanOrEqual(half);
  expect(width - Math.max(...xs)).toBeGreaterThanOrEqual(half - 1e-9);
  expect(height - Math.max(...ys)).toBeGreaterThanOrEqual(half - 1e-9);
});

test('no name in the outlines of sizes is crossed by the edge of another sheet', () => {
  // The upper edge of D runs just under that of the board, where its name would stand.
  const board = { ...sheetSize('ISO A1'), name: 'Board 900 x 600', width: 900, height: 600 };
  const roll = { ...sheetSize('ISO A1'), name: 'Harbour long', width: 1800, height: 841 };
  const sizes = [board, sheetSize('ASME D'), roll];
  const { items } = sizeOutlines(sizes, 'ASME D', TEST_TYPEFACES);
  const names = items.filter((item) => item.kind === 'text');
  expect(names).toHaveLength(3);
  const outlines = items.filter((item) => item.kind === 'stroke').map(({ points }) => points);
  for (const { at, height } of names) {
    const crossing = outlines.filter((points) => {
      const [right, upper] = [Math.max(...points.filter((_, i) => i % 2 === 0)), points[points.length - 1] ?? 0];
      return right > at.x && upper > at.y && upper < at.y + height;
    });
    expect(crossing).toEqual([]);
  }
});
