import type { Revision } from '@mendrel/contract';

/** What is typed for a revision. */
export interface RevisionWords {
  date: string;
  description: string;
  by: string;
  checked: string;
}

export const wordsOf = ({ date, description, by, checked }: Revision): RevisionWords => ({
  date,
  description,
  by,
  checked,
});
