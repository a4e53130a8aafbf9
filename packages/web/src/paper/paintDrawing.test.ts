import type { Item, TextItem } from '@mendrel/core';
import { rectPoints } from '@mendrel/core';
import type { Told } from '../testing/recordedCanvas';
import { recordedCanvas } from '../testing/recordedCanvas';
import type { Painting } from './paintDrawing';
import { paintDrawing } from './paintDrawing';

const base = { layer: 'L', part: 'block' } as const;
const line = (width: number, y: number, colour?: string): Item => ({
  ...base,
  kind: 'stroke',
  points: [0, y, 10, y],
  closed: false,
  width,
  ...(colour === undefined ? {} : { colour }),
});
const text: TextItem = {
  ...base,
  kind: 'text',
  text: 'Ferry terminal',
  at: { x: 10, y: 20 },
  height: 5,
  width: 40,
  widthFactor: 0.9,
  rotation: 90,
  typeface: 'Barlow Semi Condensed SemiBold',
  role: '',
};
const image: Item = {
  ...base,
  kind: 'image',
  name: 'Mark',
  type: 'png',
  file: { data: '' },
  x: 0,
  y: 0,
  width: 40,
  height: 20,
  clip: { x: 5, y: 0, width: 30, height: 20 },
};

/** What a canvas is told of a drawing 100 mm high, at four pixels to a millimetre. */
function painted(items: Item[], painting: Partial<Painting> = {}): Told {
  const { context, told } = recordedCanvas();
  const viewport = { x: 7, y: 9, scale: 4 };
  paintDrawing(context, { width: 100, height: 100, items }, { viewport, ink: '#123', least: 1, ...painting });
  return told;
}
const names = (told: Told, ...of: string[]): unknown[] =>
  told.filter(([name]) => of.includes(name)).map(([name, ...values]) => (values.length > 0 ? [name, ...values] : name));

test('lines of one pen are drawn together, y down, in their own colour or the ink', () => {
  const told = painted([line(0.5, 10), line(0.25, 20, '#ff0000'), line(0.5, 30)]);
  expect(names(told, 'set strokeStyle', 'set lineWidth', 'moveTo', 'stroke')).toEqual([
    ['set strokeStyle', '#123'],
    ['set lineWidth', 0.5],
    ['moveTo', 0, 90],
    ['moveTo', 0, 70],
    'stroke',
    ['set strokeStyle', '#ff0000'],
    ['set lineWidth', 0.25],
    ['moveTo', 0, 80],
    'stroke',
  ]);
});

test('no line is thinner than asked for on the screen', () => {
  expect(names(painted([line(0.13, 10)]), 'set lineWidth')).toEqual([['set lineWidth', 0.25]]);
});

test('grounds lie under lines, whatever comes first in the drawing', () => {
  const ground: Item = {
    ...base,
    kind: 'fill',
    rings: [rectPoints({ x: 0, y: 0, width: 5, height: 5 })],
    colour: '#eee',
  };
  expect(names(painted([line(0.5, 10), ground]), 'fill', 'stroke')).toEqual([['fill', 'evenodd'], 'stroke']);
});

test('an arc runs counter-clockwise on paper', () => {
  const arc: Item = { ...base, kind: 'arc', centre: { x: 50, y: 40 }, radius: 10, from: 270, to: 360, width: 0.5 };
  const told = painted([arc]);
  const quarter = Math.round((Math.PI / 2) * 1000) / 1000;
  // On paper from below the centre to its right; on screen, with y down, that is from +90 degrees down to 0.
  expect(names(told, 'moveTo')).toEqual([['moveTo', 50, 70]]);
  const [, , , , from, to, backwards] = told.find(([name]) => name === 'arc')!;
  expect([Math.sin(Number(from)), Math.cos(Number(to)), backwards]).toEqual([
    expect.closeTo(1, 2),
    expect.closeTo(1, 2),
    true,
  ]);
  expect(Number(from) - Number(to)).toBeCloseTo(quarter, 2);
});

