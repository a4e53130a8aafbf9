import fc from 'fast-check';
import type { ArcItem, Item, TextItem } from '../drawing';
import {
  EXAMPLE_OUTLINE,
  markedNames,
  MOST_OUTLINE_CHARACTERS,
  OutlineError,
  outlineOf,
  outlineValue,
  readOutlineValue,
} from '.';

const base = { layer: '0', part: 'block' } as const;
const line = (points: number[], closed = false): Item => ({ ...base, kind: 'stroke', points, closed, width: 0.25 });
const box = (x: number, y: number, width: number, height: number): Item =>
  line([x, y, x + width, y, x + width, y + height, x, y + height], true);
const text = (words: string, x: number, y: number): TextItem => ({
  ...base,
  kind: 'text',
  text: words,
  at: { x, y },
  height: 2,
  width: 2,
  widthFactor: 1,
  rotation: 0,
  typeface: 'Any',
  role: '',
});

describe('what a drawing shows', () => {
  test('closed lines are the parts, called by the texts in them; what stands around all is a line', () => {
    const outline = outlineOf([
      box(100, 50, 60, 30),
      box(105, 55, 20, 20),
      box(125, 55, 30, 20),
      text('East', 140, 60),
      text('West', 110, 60),
      line([100, 40, 160, 40]),
    ]);
    expect(outline).toMatchObject({ width: 60, height: 40 });
    expect(outline.parts).toEqual([
      { name: 'East', ring: [25, 15, 55, 15, 55, 35, 25, 35] },
      { name: 'West', ring: [5, 15, 25, 15, 25, 35, 5, 35] },
    ]);
    expect(outline.lines).toEqual([
      [0, 0, 60, 0],
      [0, 10, 60, 10, 60, 40, 0, 40, 0, 10],
    ]);
  });

  test('without texts the parts have letters from left to right, a double counts once, a circle is a part', () => {
    const circle: ArcItem = { ...base, kind: 'arc', centre: { x: 50, y: 5 }, radius: 5, from: 0, to: 360, width: 0.2 };
    const filled: Item = { ...base, kind: 'fill', rings: [[0, 0, 10, 0, 10, 10, 0, 10]] };
    const { parts } = outlineOf([circle, box(20, 0, 10, 10), filled, box(0, 0, 10, 10)]);
    expect(parts.map(({ name, ring }) => [name, Math.min(...ring.filter((_, i) => i % 2 === 0))])).toEqual([
      ['A', 0],
      ['B', 20],
      ['C', 45],
    ]);
  });

  test('two parts of one name are told apart', () => {
    const { parts } = outlineOf([box(0, 0, 10, 10), box(20, 0, 10, 10), text('A', 4, 4), text('a', 24, 4)]);
    expect(parts.map(({ name }) => name)).toEqual(['A', 'a 2']);
  });

  test.each([
    ['no closed line', [line([0, 0, 10, 0, 10, 10])], 'no closed line'],
    ['parts without end', Array.from({ length: 61 }, (_, i) => box(i * 10, 0, 9, 9)), '61 closed lines'],
    [
      'corners without end',
      [
        line(
          Array.from({ length: 12_000 }, (_, i) => (i % 2 === 0 ? i : (i * 7919) % 9973)),
          true,
        ),
      ],
      'too many corners',
    ],
    ['nothing in it', [], 'no closed line'],
    ['no height', [line([0, 0, 10, 0, 20, 0], true)], 'no extent'],
  ])('one with %s is refused', (_, items, words) => {
    expect(() => outlineOf(items)).toThrow(OutlineError);
    expect(() => outlineOf(items)).toThrow(words);
  });
});

test('an outline that was read stays one, however long its parts are called', () => {
  const ring = (x: number, corners: number): Item =>
    line(Array.from({ length: corners }, (_, i) => [x + 9 * Math.cos(i * 5), 600 * Math.sin(i * 7)]).flat(), true);
  const kept = new Set<boolean>();
  // From well within what an outline may have to well beyond it.
  for (let corners = 20; corners <= 40; corners++) {
    const items = Array.from({ length: 60 }, (_, i) => ring(20 * i, corners));
    let outline;
    try {
      outline = outlineOf(items);
    } catch (error) {
      expect(error).toBeInstanceOf(OutlineError);
      kept.add(false);
      continue;
    }
    kept.add(true);
    const parts = outline.parts.map((part, i) => ({ ...part, name: `${i} `.padEnd(40, 'x') }));
    expect(readOutlineValue(outlineValue({ ...outline, parts }))?.parts).toHaveLength(60);
  }
  expect(kept).toEqual(new Set([true, false]));
});

describe('the value of an outline', () => {
  test('is read back as it was written, on its grid', () => {
    const place = fc.integer({ min: 0, max: 1000 });
    const ring = fc.array(place, { minLength: 6, maxLength: 20 }).map((list) => list.slice(0, list.length & ~1));
    fc.assert(
      fc.property(fc.array(ring, { minLength: 1, maxLength: 5 }), (rings) => {
        const parts = rings.map((each, i) => ({ name: `Part ${i}`, ring: each }));
        const value = outlineValue({ width: 1000, height: 600, parts, lines: [[0, 0, 1000, 0]] });
        const read = readOutlineValue(value);
        expect(read).toBeDefined();
        expect(outlineValue(read!)).toBe(value);
      }),
    );
  });

  test.each([
    ['words', 'Zone B'],
    ['a broken one', EXAMPLE_OUTLINE.slice(0, -3)],
    ['another document', '{"width":10}'],
    ['nothing in it', '{"width":10,"height":10,"parts":[],"lines":[]}'],
    ['two parts of one name', EXAMPLE_OUTLINE.replace('"B"', '"a"')],
    ['a part without extent', '{"width":10,"height":10,"parts":[{"name":"A","ring":[0,0]}],"lines":[]}'],
    ['too much', `{"width":10,${' '.repeat(MOST_OUTLINE_CHARACTERS)}"height":10,"parts":[],"lines":[[0,0,9,9]]}`],
  ])('%s is none', (_, value) => {
    expect(readOutlineValue(value)).toBeUndefined();
  });

  test('a mark names one part or several', () => {
    expect(markedNames('A, B')).toEqual(['A', 'B']);
    expect(markedNames(' North wing + Tower ')).toEqual(['North wing', 'Tower']);
    expect(markedNames('')).toEqual([]);
  });
});
