import type { Item } from '../drawing';
import { STARTING_STANDARD } from '../standard';
import { oldLine, oldText } from '../testing/oldLinework';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { convertLegacy } from './convert';
import type { Corrections } from './corrections';

const line = (x0: number, y0: number, x1: number, y1: number, layer = 'BLOCK'): Item =>
  oldLine([x0, y0, x1, y1], { layer });
const box = (x: number, y: number, width: number, height: number, layer?: string): Item[] => [
  line(x, y, x + width, y, layer),
  line(x + width, y, x + width, y + height, layer),
  line(x, y + height, x + width, y + height, layer),
  line(x, y, x, y + height, layer),
];
const word = (text: string, x: number, y: number, height: number): Item => oldText(text, x, y, height, 'TEXT');
/** An A3 sheet with a block of three cells, a helping line through one of them, and a box apart from the block. */
const OLD: Item[] = [
  ...box(0, 0, 420, 297),
  ...box(20, 10, 390, 277),
  ...box(230, 10, 180, 29.98),
  line(320, 10, 320, 39.98),
  line(230, 24.99, 320, 24.99),
  line(365, 10, 365, 39.98, 'HELP'),
  word('TITLE', 232, 35.5, 1.8),
  word('Roof plan', 232, 27, 3.5),
  word('DRAWING NO.', 322, 35.5, 1.8),
  word('A-101', 322, 13, 5),
  word('DATE', 232, 20.5, 1.8),
  word('2019-04-01', 232, 12, 3.5),
  ...box(100, 150, 60, 20, 'STAMP'),
];
const converted = (corrections: Corrections = {}) =>
  convertLegacy({ items: OLD, source: { format: 'DXF', version: '', entities: OLD.length }, dropped: [] }, 'old', {
    standard: STARTING_STANDARD,
    typefaces: TEST_TYPEFACES,
    corrections,
  });

test('the layers of the old drawing are told, with how much of each belongs to the block', () => {
  expect(converted().report.layers).toEqual([
    { name: 'BLOCK', entities: 14, block: 14 },
    { name: 'HELP', entities: 1, block: 1 },
    { name: 'STAMP', entities: 4, block: 0 },
    { name: 'TEXT', entities: 6, block: 6 },
  ]);
});

test('a layer is left out by hand, and what it cut is one cell again', () => {
  const { report } = converted({ layers: { HELP: 'out' } });
  expect(report.cells).toHaveLength(converted().report.cells.length - 1);
  expect(report.dropped).toContainEqual({ layer: 'HELP', entities: 1, why: 'the layer was left out by hand' });
  expect(report.layers.find(({ name }) => name === 'HELP')).toEqual({ name: 'HELP', entities: 1, block: 0 });
});

test('what floats in the drawing area is part of the block when it is said so', () => {
  const before = converted().report;
  expect(before.dropped.some(({ layer }) => layer === 'STAMP')).toBe(true);
  const { report, design } = converted({ layers: { STAMP: 'block' } });
  expect(report.cells).toContainEqual(expect.objectContaining({ x: 100, y: 150, width: 60, height: 20 }));
  expect(design.panels.map(({ dock }) => dock)).toEqual(['lower-right', 'floating']);
  expect(report.dropped.some(({ layer }) => layer === 'STAMP')).toBe(false);
});

test('texts of a height get the role that is chosen for them, and can be found again', () => {
  const before = converted().report.lettering.find(({ height, role }) => height === 3.5 && role !== null)!;
  const set = { height: before.height, from: before.role!, to: 'number' };
  const { report } = converted({ roles: [set] });
  const after = report.lettering.find(({ height }) => height === 3.5);
  expect(after).toMatchObject({ role: 'number', found: before.role, texts: before.texts });
  expect(report.texts.find(({ text }) => text === 'Roof plan')?.role).toBe('number');
  expect(report.texts.find(({ text }) => text === 'A-101')?.role).toBe(
    converted().report.texts.find(({ text }) => text === 'A-101')?.role,
  );
  // A role that the office no longer has leaves texts as they were found.
  expect(converted({ roles: [{ ...set, to: 'gone' }] }).report.lettering).toEqual(converted().report.lettering);
});

test('lengths stay as they were drawn when that is wanted', () => {
  expect(converted().report.rounded).toContainEqual(expect.objectContaining({ measured: 29.98, taken: 30 }));
  const { report, design } = converted({ asDrawn: true });
  expect(report.rounded).toEqual([]);
  expect(JSON.stringify(design)).toContain('29.98 mm');
  expect(report.deviation.max).toBeLessThan(0.001);
});

test('ends are drawn to the lines that they miss, as far as is said', () => {
  // A divider that ends 1.4 mm under the line that it was to meet.
  const torn = OLD.map((item) => (item.kind === 'stroke' && item.points[0] === 320 ? line(320, 10, 320, 38.58) : item));
  const read = (corrections: Corrections) =>
    convertLegacy({ items: torn, source: { format: 'DXF', version: '', entities: torn.length }, dropped: [] }, 'old', {
      standard: STARTING_STANDARD,
      typefaces: TEST_TYPEFACES,
      corrections,
    }).report;
  const before = read({});
  const after = read({ reach: 1.5 });
  expect([before.reach, after.reach]).toEqual([0.54, 1.5]);
  expect(after.cells).toHaveLength(converted().report.cells.length);
  expect(before.cells.length).toBeLessThan(after.cells.length);
});

test('corrections hold beside each other', () => {
  const { report } = converted({ layers: { HELP: 'out', STAMP: 'block' }, asDrawn: true });
  expect(report.cells).toHaveLength(4);
  expect(report.rounded).toEqual([]);
});
