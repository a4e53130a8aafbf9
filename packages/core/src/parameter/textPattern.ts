import { readOutlineValue } from '../outline';
import { readPictureValue } from './pictureValue';
import type { Values } from './catalogue';

/** What stands in braces: a parameter, and what is made of its value. */
export interface Asked {
  key: string;
  upperCase?: true;
  /** What stands where there is no value. */
  fallback?: string;
}
/** A part of a pattern outside of brackets: fixed words, or the value of a parameter. */
export type PlainPart = { words: string } | Asked;
/** A part of a pattern; a group goes with its words where a value in it is missing. */
export type PatternPart = PlainPart | { group: readonly PlainPart[] };

export class PatternError extends Error {
  override name = 'PatternError';
}

const KEY = /^[A-Za-z][A-Za-z0-9]*(\.[A-Za-z][A-Za-z0-9]*)+$/;
const UPPER_CASE = 'upper case';

const parsed = new Map<string, readonly PatternPart[]>();

/** How many of the same sign follow each other from a place on. */
function runFrom(text: string, from: number): number {
  let end = from;
  while (text[end] === text[from]) end++;
  return end - from;
}

/** Reads what stands between braces: `sheet.title`, `sheet.title, upper case`, `sheet.subtitle, or none`. */
function readAsked(text: string): Asked {
  const [name = '', ...options] = text.split(',');
  const key = name.trim();
  if (!KEY.test(key)) throw new PatternError(`"{${text}}" does not name a parameter, such as {sheet.title}`);
  const asked: Asked = { key };
  for (let i = 0; i < options.length; i++) {
    const option = options[i]!.trim();
    if (option === UPPER_CASE) asked.upperCase = true;
    else if (/^or\s/.test(option)) {
      // Words after "or" may hold commas themselves.
      asked.fallback = options.slice(i).join(',').trim().slice(3).trim();
      break;
    } else {
      throw new PatternError(
        `"${option}" is not known in "{${text}}"; write upper case, or the word or and what stands instead`,
      );
    }
  }
  return asked;
}

/**
 * Splits a pattern into words, values and groups. `{sheet.position} of {set.count}` puts values between words;
 * `[Rev {sheet.revision}]` goes as a whole where its value is missing; `{sheet.title, upper case}` and
 * `{sheet.subtitle, or none}` say what becomes of a value. Doubled, braces and brackets stand for themselves.
 * @throws PatternError that quotes the faulty part
 */
export function parsePattern(pattern: string): readonly PatternPart[] {
  const known = parsed.get(pattern);
  if (known) return known;
  const parts: PatternPart[] = [];
  let group: PlainPart[] | undefined;
  let words = '';
  const endWords = (): void => {
    if (words) (group ?? parts).push({ words });
    words = '';
  };
  for (let i = 0; i < pattern.length; i++) {
    const sign = pattern[i]!;
    // Of three brackets that open, the first opens a group that begins with a bracket: `[[[{sheet.revision}]]]` is [P02] or nothing.
    const opens = sign === '[' && !group && runFrom(pattern, i) % 2 === 1;
    if ('{}[]'.includes(sign) && pattern[i + 1] === sign && !opens) {
      words += sign;
      i++;
    } else if (sign === '{') {
      const end = pattern.indexOf('}', i);
      if (end < 0) throw new PatternError(`"{${pattern.slice(i + 1)}" has no closing brace`);
      const asked = readAsked(pattern.slice(i + 1, end));
      endWords();
      (group ?? parts).push(asked);
      i = end;
    } else if (sign === '}') {
      throw new PatternError('a "}" has no opening brace');
    } else if (sign === '[') {
      if (group) throw new PatternError('a "[" stands inside of brackets; groups do not stand in groups');
      endWords();
      group = [];
    } else if (sign === ']') {
      if (!group) throw new PatternError('a "]" has no opening bracket; write ]] for the bracket itself');
      endWords();
      if (!group.some((part) => 'key' in part))
        throw new PatternError('brackets hold at least one parameter; write [[ and ]] for the brackets themselves');
      parts.push({ group });
      group = undefined;
    } else {
      words += sign;
    }
  }
  if (group) throw new PatternError('a "[" has no closing bracket; write [[ for the bracket itself');
  endWords();
  if (parsed.size > 2000) parsed.clear();
  parsed.set(pattern, parts);
  return parts;
}

