import type { DrawingReplaced } from '@mendrel/contract';

/** Sheets that are named. */
const NAMED = 4;

const listed = (numbers: readonly string[]): string =>
  numbers.slice(0, NAMED).join(', ') + (numbers.length > NAMED ? ` and ${numbers.length - NAMED} more` : '');

/** What became of the views of a drawing that got a new file. */
export function replacedWords({ sheets, issued }: Pick<DrawingReplaced, 'sheets' | 'issued'>): string {
  if (sheets.length === 0) return 'The new file is in its place; no view shows it yet';
  const shown = `The new file shows on ${listed(sheets)}`;
  return issued.length === 0 ? shown : `${shown}; ${listed(issued)} went out with the old one`;
}
