import type { Knex } from 'knex';

/**
 * How long a file is kept that nothing refers to: whoever undoes a step, or has a page open that was not saved yet, finds it again.
 */
const KEPT_FOR = '7 days';

/** Where documents are kept that may refer to images. */
const DOCUMENTS = ['designs', 'design_revisions', 'design_checkpoints'] as const;

/** Removes files that nothing has referred to for a while. @returns how many */
export async function sweepAssets(database: Knex): Promise<number> {
  return database.transaction(async (transaction) => {
    // Images stand at any depth of cells.
    const inDocuments = DOCUMENTS.map(
      (table) => `select jsonb_path_query(document, 'lax $.**.image.asset') #>> '{}' as sha256 from ${table}`,
    );
    const inCorrections =
      "select jsonb_path_query(jsonb_build_array(corrections, sheet_corrections), 'lax $.**.image.asset') #>> '{}' as sha256 from legacy_drawings";
    // A picture that is data names its file at its end.
    const inValues = ['office', 'projects', 'sets', 'sheets'].map(
      (table) =>
        `select right(value, 64) as sha256 from ${table}, jsonb_each_text("values") where value ~ '^(png|jpeg) [0-9]+x[0-9]+ [0-9a-f]{64}$'`,
    );
    const inRows = ['typefaces', 'legacy_drawings', 'project_drawings'].map((table) => `select asset from ${table}`);
    const inDrawings = "select jsonb_path_query(spaces, 'lax $[*].linework') #>> '{}' as sha256 from project_drawings";
    const inViews = "select jsonb_path_query(views, 'lax $[*].drawing.linework') #>> '{}' as sha256 from sheets";
    const inTrays = "select view #>> '{drawing,linework}' from waiting_views";
    const inIssues = 'select sha256 from issue_assets';
    // What was deleted may be restored with its pictures.
    const inBin = [
      '$[*].rows[*].sha256',
      '$[*].rows[*].asset',
      '$[*].rows[*].spaces[*].linework',
      '$[*].rows[*].views[*].drawing.linework',
      '$[*].rows[*].view.drawing.linework',
      '$[*].rows[*].document.**.image.asset',
    ].map((path) => `select jsonb_path_query(content, 'lax ${path}') #>> '{}' as sha256 from bin`);
    const inBinValues =
      "select right(value #>> '{}', 64) as sha256 from bin, jsonb_path_query(content, 'lax $[*].rows[*].\"values\".*') as value";
    await transaction.raw(
      `update assets set used_at = now() where sha256 in (${[...inDocuments, inCorrections, ...inValues, ...inRows, inDrawings, inViews, inTrays, inIssues, ...inBin, inBinValues].join(' union all ')})`,
    );
    const { rowCount } = await transaction.raw<{ rowCount: number }>(
      `delete from assets where used_at < now() - interval '${KEPT_FOR}'`,
    );
    return rowCount;
  });
}
