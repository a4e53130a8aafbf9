import { randomUUID } from 'node:crypto';
import { designChangeSchema, designCreateSchema } from '@mendrel/contract';
import type { DesignRecord, DesignSummary } from '@mendrel/contract';
import { readDesign, sizesOf } from '@mendrel/core';
import { Router } from 'express';
import type { Transaction } from 'objection';
import { changeVersioned } from '../database/record';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { ProjectModel } from '../projects/projectModel';
import { newestRevision, standardAt } from '../standard/standardModel';
import { DesignModel } from './designModel';

export const asDesign = (row: DesignModel): DesignRecord => ({
  id: row.id,
  document: row.document,
  standard: row.standard_revision,
  version: row.version,
  updatedAt: row.updated_at.toISOString(),
});

/** Stores a new design. @throws DesignError for a document that is not sound */
export async function createDesign(document: unknown, transaction: Transaction): Promise<DesignModel> {
  const revision = await newestRevision(transaction);
  const design = readDesign(document, sizesOf(await standardAt(revision, transaction)));
  return DesignModel.query(transaction)
    .insert({ id: randomUUID(), name: design.name, document: design, standard_revision: revision, version: 1 })
    .returning('*');
}

export function designRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get(
    '/designs',
    answers(async (): Promise<DesignSummary[]> => {
      const [designs, projects] = await Promise.all([
        DesignModel.query(database).orderBy('name').limit(500),
        ProjectModel.query(database).select('design_id', 'values').orderBy('position').limit(2000),
      ]);
      return designs.map(({ id, name, version, document, standard_revision, updated_at }) => ({
        id,
        name,
        version,
        sizes: document.sizes.map((each) => each.size),
        standard: standard_revision,
        projects: projects.filter((each) => each.design_id === id).map((each) => each.name),
        updatedAt: updated_at.toISOString(),
      }));
    }),
  );
  router.post(
    '/designs',
    answers(async (request) => {
      const { document } = bodyOf(request, designCreateSchema);
      return asDesign(await database.transaction((transaction) => createDesign(document, transaction)));
    }, 201),
  );
  router.get(
    '/designs/:id',
    answers(async (request) => {
      const row = await DesignModel.query(database).findById(idOf(request, 'design'));
      if (!row) throw notFound('design');
      return asDesign(row);
    }),
  );
  router.put(
    '/designs/:id',
    answers(async (request) => {
      const id = idOf(request, 'design');
      const { document, standard, version } = bodyOf(request, designChangeSchema);
      return database.transaction(async (transaction) => {
        const row = await DesignModel.query(transaction).findById(id);
        if (!row) throw notFound('design');
        const revision = standard === undefined ? row.standard_revision : standard;
        const design = readDesign(document ?? row.document, sizesOf(await standardAt(revision, transaction)));
        const change = {
          name: design.name,
          document: design,
          standard_revision: revision,
          updated_at: new Date(),
        };
        return asDesign(await changeVersioned(DesignModel, id, version, change, 'design', transaction));
      });
    }),
  );
  router.delete(
    '/designs/:id',
    answers(async (request) => {
      const id = idOf(request, 'design');
      return database.transaction(async (transaction) => {
        const user = await ProjectModel.query(transaction).findOne({ design_id: id });
        if (user) throw new Failure('in-use', `${user.name} uses this design; give it another design first`);
        const deleted = await DesignModel.query(transaction).deleteById(id);
        if (deleted === 0) throw notFound('design');
        return { deleted: id };
      });
    }),
  );
  return router;
}
