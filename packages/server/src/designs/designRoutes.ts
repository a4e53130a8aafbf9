import { randomUUID } from 'node:crypto';
import { designChangeSchema, designCreateSchema, designStarterSchema } from '@mendrel/contract';
import type { DesignRecord, DesignStarter, DesignSummary } from '@mendrel/contract';
import { ownSizesOf, readDraft, sizesOf } from '@mendrel/core';
import { Router } from 'express';
import type { Transaction } from 'objection';
import { withKeptImages } from '../assets/keptImages';
import { keepInBin } from '../bin/binModel';
import { changeVersioned } from '../database/record';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { designUsers, namesOf } from './designUsers';
import { addToStandard } from '../standard/additions';
import { newestRevision, standardAt } from '../standard/standardModel';
import { DesignModel, DesignRevisionModel } from './designModel';
import { textHeightsOf } from './textHeights';

/** Designs of an office; the list of them is never cut. */
const MOST_DESIGNS = 1000;

export const asDesign = (row: DesignModel): DesignRecord => ({
  id: row.id,
  document: row.document,
  standard: row.standard_revision,
  version: row.version,
  updatedAt: row.updated_at.toISOString(),
});

/**
 * Stores a new design as a draft. Sizes that were taken as drawn come into the standard with it, each with its own frame rule.
 * @throws DesignError for a document whose structure is not sound
 */
export async function createDesign(document: unknown, transaction: Transaction): Promise<DesignModel> {
  const newest = await newestRevision(transaction);
  const standard = await standardAt(newest, transaction);
  const design = await withKeptImages(readDraft(document, sizesOf(standard)), transaction);
  const own = ownSizesOf(design, standard);
  const revision =
    own.sizes.length > 0 ? await addToStandard({ ...own, roles: [], pens: [], parameters: [] }, transaction) : newest;
  if ((await DesignModel.query(transaction).resultSize()) >= MOST_DESIGNS)
    throw new Failure('invalid', `an office holds at most ${MOST_DESIGNS} designs; delete some first`);
  return DesignModel.query(transaction)
    .insert({ id: randomUUID(), name: design.name, document: design, standard_revision: revision, version: 1 })
    .returning('*');
}

export function designRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get(
    '/designs',
    answers(async (): Promise<DesignSummary[]> => {
      const [designs, projects, revisions] = await Promise.all([
        DesignModel.query(database).orderBy('name').limit(MOST_DESIGNS),
        designUsers(database),
        DesignRevisionModel.query(database)
          .select('design_id')
          .max('number as number')
          .groupBy('design_id')
          .castTo<{ design_id: string; number: number }[]>(),
      ]);
      return designs.map(({ id, name, version, document, standard_revision, starter, updated_at }) => ({
        id,
        name,
        version,
        sizes: document.sizes.map((each) => each.size),
        standard: standard_revision,
        revision: revisions.find((each) => each.design_id === id)?.number ?? null,
        projects: namesOf(projects.filter((each) => each.design_id === id)),
        starter,
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
    '/designs/text-heights',
    answers(async () => textHeightsOf(database, MOST_DESIGNS)),
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
        const sizes = sizesOf(await standardAt(revision, transaction));
        const design = await withKeptImages(readDraft(document ?? row.document, sizes), transaction);
        const change = {
          name: design.name,
          document: design,
          // Only where it is asked for: meanwhile the design may have been moved to a revision with an added entry.
          ...(standard === undefined ? {} : { standard_revision: standard }),
          updated_at: new Date(),
        };
        return asDesign(await changeVersioned(DesignModel, id, version, change, 'design', transaction));
      });
    }),
  );
  router.put(
    '/designs/:id/starter',
    answers(async (request): Promise<DesignStarter> => {
      const { starter } = bodyOf(request, designStarterSchema);
      const changed = await DesignModel.query(database).findById(idOf(request, 'design')).patch({ starter });
      if (changed === 0) throw notFound('design');
      return { starter };
    }),
  );
  router.delete(
    '/designs/:id',
    answers(async (request) => {
      const id = idOf(request, 'design');
      return database.transaction(async (transaction) => {
        const [user] = namesOf(await designUsers(transaction, id));
        if (user !== undefined) throw new Failure('in-use', `${user} uses this design; give it another design first`);
        const design = await DesignModel.query(transaction).select('name').findById(id);
        if (!design) throw notFound('design');
        const bin = await keepInBin({ kind: 'design', ids: [id], name: design.name }, transaction);
        await DesignModel.query(transaction).deleteById(id);
        return { deleted: id, bin };
      });
    }),
  );
  return router;
}
