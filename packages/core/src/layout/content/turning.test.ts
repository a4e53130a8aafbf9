import type { Content } from '../../design';
import { composeSheet } from '../../compose';
import type { Item } from '../../drawing';
import { boundsOf, placed, turned } from '../../drawing';
import { STARTING_STANDARD } from '../../standard';
import { EVERY_CONTENT, valuesFor } from '../../testing/contents';
import { cell, designWith } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';
import type { BoxContentKind } from './boxKinds';
import { BOX_KINDS } from './boxKinds';

/** What stands in a cell of its own, by the lower-left corner of the cell. */
function drawnIn(content: Content, width: number, height: number): { items: Item[]; said: string[] } {
  const design = {
    ...designWith(
      { ...cell('c', [content]), padding: '1 mm' },
      { dock: 'lower-right', width: `${width} mm`, height: `${height} mm` },
    ),
    dimensions: [{ name: 'gap', formula: '5 mm' }],
  };
  const values = valuesFor(content);
  const on = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES, values };
  const layout = solveDesign(design, { size: 'ISO A1', ...on });
  const { x, y } = layout.cells.find(({ id }) => id === 'c')!;
  const items = composeSheet(design, layout, on)
    .items.filter((item) => item.cell === 'c')
    .map((item) => placed(item, 1, -x, -y));
  const outline = items.findIndex((item) => item.kind === 'stroke' && item.closed && boundsOf(item).width === width);
  if (outline >= 0) items.splice(outline, 1);
  return { items, said: layout.findings.map(({ message }) => message) };
}

/** Items by what they cover, to the ten thousandth of a millimetre. */
const covered = (items: readonly Item[]): string[] =>
  items.map(
    (item) =>
      `${item.kind} ${Object.values(boundsOf(item))
        .map((each) => (each + 0).toFixed(4))
        .join(' ')}`,
  );

const [LONG, SHORT] = [90, 70];

describe.each(Object.keys(BOX_KINDS) as BoxContentKind[])('%s', (kind) => {
  const content = { ...EVERY_CONTENT[kind], horizontal: 'left', vertical: 'bottom' } as Content;
  const level = drawnIn(content, LONG, SHORT);

  // A cell of the same room, turned with what stands in it, shows the same; where its corner then lies is known.
  test.each([
    [90, SHORT, LONG, SHORT, 0],
    [180, LONG, SHORT, LONG, SHORT],
    [270, SHORT, LONG, 0, LONG],
  ] as const)('turned by %i degrees it is what it is level, turned', (rotation, width, height, dx, dy) => {
    const { items, said } = drawnIn({ ...content, rotation }, width, height);
    expect(said).toEqual(level.said);
    const expected = level.items.map((item) => placed(turned(item, rotation), 1, dx, dy));
    if (kind === 'symbol') {
      // North stays where it is: only its place is turned.
      expect(items).toHaveLength(expected.length);
      return;
    }
    expect(covered(items)).toEqual(covered(expected));
  });
});

test('north points where it did, however its symbol stands', () => {
  const needle = (rotation: 0 | 90 | 180 | 270): number[] => {
    const { items } = drawnIn({ ...EVERY_CONTENT.symbol, horizontal: 'centre', vertical: 'middle', rotation }, 70, 70);
    const fill = items.find(({ kind }) => kind === 'fill');
    return fill?.kind === 'fill' ? fill.rings.flat().map((value) => Number(value.toFixed(6))) : [];
  };
  for (const rotation of [90, 180, 270] as const) expect(needle(rotation)).toEqual(needle(0));
});

test('a track as large as its content has the room of a turned one', () => {
  const bar = { ...EVERY_CONTENT.scaleBar, parameter: 'sheet.scale', rotation: 90 as const };
  const root = cell('it', [bar]);
  const design = {
    ...designWith(
      {
        ...cell('root'),
        division: {
          columns: [{ share: 1 }],
          rows: [{ share: 1 }, { fit: true as const }],
          children: [cell('rest'), root].map((each, row) => ({
            row,
            column: 0,
            rowSpan: 1,
            columnSpan: 1,
            cell: each,
          })),
        },
      },
      { dock: 'right', width: '80 mm' },
    ),
    dimensions: [{ name: 'gap', formula: '5 mm' }],
  };
  const on = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES, values: { 'sheet.scale': '1:50' } };
  const layout = solveDesign(design, { size: 'ISO A1', ...on });
  const errors = layout.findings.filter(({ weight }) => weight === 'error');
  expect(errors).toEqual([]);
  // It is as long as twelve gaps of 5 mm at most, which is up now.
  expect(layout.cells.find(({ id }) => id === 'it')!.height).toBeGreaterThan(40);
});

test('an image is turned with its place and its cut, and four quarters bring it back', () => {
  const image: Item = {
    kind: 'image',
    part: 'block',
    layer: 'PICTURES',
    name: 'Mark',
    type: 'png',
    file: { data: '' },
    x: 10,
    y: 20,
    width: 40,
    height: 10,
    clip: { x: 12, y: 20, width: 5, height: 10 },
  };
  const once = turned(image, 90);
  expect(once).toMatchObject({ x: -30, y: 10, width: 10, height: 40, turn: 90, clip: { x: -30, y: 12, height: 5 } });
  expect([90, 90, 90].reduce((item, degrees) => turned(item, degrees), once)).toEqual(image);
});
