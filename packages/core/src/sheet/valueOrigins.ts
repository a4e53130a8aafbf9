import { placesUsing } from '../impact';
import type { Parameter } from '../parameter';
import { parametersOf } from '../standard';
import type { SheetSource } from './sheetSource';
import { valuesOf } from './sheetSource';

/** Where a value is entered, or that it is computed, stands where nothing is entered, or is missing. */
export type ValueFrom = Parameter['scope'] | 'computed' | 'default' | 'nowhere';

/** A value that a sheet shows, and where it comes from. */
export interface ValueOrigin {
  key: string;
  name: string;
  kind: Parameter['kind'];
  value: string;
  from: ValueFrom;
  /** The office's value, where that of the project stands in its place. */
  instead?: string;
}

/** What people typed at a scope; an empty text is none. */
const entered = (values: Readonly<Record<string, string>>, key: string): boolean => (values[key] ?? '') !== '';

/** All values that a sheet's design shows, in the order of the parameters, and where each comes from. */
export function valueOrigins(source: SheetSource): ValueOrigin[] {
  const { design, standard, office, project, sheet } = source;
  const values = valuesOf(source);
  return [...parametersOf(standard).values()].flatMap((parameter): ValueOrigin[] => {
    const { key, name, kind, scope } = parameter;
    if (placesUsing(design, key) === 0) return [];
    const value = values[key] ?? '';
    const own = key === 'sheet.number' || key === 'sheet.title' || key === 'sheet.kind';
    const from = ((): ValueFrom => {
      if (value === '') return 'nowhere';
      if (own || entered(sheet.values, key)) return 'sheet';
      if (parameter.computed) return 'computed';
      // What is said of a set is entered with it, or with the project.
      if (entered(project, key)) return scope === 'set' ? 'set' : 'project';
      return entered(office, key) ? 'office' : 'default';
    })();
    const instead = from === 'project' && scope === 'office' ? { instead: office[key] ?? '' } : {};
    return [{ key, name, kind, value, from, ...instead }];
  });
}
