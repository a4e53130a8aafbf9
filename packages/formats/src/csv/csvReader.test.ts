import fc from 'fast-check';
import { readCsv, readPasted, writeCsv } from './index';

test('what was written is read back, whatever the cells hold', () => {
  const cell = fc.string().filter((text) => !/^'/.test(text));
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1 }), (rows) => {
      const filled = rows.filter((row) => row.join('').trim() !== '');
      expect(readCsv(writeCsv(['Name', 'Other'], filled))).toEqual([['Name', 'Other'], ...filled]);
    }),
  );
});

test('semicolons, as a spreadsheet with decimal commas writes them, are seen', () => {
  expect(readCsv('\uFEFFName;Height\r\nValue;3,5\r\n')).toEqual([
    ['Name', 'Height'],
    ['Value', '3,5'],
  ]);
});

test('a pasted piece has its cells by tabs and its rows by lines', () => {
  expect(readPasted('a\tb\r\nc, d\t"e"\r\n')).toEqual([
    ['a', 'b'],
    ['c, d', 'e'],
  ]);
});
