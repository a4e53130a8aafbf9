import type { Picture } from '../../design';
import { boundsOf } from '../../drawing';
import {
  MOST_PICTURE_CHARACTERS,
  pictureValue,
  readPictureValue,
  SHIPPED_PARAMETERS,
  valueProblem,
} from '../../parameter';
import { STARTING_STANDARD } from '../../standard';
import { cell, designWith } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { composeSheet } from '../../compose';
import { solveDesign } from '../solve';

const ASSET = 'ab'.repeat(32);
const LOGO = pictureValue({ type: 'png', columns: 400, rows: 100, asset: ASSET });
const PICTURE: Picture = {
  id: 'p',
  kind: 'picture',
  name: 'Logo',
  horizontal: 'left',
  vertical: 'bottom',
  rotation: 0,
  width: 40,
  height: 30,
  parameter: 'office.logo',
  linework: [],
};
const OWN = [{ kind: 'stroke' as const, points: [0, 0, 40, 30], closed: false }];

/** The picture in a cell of 60 by 50 mm. */
function shown(more: Partial<Picture>, values: Record<string, string>) {
  const content = { ...PICTURE, ...more };
  const design = designWith(
    { ...cell('c', [content]), padding: '5 mm' },
    { dock: 'lower-right', width: '60 mm', height: '50 mm' },
  );
  const layout = solveDesign(design, {
    size: 'ISO A1',
    values,
    standard: STARTING_STANDARD,
    typefaces: TEST_TYPEFACES,
  });
  const { items } = composeSheet(design, layout, { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES, values });
  return { layout, items };
}

test('a picture from data keeps its width, and the proportions of what it is filled with', () => {
  const { layout, items } = shown({}, { 'office.logo': LOGO });
  expect(layout.findings).toEqual([]);
  expect(items.find(({ kind }) => kind === 'image')).toMatchObject({ width: 40, height: 10, file: { asset: ASSET } });
});

test('linework from data stays linework, in its own colours, at the width of the picture', () => {
  const drawn = pictureValue({
    type: 'linework',
    width: 60,
    height: 20,
    linework: [
      { kind: 'fill', rings: [[0, 0, 60, 0, 60, 20]], colour: '#0f6e66' },
      { kind: 'stroke', points: [0, 0, 60, 20.0001], closed: false, width: 0.9 },
    ],
  });
  expect(drawn).toMatch(/^linework 60x20 \[.*20\],/);
  const image = { type: 'png' as const, columns: 10, rows: 10, asset: ASSET };
  const { layout, items } = shown({ image }, { 'office.logo': drawn });
  expect(layout.findings).toEqual([]);
  const pieces = items.filter(({ layer }) => /LOGO|PICT|IMAG/i.test(layer));
  expect(items.some(({ kind }) => kind === 'image')).toBe(false);
  const [fill, stroke] = pieces;
  expect(fill).toMatchObject({ kind: 'fill', colour: '#0f6e66' });
  const [x0 = 0, , x1 = 0] = fill?.kind === 'fill' ? fill.rings[0]! : [];
  expect(x1 - x0).toBeCloseTo(40, 6);
  expect(stroke).toMatchObject({ kind: 'stroke', width: expect.closeTo(0.6, 6) });
});

test.each([
  ['contain', 50, 12.5],
  ['cover', 200, 50],
] as const)('it fills its cell as %s says', (fitting, width, height) => {
  const { items } = shown({ fitting }, { 'office.logo': LOGO });
  expect(items.find(({ kind }) => kind === 'image')).toMatchObject({ width, height });
});

