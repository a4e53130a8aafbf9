import fc from 'fast-check';
import { evaluate as reference } from 'mathjs';
import type { Value } from './formula';
import { FormulaError, length, number, parseFormula } from './formula';

/** An expression in our words; mathjs reads the same arithmetic. */
const { expression } = fc.letrec<{ expression: string }>((tie) => {
  const inner = tie('expression');
  const literal = fc.oneof(
    fc.integer({ min: 0, max: 999 }).map(String),
    fc.integer({ min: 1, max: 9999 }).map((n) => (n / 100).toFixed(2)),
    fc.constantFrom('strip', 'row'),
  );
  const twice = (sign: string) => fc.tuple(inner, inner).map(([a, b]) => `(${a} ${sign} ${b})`);
  const called = (name: string) =>
    fc.array(inner, { minLength: 1, maxLength: 3 }).map((list) => `${name}(${list.join(', ')})`);
  return {
    expression: fc.oneof(
      { maxDepth: 4, depthIdentifier: 'formula' },
      literal,
      twice('+'),
      twice('-'),
      twice('*'),
      twice('/'),
      inner.map((a) => `-${a}`),
      inner.map((a) => `abs(${a})`),
      called('min'),
      called('max'),
      fc.tuple(inner, inner).map(([a, b]) => `${a} + ${b} * 2`),
      fc
        .tuple(inner, fc.constantFrom('<', '<=', '>', '>='), inner, inner, inner)
        .map(([a, sign, b, c, d]) => `(${a} ${sign} ${b} ? ${c} : ${d})`),
    ),
  };
});

function amountOf(work: () => Value): number | undefined {
  try {
    const value = work();
    return value.kind === 'quantity' ? value.amount : NaN;
  } catch (error) {
    if (error instanceof FormulaError && error.message.includes('divides by zero')) return undefined;
    throw error;
  }
}

// Reference: mathjs, for the precedence and the values of plain arithmetic.
test('formulas come to what mathjs makes of them', () => {
  const names = { strip: 90, row: 12.5 };
  fc.assert(
    fc.property(
      expression.filter((text) => text.length < 300),
      (text) => {
        const expected = reference(text, names) as number;
        if (!Number.isFinite(expected)) return;
        const given = (name: string) => (name in names ? number(names[name as keyof typeof names]) : undefined);
        // A division by zero is an error with us wherever it stands; with mathjs it is infinite, and may cancel out.
        const amount = amountOf(() => parseFormula(text).evaluate(given));
        if (amount === undefined) return;
        expect(Math.abs(amount - expected)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(expected)));
      },
    ),
    { numRuns: 1000 },
  );
});

test('lengths in units come to what mathjs makes of them', () => {
  const unit = fc.constantFrom('mm', 'cm', 'm', 'in');
  const term = fc
    .tuple(fc.integer({ min: 1, max: 400 }), unit)
    .map(([n, of]) => ({ ours: `${n} ${of}`, theirs: `${n} ${of}` }));
  fc.assert(
    fc.property(term, term, fc.integer({ min: 2, max: 9 }), (a, b, n) => {
      const ours = parseFormula(`(${a.ours} + ${b.ours}) * ${n} - strip / ${n}`).evaluate(() => length(90));
      const theirs = reference(`number((${a.theirs} + ${b.theirs}) * ${n} - 90 mm / ${n}, mm)`) as number;
      expect((ours as { amount: number }).amount).toBeCloseTo(theirs, 6);
    }),
  );
});
