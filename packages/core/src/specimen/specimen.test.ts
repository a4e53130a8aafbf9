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
  const { items, width } = sizeOutlines([sheetSize('ISO A1'), sheetSize('ARCH D')], 'ARCH D', TEST_TYPEFACES);
  expect(width).toBeCloseTo(36 * inch, 9);
  const outlines = items.filter((item) => item.kind === 'stroke');
  expect(outlines).toHaveLength(2);
  expect(outlines.filter((item) => item.colour !== undefined)).toHaveLength(1);
});
