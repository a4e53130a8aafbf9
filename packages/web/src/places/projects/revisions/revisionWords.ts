import type { Revision } from '@mendrel/contract';

/** What is typed for a revision. */
export interface RevisionWords {
  date: string;
  description: string;
  by: string;
  checked: string;
}

const twoFigures = (figure: number): string => String(figure).padStart(2, '0');

/** A day as it is usual to begin with: year, month, day. */
export const dayOf = (date: Date): string =>
  [date.getFullYear(), twoFigures(date.getMonth() + 1), twoFigures(date.getDate())].join('-');

export const wordsOf = ({ date, description, by, checked }: Revision): RevisionWords => ({
  date,
  description,
  by,
  checked,
});
