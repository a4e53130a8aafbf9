import { randomUUID } from 'node:crypto';
import { projectChangeSchema, projectCreateSchema } from '@mendrel/contract';
import type { Project } from '@mendrel/contract';
import { Router } from 'express';
import type { Knex } from 'knex';
import { changeVersioned } from '../database/record';
import { DesignModel } from '../designs/designModel';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { parametersOf } from '@mendrel/core';
import { theOffice } from '../office/officeModel';
import { checkValues } from '../office/officeRoutes';
import { SheetModel } from '../sheets/sheetModel';
import { checkRevision, newestRevision } from '../standard/standardModel';
import { ProjectModel } from './projectModel';

async function asProjects(rows: readonly ProjectModel[], database: Knex): Promise<Project[]> {
  const ids = rows.map((row) => row.id);
  const counts = await SheetModel.query(database)
    .select('project_id')
    .count('* as count')
    .whereIn('project_id', ids)
    .groupBy('project_id')
    .castTo<{ project_id: string; count: string }[]>();
  const designs = await DesignModel.query(database).select('id', 'name');
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    designId: row.design_id,
    designName: designs.find((design) => design.id === row.design_id)?.name ?? null,
    standard: row.standard_revision,
    values: row.values,
    sheets: Number(counts.find((each) => each.project_id === row.id)?.count ?? 0),
    version: row.version,
  }));
}

async function asProject(row: ProjectModel, database: Knex): Promise<Project> {
  const [project] = await asProjects([row], database);
  if (!project) throw notFound('project');
  return project;
}

async function checkDesign(id: string | null | undefined, database: Knex): Promise<void> {
  if (id && !(await DesignModel.query(database).findById(id)))
    throw new Failure('invalid', 'there is no such design', 'designId');
}

export function projectRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get(
    '/projects',
    answers(async () => asProjects(await ProjectModel.query(database).orderBy('position').limit(500), database)),
  );
  router.post(
    '/projects',
    answers(async (request) => {
      const { name, designId } = bodyOf(request, projectCreateSchema);
      return database.transaction(async (transaction) => {
        await checkDesign(designId, transaction);
        const last = await ProjectModel.query(transaction).orderBy('position', 'desc').first();
        const row = await ProjectModel.query(transaction)
          .insert({
            id: randomUUID(),
            position: (last?.position ?? 0) + 1,
            design_id: designId,
            standard_revision: await newestRevision(transaction),
            values: { 'project.name': name },
            version: 1,
          })
          .returning('*');
        return asProject(row, transaction);
      });
    }, 201),
  );
  router.get(
    '/projects/:id',
    answers(async (request) => {
      const row = await ProjectModel.query(database).findById(idOf(request, 'project'));
      if (!row) throw notFound('project');
      return asProject(row, database);
    }),
  );
  router.patch(
    '/projects/:id',
    answers(async (request) => {
      const id = idOf(request, 'project');
      const { version, values, designId, standard } = bodyOf(request, projectChangeSchema);
      if (values) checkValues(values, 'project', parametersOf((await theOffice(database)).standard));
      return database.transaction(async (transaction) => {
        await checkDesign(designId, transaction);
        await checkRevision(standard, transaction);
        const change = {
          ...(values ? { values } : {}),
          ...(designId !== undefined ? { design_id: designId } : {}),
          ...(standard !== undefined ? { standard_revision: standard } : {}),
        };
        return asProject(await changeVersioned(ProjectModel, id, version, change, 'project', transaction), transaction);
      });
    }),
  );
  return router;
}
