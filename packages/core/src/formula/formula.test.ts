import fc from 'fast-check';
import { evaluateDimensions } from './dimensions';
import { evaluateLength, length, number, parseFormula } from './formula';
import { renameComparedWords } from './renaming';

const names = (name: string) =>
  ({ strip: length(90), 'sheet.width': length(841), half: number(0.5), toString: undefined })[name];

describe('formulas', () => {
  test.each([
    ['12 mm', 12],
    ['3/32 in', 2.38125],
    [`2'-10"`, 863.6],
    ['strip * 0.38', 34.2],
    ['strip + 10 mm', 100],
    ['strip / 2', 45],
    ['-strip + sheet.width', 751],
    ['max(strip, 100 mm)', 100],
    ['round(strip / 3.1, 5 mm)', 30],
    ['floor(strip * half, 1 mm)', 45],
    ['sheet.width > 500 mm ? 90 mm : 62 mm', 90],
    ['(strip - 30 mm) / 2 in * 1 in', 30],
    ['0', 0],
  ])('%s comes to %d mm', (text, mm) => {
    expect(evaluateLength(text, names)).toBeCloseTo(mm, 9);
  });

  test.each([
    ['strip + 10', 'mixes a length with a plain number'],
    ['12', 'plain number where a length is needed'],
    ['strip * strip', 'an area where a length is needed'],
    ['strip > 3', 'mixes a length with a plain number'],
    ['strip ? 1 mm : 2 mm', 'must be a comparison'],
    ['stripe', 'there is no dimension "stripe"'],
    ['toString', 'there is no dimension "toString"'],
    ['constructor(1 mm)', 'there is no function'],
    ['strip / 0', 'divides by zero'],
    ['strip +', 'cannot be read'],
    ['"text"', 'not words'],
    ['strip[0]', 'names are words with dots'],
    ['', 'is empty'],
    ['('.repeat(200) + '1 mm' + ')'.repeat(200), 'longer than'],
  ])('%s is refused in words', (text, message) => {
    expect(() => evaluateLength(text, names)).toThrow(message);
  });

  test('never evaluates as program text', () => {
    for (const text of ['process.exit()', 'this', 'a => a', 'new Date()', '`x`', 'x = 3']) {
      expect(() => evaluateLength(text, names)).toThrow();
    }
  });

  test('agrees with plain arithmetic', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 999 }),
        fc.integer({ min: 1, max: 999 }),
        fc.integer({ min: 1, max: 99 }),
        (a, b, c) => {
          expect(evaluateLength(`(${a} mm + ${b} mm) * ${c} - ${a} mm / ${c}`, names)).toBeCloseTo(
            (a + b) * c - a / c,
            6,
          );
        },
      ),
    );
  });

  test('says which names it uses, each once', () => {
    expect(parseFormula('strip + sheet.width - strip').names).toEqual(['strip', 'sheet.width']);
  });
});

describe('dimensions', () => {
  test('may use each other in any order', () => {
    const values = evaluateDimensions(
      new Map([
        ['row', 'strip * 0.5'],
        ['strip', 'sheet.width / 10'],
      ]),
      names,
    );
    expect(values.get('row')).toEqual({ kind: 'quantity', amount: 42.05, power: 1 });
  });

  test('a circle is named as the loop it is', () => {
    const circle = new Map([
      ['a', 'b + 1 mm'],
      ['b', 'c * 2'],
      ['c', 'a'],
    ]);
    expect(() => evaluateDimensions(circle, names)).toThrow('in a circle: a → b → c → a');
  });
});

test.each([
  ['sheet.kind == "survey"', 'sheet.kind == "model"'],
  ['"Survey "!=sheet . kind', '"model"!=sheet . kind'],
  ['sheet.zone == "survey" && sheet.kind != "plan"', 'sheet.zone == "survey" && sheet.kind != "plan"'],
  [
    'sheet.kindOf == "survey" || sheet.kind == "survey" ? 3 mm : 4 mm',
    'sheet.kindOf == "survey" || sheet.kind == "model" ? 3 mm : 4 mm',
  ],
  ['sheet.kind == "survey', 'sheet.kind == "survey'],
])('words that a name is compared with are renamed in %s', (text, renamed) => {
  expect(renameComparedWords(text, 'sheet.kind', 'survey', 'model')).toBe(renamed);
});
