import type { Values } from './catalogue';

/** A part of a pattern: fixed words, or the key of a parameter. */
export type PatternPart = { words: string } | { key: string };

export class PatternError extends Error {
  override name = 'PatternError';
}

const KEY = /^[A-Za-z][A-Za-z0-9]*(\.[A-Za-z][A-Za-z0-9]*)+$/;

const parsed = new Map<string, readonly PatternPart[]>();

/**
 * Splits `{sheet.position} of {set.count}` into words and keys. `{{` and `}}` stand for the braces themselves.
 * @throws PatternError that quotes the faulty part
 */
export function parsePattern(pattern: string): readonly PatternPart[] {
  const known = parsed.get(pattern);
  if (known) return known;
  const parts: PatternPart[] = [];
  let words = '';
  for (let i = 0; i < pattern.length; i++) {
    const sign = pattern[i];
    if ((sign === '{' || sign === '}') && pattern[i + 1] === sign) {
      words += sign;
      i++;
    } else if (sign === '{') {
      const end = pattern.indexOf('}', i);
      const key = end < 0 ? pattern.slice(i + 1) : pattern.slice(i + 1, end);
      if (end < 0) throw new PatternError(`"{${key}" has no closing brace`);
      if (!KEY.test(key)) throw new PatternError(`"{${key}}" does not name a parameter, such as {sheet.title}`);
      if (words) parts.push({ words });
      words = '';
      parts.push({ key });
      i = end;
    } else if (sign === '}') {
      throw new PatternError('a "}" has no opening brace');
    } else {
      words += sign;
    }
  }
  if (words) parts.push({ words });
  if (parsed.size > 2000) parsed.clear();
  parsed.set(pattern, parts);
  return parts;
}

/** The parameter keys that a pattern uses. */
export function patternKeys(pattern: string): string[] {
  return parsePattern(pattern).flatMap((part) => ('key' in part ? [part.key] : []));
}

/**
 * The text of a pattern for some values. When none of its parameters has a value it is empty as a whole, so that
 * `{sheet.position} of {set.count}` does not print a lone "of".
 */
export function fillPattern(pattern: string, values: Values): { text: string; missing: string[] } {
  const parts = parsePattern(pattern);
  const missing: string[] = [];
  let found = false;
  let text = '';
  for (const part of parts) {
    if ('words' in part) text += part.words;
    else {
      const value = values[part.key] ?? '';
      if (value === '') missing.push(part.key);
      else found = true;
      text += value;
    }
  }
  return { text: found || missing.length === 0 ? text : '', missing };
}
