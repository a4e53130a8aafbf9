import type { LegacyText } from './legacyText';
import { patternOfWords } from '../parameter';

export const SCALE = /^(1\s*:\s*\d+|\d+\s*:\s*1|[\d\s/]+["″]\s*=\s*.+|as (noted|shown|indicated)|nts|not to scale)$/i;
export const DATE = /^(\d{4}-\d{2}-\d{2}|\d{1,2}[./]\d{1,2}[./]\d{2,4}|\d{1,2}\s+[A-Za-zé]+\.?\s+\d{2,4})$/;
export const SHEET_NUMBER = /^[A-Z]{1,2}[- ]?\d{2,4}(\.\d+)?[a-z]?$/;

/** What a value without a caption looks like. */
export function parameterOfValue(text: LegacyText): string | undefined {
  if (SCALE.test(text.text)) return 'sheet.scale';
  if (DATE.test(text.text)) return 'sheet.date';
  if (SHEET_NUMBER.test(text.text)) return 'sheet.number';
  return undefined;
}

/** Words of law are nobody's value, whatever they stand under. */
export const LEGAL =
  /©|\bcopyright\b|all rights reserved|alle rechte|urheberrecht|tous droits|droits réservés|derechos reservados/i;

const PEOPLE = /^sheet\.(drawn|designed|checked|approved)By$/;

/** Whether a text may be a value of a parameter, by what it looks like: nobody is called 14.02.2030. */
export function mayBe(parameter: string, text: string): boolean {
  if (PEOPLE.test(parameter)) return !DATE.test(text) && !SCALE.test(text) && !SHEET_NUMBER.test(text);
  if (parameter === 'sheet.date' || parameter === 'sheet.revisionDate') return !SCALE.test(text);
  if (parameter === 'sheet.scale') return !DATE.test(text);
  return true;
}

/** Which sheet of how many: "4 of 19", "4/19". */
export const POSITION = /^(\d{1,4})\s*(of|von|sur|di|de|\/)\s*(\d{1,4})$/i;

/** The sheet and the number of sheets that a value like "4 of 19" tells; the word between them is kept. */
export function positionIn(text: string): { position: string; count: string; pattern: string } | undefined {
  const [, position, between, count] = POSITION.exec(text.trim()) ?? [];
  if (position === undefined || between === undefined || count === undefined) return undefined;
  // As it was typed, room around a stroke too.
  const words = text.trim().slice(position.length, -count.length);
  return { position, count, pattern: `{sheet.position}${patternOfWords(words)}{set.count}` };
}