test('what is cut off at its sides is not there, and the rest stands as a picture of that size would', () => {
  const crop = { left: 25, right: 0, top: 20, bottom: 0 };
  const [whole] = shown({}, { 'office.logo': LOGO }).items.filter(({ kind }) => kind === 'image');
  const [cut] = shown({ crop }, { 'office.logo': LOGO }).items.filter(({ kind }) => kind === 'image');
  // 40 by 10 mm at the lower left: three quarters of its width and four fifths of its height are left, and begin there.
  if (whole?.kind !== 'image' || cut?.kind !== 'image') throw new Error('no image');
  expect(cut.clip).toEqual({ x: whole.x, y: whole.y, width: 30, height: 8 });
  expect(cut).toMatchObject({ x: whole.x - 10, y: whole.y, width: 40, height: 10 });
  // As large as goes in: the part that is left, not the whole.
  const [filling] = shown({ crop, fitting: 'contain' }, { 'office.logo': LOGO }).items.filter(
    ({ kind }) => kind === 'image',
  );
  expect(filling?.kind === 'image' && filling.clip).toMatchObject({ width: 50, height: expect.closeTo(13.333, 2) });
});

test('linework is cut where the picture is, and where its cell is that it covers', () => {
  const boxes = (more: Partial<Picture>) =>
    shown({ parameter: undefined, linework: OWN, ...more }, {}).items.flatMap((item) =>
      item.kind === 'stroke' && item.points.length === 4 && item.layer.includes('PICT') ? [boundsOf(item)] : [],
    );
  const [whole] = boxes({});
  expect(boxes({ crop: { left: 50, right: 0, top: 0, bottom: 0 } })).toEqual([
    expect.objectContaining({ x: whole!.x, width: expect.closeTo(20, 6), height: expect.closeTo(15, 6) }),
  ]);
  // 40 by 30 mm over a cell of 60 by 50: as wide as the cell would be high enough.
  const [covering] = boxes({ fitting: 'cover' });
  expect(covering!.width).toBeLessThanOrEqual(60.001);
  expect(covering!.height).toBeLessThanOrEqual(50.001);
});

test('the picture’s own stands where there is none, and a picture without either is a gap', () => {
  expect(shown({ linework: OWN }, {}).layout.findings).toEqual([]);
  expect(shown({}, {}).layout.findings).toEqual([
    expect.objectContaining({ weight: 'gap', message: 'Office logo is missing' }),
  ]);
});

test.each([
  ['office.crest', 'a picture asks for {office.crest}, and there is no such parameter'],
  ['office.name', 'Office is no picture'],
])('a picture that asks for %s is an error', (parameter, message) => {
  expect(shown({ parameter }, {}).layout.findings).toEqual([expect.objectContaining({ weight: 'error', message })]);
});

test('a line finer than is written keeps a width', () => {
  const line = { kind: 'stroke' as const, points: [0, 0, 1, 1], closed: false, width: 0.001 };
  const read = readPictureValue(pictureValue({ type: 'linework', width: 60, height: 20, linework: [line] }));
  expect(read).toMatchObject({ linework: [{ width: 0.01 }] });
});

test('a value that refers to a picture is read as it was written; anything else is none', () => {
  expect(readPictureValue(LOGO)).toEqual({ type: 'png', columns: 400, rows: 100, asset: ASSET });
  for (const text of [
    'linework 60x20 []',
    'linework 60x20 [{"kind":"fill"}]',
    'linework 0x20 [{"kind":"fill","rings":[[0,0,1,1,2,0]]}]',
    'linework 60x20 [{',
    `linework 60x20 [${' '.repeat(MOST_PICTURE_CHARACTERS)}]`,
    'logo.png',
    `gif 1x1 ${ASSET}`,
    `png 0x1 ${ASSET}`,
    `png 1x1 ${ASSET}a`,
    ` ${LOGO}`,
  ]) {
    expect(readPictureValue(text)).toBeUndefined();
    expect(valueProblem(SHIPPED_PARAMETERS.get('office.logo')!, text)).toContain('is a picture');
  }
  expect(valueProblem(SHIPPED_PARAMETERS.get('office.logo')!, LOGO)).toBeUndefined();
});
