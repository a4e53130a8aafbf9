import fc from 'fast-check';
import { breakLines, brokenLines } from './lineBreaking';
import { measureOf, pairwiseTypeface } from './typeface';

const letters = (line: string): number => [...line].length;

test.each([
  ['Stairs and/or ramps', 11, ['Stairs', 'and/or', 'ramps']],
  ['walls/balustrades', 9, ['walls/', 'balustrades']],
  ['See sheet BFT-A-101 for details', 12, ['See sheet', 'BFT-A-101', 'for details']],
  ['Revision P02.01 of 2031-04-02', 14, ['Revision', 'P02.01 of', '2031-04-02']],
  ['Plan 1/8" = 1\'-0" and 1" = 20\'', 12, ['Plan', '1/8" = 1\'-0"', 'and 1" = 20\'']],
  ['Hall of 12.5 m² and more', 9, ['Hall of', '12.5 m²', 'and more']],
  ['at 3 mm, then 4 in.', 9, ['at 3 mm,', 'then', '4 in.']],
  // Words with a hyphen, several numbers with a stroke, and a number before a word break as ever.
  ['North-east elevation', 7, ['North-', 'east', 'elevation']],
  ['A-101/A-102', 7, ['A-101/', 'A-102']],
  ['12 mooring posts', 9, ['12', 'mooring', 'posts']],
])('“%s” in %d letters keeps together what belongs together', (text, width, lines) => {
  expect(breakLines(text, width, letters)).toEqual(lines);
});

test('words of the office’s own are kept together as long as they go into a line', () => {
  const kept = ['Phase 2', 'North-east wing', 'St. (old)'];
  const broken = (text: string, width: number) => breakLines(text, width, letters, kept);
  expect(broken('Deck of phase  2 and more', 13)).toEqual(['Deck of', 'phase  2 and', 'more']);
  expect(broken('The north-east wing', 15)).toEqual(['The', 'north-east wing']);
  expect(broken('The north-east wing', 10)).toEqual(['The north-', 'east wing']);
  // Part of another word, and signs that mean something in a search.
  expect(broken('Underphase 2', 10)).toEqual(['Underphase', '2']);
  expect(broken('at St. (old)', 9)).toEqual(['at', 'St. (old)']);
  expect(breakLines('Deck of phase 2', 13, letters)).toEqual(['Deck of phase', '2']);
});

test('what is wider than its room by itself is broken where it can be', () => {
  expect(breakLines('BFT-QWS-ZZ-01', 8, letters)).toEqual(['BFT-QWS-', 'ZZ-01']);
});

test('nothing is lost or added by breaking, and no line is wider than it has to be', () => {
  const word = fc.constantFrom('A-101', 'BFT-A-1', '3', 'mm', '=', '1\'-0"', 'plan', 'x', '12.5', 'm²', '/', 'Gruß');
  fc.assert(
    fc.property(fc.array(word, { minLength: 1, maxLength: 12 }), fc.integer({ min: 1, max: 30 }), (words, width) => {
      const text = words.join(' ');
      const kept = breakLines(text, width, letters, ['plan x', 'mm plan']);
      expect(kept.join('').replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
      const lines = breakLines(text, width, letters);
      expect(lines.join('').replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
      for (const line of lines) {
        if (letters(line) > width) expect(breakLines(line, width, letters)).toEqual([line]);
      }
    }),
  );
});

test('lines that are measured piece by piece are those that are measured whole', () => {
  // Letters of many widths, each pair of them nearer together or farther apart.
  const widthOf = (text: string): number => {
    const codes = [...text].map((letter) => letter.codePointAt(0)!);
    return codes.reduce(
      (sum, code, i) => sum + 300 + (code % 7) * 40 + (i > 0 ? ((codes[i - 1]! * 31 + code) % 9) * 10 - 40 : 0),
      0,
    );
  };
  const about = { name: 'Odd', unitsPerEm: 1000, capHeight: 700, descent: 200, stem: 60 };
  const typeface = pairwiseTypeface(about, widthOf, () => true);
  const measure = measureOf(typeface, 2.5, 0.9);
  const word = fc.constantFrom(
    'Ground',
    'floor',
    'BFT-A-1',
    'and/or',
    'x',
    'non-load-bearing',
    'Gruß',
    '𝔸𝔹',
    '  ',
    '3 mm',
  );
  fc.assert(
    fc.property(
      fc.array(word, { minLength: 1, maxLength: 12 }),
      fc.double({ min: 4, max: 60, noNaN: true }),
      (words, width) => {
        const text = words.join(' ');
        const whole = breakLines(text, width, (line) => measure(line));
        // Where a line is as wide as its room to the last digits, it may go either way.
        if (whole.some((line) => Math.abs(measure(line) / width - 1) < 1e-9)) return;
        const broken = brokenLines(text, width, measure);
        expect(broken.lines).toEqual(whole);
        expect(broken.width).toBeCloseTo(Math.max(...whole.map((line) => measure(line))), 6);
      },
    ),
    { numRuns: 400 },
  );
});
