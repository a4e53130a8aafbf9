import { composeSheet } from '../../compose';
import type { TickBoxes } from '../../design';
import { newParameter } from '../../parameter';
import type { OfficeStandard } from '../../standard';
import { STARTING_STANDARD } from '../../standard';
import { EVERY_CONTENT } from '../../testing/contents';
import { cell, designWith } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';
import type { TickBoxesLayout } from './tickBoxes';

const own = { ...newParameter({ id: 'own', key: 'sheet.zone', name: 'Zone' }), kind: 'choice' as const };
const standard: OfficeStandard = {
  ...STARTING_STANDARD,
  parameters: [{ ...own, choices: ['North', 'South', 'East'] }],
};
const TICKS: TickBoxes = { ...EVERY_CONTENT.ticks, side: '4 mm', when: 'sheet.width > 0 mm' };

function solved(change: Partial<TickBoxes>, value: string, on = standard, width = '80 mm') {
  const design = designWith(cell('c', [{ ...TICKS, ...change }]), { dock: 'lower-right', width, height: '30 mm' });
  const values = { 'sheet.zone': value };
  const layout = solveDesign(design, { size: 'ISO A3', values, standard: on, typefaces: TEST_TYPEFACES });
  const { items } = composeSheet(design, layout, { standard: on, typefaces: TEST_TYPEFACES, values });
  return { placed: layout.placed[0] as TickBoxesLayout, findings: layout.findings, items };
}
const ticked = (value: string): boolean[] => solved({}, value).placed.boxes.map((box) => box.ticked);

test('the box whose value the parameter has is ticked, whatever its capitals and blanks', () => {
  expect(ticked('North')).toEqual([true, false]);
  expect(ticked(' south ')).toEqual([false, true]);
  expect(ticked('')).toEqual([false, false]);
});

test('a value that names several boxes ticks each of them', () => {
  expect(ticked('North, South')).toEqual([true, true]);
  expect(ticked('East; south')).toEqual([false, true]);
});

test('an empty value ticks no box, not even one without a value', () => {
  expect(solved({ boxes: [{ value: '', words: 'None' }] }, '').placed.boxes[0]!.ticked).toBe(false);
});

test('boxes stand below one another in their order, or beside one another without running into the words before', () => {
  const [first, second] = solved({}, 'North').placed.boxes;
  expect(first!.x).toBe(second!.x);
  expect(first!.y - second!.y).toBeGreaterThan(4);
  const [left, right] = solved({ arrangement: 'beside' }, 'North').placed.boxes;
  expect(left!.y).toBe(right!.y);
  expect(right!.x).toBeGreaterThan(left!.words.x + left!.words.width);
});

test('boxes stand a step apart where one is set; one that is too small for their words is a finding', () => {
  const [first, second] = solved({ step: '9 mm' }, 'North').placed.boxes;
  expect(first!.y - second!.y).toBeCloseTo(9, 6);
  const [left, right] = solved({ step: '35 mm', arrangement: 'beside' }, 'North').placed.boxes;
  expect(right!.x - left!.x).toBeCloseTo(35, 6);
  const tight = solved({ step: '5 mm', arrangement: 'beside' }, 'North').findings;
  expect(tight).toMatchObject([{ kind: 'overlap', mend: expect.stringContaining('make their step') as string }]);
});

test('words stand beside the middle of their box', () => {
  const { boxes, side } = solved({}, 'North').placed;
  for (const box of boxes) expect(box.words.y + 2 / 2).toBeCloseTo(box.y + side / 2, 6);
});

test('a tick is drawn as a cross within its box, on the layer of values', () => {
  const strokes = (value: string) =>
    solved({}, value).items.filter(
      (item) => item.kind === 'stroke' && 'cell' in item && item.cell === 'c' && !item.closed,
    );
  expect(strokes('')).toHaveLength(0);
  expect(strokes('South')).toHaveLength(2);
});

test('boxes without lines still show the tick', () => {
  const strokes = (pen: string, closed: boolean): number =>
    solved({ pen }, 'South').items.filter(
      (item) => item.kind === 'stroke' && 'cell' in item && item.cell === 'c' && item.closed === closed,
    ).length;
  // Two boxes fewer; what is closed besides them is the panel's outline.
  expect(strokes('fine', true) - strokes('none', true)).toBe(2);
  expect(strokes('none', false)).toBe(2);
});

test.each<[string, Partial<TickBoxes>, string, OfficeStandard, string, string[]]>([
  ['nothing where all is well', {}, 'North', standard, '80 mm', []],
  ['a missing value', {}, '', standard, '80 mm', ['Zone is missing, so no box is ticked']],
  ['a value of no box', {}, 'East', standard, '80 mm', ['Zone is “East”, which is none of the tick boxes']],
  [
    'a parameter that the office does not have',
    {},
    'North',
    STARTING_STANDARD,
    '80 mm',
    ['the tick boxes ask for {sheet.zone}, and there is no such parameter'],
  ],
  [
    'a role that the office does not have',
    { role: 'gone' },
    'North',
    standard,
    '80 mm',
    ['the office standard has no lettering role "gone", so words of the tick boxes are left out'],
  ],
  [
    'a cell that is too narrow',
    { boxes: [{ value: 'North', words: '' }], side: '20 mm' },
    'North',
    standard,
    '10 mm',
    ['the block of tick boxes is 12.4 mm larger than its cell'],
  ],
])('it is said of tick boxes: %s', (_what, change, value, on, width, messages) => {
  expect(solved(change, value, on, width).findings.map(({ message }) => message)).toEqual(messages);
});

test('a tick that is not set needs no box of its own', () => {
  const tick: OfficeStandard = { ...STARTING_STANDARD, parameters: [{ ...own, kind: 'tick' }] };
  expect(solved({ boxes: [{ value: 'yes', words: 'Checked' }] }, 'no', tick).findings).toEqual([]);
  expect(solved({ boxes: [{ value: 'yes', words: 'Checked' }] }, 'yes', tick).placed.boxes[0]!.ticked).toBe(true);
});
