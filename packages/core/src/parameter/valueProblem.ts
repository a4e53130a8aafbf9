import { parseLength, QuantityError } from '../quantity';
import { dateProblem } from './date';
import type { Parameter } from './parameter';
import { TICKS } from './parameter';
import { readOutlineValue } from '../outline';
import { readPictureValue } from './pictureValue';

const AREA = /^\d+(?:[.,]\d+)?\s*(?:m²|m2|ft²|ft2|sq ?m|sq ?ft)?$/i;
const NUMBER = /^[-−]?\d+(?:[.,]\d+)?$/;
/** A date's problem in words. */
function dateWords(name: string, text: string): string | undefined {
  const problem = dateProblem(text);
  if (problem === undefined) return undefined;
  return problem === 'form'
    ? `${name} is a date, written such as 2031-04-02, 02.04.2031 or 2 April 2031`
    : `${name}: there is no ${problem.noSuchDay}`;
}

/**
 * What keeps a text from being a value of a parameter, and what would be right; undefined for a sound value. An empty
 * text is a value that is missing, which is not a fault here.
 */
export function valueProblem(parameter: Parameter, value: string): string | undefined {
  const { name, kind, most, choices } = parameter;
  if (value === '') return undefined;
  if (most !== null && value.length > most) {
    return `${name} has ${value.length} characters; it may have ${most}`;
  }
  switch (kind) {
    case 'text':
    case 'long text':
      return undefined;
    case 'picture':
      return readPictureValue(value) ? undefined : `${name} is a picture; choose a PNG, JPEG or SVG file for it`;
    case 'outline':
      return readOutlineValue(value) ? undefined : `${name} is an outline; choose a DXF or SVG drawing for it`;
    case 'number':
      return NUMBER.test(value.trim()) ? undefined : `${name} is a number, such as 12 or 3.5`;
    case 'area':
      return AREA.test(value.trim()) ? undefined : `${name} is an area, such as 12.5 m² or 140 ft²`;
    case 'date':
      return dateWords(name, value);
    case 'choice':
      return choices.includes(value) ? undefined : `${name} is one of ${choices.join(', ')}`;
    case 'tick':
      return TICKS.includes(value) ? undefined : `${name} is ${TICKS.join(' or ')}`;
    case 'length':
      try {
        parseLength(value);
        return undefined;
      } catch (error) {
        if (error instanceof QuantityError) return `${name} is a length, such as 40, 12 mm, 3/4 in or 2'-10 1/2"`;
        throw error;
      }
  }
}
