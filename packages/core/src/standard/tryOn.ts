import type { TryOn, Values } from '../parameter';
import { datesIn, tryOnValues } from '../parameter';
import type { TableRows } from '../table';
import { tryOnRows } from '../table';
import type { OfficeStandard } from './officeStandard';
import { parametersOf } from './officeStandard';

/** What a design is tried on with: values of parameters and rows of tables. */
export interface TriedOn {
  values: Values;
  tables: TableRows;
}

/** The values and rows of a try-on, as an office writes them. */
export function triedOn(tryOn: TryOn, standard: Pick<OfficeStandard, 'parameters' | 'tables' | 'wording'>): TriedOn {
  const parameters = parametersOf(standard);
  const values = datesIn(standard.wording.dates, tryOnValues(tryOn, parameters), parameters);
  return { values, tables: tryOnRows(tryOn, standard.tables, values) };
}
