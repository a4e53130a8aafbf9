import type { ProjectAreas, SourceAreas } from '@mendrel/contract';
import { measureSchema, projectAreasChangeSchema } from '@mendrel/contract';
import { Router } from 'express';
import { changeVersioned } from '../database/record';
import { costly } from '../http/costly';
import type { Dependencies } from '../http/dependencies';
import { notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { officeForSaving, theOffice } from '../office/officeModel';
import { ProjectModel } from '../projects/projectModel';
import { measured, usualAreas, withAreas } from './projectAreas';

/** Areas of a project, measured from its drawings, and the table of them that title blocks show. */
export function areaRoutes({ database, work }: Dependencies): Router {
  const router = Router();
  router.get(
    '/projects/:id/areas',
    answers(async (request): Promise<ProjectAreas> => {
      const project = await ProjectModel.query(database).findById(idOf(request, 'project'));
      if (!project) throw notFound('project');
      const settings = project.areas ?? usualAreas((await theOffice(database)).standard.unit);
      return { settings, sources: await measured(project.id, settings, database, work), version: project.version };
    }),
  );
  router.post(
    '/projects/:id/areas/measure',
    costly(),
    answers(async (request): Promise<SourceAreas[]> => {
      const id = idOf(request, 'project');
      const { settings } = bodyOf(request, measureSchema);
      if (!(await ProjectModel.query(database).findById(id))) throw notFound('project');
      return measured(id, settings, database, work);
    }),
  );
  router.put(
    '/projects/:id/areas',
    costly(),
    answers(async (request): Promise<ProjectAreas> => {
      const id = idOf(request, 'project');
      const { settings, version } = bodyOf(request, projectAreasChangeSchema);
      return database.transaction(async (transaction) => {
        await officeForSaving(transaction);
        const before = await ProjectModel.query(transaction).findById(id).forUpdate();
        if (!before) throw notFound('project');
        const sources = await measured(id, settings, transaction, work);
        const change = { areas: settings, tables: withAreas(before, settings, sources) };
        const saved = await changeVersioned(ProjectModel, id, version, change, 'project', transaction);
        return { settings, sources, version: saved.version };
      });
    }),
  );
  return router;
}
