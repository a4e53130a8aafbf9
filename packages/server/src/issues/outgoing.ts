import { randomUUID } from 'node:crypto';
import type { IssueWish } from '@mendrel/contract';
import type { ProjectSource, SheetRecord, SheetSource, Typefaces } from '@mendrel/core';
import { continuedSheets, parametersOf, recipientRows, recipientWords, valueProblem, withRows } from '@mendrel/core';
import type { Knex } from 'knex';
import { designAt, newestDesignRevision } from '../designs/designModel';
import { Failure } from '../http/failure';
import { theOffice } from '../office/officeModel';
import { drawableProject } from '../output/sheetDrawing';
import type { DrawableProject } from '../output/sheetDrawing';
import { recordOf } from '../sheets/sheetModel';
import { IssueModel } from './issueModel';

/** What would go out: the sheets as they show the issue, and the sheets that go with them. */
export interface Outgoing {
  from: DrawableProject;
  /** What each sheet is drawn from, without what is only told of it. */
  sources: SheetSource[];
  transmittal: SheetSource[];
  /** The number that the issue gets within its project. */
  number: number;
  /** The name of the set. */
  set: string;
  recipient: string;
}

async function checkDate(date: string, database: Knex): Promise<void> {
  const { standard } = await theOffice(database);
  const parameter = parametersOf(standard).get('sheet.issueDate');
  const problem = parameter && valueProblem(parameter, date);
  if (problem) throw new Failure('invalid', problem, 'date');
}

/** The sheets that go with an issue: the office's own design, filled with what the issue is and which sheets it has. */
async function transmittalOf(
  wish: NonNullable<IssueWish['transmittal']>,
  sheet: Pick<SheetRecord, 'number' | 'title' | 'issues'>,
  of: ProjectSource,
  sheets: readonly SheetRecord[],
  by: { database: Knex; typefaces: Typefaces },
): Promise<SheetSource[]> {
  const { designId, size } = wish;
  const { database, typefaces } = by;
  const revision =
    wish.designRevision === undefined ? await newestDesignRevision(designId, database) : wish.designRevision;
  const { document } = await designAt(designId, revision, database);
  if (!document.sizes.some((each) => each.size === size))
    throw new Failure('invalid', `${document.name} does not serve ${size}; choose another size`, 'transmittal.size');
  const shared = withRows({ ...of, design: document }, sheets);
  const record: SheetRecord = { ...sheet, kind: 'schedule', size, values: {}, views: [] };
  return continuedSheets({ ...shared, sheet: record, position: { index: 0, count: sheets.length } }, typefaces);
}

/**
 * What an issue would take out, as it is now.
 * @param by.database one moment of it, so that what is read fits together
 * @throws Failure when the set is empty or gone, or the date is none
 */
export async function outgoing(
  projectId: string,
  wish: IssueWish,
  by: { database: Knex; typefaces: Typefaces },
): Promise<Outgoing> {
  const { database } = by;
  await checkDate(wish.date, database);
  const last = await IssueModel.query(database)
    .where({ project_id: projectId })
    .orderBy('number', 'desc')
    .select('number')
    .first();
  const { date, purpose, recipients, setId, transmittal } = wish;
  const recipient = recipientWords(recipients).slice(0, 300);
  const rows = recipientRows(recipients);
  const issue = { id: randomUUID(), date, purpose, set: '', recipient };
  const from = await drawableProject(projectId, database, { setId, issue, recipients: rows });
  const set = from.source.project['set.name'] ?? '';
  if (from.sheets.length === 0)
    throw new Failure(
      'invalid',
      from.set ? 'this set has no sheets; choose some first' : 'this project has no sheets yet; add some first',
      'setId',
    );
  const number = (last?.number ?? 0) + 1;
  const sources = from.sources.map((source, i) => ({ ...source, sheet: recordOf(from.sheets[i]!) }));
  const records = sources.map(({ sheet }) => sheet);
  return {
    from,
    sources,
    transmittal: transmittal
      ? await transmittalOf(
          transmittal,
          { number: `Issue ${number}`, title: set === '' ? purpose : set, issues: [{ ...issue, set }] },
          from.source,
          records,
          by,
        )
      : [],
    number,
    set,
    recipient,
  };
}
