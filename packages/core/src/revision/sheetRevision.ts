import type { Row } from '../table';

/** A revision as a sheet has it. */
export interface SheetRevision {
  code: string;
  /** As it was entered; where it is shown it takes the office's form. */
  date: string;
  description: string;
  by: string;
  checked: string;
  /** Taken back: no sheet shows it any more, and its code is not given again. */
  withdrawn?: boolean;
}

/** What is not withdrawn, in the order in which it was made. */
export const standingRevisions = <T extends SheetRevision>(revisions: readonly T[] = []): T[] =>
  revisions.filter((each) => each.withdrawn !== true);

/** The rows of a sheet's table of revisions, the oldest first. */
export const revisionRows = (revisions: readonly SheetRevision[] = []): Row[] =>
  standingRevisions(revisions).map(({ code, date, description, by, checked }) => ({
    code,
    date,
    description,
    by,
    checked,
  }));
