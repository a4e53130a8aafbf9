import fc from 'fast-check';
import { breakLines } from './lineBreaking';

const letters = (line: string): number => [...line].length;

test.each([
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

test('what is wider than its room by itself is broken where it can be', () => {
  expect(breakLines('BFT-QWS-ZZ-01', 8, letters)).toEqual(['BFT-QWS-', 'ZZ-01']);
});

test('nothing is lost or added by breaking, and no line is wider than it has to be', () => {
  const word = fc.constantFrom('A-101', 'BFT-A-1', '3', 'mm', '=', '1\'-0"', 'plan', 'x', '12.5', 'm²', '/', 'Gruß');
  fc.assert(
    fc.property(fc.array(word, { minLength: 1, maxLength: 12 }), fc.integer({ min: 1, max: 30 }), (words, width) => {
      const text = words.join(' ');
      const lines = breakLines(text, width, letters);
      expect(lines.join('').replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
      for (const line of lines) {
        if (letters(line) > width) expect(breakLines(line, width, letters)).toEqual([line]);
      }
    }),
  );
});
