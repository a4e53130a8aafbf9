import type { Finding } from '../../check';
import type { FilledPattern } from '../../parameter';
import { parametersOf } from '../../standard';
import type { Room } from './kind';

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
    return [{ kind: 'missing', weight: 'gap', message: `${parameter.name} is missing in ${what}`, where }];
  });
}
