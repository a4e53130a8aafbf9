import type { Names, Value } from './formula';
import { FormulaError, parseFormula } from './formula';

/** Says which dimension an error belongs to, so that the place can be shown. */
export class DimensionError extends FormulaError {
  override name = 'DimensionError';
  constructor(
    readonly dimension: string,
    message: string,
  ) {
    super(message);
  }
}

/**
 * Evaluates named formulas that may use each other in any order.
 * @param formulas name → formula text
 * @param given names from outside, such as sheet.width; a dimension of the same name hides them
 * @throws DimensionError that names the dimension and, for a cycle, the whole loop
 */
export function evaluateDimensions(formulas: ReadonlyMap<string, string>, given: Names): Map<string, Value> {
  const values = new Map<string, Value>();
  const open: string[] = [];

  const valueOf = (name: string): Value | undefined => {
    const known = values.get(name);
    if (known) return known;
    const text = formulas.get(name);
    if (text === undefined) return given(name);
    if (open.includes(name)) {
      const loop = [...open.slice(open.indexOf(name)), name].join(' → ');
      throw new DimensionError(name, `the dimensions use each other in a circle: ${loop}`);
    }
    open.push(name);
    try {
      const value = parseFormula(text).evaluate(valueOf);
      values.set(name, value);
      return value;
    } catch (error) {
      if (error instanceof DimensionError) throw error;
      const message = error instanceof Error ? error.message : String(error);
      throw new DimensionError(name, `dimension "${name}": ${message}`);
    } finally {
      open.pop();
    }
  };

  for (const name of formulas.keys()) valueOf(name);
  return values;
}
