import { projectTablesChangeSchema } from '@mendrel/contract';
import type { ProjectTables } from '@mendrel/contract';
import { Router } from 'express';
import { changeVersioned } from '../database/record';
import type { Dependencies } from '../http/dependencies';
import { notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { officeForSaving } from '../office/officeModel';
import { checkTables } from '../office/checkTables';
import { ProjectModel } from './projectModel';

const asTables = ({ tables, version }: ProjectModel): ProjectTables => ({ tables, version });

/** Rows of a project's tables; they are read and saved by themselves, for they may be long. */
export function projectTableRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get(
    '/projects/:id/tables',
    answers(async (request) => {
      const project = await ProjectModel.query(database).findById(idOf(request, 'project'));
      if (!project) throw notFound('project');
      return asTables(project);
    }),
  );
  router.put(
    '/projects/:id/tables',
    answers(async (request) => {
      const id = idOf(request, 'project');
      const { tables, version } = bodyOf(request, projectTablesChangeSchema);
      return database.transaction(async (transaction) => {
        const { standard } = await officeForSaving(transaction);
        const before = await ProjectModel.query(transaction).findById(id);
        checkTables(tables, standard.tables, before?.tables);
        return asTables(await changeVersioned(ProjectModel, id, version, { tables }, 'project', transaction));
      });
    }),
  );
  return router;
}
