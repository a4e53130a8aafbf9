import type { Item } from '../drawing';
import { STARTING_STANDARD } from '../standard';
import { oldBox, oldLine, oldText } from '../testing/oldLinework';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { askedAt } from './asked';
import { convertLegacy } from './convert';

const items: Item[] = [
  oldBox(0, 0, 420, 297),
  oldBox(20, 10, 390, 277),
  oldLine([245, 10, 245, 80], { layer: 'RULES', oldPen: { weight: 0.5 } }),
  oldLine([245, 80, 410, 80], { layer: 'RULES', oldPen: { weight: 0.5 } }),
  oldLine([245, 40, 410, 40], { layer: 'RULES', oldPen: { weight: 0.25 } }),
  oldText('SHEET NO', 248, 35, 1.8),
  oldText('A-101', 248, 14, 5),
  oldText('TITLE', 248, 75, 1.8),
  oldText('Roof plan', 248, 44, 3.5, 'LETTERS'),
  oldLine([60, 100, 150, 187], { layer: 'PLAN' }),
  oldText('Kitchen', 100, 200, 3, 'PLAN'),
];
const { legacy, report } = convertLegacy(
  { items, source: { format: 'test', version: '', entities: items.length }, dropped: [] },
  'x',
  { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES },
);
const asked = (x: number, y: number) => askedAt(legacy, report, { x, y }, 1.5);

test('a text tells its layer, its height and what it was taken for', () => {
  expect(asked(250, 45)).toMatchObject({
    kind: 'text',
    words: 'Roof plan',
    layer: 'LETTERS',
    height: 3.5,
    became: { kind: 'text', text: { kind: 'field', parameter: 'sheet.title' } },
  });
});

test('a line tells its pen, and whether it is of the frame or the block', () => {
  expect(asked(300, 79.5)).toMatchObject({ kind: 'line', layer: 'RULES', pen: '0.50 mm', became: { kind: 'block' } });
  expect(asked(100, 10.4)).toMatchObject({ kind: 'line', became: { kind: 'frame' } });
});

test('what was left out says why', () => {
  expect(asked(102, 201)).toMatchObject({
    words: 'Kitchen',
    became: { kind: 'out', why: 'texts in the drawing area, outside of every cell' },
  });
  expect(asked(105, 143.5)).toMatchObject({ kind: 'line', layer: 'PLAN', became: { kind: 'out' } });
});

test('where nothing lies there is nothing to say', () => {
  expect(asked(200, 250)).toBeUndefined();
});
