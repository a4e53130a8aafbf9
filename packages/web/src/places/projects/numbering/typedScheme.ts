import type { NumberingScheme } from '@mendrel/core';
import { patternProblem, USUAL_SCHEMES } from '@mendrel/core';

/** A scheme while it is typed. */
export interface TypedScheme {
  pattern: string;
  /** Words with spaces or commas between them. */
  disciplines: string;
  zones: string;
  digits: string;
}

export const typedOf = ({ pattern, disciplines, zones, digits }: NumberingScheme): TypedScheme => ({
  pattern,
  disciplines: disciplines.join(' '),
  zones: zones.join(' '),
  digits: String(digits),
});

const wordsOf = (text: string): string[] => [...new Set(text.split(/[\s,;]+/).filter((word) => word !== ''))];

/** The scheme that was typed, or what is wrong with it and in which field. */
export function schemeOf({
  pattern,
  disciplines,
  zones,
  digits,
}: TypedScheme): NumberingScheme | { field: keyof TypedScheme; problem: string } {
  const problem = pattern.trim() === '' ? 'a scheme needs a pattern' : patternProblem(pattern.trim());
  if (problem !== undefined) return { field: 'pattern', problem };
  for (const [field, text] of [
    ['disciplines', disciplines],
    ['zones', zones],
  ] as const) {
    const wrong = wordsOf(text).find((word) => !/^[A-Za-z0-9]{1,6}$/.test(word));
    if (wrong !== undefined) return { field, problem: `${wrong} is no word of 1 to 6 letters or figures` };
    if (wordsOf(text).length > MOST_WORDS) return { field, problem: `at most ${MOST_WORDS}` };
  }
  if (!/^[1-5]$/.test(digits.trim())) return { field: 'digits', problem: 'from 1 to 5' };
  return { pattern: pattern.trim(), disciplines: wordsOf(disciplines), zones: wordsOf(zones), digits: Number(digits) };
}

const MOST_WORDS = 40;

/** What tells schemes apart, in whatever order their parts were kept. */
export const schemeKey = (scheme: NumberingScheme | null): string =>
  scheme === null ? '' : JSON.stringify([scheme.pattern, scheme.disciplines, scheme.zones, scheme.digits]);

/** The usual scheme that another is, by its place; undefined for one of the office's own. */
export const usualPlace = (scheme: NumberingScheme): number | undefined => {
  const place = USUAL_SCHEMES.findIndex((each) => schemeKey(each.scheme) === schemeKey(scheme));
  return place < 0 ? undefined : place;
};
