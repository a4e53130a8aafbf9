import type { Parameters, Values } from './catalogue';
import type { DateForm } from './date';
import { dateIn } from './date';

/** Values with their dates in the office's form. */
export function datesIn(form: DateForm, values: Values, parameters: Parameters): Values {
  if (form === 'as entered') return values;
  const changed: Record<string, string> = { ...values };
  for (const { key, kind } of parameters.values()) {
    const value = kind === 'date' ? changed[key] : undefined;
    if (value) changed[key] = dateIn(form, value);
  }
  return changed;
}
