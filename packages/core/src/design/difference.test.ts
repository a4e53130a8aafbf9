import { STARTING_STANDARD } from '../standard';
import { caption, cell, designWith, divided, field } from '../testing/designs';
import type { Design } from '.';
import {
  addContent,
  addPanel,
  designDifferences,
  dimensionUses,
  divideCell,
  movePanel,
  readTracks,
  removeContent,
  setCell,
  setContent,
  setDimension,
  setLoose,
  setPanel,
  setSize,
  setTrack,
} from '.';

const base = setDimension(
  designWith(
    divided('root', 'rows', [{ share: 1 }, { fixed: '20 mm' }], [cell('a', [field('f', '{sheet.title}')]), cell('b')]),
    {
      dock: 'right',
      width: 'strip',
    },
  ),
  'strip',
  '90 mm',
);
const words = (next: Design): string[] => designDifferences(base, next).map((each) => each.words);

test('nothing differs from itself, however its keys are ordered', () => {
  const reordered = JSON.parse(JSON.stringify(base), (_key, value: unknown) =>
    value && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).reverse())
      : value,
  ) as Design;
  expect(words(reordered)).toEqual([]);
});

test.each<[string, (design: Design) => Design, string[]]>([
  ['a dimension', (d) => setDimension(d, 'strip', '80 mm'), ['dimension strip: 90 mm → 80 mm']],
  ['a dimension on one size', (d) => setDimension(d, 'strip', '62 mm', 'ISO A3'), ['strip on ISO A3: 90 mm → 62 mm']],
  ['a new dimension', (d) => setDimension(d, 'row', '5 mm'), ['dimension row: 5 mm is new']],
  ['a track', (d) => setTrack(d, 'root', 'rows', 1, { fixed: '24 mm' }), ['root, row 2: 20 → 24']],
  ['a name', (d) => setCell(d, 'a', { name: 'Title' }), ['cell: “a” → “Title”']],
  ['a condition', (d) => setCell(d, 'b', { when: 'sheet.width > 1 m' }), ['b, shown when: sheet.width > 1 m is new']],
  [
    'a division',
    (d) => divideCell(d, 'b', 'columns', readTracks('* | *', 'mm')),
    ['b is divided', 'cell Empty cell is new', 'cell Empty cell is new'],
  ],
  ['a new caption', (d) => addContent(d, 'b', caption('c', 'Date')), ['b: the caption “Date” is new']],
  ['a field that is gone', (d) => removeContent(d, 'f'), ['a: the field “{sheet.title}” is gone']],
  [
    'another role',
    (d) => setContent(d, field('f', '{sheet.title}', { role: 'title' })),
    ['a: the field “{sheet.title}” has another role'],
  ],
  [
    'a panel',
    (d) => addPanel(d, { name: 'Notes', dock: 'left', width: '50 mm' }, STARTING_STANDARD),
    ['panel Notes is new'],
  ],
  ['a dock', (d) => setPanel(d, 'panel', { dock: 'left' }), ['Panel, place: right → left']],
  ['a size', (d) => setSize(d, 'ISO A0', 'landscape'), ['size ISO A0 is new']],
  ['a turned size', (d) => setSize(d, 'ISO A3', 'portrait'), ['ISO A3 is portrait now']],
  [
    'a stamp',
    (d) =>
      setLoose(d, {
        id: 's',
        kind: 'stamp',
        pattern: 'Draft',
        role: 'title',
        angle: 0,
        boxed: false,
        at: { of: 'frame', anchor: 'centre', x: '0', y: '0' },
      }),
    ['the stamp “Draft” is new'],
  ],
])('%s', (_what, edit, expected) => {
  expect(words(edit(base))).toEqual(expected);
});

test('panels that dock in another order are said once', () => {
  const two = addPanel(base, { name: 'Notes', dock: 'left', width: '50 mm' }, STARTING_STANDARD);
  expect(designDifferences(two, movePanel(two, 'panel', 1)).map((each) => each.words)).toEqual([
    'the panels dock in another order',
  ]);
});

test('a difference names the cell it concerns', () => {
  expect(designDifferences(base, setCell(base, 'b', { padding: '2 mm' }))).toEqual([
    { words: 'b, padding: 2 mm is new', cell: 'b' },
  ]);
});

test('what a dimension depends on, and what uses it', () => {
  const design = setDimension(setDimension(base, 'half', 'strip / 2'), 'strip', 'sheet.width / 10', 'ISO A3');
  expect(dimensionUses(design)).toEqual([
    { name: 'strip', dependsOn: ['sheet.width'], usedBy: ['dimension half', 'the width of Panel'] },
    { name: 'half', dependsOn: ['strip'], usedBy: [] },
  ]);
});
