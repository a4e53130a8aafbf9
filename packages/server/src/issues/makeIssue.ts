import type { IssueCreate } from '@mendrel/contract';
import { MOST_ISSUES } from '@mendrel/contract';
import type { Finding, SheetSource } from '@mendrel/core';
import { counted, FROZEN_VERSION, inWords } from '@mendrel/core';
import type { Knex } from 'knex';
import type { Transaction } from 'objection';
import { keepAsset } from '../assets/assetModel';
import { Failure, notFound } from '../http/failure';
import { theOffice } from '../office/officeModel';
import { sharing } from '../output/sheetDrawing';
import { ProjectModel } from '../projects/projectModel';
import { SheetModel } from '../sheets/sheetModel';
import type { TypefaceLibrary } from '../typefaces/typefaceLibrary';
import { packed } from '../work/freeze';
import type { Work } from '../work/tasks';
import { checkOf } from './checkOutgoing';
import { keepFrozen, whileFreezing } from './frozenModel';
import type { IssueSheetRow, TransmittalRow } from './issueModel';
import { IssueModel } from './issueModel';
import { outgoing } from './outgoing';
import type { Outgoing } from './outgoing';

/** Sheets that are drawn and written in one go. */
const AT_ONCE = 25;
/** Rows that are written at once. */
const ROWS_AT_ONCE = 1000;

/** A sheet as it was kept. */
interface Kept {
  shared: string;
  own: string;
}

interface With {
  database: Knex;
  work: Work;
  library: TypefaceLibrary;
  /** Stops it between two goes. */
  gone: AbortSignal;
}

/** Keeps the files of all typefaces that there are, each once. @returns their SHA-256 by name */
async function keepTypefaces(library: TypefaceLibrary, transaction: Knex): Promise<Record<string, string>> {
  const files: Record<string, string> = {};
  for (const [name, bytes] of library.fontFiles)
    files[name] = await keepAsset('typeface', Buffer.from(bytes), transaction);
  return files;
}

/** Draws and keeps all sheets that go out. @throws Failure when one cannot be drawn */
async function keepSheets(
  { sources, transmittal }: Outgoing,
  { work, library, gone }: With,
  transaction: Knex,
): Promise<{ kept: Kept[]; findings: Finding[][]; assets: Set<string> }> {
  const all: SheetSource[] = [...sources, ...transmittal];
  const kept: Kept[] = [];
  const findings: Finding[][] = [];
  const assets = new Set<string>();
  const typefaces = await keepTypefaces(library, transaction);
  for (const { shared: source, places } of sharing(all)) {
    const shared = packed({ version: FROZEN_VERSION, ...source });
    await keepFrozen([shared], transaction);
    for (let from = 0; from < places.length; from += AT_ONCE) {
      if (gone.aborted) throw new Failure('stopped', 'the issue was stopped; nothing of it was kept');
      const part = places.slice(from, from + AT_ONCE);
      const sheets = part.map((place) => {
        const { sheet, position, related } = all[place]!;
        return { sheet, index: position.index, ...(related ? { related } : {}) };
      });
      const drawn = await work('freeze', { source, sheets, count: sources.length, typefaces });
      await keepFrozen(
        drawn.flatMap(({ own }) => own ?? []),
        transaction,
      );
      part.forEach((place, i) => {
        const { own, findings: found, typefaces: names, images } = drawn[i]!;
        if (!own) {
          const words = found[0] ? inWords(found[0]) : 'it has no drawing';
          throw new Failure('invalid', `${all[place]!.sheet.number} cannot be drawn: ${words}`, 'setId');
        }
        kept[place] = { shared: shared.sha256, own: own.sha256 };
        findings[place] = found;
        for (const name of names) if (typefaces[name] !== undefined) assets.add(typefaces[name]);
        for (const image of images) assets.add(image);
      });
    }
  }
  return { kept, findings, assets };
}

/** Sheets of an issue are others than before, for whoever has read them: they show it. */
export const raiseIssued = (issueId: string, database: Knex): Promise<unknown> =>
  database('sheets')
    .whereIn('id', database('issue_sheets').select('sheet_id').where({ issue_id: issueId }).whereNotNull('sheet_id'))
    .increment('version', 1);

