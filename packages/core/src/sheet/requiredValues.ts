import type { Finding } from '../check';
import type { Parameter, Values } from '../parameter';
import { scopeOf } from '../parameter';
import type { OfficeStandard } from '../standard';

/** Where a value is entered, as words that say what to do. */
const ENTERED: Readonly<Record<Parameter['scope'], string>> = {
  office: 'enter it under Office data of the standard',
  project: 'enter it in the data of the project',
  set: 'enter it in the data of the set',
  sheet: 'enter it in the register',
};

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
    .map(({ key, name }) => ({
      kind: 'missing',
      weight: 'gap',
      message: `${name} is required, and missing`,
      where: { parameter: key },
      mend: ENTERED[scopeOf(key)],
    }));
}
