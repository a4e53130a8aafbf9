import { revisionChangeSchema, revisionCreateSchema } from '@mendrel/contract';
import { parametersOf, valueProblem } from '@mendrel/core';
import { Router } from 'express';
import type { Knex } from 'knex';
import { changeVersioned } from '../database/record';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { officeForSaving } from '../office/officeModel';
import { ProjectModel } from '../projects/projectModel';
import { makeRevision, raiseSheets } from './makeRevision';
import { asRevision, RevisionModel } from './revisionModel';

async function checkDate(date: string | undefined, database: Knex): Promise<void> {
  if (date === undefined) return;
  const { standard } = await officeForSaving(database);
  const parameter = parametersOf(standard).get('sheet.revisionDate');
  const problem = parameter && valueProblem(parameter, date);
  if (problem) throw new Failure('invalid', problem, 'date');
}

export function projectRevisionRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get(
    '/projects/:id/revisions',
    answers(async (request) => {
      const id = idOf(request, 'project');
      const rows = await RevisionModel.query(database).where({ project_id: id }).orderBy('position', 'desc');
      if (rows.length === 0 && !(await ProjectModel.query(database).findById(id))) throw notFound('project');
      return rows.map(asRevision);
    }),
  );
  router.post(
    '/projects/:id/revisions',
    answers(async (request) => {
      const projectId = idOf(request, 'project');
      const wish = bodyOf(request, revisionCreateSchema);
      return database.transaction(async (transaction) => {
        // Held until the end, so that two who make revisions at once do not give a sheet the same code.
        const project = await ProjectModel.query(transaction).findById(projectId).forUpdate();
        if (!project) throw notFound('project');
        const before = await RevisionModel.query(transaction).findById(wish.id);
        if (before?.project_id === projectId) return asRevision(before);
        if (before) throw new Failure('invalid', 'this id belongs to a revision of another project', 'id');
        await checkDate(wish.date, transaction);
        return asRevision(await makeRevision(project, wish, transaction));
      });
    }, 201),
  );
  router.patch(
    '/revisions/:id',
    answers(async (request) => {
      const id = idOf(request, 'revision');
      const { version, ...change } = bodyOf(request, revisionChangeSchema);
      return database.transaction(async (transaction) => {
        await checkDate(change.date, transaction);
        const changed = await changeVersioned(RevisionModel, id, version, change, 'revision', transaction);
        await raiseSheets(id, transaction);
        return asRevision(changed);
      });
    }),
  );
  return router;
}
