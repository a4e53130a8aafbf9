import fc from 'fast-check';
import { PARAMETERS } from './catalogue';
import { fillPattern, parsePattern, patternKeys } from './textPattern';

describe('text patterns', () => {
  test('put values between words', () => {
    const values = { 'sheet.position': '2', 'set.count': '36' };
    expect(fillPattern('{sheet.position} of {set.count}', values)).toEqual({ text: '2 of 36', missing: [] });
  });

  test('stay blank as a whole when nothing is known, and say what is missing', () => {
    expect(fillPattern('{sheet.position} of {set.count}', {})).toEqual({
      text: '',
      missing: ['sheet.position', 'set.count'],
    });
    expect(fillPattern('Sheet {sheet.number}, {sheet.title}', { 'sheet.number': 'A-101' })).toEqual({
      text: 'Sheet A-101, ',
      missing: ['sheet.title'],
    });
  });

  test('double braces are braces', () => {
    expect(fillPattern('{{{sheet.number}}}', { 'sheet.number': '1' }).text).toBe('{1}');
  });

  test.each([
    ['{sheet.title', 'no closing brace'],
    ['sheet.title}', 'no opening brace'],
    ['{}', 'does not name a parameter'],
    ['{title}', 'does not name a parameter'],
    ['{__proto__.x}', 'does not name a parameter'],
  ])('%s is refused: %s', (pattern, message) => {
    expect(() => parsePattern(pattern)).toThrow(message);
  });

  test('words without braces come through as they are', () => {
    fc.assert(
      fc.property(
        fc.string().filter((s) => !/[{}]/.test(s)),
        (words) => {
          expect(fillPattern(words, {}).text).toBe(words);
        },
      ),
    );
  });

  test('every shipped parameter can be used in a pattern, and is there once', () => {
    const keys = PARAMETERS.map((each) => each.key);
    expect(new Set(keys).size).toBe(keys.length);
    for (const key of keys) expect(patternKeys(`{${key}}`)).toEqual([key]);
  });
});