async function writeIssue(
  projectId: string,
  wish: IssueCreate,
  out: Outgoing,
  { kept, assets }: { kept: readonly Kept[]; assets: ReadonlySet<string> },
  transaction: Transaction,
): Promise<IssueModel> {
  const { id, date, purpose, recipients, remarks } = wish;
  const { number, set, recipient, from, transmittal } = out;
  const made = await IssueModel.query(transaction)
    .insert({
      id,
      project_id: projectId,
      number,
      date,
      purpose,
      set,
      recipient,
      recipients,
      remarks,
      transmittal_design_id: wish.transmittal?.designId ?? null,
      transmittal_size: wish.transmittal?.size ?? null,
      version: 1,
    })
    .returning('*');
  // A sheet that was deleted while the others were drawn went out all the same.
  const there = await SheetModel.query(transaction).select('id').where({ project_id: projectId });
  const known = new Set(there.map((sheet) => sheet.id));
  const rows = from.sheets.map((sheet, position): IssueSheetRow => ({
    issue_id: id,
    position,
    sheet_id: known.has(sheet.id) ? sheet.id : null,
    number: sheet.number,
    title: sheet.title,
    size: sheet.size,
    revision: sheet.revisions.filter((each) => !each.withdrawn).at(-1)?.code ?? '',
    ...kept[position]!,
  }));
  await transaction.batchInsert('issue_sheets', rows, ROWS_AT_ONCE);
  const pages = transmittal.map((_, page): TransmittalRow => ({
    issue_id: id,
    page,
    ...kept[from.sheets.length + page]!,
  }));
  await transaction.batchInsert('issue_transmittals', pages, ROWS_AT_ONCE);
  // What was planned has gone out.
  if (wish.setId) await transaction('sets').where({ id: wish.setId }).update({ due: null });
  const files = [...assets].map((sha256) => ({ issue_id: id, sha256 }));
  if (files.length > 0) await transaction.batchInsert('issue_assets', files, ROWS_AT_ONCE);
  await raiseIssued(id, transaction);
  return made;
}

/**
 * Issues a set: every sheet is kept as it is drawn, with all that it was drawn from. All of it is kept or nothing.
 * @throws Failure when the office does not let it go out as it is, a sheet cannot be drawn, or another issue was made meanwhile
 */
export async function makeIssue(projectId: string, wish: IssueCreate, by: With): Promise<IssueModel> {
  const { database } = by;
  const read = { isolationLevel: 'repeatable read', readOnly: true } as const;
  const { out, blocks } = await database.transaction(async (moment) => {
    const { issue_blocks } = await theOffice(moment);
    return {
      out: await outgoing(projectId, wish, { database: moment, typefaces: by.library.typefaces }),
      blocks: issue_blocks,
    };
  }, read);
  if (out.number > MOST_ISSUES) throw new Failure('invalid', `a project holds at most ${MOST_ISSUES} issues`);
  return database.transaction(async (transaction) => {
    await whileFreezing(transaction);
    const drawn = await keepSheets(out, by, transaction);
    const check = checkOf(out, drawn.findings, blocks);
    if (check.blocked) {
      const first = check.told[0];
      throw new Failure(
        'invalid',
        `${counted(blocks === 'gap' ? check.told.length : check.errors, 'sheet')} would go out incomplete, which this office does not allow; the first is ${first?.number}: ${first?.findings[0] ? inWords(first.findings[0]) : ''}`,
        'setId',
      );
    }
    // Held only while it is written, so that nobody waits while sheets are drawn.
    const project = await ProjectModel.query(transaction).select('id').findById(projectId).forUpdate();
    if (!project) throw notFound('project');
    const taken = await IssueModel.query(transaction).where({ project_id: projectId, number: out.number }).first();
    if (taken)
      throw new Failure('conflict', 'another issue of this project was made meanwhile; look at it, then try again');
    return writeIssue(projectId, wish, out, drawn, transaction);
  });
}
