import fc from 'fast-check';
import { composeSheet } from '../compose';
import { drawnTexts } from '../drawing';
import type { TextItem } from '../drawing';
import { solveDesign } from '../layout';
import { LETTERING_TYPEFACE, STARTING_STANDARD } from '../standard';
import { cell, designWith, field } from '../testing/designs';
import { textWidth, typefaceRuns, withFallback } from '.';
import type { Typeface, Typefaces } from '.';

/** Letters of one width, of those whose codes it has; capitals as high as is said. */
const typeface = (name: string, has: (code: number) => boolean, advance: number, capHeight: number): Typeface => ({
  name,
  unitsPerEm: 1000,
  capHeight,
  descent: 0,
  stem: 60,
  advance: (text) => [...text].length * advance,
  between: () => 0,
  has,
});
const latin = typeface(LETTERING_TYPEFACE, (code) => code < 0x250, 350, 700);
const greek = typeface('Greek', (code) => code >= 0x370 && code < 0x400, 500, 500);
const FACES: Typefaces = new Map([
  [latin.name, latin],
  [greek.name, greek],
]);
const joined = withFallback(FACES, 'Greek').get(latin.name)!;

test('letters that a typeface lacks come from the other one, spaces and marks with what is before them', () => {
  expect(typefaceRuns('Ωmega Ω β́ x', latin, greek)).toEqual([
    { text: 'Ω', fallback: true },
    { text: 'mega ', fallback: false },
    { text: 'Ω β́ ', fallback: true },
    { text: 'x', fallback: false },
  ]);
  // What neither has stays where it would be told.
  expect(typefaceRuns('a中b', latin, greek)).toEqual([{ text: 'a中b', fallback: false }]);
  expect([joined.has(0x3a9), joined.has(0x4e2d)]).toEqual([true, false]);
});

test('the other letters are as high as its own, and as wide as they then are', () => {
  // Half as wide as high, and as wide as high.
  expect(textWidth(joined, 'abc', 10)).toBe(15);
  expect(textWidth(joined, 'ΩΩ', 10)).toBeCloseTo(20, 9);
  expect(textWidth(joined, 'aΩ', 10)).toBeCloseTo(15, 9);
});

test('a text is as wide as its runs, whatever it is made of', () => {
  const letter = fc.constantFrom('a', 'B', ' ', 'Ω', 'λ', '́', '中');
  fc.assert(
    fc.property(fc.array(letter, { maxLength: 12 }), (letters) => {
      const text = letters.join('');
      const runs = typefaceRuns(text, latin, greek);
      expect(runs.map((run) => run.text).join('')).toBe(text);
      const sum = runs.reduce((all, run) => all + textWidth(run.fallback ? greek : latin, run.text, 10), 0);
      expect(textWidth(joined, text, 10)).toBeCloseTo(sum, 6);
    }),
  );
});

test('without a fallback, or with one that is not there, typefaces are what they were', () => {
  expect(withFallback(FACES, undefined)).toBe(FACES);
  expect(withFallback(FACES, 'None')).toBe(FACES);
});

test('on a sheet nothing is told that the fallback has, and each part is drawn in its typeface where it stands', () => {
  const design = designWith(cell('c', [field('f', '{sheet.title}', { rotation: 90 })]), {
    dock: 'lower-left',
    width: '60 mm',
    height: '60 mm',
  });
  const values = { 'sheet.title': 'Plan Ω2' };
  const roles = STARTING_STANDARD.roles.map((role) => ({ ...role, typeface: latin.name }));
  const drawn = (fallbackTypeface?: string) => {
    const standard = { ...STARTING_STANDARD, roles, ...(fallbackTypeface ? { fallbackTypeface } : {}) };
    const on = { standard, typefaces: FACES };
    const layout = solveDesign(design, { size: 'ISO A1', values, ...on });
    const items = composeSheet(design, layout, on).items.filter((item): item is TextItem => item.kind === 'text');
    return { findings: layout.findings, parts: items.filter(({ text }) => text === 'Plan Ω2').flatMap(drawnTexts) };
  };
  expect(drawn().findings).toEqual([expect.objectContaining({ kind: 'characters' })]);
  const { findings, parts } = drawn('Greek');
  expect(findings).toEqual([]);
  expect(parts.map(({ text, typeface: name }) => [text, name])).toEqual([
    ['Plan ', latin.name],
    ['Ω', 'Greek'],
    ['2', latin.name],
  ]);
  // Turned up: each begins above the one before it, by its width.
  parts.slice(1).forEach((part, i) => {
    expect(part.at.x).toBeCloseTo(parts[i]!.at.x, 6);
    expect(part.at.y - parts[i]!.at.y).toBeCloseTo(parts[i]!.width, 6);
  });
});
