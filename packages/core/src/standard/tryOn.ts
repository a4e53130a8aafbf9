import type { TryOn, Values } from '../parameter';
import { datesIn, readPictureValue, tryOnValues } from '../parameter';
import type { TableRows } from '../table';
import { tryOnRows } from '../table';
import type { OfficeStandard } from './officeStandard';
import { parametersOf } from './officeStandard';

/** What a design is tried on with: values of parameters and rows of tables. */
export interface TriedOn {
  values: Values;
  tables: TableRows;
}

/**
 * The values and rows of a try-on, as an office writes them.
 * @param office what is entered for the office: its pictures are shown, for no example of a logo would say more
 */
export function triedOn(
  tryOn: TryOn,
  standard: Pick<OfficeStandard, 'parameters' | 'tables' | 'wording'>,
  office: Values = {},
): TriedOn {
  const parameters = parametersOf(standard);
  const pictures = tryOn === 'blank' ? [] : Object.entries(office).filter(([, value]) => readPictureValue(value));
  const examples = { ...tryOnValues(tryOn, parameters), ...Object.fromEntries(pictures) };
  const values = datesIn(standard.wording.dates, examples, parameters);
  return { values, tables: tryOnRows(tryOn, standard.tables, values) };
}
