import { MOST_REVISIONS } from '@mendrel/contract';
import type { Revision, RevisionCreate } from '@mendrel/contract';
import { MOST_CODE_CHARACTERS, nextRevisionCode } from '@mendrel/core';
import type { Knex } from 'knex';
import type { Transaction } from 'objection';
import { Failure } from '../http/failure';
import type { ProjectModel } from '../projects/projectModel';
import { sheetRecords } from '../sheets/sheetModel';
import type { SheetRevisionRow } from './revisionModel';
import { RevisionModel } from './revisionModel';
import { designStates, stateOf } from './sheetRevisions';

/** Rows that are written at once: each has a place for its values, and a statement has room for 65,535 of them. */
const AT_ONCE = 1000;

/** What is said of a revision. */
type RevisionWords = Pick<Revision, 'date' | 'description' | 'by' | 'checked'>;

/** Gives sheets their codes: the wanted one, or to each the next of its own. @throws Failure that names a sheet that has it already */
async function codedSheets(
  project: ProjectModel,
  { code, sheets: wanted }: RevisionCreate,
  database: Knex,
): Promise<Omit<SheetRevisionRow, 'revision_id'>[]> {
  const known = new Map((await sheetRecords(project.id, database)).map((sheet) => [sheet.id, sheet]));
  const designOf = await designStates(project.id, database);
  return [...new Set(wanted)].map((sheetId) => {
    const sheet = known.get(sheetId);
    if (!sheet) throw new Failure('invalid', 'a sheet that was chosen is not there any more', 'sheets');
    const codes = sheet.revisions.map((each) => each.code);
    if (code !== null && codes.includes(code))
      throw new Failure('invalid', `${sheet.number} had a revision ${code} already; choose another code`, 'code');
    const given = code ?? nextRevisionCode(codes, project.first_revision);
    if (given.length > MOST_CODE_CHARACTERS)
      throw new Failure(
        'invalid',
        `the code after ${codes.at(-1)} of ${sheet.number} is too long; give one yourself`,
        'code',
      );
    return { sheet_id: sheetId, code: given, state: stateOf(sheet, designOf(sheet)) };
  });
}

/** Sheets that have a revision are others than before, for whoever has read them. */
export const raiseSheets = (revisionId: string, database: Knex): Promise<unknown> =>
  database('sheets')
    .whereIn('id', database('sheet_revisions').select('sheet_id').where({ revision_id: revisionId }))
    .increment('version', 1);

/** Keeps a revision as the last one of its project, with the sheets that have it. */
export async function insertRevision(
  projectId: string,
  words: { id: string } & RevisionWords,
  sheets: readonly Omit<SheetRevisionRow, 'revision_id'>[],
  transaction: Transaction,
): Promise<RevisionModel> {
  const of = { project_id: projectId };
  const last = await RevisionModel.query(transaction).where(of).orderBy('position', 'desc').first();
  const made = await RevisionModel.query(transaction)
    .insert({ ...words, ...of, position: (last?.position ?? 0) + 1, version: 1 })
    .returning('*');
  const rows = sheets.map((sheet): SheetRevisionRow => ({ revision_id: words.id, ...sheet }));
  await transaction.batchInsert('sheet_revisions', rows, AT_ONCE);
  return made;
}

/**
 * Makes a revision of a project and gives it to its sheets.
 * @param project held by the transaction, so that two who make revisions at once do not give a sheet the same code
 * @throws Failure when a sheet is gone or had the code before; then nothing of it is kept
 */
export async function makeRevision(
  project: ProjectModel,
  wish: RevisionCreate,
  transaction: Transaction,
): Promise<RevisionModel> {
  const count = await RevisionModel.query(transaction).where({ project_id: project.id }).resultSize();
  if (count >= MOST_REVISIONS) throw new Failure('invalid', `a project holds at most ${MOST_REVISIONS} revisions`);
  const sheets = await codedSheets(project, wish, transaction);
  const { id, date, description, by, checked } = wish;
  const made = await insertRevision(project.id, { id, date, description, by, checked }, sheets, transaction);
  await raiseSheets(id, transaction);
  return made;
}
