import { randomUUID } from 'node:crypto';
import {
  HISTORY_PAGE,
  MOST_SHEETS,
  sheetChangeSchema,
  sheetCreateSchema,
  sheetKindSchema,
  sheetsChangeSchema,
} from '@mendrel/contract';
import type { HistoryEntry, Sheet, SheetsChanged } from '@mendrel/contract';
import { nextByScheme, nextSheetNumber } from '@mendrel/core';
import { Router } from 'express';
import { z } from 'zod';
import { UniqueViolationError } from 'objection';
import type { Knex } from 'knex';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, checked, idOf } from '../http/requests';
import { officeForSaving } from '../office/officeModel';
import { checkKinds, officeKinds } from '../office/sheetKinds';
import { ProjectModel } from '../projects/projectModel';
import { deleteSheets } from './deleteSheets';
import { changeSheets, checkSizes } from './changeSheets';
import { asSheet, SheetModel, sheetRecords, sheetsAsJson, sheetsOf } from './sheetModel';
import { changeTray } from '../tray/tray';

async function theProject(id: string, database: Knex): Promise<ProjectModel> {
  const project = await ProjectModel.query(database).findById(id);
  if (!project) throw notFound('project');
  return project;
}

/** The number to propose for a new sheet of a kind. */
async function nextOf(
  { numbering }: ProjectModel,
  sheets: readonly SheetModel[],
  kind: Sheet['kind'],
  database: Knex,
): Promise<string> {
  const kinds = await officeKinds(database);
  return numbering ? nextByScheme(numbering, sheets, kind, kinds) : nextSheetNumber(sheets, kind, kinds);
}

/** Turns a clash of numbers into words. */
async function uniqueNumber<T>(number: string | undefined, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof UniqueViolationError) {
      throw new Failure('invalid', `there is a sheet ${number ?? 'of this number'} already`, 'number');
    }
    throw error;
  }
}

export function sheetRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get('/projects/:id/sheets', async (request, response) => {
    const id = idOf(request, 'project');
    const sheets = await sheetsAsJson(id, database);
    // Without any it is looked whether there is such a project.
    if (sheets === undefined) await theProject(id, database);
    response.type('json').send(sheets ?? '[]');
  });
  router.get(
    '/projects/:id/next-number',
    answers(async (request) => {
      const project = await theProject(idOf(request, 'project'), database);
      const kind = checked(request.query['kind'], sheetKindSchema);
      await checkKinds([kind], database);
      return { number: await nextOf(project, await sheetsOf(project.id, database), kind, database) };
    }),
  );
  router.post(
    '/projects/:id/sheets',
    answers(async (request) => {
      const projectId = idOf(request, 'project');
      const sheet = bodyOf(request, sheetCreateSchema);
      return uniqueNumber(sheet.number, () =>
        database.transaction(async (transaction) => {
          await officeForSaving(transaction);
          // Held until the end, so that sheets that are added at once do not take the same number.
          const project = await ProjectModel.query(transaction).findById(projectId).forUpdate();
          if (!project) throw notFound('project');
          await checkSizes([sheet.size], project, transaction);
          await checkKinds([sheet.kind], transaction);
          const others = await sheetsOf(projectId, transaction);
          if (others.length >= MOST_SHEETS)
            throw new Failure('invalid', `a project holds at most ${MOST_SHEETS} sheets`);
          const number = sheet.number ?? (await nextOf(project, others, sheet.kind, transaction));
          if (number === '')
            throw new Failure('invalid', 'all numbers of this kind are taken; type a number', 'number');
          const row = await SheetModel.query(transaction)
            .insert({ id: randomUUID(), project_id: projectId, ...sheet, number, values: {}, views: [], version: 1 })
            .returning('*');
          return asSheet(row, transaction);
        }),
      );
    }, 201),
  );
  router.patch(
    '/sheets/:id',
    answers(async (request) => {
      const id = idOf(request, 'sheet');
      const { version, ...change } = bodyOf(request, sheetChangeSchema);
      return uniqueNumber(change.number, () =>
        database.transaction(async (transaction) => {
          const before = await SheetModel.query(transaction).select('project_id').findById(id);
          if (!before) throw notFound('sheet');
          const project = await theProject(before.project_id, transaction);
          await changeSheets(project, { changes: [{ id, version, ...change }], added: [] }, transaction);
          return asSheet(await SheetModel.query(transaction).findById(id).throwIfNotFound(), transaction);
        }),
      );
    }),
  );
  router.post(
    '/projects/:id/sheet-changes',
    answers(async (request) => {
      const projectId = idOf(request, 'project');
      const change = bodyOf(request, sheetsChangeSchema);
      return uniqueNumber(undefined, () =>
        database.transaction(async (transaction): Promise<SheetsChanged> => {
          // Before the project, as whoever renames a parameter takes them.
          await officeForSaving(transaction);
          // Held until the end, so that two who renumber at once do it one after the other.
          const project = await ProjectModel.query(transaction).findById(projectId).forUpdate();
          if (!project) throw notFound('project');
          const { deleted, keepViews, tray } = change;
          const bin = deleted.length > 0 ? await deleteSheets(projectId, deleted, keepViews, transaction) : null;
          await changeSheets(project, change, transaction);
          await changeTray(projectId, tray, transaction);
          const ids = new Set([...change.changes, ...change.added].map(({ id }) => id));
          return { sheets: (await sheetRecords(projectId, transaction)).filter(({ id }) => ids.has(id)), bin };
        }),
      );
    }),
  );
  router.get(
    '/sheets/:id/history',
    answers(async (request): Promise<HistoryEntry[]> => {
      const id = idOf(request, 'sheet');
      const before = checked(
        request.query['before'] ?? null,
        z
          .string()
          .regex(/^\d{1,18}$/)
          .nullable(),
      );
      const rows = await database('history')
        .where({ row_id: id })
        .modify((query) => (before === null ? undefined : void query.where('id', '<', before)))
        .orderBy('id', 'desc')
        .limit(HISTORY_PAGE)
        .select<(Omit<HistoryEntry, 'at'> & { at: Date })[]>('id', 'field', 'before', 'after', 'at');
      return rows.map(({ at, ...entry }) => ({ ...entry, at: at.toISOString() }));
    }),
  );
  router.delete(
    '/sheets/:id',
    answers(async (request) => {
      const id = idOf(request, 'sheet');
      return database.transaction(async (transaction) => {
        const sheet = await SheetModel.query(transaction).select('id', 'project_id').findById(id);
        if (!sheet) throw notFound('sheet');
        // Held until the end, so that two who delete at once leave no gaps in sets.
        await ProjectModel.query(transaction).select('id').findById(sheet.project_id).forUpdate();
        return { deleted: id, bin: await deleteSheets(sheet.project_id, [id], false, transaction) };
      });
    }),
  );
  return router;
}
