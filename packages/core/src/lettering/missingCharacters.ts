import type { Typeface } from './typeface';

/** What is looked for in no typeface: breaks, spaces, marks that leave nothing on paper. */
const UNSEEN = /^[\s\p{Default_Ignorable_Code_Point}]$/u;
/** Texts of these alone are the most; every typeface for lettering has them, which is looked at once. */
const PLAIN = /^[\n\x20-\x7e]*$/;

/** Whether a text has only letters that every typeface for lettering has. */
export const isPlainText = (text: string): boolean => PLAIN.test(text);

/** Whether a character is a space, a break, or one that leaves nothing on paper. */
export const isUnseen = (character: string): boolean => UNSEEN.test(character);

const hasPlain = new WeakMap<Typeface, boolean>();

function hasAllPlain(typeface: Typeface): boolean {
  let known = hasPlain.get(typeface);
  if (known === undefined) {
    known = true;
    for (let code = 0x21; code <= 0x7e && known; code++) known = typeface.has(code);
    hasPlain.set(typeface, known);
  }
  return known;
}

/** The characters of a text that a typeface has no letters for, each once: they would print as boxes, or not at all. */
export function missingCharacters(typeface: Typeface, text: string): string[] {
  if (PLAIN.test(text) && hasAllPlain(typeface)) return [];
  const missing = new Set<string>();
  for (const character of text) {
    if (!typeface.has(character.codePointAt(0)!) && !UNSEEN.test(character)) missing.add(character);
  }
  return [...missing];
}

const CONTROL = /^\p{C}$/u;

/** A character as it is told: itself, or its number where it cannot be seen. */
export const characterInWords = (character: string): string =>
  CONTROL.test(character)
    ? `U+${character.codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')}`
    : `“${character}”`;
