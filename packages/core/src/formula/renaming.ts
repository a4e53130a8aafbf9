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
