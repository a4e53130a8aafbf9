import type { Row } from '../table';

/** An issue that a sheet went out with. */
export interface SheetIssue {
  /** As it was entered; where it is shown it takes the office's form. */
  date: string;
  purpose: string;
  /** The name of the set that went out. */
  set: string;
  /** To whom, in one line. */
  recipient: string;
}

/** Somebody to whom an issue goes, a row of its table of recipients. */
export interface Recipient {
  firm: string;
  person: string;
  /** What they get: a file, prints. */
  copies: string;
}

/** The rows of a sheet's table of issues, the oldest first. */
export const issueRows = (issues: readonly SheetIssue[] = []): Row[] =>
  issues.map(({ date, purpose, set, recipient }) => ({ date, purpose, set, recipient }));

/** Recipients in one line: the firms, or the people where no firm is named. */
export const recipientWords = (recipients: readonly Recipient[]): string =>
  [...new Set(recipients.map(({ firm, person }) => firm || person))].filter((name) => name !== '').join(', ');

/** The rows of the table of recipients of an issue. */
export const recipientRows = (recipients: readonly Recipient[]): Row[] =>
  recipients.map(({ firm, person, copies }) => ({ firm, person, copies }));
