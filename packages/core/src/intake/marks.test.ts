import type { ArcItem, Item } from '../drawing';
import { cell, designWith } from '../testing/designs';
import { oldBox, oldLine, readOldText } from '../testing/oldLinework';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { composeSheet } from '../compose';
import { layerName } from '../compose/layers';
import { solveDesign } from '../layout';
import { STARTING_STANDARD } from '../standard';
import type { MarkName } from './marks';
import { markOf } from './marks';
import type { ReadText } from './readText';

const circle = (x: number, y: number, radius: number): ArcItem => ({
  kind: 'arc',
  layer: '0',
  part: 'block',
  centre: { x, y },
  radius,
  from: 0,
  to: 360,
  width: 0.25,
});
const note = (words: string, x: number, y: number): ReadText => ({
  text: readOldText(words, x, y),
  kind: 'note',
  confidence: 1,
  why: '',
});
const cone = (narrow: number, wide: number): Item =>
  oldLine([narrow, 8, wide, 6, wide, 14, narrow, 12], { closed: true });

test.each<[string, Item[], ReadText[], MarkName | undefined]>([
  ['a circle with a needle under an N', [circle(10, 10, 8), oldLine([10, 2, 10, 18])], [note('N', 9, 19)], 'north'],
  ['the same without a letter', [circle(10, 10, 8), oldLine([10, 2, 10, 18])], [], undefined],
  [
    'fields in a row with figures',
    [0, 1, 2, 3].map((i) => oldBox(10 * i, 0, 10, 2)),
    [note('0', 0, 3), note('5 m', 40, 3)],
    'scale bar',
  ],
  ['fields in a row without figures', [0, 1, 2, 3].map((i) => oldBox(10 * i, 0, 10, 2)), [], undefined],
  [
    'a cone with its rings beside the large end',
    [cone(0, 10), circle(18, 10, 4), circle(18, 10, 2)],
    [],
    'first angle',
  ],
  ['a cone with its rings beside the small end', [cone(12, 22), circle(4, 10, 4), circle(4, 10, 2)], [], 'third angle'],
  ['two rings alone', [circle(18, 10, 4), circle(18, 10, 2)], [], undefined],
])('%s', (_what, linework, texts, symbol) => {
  expect(markOf({ linework, texts })).toBe(symbol);
});

// What this product draws itself is known again: ISO 5456-2 for the projections (from memory).
test.each(['first angle', 'third angle'] as const)('the mark of %s projection as it is drawn here', (symbol) => {
  const content = {
    id: 's',
    kind: 'symbol',
    symbol,
    height: '10 mm',
    horizontal: 'centre',
    vertical: 'middle',
    rotation: 0,
  } as const;
  const design = designWith(cell('c', [content]), { dock: 'lower-right', width: '80 mm', height: '30 mm' });
  const on = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES, values: {} };
  const { items } = composeSheet(design, solveDesign(design, { size: 'ISO A3', ...on }), on);
  const linework = items.filter(({ layer }) => layer === layerName(STARTING_STANDARD, 'pictures'));
  expect(markOf({ linework, texts: [] })).toBe(symbol);
});
