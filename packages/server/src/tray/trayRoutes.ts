import type { View } from '@mendrel/core';
import { Router } from 'express';
import type { Dependencies } from '../http/dependencies';
import { notFound } from '../http/failure';
import { answers, idOf } from '../http/requests';
import { ProjectModel } from '../projects/projectModel';
import { trayOf } from './tray';

/** Views of a project that stand on no sheet. They come and go with changes of sheets. */
export function trayRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get(
    '/projects/:id/tray',
    answers(async (request): Promise<View[]> => {
      const id = idOf(request, 'project');
      if (!(await ProjectModel.query(database).select('id').findById(id))) throw notFound('project');
      return trayOf(id, database);
    }),
  );
  return router;
}
