import type { TryOn, Values } from '../parameter';
import { EXAMPLE_OUTLINE } from '../outline';
import { datesIn, isWords, readPictureValue, tryOnValues } from '../parameter';
import type { TableRows } from '../table';
import { tryOnRows } from '../table';
import type { OfficeStandard } from './officeStandard';
import { parametersOf } from './officeStandard';

/** What a design is tried on with: values of parameters and rows of tables. */
export interface TriedOn {
  values: Values;
  tables: TableRows;
}

/** What an office has that examples are no match for. */
export interface RealData {
  /** What is entered for the office: its pictures are shown, for no example of a logo would say more. */
  office?: Values | undefined;
  /** The longest value that each parameter has in any project. */
  longest?: Values | undefined;
}

/** The values and rows of a try-on, as an office writes them. */
export function triedOn(
  tryOn: TryOn,
  standard: Pick<OfficeStandard, 'parameters' | 'tables' | 'wording'>,
  { office = {}, longest = {} }: RealData = {},
): TriedOn {
  const parameters = parametersOf(standard);
  const pictures = tryOn === 'blank' ? [] : Object.entries(office).filter(([, value]) => readPictureValue(value));
  const examples: Record<string, string> = { ...tryOnValues(tryOn, parameters), ...Object.fromEntries(pictures) };
  // An example of an outline is no text that could stand in a table of parameters.
  if (tryOn !== 'blank') {
    for (const { key, kind } of parameters.values()) if (kind === 'outline') examples[key] = EXAMPLE_OUTLINE;
  }
  if (tryOn === 'longest') {
    for (const [key, value] of Object.entries(longest)) {
      const parameter = parameters.get(key);
      if (!parameter || !isWords(parameter) || parameter.computed) continue;
      if (value.length > (examples[key] ?? '').length) examples[key] = value;
    }
  }
  const values = datesIn(standard.wording.dates, examples, parameters);
  return { values, tables: tryOnRows(tryOn, standard.tables, values) };
}