const plainInWords = (part: PlainPart): string =>
  'words' in part
    ? part.words.replace(/[{}[\]]/g, (sign) => sign + sign)
    : `{${part.key}${part.upperCase ? `, ${UPPER_CASE}` : ''}${part.fallback === undefined ? '' : `, or ${part.fallback}`}}`;

/** The pattern that `parsePattern` reads as these parts, which it has read: a bracket never comes out as the last word before a group. */
export const writePattern = (parts: readonly PatternPart[]): string =>
  parts.map((part) => ('group' in part ? `[${part.group.map(plainInWords).join('')}]` : plainInWords(part))).join('');

/** Every value that a pattern asks for, in and out of groups. */
const askedIn = (parts: readonly PatternPart[]): Asked[] =>
  parts.flatMap((part) => ('group' in part ? askedIn(part.group) : 'key' in part ? [part] : []));

/** The parameter keys that a pattern uses. */
export const patternKeys = (pattern: string): string[] => askedIn(parsePattern(pattern)).map(({ key }) => key);

/** A pattern with one key in place of another. */
export function withKey(pattern: string, from: string, to: string): string {
  const plain = (part: PlainPart): PlainPart => ('key' in part && part.key === from ? { ...part, key: to } : part);
  return writePattern(
    parsePattern(pattern).map((part) => ('group' in part ? { group: part.group.map(plain) } : plain(part))),
  );
}

/** A pattern that says words as they are. */
export const patternOfWords = (words: string): string => plainInWords({ words });

export interface FilledPattern {
  text: string;
  /** Keys without a value that leave a hole. */
  missing: string[];
  /** Keys without a value that the pattern does without: in a group, or with something in their place. */
  spared: string[];
}

/** The value of a key; '' or undefined where there is none. */
export type ValueOf = (key: string) => string | undefined;

/** A value as words: a picture or an outline has none. */
const asWords = (value: string | undefined): string | undefined =>
  value === undefined || readPictureValue(value) || readOutlineValue(value) ? undefined : value;

/**
 * The text of a pattern for some values. When none of its parameters has a value it is empty as a whole, so that
 * `{sheet.position} of {set.count}` does not print a lone "of".
 */
export function fillPattern(pattern: string, values: Values | ValueOf): FilledPattern {
  const valueOf: ValueOf = typeof values === 'function' ? values : (key) => asWords(values[key]);
  const missing: string[] = [];
  const spared: string[] = [];
  let [asks, found] = [false, false];
  const shown = ({ key, upperCase, fallback }: Asked): string | undefined => {
    const value = valueOf(key) ?? '';
    if (value !== '') return upperCase ? value.toUpperCase() : value;
    if (fallback !== undefined) spared.push(key);
    return fallback;
  };
  const groupText = (group: readonly PlainPart[]): string => {
    let text = '';
    let whole = true;
    for (const part of group) {
      const each = 'words' in part ? part.words : shown(part);
      if (each !== undefined) text += each;
      else if ('key' in part) {
        whole = false;
        spared.push(part.key);
      }
    }
    return whole ? text : '';
  };
  let text = '';
  for (const part of parsePattern(pattern)) {
    if ('words' in part) {
      text += part.words;
      continue;
    }
    asks = true;
    const each = 'group' in part ? groupText(part.group) : shown(part);
    if (each === undefined && 'key' in part) missing.push(part.key);
    else if (each) found = true;
    text += each ?? '';
  }
  return { text: found || !asks ? text : '', missing, spared };
}
