import { textIn } from './findReplace';
import type { Row } from './rows';

/** Whether a row holds all of some words, each in any of its columns. */
export function holds(row: Row, words: string, columns: readonly { field: string }[]): boolean {
  const text = columns
    .map(({ field }) => textIn(row, field))
    .join('\n')
    .toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
