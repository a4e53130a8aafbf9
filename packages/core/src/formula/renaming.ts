import { FormulaError, parseFormula } from './formula';

/** Whether a formula uses a name; one that cannot be read uses none. */
export function usesName(text: string, name: string): boolean {
  try {
    return parseFormula(text).names.includes(name);
  } catch (error) {
    if (error instanceof FormulaError) return false;
    throw error;
  }
}

/** A formula with one name in place of another, the rest as it was written. Names in quotes are words and stay. */
export function renameInFormula(text: string, from: string, to: string): string {
  if (!usesName(text, from)) return text;
  const name = from.replaceAll('.', '\\s*\\.\\s*');
  return text
    .split(/("[^"]*")/)
    .map((part) => (part.startsWith('"') ? part : part.replace(new RegExp(`(?<![\\w.])${name}(?![\\w.(])`, 'g'), to)))
    .join('');
}

/** A formula in which words that a name is compared with are others; the rest stays as it was written. */
export function renameComparedWords(text: string, name: string, from: string, to: string): string {
  if (!usesName(text, name)) return text;
  const asked = `(?<![\\w.])${name.replaceAll('.', '\\s*\\.\\s*')}(?![\\w.(])`;
  const [before, after] = [`(${asked}\\s*[=!]=\\s*)"([^"]*)"`, `"([^"]*)"(\\s*[=!]=\\s*${asked})`];
  const same = (words: string): boolean => words.trim().toLowerCase() === from.trim().toLowerCase();
  return text
    .replace(new RegExp(before, 'g'), (all, head: string, words: string) => (same(words) ? `${head}"${to}"` : all))
    .replace(new RegExp(after, 'g'), (all, words: string, tail: string) => (same(words) ? `"${to}"${tail}` : all));
}
