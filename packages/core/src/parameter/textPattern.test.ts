import fc from 'fast-check';
import { PARAMETERS } from './catalogue';
import {
  fillPattern,
  parsePattern,
  PatternError,
  patternKeys,
  patternOfWords,
  withKey,
  writePattern,
} from './textPattern';

describe('text patterns', () => {
  test('put values between words', () => {
    const values = { 'sheet.position': '2', 'set.count': '36' };
    expect(fillPattern('{sheet.position} of {set.count}', values)).toEqual({
      text: '2 of 36',
      missing: [],
      spared: [],
    });
  });

  test('stay blank as a whole when nothing is known, and say what is missing', () => {
    expect(fillPattern('{sheet.position} of {set.count}', {})).toEqual({
      text: '',
      missing: ['sheet.position', 'set.count'],
      spared: [],
    });
    expect(fillPattern('Sheet {sheet.number}, {sheet.title}', { 'sheet.number': 'A-101' })).toEqual({
      text: 'Sheet A-101, ',
      missing: ['sheet.title'],
      spared: [],
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

  test.each([
    ['{sheet.number}[ Rev {sheet.revision}]', { 'sheet.number': 'A-101', 'sheet.revision': 'P02' }, 'A-101 Rev P02'],
    ['{sheet.number}[ Rev {sheet.revision}]', { 'sheet.number': 'A-101' }, 'A-101'],
    ['{sheet.number}[ ({sheet.title}, {sheet.zone})]', { 'sheet.number': '1', 'sheet.title': 'Plan' }, '1'],
    ['[Rev {sheet.revision}]', {}, ''],
    ['{sheet.title}, {sheet.subtitle, or no part}', { 'sheet.title': 'Plan' }, 'Plan, no part'],
    ['{sheet.title, upper case}', { 'sheet.title': 'Ground floor, Größe' }, 'GROUND FLOOR, GRÖSSE'],
    ['{sheet.title, upper case, or a, b}', {}, 'a, b'],
    ['[[{sheet.number}]]', { 'sheet.number': '1' }, '[1]'],
    ['A[[[{sheet.revision}]]]', { 'sheet.revision': 'P02' }, 'A[P02]'],
    ['A[[[{sheet.revision}]]]', {}, ''],
    ['{sheet.number}[ [[{sheet.revision}]]]', { 'sheet.number': '1' }, '1'],
  ])('%s of %j is “%s”', (pattern, values, text) => {
    expect(fillPattern(pattern, values).text).toBe(text);
  });

  test('what a group or a fallback does without is no gap, but is named for whoever looks for unknown keys', () => {
    const { missing, spared } = fillPattern('{sheet.a}[ {sheet.b}]{sheet.c, or -}', { 'sheet.a': '1' });
    expect([missing, spared]).toEqual([[], ['sheet.b', 'sheet.c']]);
  });

  test.each([
    ['[Rev {sheet.revision}', 'no closing bracket'],
    ['Rev]', 'no opening bracket'],
    ['[Rev]', 'at least one parameter'],
    ['[a {sheet.a} [b {sheet.b}]]', 'groups do not stand in groups'],
    ['{sheet.title, small}', '"small" is not known'],
  ])('%s is refused: %s', (pattern, message) => {
    expect(() => parsePattern(pattern)).toThrow(message);
  });

  test('any words can be said by a pattern, and any pattern is written as it was read', () => {
    fc.assert(fc.property(fc.string(), (words) => fillPattern(patternOfWords(words), {}).text === words));
    const words = fc.string({ minLength: 1, maxLength: 8 }).map((text) => ({ words: text }));
    const asked = fc.record(
      {
        key: fc.constantFrom('sheet.title', 'project.name'),
        upperCase: fc.constant(true as const),
        fallback: fc.constantFrom('-', 'none', 'a, b'),
      },
      { requiredKeys: ['key'] },
    );
    const group = fc.array(asked, { minLength: 1, maxLength: 3 }).map((each) => ({ group: each }));
    fc.assert(
      fc.property(fc.array(fc.oneof(asked, group), { maxLength: 5 }), words, (parts, before) => {
        const all = [before, ...parts];
        const read = parsePattern(writePattern(all));
        expect(parsePattern(writePattern(read))).toEqual(read);
        // A bracket right before a group is read as the first sign in the group.
        if (!(before.words.endsWith('[') && parts[0] && 'group' in parts[0])) expect(read).toEqual(all);
      }),
    );
  });

  test('whatever can be read means the same when it is written again', () => {
    const sign = fc.constantFrom('[', ']', '[[', ']]', '{{', '}}', '{a.b}', '{a.b, or -}', 'x', ' ');
    fc.assert(
      fc.property(fc.array(sign, { maxLength: 10 }), (signs) => {
        const pattern = signs.join('');
        let parts;
        try {
          parts = parsePattern(pattern);
        } catch (error) {
          if (error instanceof PatternError) return;
          throw error;
        }
        expect(parsePattern(writePattern(parts))).toEqual(parts);
      }),
      { numRuns: 2000 },
    );
  });

  test('a key is renamed in groups and beside what is made of its value', () => {
    expect(withKey('{a.b}[ x {a.b, upper case, or -}]', 'a.b', 'a.c')).toBe('{a.c}[ x {a.c, upper case, or -}]');
  });

  test('every shipped parameter can be used in a pattern, and is there once', () => {
    const keys = PARAMETERS.map((each) => each.key);
    expect(new Set(keys).size).toBe(keys.length);
    for (const key of keys) expect(patternKeys(`{${key}}`)).toEqual([key]);
  });
});