describe('a text', () => {
  test('is set in pixels of its height, where it begins, turned and condensed', () => {
    const told = painted([text], { emPerCapital: () => 1.5 });
    expect(names(told, 'translate', 'rotate', 'scale', 'set font', 'fillText')).toEqual([
      ['translate', 7, 9],
      ['scale', 4, 4],
      ['translate', 10, 80],
      ['rotate', -1.571],
      ['scale', 0.225, 0.25],
      ['set font', '600 30px "Barlow Semi Condensed"'],
      ['fillText', 'Ferry terminal', 0, 0],
    ]);
  });

  test('is a bar where texts are not written out, and nothing where that would be a speck', () => {
    expect(names(painted([text]), 'fillRect', 'fillText')).toEqual([['fillRect', 0, -4, 40, 3.25]]);
    expect(names(painted([{ ...text, height: 0.25 }]), 'fillRect')).toEqual([]);
  });
});

describe('an image', () => {
  test('that is not unpacked yet is a grey area as large as what shows of it', () => {
    expect(names(painted([image]), 'fillRect', 'drawImage')).toEqual([['fillRect', 5, 80, 30, 20]]);
  });

  test('that is unpacked is drawn whole, and cut', () => {
    const unpacked = {} as CanvasImageSource;
    const told = painted([image], { image: () => unpacked });
    expect(names(told, 'rect', 'clip', 'drawImage')).toEqual([
      ['rect', 5, 80, 30, 20],
      'clip',
      ['drawImage', unpacked, -20, -10, 40, 20],
    ]);
    expect(names(told, 'translate')).toContainEqual(['translate', 20, 90]);
  });

  test('that has an outline is cut at it as well', () => {
    const unpacked = {} as CanvasImageSource;
    const told = painted([{ ...image, outline: [5, 0, 35, 0, 20, 20] }], { image: () => unpacked });
    expect(names(told, 'rect', 'lineTo', 'clip')).toEqual([
      ['rect', 5, 80, 30, 20],
      'clip',
      ['lineTo', 5, 100],
      ['lineTo', 35, 100],
      ['lineTo', 20, 80],
      ['clip', 'evenodd'],
    ]);
  });

  test('that is turned is drawn about its middle, as large as it was before', () => {
    const upright = { ...image, x: 10, y: 0, width: 20, height: 40, turn: 90 as const };
    const told = painted([upright], { image: () => ({}) as CanvasImageSource });
    expect(names(told, 'rotate', 'drawImage')).toEqual([
      ['rotate', -1.571],
      ['drawImage', {}, -20, -10, 40, 20],
    ]);
  });

  test('that lies under the drawing is drawn before its lines', () => {
    const line: Item = { kind: 'stroke', points: [0, 0, 9, 0], closed: false, width: 0.5, layer: 'L', part: 'block' };
    const told = painted([{ ...image, under: true }, line], { image: () => ({}) as CanvasImageSource });
    const steps = told.map((each) => (Array.isArray(each) ? each[0] : each));
    expect(steps.indexOf('drawImage')).toBeLessThan(steps.indexOf('stroke'));
  });

  test('is left out where no letter of it can be in view, however it is turned', () => {
    const words = (at: TextItem['at'], rotation = 0): unknown[] =>
      names(painted([{ ...text, at, rotation }], { emPerCapital: () => 1.4 }), 'fillText');
    const [edge, reach] = [4000 / 4, text.width];
    for (const rotation of [0, 90, 180, 270]) {
      expect(words({ x: edge - 1, y: 20 }, rotation)).toHaveLength(1);
      expect(words({ x: 10, y: 100 - edge + reach }, rotation)).toHaveLength(1);
      expect(words({ x: edge + 2 * reach, y: 20 }, rotation)).toEqual([]);
      expect(words({ x: -2 * reach, y: 20 }, rotation)).toEqual([]);
      expect(words({ x: 10, y: 100 + 2 * reach }, rotation)).toEqual([]);
    }
  });
});
