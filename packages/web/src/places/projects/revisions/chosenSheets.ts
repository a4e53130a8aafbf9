import type { Sheet } from '@mendrel/contract';
import { nextRevisionCode, standingRevisions } from '@mendrel/core';

/** The revision that a sheet has now. */
export const lastOf = ({ revisions }: Sheet): Sheet['revisions'][number] | undefined =>
  standingRevisions(revisions).at(-1);

/** Sheets that are often chosen together for a revision. */
export const USUAL_CHOICES = {
  changed: { words: 'Changed since their last', has: (sheet: Sheet) => sheet.changedSince },
  without: { words: 'Without one', has: (sheet: Sheet) => lastOf(sheet) === undefined },
  all: { words: 'All', has: () => true },
  none: { words: 'None', has: () => false },
} as const;
export type UsualChoice = keyof typeof USUAL_CHOICES;

/** Which sheets are chosen at first: those that have changed, or else those that have none yet. */
export function firstChoice(sheets: readonly Sheet[]): Sheet[] {
  const changed = sheets.filter(USUAL_CHOICES.changed.has);
  return changed.length > 0 ? changed : sheets.filter(USUAL_CHOICES.without.has);
}

/** What a sheet would get, and whether it had that before. */
export function codeFor(sheet: Sheet, code: string | null, first: string): { code: string; had: boolean } {
  const codes = sheet.revisions.map((each) => each.code);
  return code === null ? { code: nextRevisionCode(codes, first), had: false } : { code, had: codes.includes(code) };
}

/** Codes told in one line, each once, as they come; of many the first and the last. */
export function codesInWords(codes: Iterable<string>): string {
  const each = [...new Set(codes)].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  return each.length > 3 ? `${each[0]} … ${each.at(-1)}` : each.join(', ');
}

/** The sheets that have a revision, with their codes of it. */
export const sheetsWith = (sheets: readonly Sheet[], revision: string): { sheet: Sheet; code: string }[] =>
  sheets.flatMap((sheet) => {
    const own = sheet.revisions.find(({ id }) => id === revision);
    return own ? [{ sheet, code: own.code }] : [];
  });
