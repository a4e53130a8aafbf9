import type { Finding } from '../../check';
import type { FilledPattern, Parameter } from '../../parameter';
import { scopeOf } from '../../parameter';
import { parametersOf } from '../../standard';
import type { Room } from './kind';

/** Where a value is entered, as words that say what to do. */
const ENTERED: Readonly<Record<Parameter['scope'], string>> = {
  office: 'enter it under Office data of the standard',
  project: 'enter it in the data of the project',
  set: 'enter it in the data of the set',
  sheet: 'enter it in the register',
};

/**
 * A value that nobody entered, with where that is done.
 * @param message what its lack does, as a sentence without its stop
 */
export const missingValue = (
  { key, name }: Pick<Parameter, 'key' | 'name'>,
  where: Finding['where'],
  message = `${name} is missing`,
): Finding => ({ kind: 'missing', weight: 'gap', message, where, mend: ENTERED[scopeOf(key)] });

/**
 * What is said of parameters without a value in a pattern, and of those that nobody knows.
 * @param what the content within a sentence: `the QR code`
 */
export function missingValues(
  content: string,
  what: string,
  { missing, spared }: Pick<FilledPattern, 'missing' | 'spared'>,
  { cell, setting }: Pick<Room, 'cell' | 'setting'>,
): Finding[] {
  const parameters = parametersOf(setting.standard);
  return [...missing, ...spared].flatMap((key): Finding[] => {
    const where = { cell: cell.id, content, parameter: key };
    const parameter = parameters.get(key);
    if (!parameter) {
      return [
        {
          kind: 'unknown',
          weight: 'error',
          message: `${what} asks for {${key}}, and there is no such parameter`,
          where,
          mend: `choose another parameter for ${what}`,
        },
      ];
    }
    if (parameter.computed || !missing.includes(key)) return [];
    return [missingValue(parameter, where, `${parameter.name} is missing in ${what}`)];
  });
}
