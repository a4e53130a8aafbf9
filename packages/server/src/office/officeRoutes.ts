import { officeChangeSchema } from '@mendrel/contract';
import type { Office } from '@mendrel/contract';
import { mayEnter } from '@mendrel/core';
import { Router } from 'express';
import type { Dependencies } from '../http/dependencies';
import { conflict, Failure } from '../http/failure';
import { answers, bodyOf } from '../http/requests';
import { OfficeModel, theOffice } from './officeModel';

/** Refuses values for parameters that are not entered at this scope. */
export function checkKeys(values: Record<string, string>, scope: 'office' | 'project' | 'sheet'): void {
  for (const key of Object.keys(values)) {
    if (!mayEnter(key, scope))
      throw new Failure('invalid', `"${key}" is not entered for the ${scope}`, `values.${key}`);
  }
}

const asOffice = ({ values, standard, version }: OfficeModel): Office => ({ values, standard, version });

export function officeRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get(
    '/office',
    answers(async () => asOffice(await theOffice(database))),
  );
  router.put(
    '/office',
    answers(async (request) => {
      const { values, version } = bodyOf(request, officeChangeSchema);
      checkKeys(values, 'office');
      const changed = await OfficeModel.query(database)
        .patch({ values, version: version + 1 })
        .where({ id: 1, version });
      if (changed === 0) throw conflict('office data');
      return asOffice(await theOffice(database));
    }),
  );
  return router;
}
