import { randomUUID } from 'node:crypto';
import { designSwapSchema, projectChangeSchema, projectCreateSchema } from '@mendrel/contract';
import { Router } from 'express';
import type { Knex } from 'knex';
import { checkPictures } from '../assets/checkPictures';
import { keepInBin } from '../bin/binModel';
import { changeVersioned } from '../database/record';
import { designAt, DesignModel, newestDesignRevision } from '../designs/designModel';
import { costly } from '../http/costly';
import { goneSignal } from '../http/files';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, checked, idOf } from '../http/requests';
import { fileNamePatternProblem, parametersOf } from '@mendrel/core';
import { officeForSaving } from '../office/officeModel';
import { checkValues } from '../office/officeRoutes';
import { orderSheets } from '../sheets/sheetOrder';
import { checkRevision, newestRevision, standardAt } from '../standard/standardModel';
import { designsRecord, projectDesigns } from './projectDesigns';
import { setKinds } from './projectKinds';
import { projectFrom } from './projectFrom';
import { projectPage, projectPageSchema } from './projectPage';
import { asProject, asProjects } from './projectRecords';
import { swapImpact } from './swapImpact';
import { ProjectModel, WITHOUT_TABLES } from './projectModel';

async function checkDesign(id: string | null | undefined, database: Knex): Promise<void> {
  if (id && !(await DesignModel.query(database).findById(id)))
    throw new Failure('invalid', 'there is no such design', 'designId');
}

async function checkFileNames(pattern: string, database: Knex): Promise<void> {
  const { standard } = await officeForSaving(database);
  const problem = fileNamePatternProblem(pattern, parametersOf(standard));
  if (problem !== undefined) throw new Failure('invalid', problem, 'fileNames');
}

async function checkDevice(id: string, projectId: string, database: Knex): Promise<void> {
  const project = await ProjectModel.query(database).findById(projectId);
  if (!project) throw notFound('project');
  const standard = await standardAt(project.standard_revision, database);
  if (!standard.devices.some((device) => device.id === id))
    throw new Failure('invalid', 'the standard that this project uses has no such device', 'device');
}

/** What choosing a design or a revision of it changes: a design that is newly chosen starts by its newest revision. */
async function designChange(
  projectId: string,
  designId: string | null | undefined,
  revision: number | null | undefined,
  database: Knex,
): Promise<{ design_id?: string | null; design_revision?: number | null }> {
  if (designId === null) return { design_id: null, design_revision: null };
  if (designId !== undefined) {
    const chosen = revision === undefined ? await newestDesignRevision(designId, database) : revision;
    await designAt(designId, chosen, database);
    return { design_id: designId, design_revision: chosen };
  }
  if (revision === undefined) return {};
  const project = await ProjectModel.query(database).findById(projectId);
  if (!project?.design_id) throw new Failure('invalid', 'this project has no design yet', 'designRevision');
  await designAt(project.design_id, revision, database);
  return { design_revision: revision };
}

/** Projects of an office; the list of them is never cut. */
const MOST_PROJECTS = 5000;

export function projectRoutes({ database, work, findings }: Dependencies): Router {
  const router = Router();
  router.get(
    '/projects',
    answers(async () =>
      asProjects(
        await ProjectModel.query(database)
          .select(...WITHOUT_TABLES)
          .orderBy('position')
          .limit(MOST_PROJECTS),
        database,
      ),
    ),
  );
  router.get(
    '/projects/page',
    answers((request) => projectPage(checked(request.query, projectPageSchema), database)),
  );
  router.post(
    '/projects',
    answers(async (request) => {
      const { name, designId, from } = bodyOf(request, projectCreateSchema);
      return database.transaction(async (transaction) => {
        await checkDesign(designId, transaction);
        const last = await ProjectModel.query(transaction).select('position').orderBy('position', 'desc').first();
        const count = await ProjectModel.query(transaction).resultSize();
        if (count >= MOST_PROJECTS) throw new Failure('invalid', `an office holds at most ${MOST_PROJECTS} projects`);
        const position = (last?.position ?? 0) + 1;
        if (from) return asProject(await projectFrom(name, position, from, transaction), transaction);
        const row = await ProjectModel.query(transaction)
          .insert({
            id: randomUUID(),
            position,
            design_id: designId,
            design_revision: designId ? await newestDesignRevision(designId, transaction) : null,
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
  router.get(
    '/projects/:id/designs',
    answers(async (request) => {
      const row = await ProjectModel.query(database).findById(idOf(request, 'project'));
      if (!row) throw notFound('project');
      return designsRecord(await projectDesigns(row, database));
    }),
  );
  router.post('/projects/:id/swap-impact', costly(), async (request, response) => {
    const swap = bodyOf(request, designSwapSchema);
    const row = await ProjectModel.query(database).findById(idOf(request, 'project'));
    if (!row) throw notFound('project');
    response.json(await swapImpact(row, swap, { database, work, findings, gone: goneSignal(response) }));
  });
  router.patch(
    '/projects/:id',
    answers(async (request) => {
      const id = idOf(request, 'project');
      const body = bodyOf(request, projectChangeSchema);
      const {
        version,
        values,
        designId,
        designRevision,
        standard,
        firstRevision,
        numbering,
        fileNames,
        device,
        kinds,
        sheetOrder,
        archived,
      } = body;
      return database.transaction(async (transaction) => {
        if (values) {
          const before = await ProjectModel.query(transaction).findById(id);
          const { standard: draft, replaceable } = await officeForSaving(transaction);
          checkValues(values, 'project', parametersOf(draft), before?.values, replaceable);
          await checkPictures(values, parametersOf(draft), before?.values, transaction);
        }
        if (fileNames) await checkFileNames(fileNames, transaction);
        if (device) await checkDevice(device, id, transaction);
        await checkDesign(designId, transaction);
        await checkRevision(standard, transaction);
        const change = {
          ...(values ? { values } : {}),
          ...(await designChange(id, designId, designRevision, transaction)),
          ...(standard !== undefined ? { standard_revision: standard } : {}),
          ...(firstRevision !== undefined ? { first_revision: firstRevision } : {}),
          ...(numbering !== undefined ? { numbering } : {}),
          ...(fileNames !== undefined ? { file_names: fileNames } : {}),
          ...(device !== undefined ? { device } : {}),
          ...(archived !== undefined ? { archived } : {}),
        };
        const changed = await changeVersioned(ProjectModel, id, version, change, 'project', transaction);
        if (kinds) await setKinds(id, kinds, transaction);
        if (sheetOrder !== undefined) await orderSheets(id, sheetOrder, transaction);
        return asProject(changed, transaction);
      });
    }),
  );
  router.delete(
    '/projects/:id',
    answers(async (request) => {
      const id = idOf(request, 'project');
      return database.transaction(async (transaction) => {
        const project = await ProjectModel.query(transaction).findById(id).forUpdate();
        if (!project) throw notFound('project');
        // Its sheets go with it; its design is the office's and stays.
        const bin = await keepInBin({ kind: 'project', ids: [id], name: project.name }, transaction);
        await ProjectModel.query(transaction).deleteById(id);
        return { deleted: id, bin };
      });
    }),
  );
  return router;
}
