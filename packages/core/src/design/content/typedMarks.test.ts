import fc from 'fast-check';
import { plainText } from '../../lettering';
import { readMarks, writeMarks } from './typedMarks';

const runs = (typed: string) => readMarks(typed).paragraphs?.[0]?.runs;

describe('notes as they are typed', () => {
  test('words without marks are only words', () => {
    expect(readMarks('Do not scale.\nCheck on site.')).toEqual({ text: 'Do not scale.\nCheck on site.' });
  });

  test('signs around words mark them, also within each other', () => {
    expect(runs('Do *not* scale')).toEqual([{ text: 'Do ' }, { text: 'not', strong: true }, { text: ' scale' }]);
    expect(runs('_See *A-101* first_')).toEqual([
      { text: 'See ', underlined: true },
      { text: 'A-101', strong: true, underlined: true },
      { text: ' first', underlined: true },
    ]);
    expect(readMarks('*One* and *two*').text).toBe('One and two');
  });

  test.each([
    ['a sign that closes nothing', '2 * 3 = 6'],
    ['signs within a word', 'file_name_here and 2*3*4'],
    ['one that is never closed', 'see *note 3'],
    ['nothing between two', '** and __'],
    ['one that is opened twice', '*('],
  ])('%s is a letter', (_, typed) => {
    expect(readMarks(typed)).toEqual({ text: typed });
  });

  test('marks lie within each other: what is opened within and not closed there is a letter', () => {
    expect(runs('*a _b* c_')).toEqual([{ text: 'a _b', strong: true }, { text: ' c_' }]);
  });

  test('a backslash keeps a sign from marking', () => {
    expect(readMarks('\\*not strong\\* and C:\\plans')).toEqual({ text: '*not strong* and C:\\plans' });
  });

  test('lines that begin with a number, a letter or a dash are a list', () => {
    const { text, paragraphs } = readMarks('General\n1. Check *all* sizes\n12) And more\n- dashes\n3.5 m is no label');
    expect(paragraphs?.map(({ label }) => label)).toEqual([undefined, '1.', '12)', '-', undefined]);
    expect(text).toBe('General\n1. Check all sizes\n12) And more\n- dashes\n3.5 m is no label');
  });

  test('columns are typed with a line between them, or pasted with tabs, as they come from a spreadsheet', () => {
    const { text, paragraphs } = readMarks('FFL | finished *floor* level\nCL\tcentre line\na \\| b');
    expect(text).toBe('FFL finished floor level\nCL centre line\na | b');
    expect(paragraphs?.map(({ runs }) => runs.map((run) => run.text).join(''))).toEqual([
      'FFL\tfinished floor level',
      'CL\tcentre line',
      'a | b',
    ]);
    expect(writeMarks({ text, paragraphs })).toBe('FFL | finished *floor* level\nCL | centre line\na \\| b');
  });

  test('what is written is read back the same, whatever was typed', () => {
    const piece = fc.constantFrom('*', '_', '|', '\t', '\\', ' ', 'word', 'a', '(', '.', '1. ', '- ', '\n', 'Gruß');
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 24 }), (pieces) => {
        const read = readMarks(pieces.join(''));
        expect(readMarks(writeMarks(read))).toEqual(read);
        if (read.paragraphs) expect(plainText(read.paragraphs)).toBe(read.text);
      }),
      { numRuns: 2000 },
    );
  });
});
