import type { Finding } from '../check';
import { missingValue } from '../layout';
import type { Parameter, Values } from '../parameter';
import { scopeOf } from '../parameter';
import type { OfficeStandard } from '../standard';

/**
 * What is said of values that the office requires and that are not there, whether a field shows them or not.
 * @param scopes where they are entered: what belongs to a set is looked for when that set goes out
 * @param told what is said of the sheet already
 */
export function requiredFindings(
  { parameters }: Pick<OfficeStandard, 'parameters'>,
  values: Values,
  scopes: readonly Parameter['scope'][],
  told: readonly Finding[] = [],
): Finding[] {
  const missing = parameters.filter(
    ({ key, required }) => required && !values[key]?.trim() && scopes.includes(scopeOf(key)),
  );
  if (missing.length === 0) return [];
  const known = new Set(told.map(({ where }) => where.parameter));
  return missing
    .filter(({ key }) => !known.has(key))
    .map(({ key, name }) => missingValue({ key, name }, { parameter: key }, `${name} is required, and missing`));
}
