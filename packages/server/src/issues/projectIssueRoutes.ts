import type { IssuedSheet } from '@mendrel/contract';
import { idSchema, issueChangeSchema, issueCreateSchema, issueWishSchema } from '@mendrel/contract';
import { writeCsv } from '@mendrel/formats/csv';
import { Router } from 'express';
import type { Knex } from 'knex';
import { z } from 'zod';
import { changeVersioned } from '../database/record';
import { costly } from '../http/costly';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { attach, goneSignal, safeName } from '../http/files';
import { answers, bodyOf, checked, idOf } from '../http/requests';
import { Turns } from '../http/turns';
import { theOffice } from '../office/officeModel';
import { sendPdf } from '../output/pdfFile';
import { pdfOptions, PICTURES_BESIDE, SHEET_ENDINGS, sendSheet } from '../output/sheetFile';
import { ProjectModel } from '../projects/projectModel';
import { checkOutgoing } from './checkOutgoing';
import { compareIssues } from './compareIssues';
import { FrozenReader } from './frozenModel';
import { asIssues, IssueModel } from './issueModel';
import type { IssueSheetRow, TransmittalRow } from './issueModel';
import { issuedFile, issuedPages } from './issueOutput';
import { makeIssue, raiseIssued } from './makeIssue';
import { outgoing } from './outgoing';

/** Issues that may wait to be drawn. */
const MOST_WAITING = 10;

const picturesSchema = z.object({ pictures: z.enum(PICTURES_BESIDE).default('files') });
const positionSchema = z.coerce.number().int().min(0).max(100_000);

async function theIssue(id: string, database: Knex): Promise<IssueModel> {
  const issue = await IssueModel.query(database).findById(id);
  if (!issue) throw notFound('issue');
  return issue;
}

const sheetsOf = (issueId: string, database: Knex): Promise<IssueSheetRow[]> =>
  database<IssueSheetRow>('issue_sheets').where({ issue_id: issueId }).orderBy('position');

async function sheetAt(issueId: string, place: unknown, database: Knex): Promise<IssueSheetRow> {
  const position = positionSchema.safeParse(place);
  const row = position.success
    ? await database<IssueSheetRow>('issue_sheets').where({ issue_id: issueId, position: position.data }).first()
    : undefined;
  if (!row) throw notFound('sheet in this issue');
  return row;
}

/** The sheets that went with an issue. */
async function transmittalOf({ id }: IssueModel, database: Knex): Promise<TransmittalRow[]> {
  const pages = await database<TransmittalRow>('issue_transmittals').where({ issue_id: id }).orderBy('page');
  if (pages.length === 0) throw notFound('transmittal sheet of this issue');
  return pages;
}

const HEADINGS = ['Sheet', 'Title', 'Size', 'Revision', 'Issue', 'Date', 'Purpose', 'SHA-256'];

const asIssued = ({ position, number, title, size, revision, own }: IssueSheetRow): IssuedSheet => ({
  position,
  number,
  title,
  size,
  revision,
  hash: own,
});

