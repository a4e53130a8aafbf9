import type { Sheet } from '@mendrel/contract';
import type { Knex } from 'knex';

type SheetIssueOf = Sheet['issues'][number];

/** Sheets of one project with the issues that they went out with, the oldest first; withdrawn ones are left out. */
export async function withIssues<S extends { id: string }>(
  projectId: string,
  sheets: readonly S[],
  database: Knex,
): Promise<(S & Pick<Sheet, 'issues'>)[]> {
  const issues = await database('issues')
    .where({ project_id: projectId, withdrawn: null })
    .orderBy('number')
    .select<SheetIssueOf[]>('id', 'date', 'purpose', 'set', 'recipient');
  const of = new Map<string, SheetIssueOf[]>();
  if (issues.length > 0) {
    const [one] = sheets;
    const rows = await database('issue_sheets')
      .whereIn(
        'issue_id',
        issues.map(({ id }) => id),
      )
      .whereNotNull('sheet_id')
      .modify((query) => (sheets.length === 1 && one ? void query.where({ sheet_id: one.id }) : undefined))
      .select<{ issue_id: string; sheet_id: string }[]>('issue_id', 'sheet_id');
    const byIssue = new Map<string, string[]>();
    for (const { issue_id, sheet_id } of rows) {
      const known = byIssue.get(issue_id);
      if (known) known.push(sheet_id);
      else byIssue.set(issue_id, [sheet_id]);
    }
    for (const issue of issues)
      for (const sheet of byIssue.get(issue.id) ?? []) {
        const known = of.get(sheet);
        if (known) known.push(issue);
        else of.set(sheet, [issue]);
      }
  }
  return sheets.map((sheet) => ({ ...sheet, issues: of.get(sheet.id) ?? [] }));
}
