import fc from 'fast-check';
import { STARTING_STANDARD } from '../standard';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { fitText } from './fit';
import { breakLines } from './lineBreaking';
import { pairwiseTypeface } from './typeface';

const measure = (line: string): number => line.length;
const words = fc
  .array(fc.stringMatching(/^[a-z]{1,12}$/), { minLength: 1, maxLength: 20 })
  .map((each) => each.join(' '));

describe('breaking lines', () => {
  test('no line is wider than the room unless a single word is', () => {
    fc.assert(
      fc.property(words, fc.integer({ min: 1, max: 40 }), (text, width) => {
        for (const line of breakLines(text, width, measure)) {
          if (line.length > width) expect(line).not.toContain(' ');
        }
      }),
    );
  });

  test('no word is lost, changed or moved', () => {
    fc.assert(
      fc.property(words, fc.integer({ min: 1, max: 40 }), (text, width) => {
        expect(breakLines(text, width, measure).join(' ')).toBe(text);
      }),
    );
  });

  test('line ends in the text are kept, hyphens are places to break', () => {
    expect(breakLines('one\n\ntwo', 20, measure)).toEqual(['one', '', 'two']);
    expect(breakLines('large-scale', 7, measure)).toEqual(['large-', 'scale']);
  });
});

describe('fitting', () => {
  const role = STARTING_STANDARD.roles.find((each) => each.id === 'value')!;
  const face = TEST_TYPEFACES.get(role.typeface)!;
  const policy = fc.record({
    lines: fc.integer({ min: 1, max: 4 }),
    condense: fc.constantFrom(1, 0.9, 0.8),
    steps: fc.integer({ min: 0, max: 3 }),
  });

  test('what is said to fit does fit, at a height of the series, within its policy; what spills keeps its height', () => {
    fc.assert(
      fc.property(
        words,
        policy,
        fc.integer({ min: 5, max: 120 }),
        fc.integer({ min: 2, max: 40 }),
        (text, allowed, width, height) => {
          const fitted = fitText(text, role, face, { width, height }, allowed, STARTING_STANDARD.heights);
          expect(STARTING_STANDARD.heights).toContain(fitted.height);
          expect(fitted.lines.join(' ')).toBe(text);
          if (fitted.fit === 'spills') {
            expect(fitted.by).toBeGreaterThan(0);
            expect(fitted.height).toBe(role.height);
            return;
          }
          expect(fitted.by).toBe(0);
          expect(fitted.width).toBeLessThanOrEqual(width + 0.02);
          expect(fitted.lines.length).toBeLessThanOrEqual(allowed.lines);
          expect(fitted.widthFactor).toBeGreaterThanOrEqual(allowed.condense - 1e-9);
          const tall = fitted.height * (1 + (fitted.lines.length - 1) * role.lineSpacing);
          expect(tall).toBeLessThanOrEqual(height + 0.02);
        },
      ),
    );
  });

  test('more room never makes a text fit worse', () => {
    const rank = { fits: 0, wrapped: 1, condensed: 2, stepped: 3, spills: 4 };
    fc.assert(
      fc.property(
        words,
        policy,
        fc.integer({ min: 5, max: 90 }),
        fc.integer({ min: 1, max: 60 }),
        (text, allowed, width, more) => {
          const at = (room: number) =>
            fitText(text, role, face, { width: room, height: 30 }, allowed, STARTING_STANDARD.heights);
          expect(rank[at(width + more).fit]).toBeLessThanOrEqual(rank[at(width).fit]);
        },
      ),
    );
  });
});

test('a text is as wide as its letters and their pairs, each asked for once', () => {
  let asked = 0;
  const about = { name: 'T', unitsPerEm: 1000, capHeight: 700, descent: 200, stem: 60 };
  const measure = (text: string): number => {
    asked++;
    return [...text].length * 500 - (text === 'AV' ? 80 : 0);
  };
  const face = pairwiseTypeface(about, measure, (code) => code < 0x80);
  expect(face.advance('AVAV')).toBe(2000 - 160);
  const before = asked;
  expect(face.advance('AVA')).toBe(1500 - 80);
  expect(face.advance('😀A')).toBe(1000);
  expect(asked - before).toBeLessThanOrEqual(3);
  expect([face.has(0x41), face.has(0x1f600)]).toEqual([true, false]);
});