export function projectIssueRoutes({ database, library, work }: Dependencies): Router {
  const router = Router();
  // Drawn one at a time: each keeps the processor busy.
  const drawing = new Turns(1, MOST_WAITING, 'the issue');
  const printing = new Turns(1, MOST_WAITING, 'the set');

  router.get(
    '/projects/:id/issues',
    answers(async (request) => {
      const id = idOf(request, 'project');
      const rows = await IssueModel.query(database).where({ project_id: id }).orderBy('number', 'desc');
      if (rows.length === 0 && !(await ProjectModel.query(database).findById(id))) throw notFound('project');
      return asIssues(rows, database);
    }),
  );
  router.post('/projects/:id/issue-check', costly(), async (request, response) => {
    const projectId = idOf(request, 'project');
    const wish = bodyOf(request, issueWishSchema);
    const gone = goneSignal(response);
    const { issue_blocks } = await theOffice(database);
    const out = await database.transaction(
      async (moment) => outgoing(projectId, wish, { database: moment, typefaces: library.typefaces }),
      {
        isolationLevel: 'repeatable read',
        readOnly: true,
      },
    );
    response.json(await checkOutgoing(out, issue_blocks, { work, gone }));
  });
  router.post('/projects/:id/issues', costly(), async (request, response) => {
    const projectId = idOf(request, 'project');
    const wish = bodyOf(request, issueCreateSchema);
    const gone = goneSignal(response);
    await drawing.take(async () => {
      const before = await IssueModel.query(database).findById(wish.id);
      if (before && before.project_id !== projectId)
        throw new Failure('invalid', 'this id belongs to an issue of another project', 'id');
      const made = before ?? (await makeIssue(projectId, wish, { database, work, library, gone }));
      const [issue] = await asIssues([made], database);
      response.status(201).json(issue);
    }, gone);
  });
  router.patch(
    '/issues/:id',
    answers(async (request) => {
      const id = idOf(request, 'issue');
      const { version, withdrawn } = bodyOf(request, issueChangeSchema);
      return database.transaction(async (transaction) => {
        const changed = await changeVersioned(IssueModel, id, version, { withdrawn }, 'issue', transaction);
        await raiseIssued(id, transaction);
        const [issue] = await asIssues([changed], transaction);
        return issue;
      });
    }),
  );
  router.get(
    '/issues/:id/sheets',
    answers(async (request) => {
      const issue = await theIssue(idOf(request, 'issue'), database);
      return (await sheetsOf(issue.id, database)).map(asIssued);
    }),
  );
  router.get(
    '/issues/:id/sheets/:position',
    answers(async (request) => {
      const row = await sheetAt(idOf(request, 'issue'), request.params['position'], database);
      const [document] = await new FrozenReader(database).read([row]);
      return { ...asIssued(row), drawing: document!.own.drawing };
    }),
  );
  router.get(
    '/issues/:id/compare/:with',
    costly(),
    answers(async (request, response) => {
      const issue = await theIssue(idOf(request, 'issue'), database);
      const other = await theIssue(checked(request.params['with'], idSchema), database);
      if (other.project_id !== issue.project_id)
        throw new Failure('invalid', 'these are issues of two projects; compare issues of one', 'with');
      const [before, after] = [await sheetsOf(other.id, database), await sheetsOf(issue.id, database)];
      return compareIssues(before, after, database, goneSignal(response));
    }),
  );
  router.get('/issues/:id/set.pdf', costly(), async (request, response) => {
    const issue = await theIssue(idOf(request, 'issue'), database);
    const gone = goneSignal(response);
    await printing.take(async () => {
      const rows = await sheetsOf(issue.id, database);
      const { pages, lettering, author, project } = await issuedPages(rows, database, gone);
      const name = `${project} issue ${issue.number}`;
      await sendPdf(response, `${safeName(name)}.pdf`, pages, pdfOptions(name, author, lettering));
    }, gone);
  });
  router.get('/issues/:id/transmittal.pdf', costly(), async (request, response) => {
    const issue = await theIssue(idOf(request, 'issue'), database);
    const gone = goneSignal(response);
    const sheets = await transmittalOf(issue, database);
    const { pages, lettering, author, project } = await issuedPages(sheets, database, gone);
    const name = `${project} issue ${issue.number} transmittal`;
    await sendPdf(response, `${safeName(name)}.pdf`, pages, pdfOptions(name, author, lettering));
  });
  router.get('/issues/:id/transmittal.csv', async (request, response) => {
    const issue = await theIssue(idOf(request, 'issue'), database);
    const rows = (await sheetsOf(issue.id, database)).map((row) => [
      row.number,
      row.title,
      row.size,
      row.revision,
      String(issue.number),
      issue.date,
      issue.purpose,
      row.own,
    ]);
    attach(response, `issue-${issue.number}.csv`, 'text/csv; charset=utf-8');
    // The mark by which spreadsheets know the encoding.
    response.send(`\uFEFF${writeCsv(HEADINGS, rows)}`);
  });
  for (const format of SHEET_ENDINGS) {
    router.get(`/issues/:id/sheets/:position/sheet.${format}`, costly(), async (request, response) => {
      const { pictures } = checked(request.query, picturesSchema);
      const row = await sheetAt(idOf(request, 'issue'), request.params['position'], database);
      const { file, lettering } = await issuedFile(row, database);
      await sendSheet(response, format, file, lettering, pictures);
    });
  }
  return router;
}
