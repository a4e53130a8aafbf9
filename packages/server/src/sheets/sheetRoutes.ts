import { randomUUID } from 'node:crypto';
import { MOST_SHEETS, sheetChangeSchema, sheetCreateSchema, sheetKindSchema } from '@mendrel/contract';
import { nextSheetNumber, parametersOf, parseScale, QuantityError, sizesOf } from '@mendrel/core';
import { Router } from 'express';
import { UniqueViolationError } from 'objection';
import type { Knex } from 'knex';
import { checkPictures } from '../assets/checkPictures';
import { changeVersioned } from '../database/record';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, checked, idOf } from '../http/requests';
import { officeForSaving } from '../office/officeModel';
import { checkValues } from '../office/officeRoutes';
import { ProjectModel } from '../projects/projectModel';
import { standardAt } from '../standard/standardModel';
import { asSheet, SheetModel, sheetRecords, sheetsOf } from './sheetModel';

async function theProject(id: string, database: Knex): Promise<ProjectModel> {
  const project = await ProjectModel.query(database).findById(id);
  if (!project) throw notFound('project');
  return project;
}

/** Refuses a size that the standard of the project does not have. */
async function checkSize(size: string | undefined, project: ProjectModel, database: Knex): Promise<void> {
  if (size === undefined) return;
  const sizes = sizesOf(await standardAt(project.standard_revision, database));
  if (!sizes.some((each) => each.name === size)) {
    throw new Failure(
      'invalid',
      `the revision of the office standard that this project uses has no sheet size ${size}; choose a newer revision under Data`,
      'size',
    );
  }
}

function checkScales(views: readonly { name: string; scale: string | null }[] | undefined): void {
  views?.forEach(({ name, scale }, i) => {
    if (scale === null) return;
    try {
      parseScale(scale);
    } catch (error) {
      if (error instanceof QuantityError) throw new Failure('invalid', `${name}: ${error.message}`, `views.${i}.scale`);
      throw error;
    }
  });
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
  router.get(
    '/projects/:id/sheets',
    answers(async (request) => {
      const id = idOf(request, 'project');
      const sheets = await sheetRecords(id, database);
      // Without any it is looked whether there is such a project.
      if (sheets.length === 0) await theProject(id, database);
      return sheets;
    }),
  );
  router.get(
    '/projects/:id/next-number',
    answers(async (request) => {
      const { id } = await theProject(idOf(request, 'project'), database);
      const kind = checked(request.query['kind'], sheetKindSchema);
      const sheets = await sheetsOf(id, database);
      return {
        number: nextSheetNumber(sheets, kind),
      };
    }),
  );
  router.post(
    '/projects/:id/sheets',
    answers(async (request) => {
      const projectId = idOf(request, 'project');
      const sheet = bodyOf(request, sheetCreateSchema);
      return uniqueNumber(sheet.number, () =>
        database.transaction(async (transaction) => {
          // Held until the end, so that sheets that are added at once do not take the same number.
          const project = await ProjectModel.query(transaction).findById(projectId).forUpdate();
          if (!project) throw notFound('project');
          await checkSize(sheet.size, project, transaction);
          const others = await sheetsOf(projectId, transaction);
          if (others.length >= MOST_SHEETS)
            throw new Failure('invalid', `a project holds at most ${MOST_SHEETS} sheets`);
          const number = sheet.number ?? nextSheetNumber(others, sheet.kind);
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
      checkScales(change.views);
      return uniqueNumber(change.number, () =>
        database.transaction(async (transaction) => {
          if (change.values) {
            const before = await SheetModel.query(transaction).findById(id);
            const { standard } = await officeForSaving(transaction);
            checkValues(change.values, 'sheet', parametersOf(standard), before?.values);
            await checkPictures(change.values, parametersOf(standard), before?.values, transaction);
          }
          const changed = await changeVersioned(SheetModel, id, version, change, 'sheet', transaction);
          await checkSize(change.size, await theProject(changed.project_id, transaction), transaction);
          return asSheet(changed, transaction);
        }),
      );
    }),
  );
  router.delete(
    '/sheets/:id',
    answers(async (request) => {
      const id = idOf(request, 'sheet');
      const deleted = await SheetModel.query(database).deleteById(id);
      if (deleted === 0) throw notFound('sheet');
      return { deleted: id };
    }),
  );
  return router;
}
