import type { z } from 'zod';

/** What is wrong with a document and where, in the document's own words: `panels.0.root.division.rows.2.fixed`. */
export interface Problem {
  where: string;
  message: string;
}

/** A document that cannot be used, with everything that is wrong with it. */
export class DocumentError extends Error {
  override name = 'DocumentError';
  /** @param what the document in words, for when nothing else is said */
  constructor(
    readonly problems: readonly Problem[],
    what: string,
  ) {
    const [first] = problems;
    const more = problems.length > 1 ? ` (and ${problems.length - 1} more)` : '';
    super(first ? `${first.where ? `${first.where}: ` : ''}${first.message}${more}` : `${what} is not sound`);
  }
}

/** Problems told of one reading; whoever mends them reads again. */
const MOST_PROBLEMS = 50;

/** What a schema objects to, in words. */
export const problemsOf = ({ issues }: z.ZodError): Problem[] =>
  issues.slice(0, MOST_PROBLEMS).map((issue) => {
    const where = issue.path.map(String).join('.');
    if (issue.code !== 'unrecognized_keys') return { where, message: issue.message };
    return { where, message: `unknown field ${issue.keys.map((key) => `"${key}"`).join(', ')}` };
  });
