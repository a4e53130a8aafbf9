import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { publishDesignSchema, keepCheckpointSchema, MOST_CHECKPOINTS } from '@mendrel/contract';
import type { DesignAt, DesignCheckpoint, DesignRevision } from '@mendrel/contract';
import { readDesign, readDraft, sizesOf } from '@mendrel/core';
import { Router } from 'express';
import type { Request } from 'express';
import type { Knex } from 'knex';
import { withKeptImages } from '../assets/keptImages';
import type { Dependencies } from '../http/dependencies';
import { conflict, Failure, notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { standardAt } from '../standard/standardModel';
import { designUsers, namesOf } from './designUsers';
import { designAt, DesignCheckpointModel, DesignModel, DesignRevisionModel, newestDesignRevision } from './designModel';

const MOST_REVISIONS = 999;

async function revisionsOf(designId: string, database: Knex): Promise<DesignRevision[]> {
  const [rows, projects] = await Promise.all([
    DesignRevisionModel.query(database)
      .select('number', 'note', 'standard_revision', 'published_at')
      .where({ design_id: designId })
      .orderBy('number', 'desc')
      .limit(MOST_REVISIONS),
    designUsers(database, designId),
  ]);
  return rows.map(({ number, note, standard_revision, published_at }) => ({
    number,
    note,
    standard: standard_revision,
    publishedAt: published_at.toISOString(),
    projects: namesOf(projects.filter((each) => each.design_revision === number)),
  }));
}

const asCheckpoint = ({ id, name, kept_at }: DesignCheckpointModel): DesignCheckpoint => ({
  id,
  name,
  keptAt: kept_at.toISOString(),
});

const checkpointsOf = async (designId: string, database: Knex): Promise<DesignCheckpoint[]> =>
  (
    await DesignCheckpointModel.query(database)
      .select('id', 'name', 'kept_at')
      .where({ design_id: designId })
      .orderBy('kept_at', 'desc')
      .limit(MOST_CHECKPOINTS)
  ).map(asCheckpoint);

/** Revisions of designs, and states of drafts kept under a name. */
export function revisionRoutes({ database }: Dependencies): Router {
  const router = Router();
  const theDesign = async (id: string): Promise<DesignModel> => {
    const row = await DesignModel.query(database).findById(id);
    if (!row) throw notFound('design');
    return row;
  };
  router.get(
    '/designs/:id/revisions',
    answers(async (request) => {
      const { id } = await theDesign(idOf(request, 'design'));
      return revisionsOf(id, database);
    }),
  );
  router.post(
    '/designs/:id/revisions',
    answers(async (request) => {
      const id = idOf(request, 'design');
      const { note, version } = bodyOf(request, publishDesignSchema);
      return database.transaction(async (transaction) => {
        const row = await DesignModel.query(transaction).findById(id).forUpdate();
        if (!row) throw notFound('design');
        if (row.version !== version) throw conflict('design');
        // A draft may have faults; what is published has none.
        const document = readDesign(row.document, sizesOf(await standardAt(row.standard_revision, transaction)));
        const last = await newestDesignRevision(id, transaction);
        const newest = last === null ? undefined : await DesignRevisionModel.query(transaction).findById([id, last]);
        if (newest?.standard_revision === row.standard_revision && isDeepStrictEqual(newest.document, document)) {
          // The same wish sent twice, as by an impatient hand, is carried out once.
          if (newest.note === note) return revisionsOf(id, transaction);
          throw new Failure('invalid', `nothing has changed since revision ${newest.number}`, 'note');
        }
        const number = (last ?? 0) + 1;
        if (number > MOST_REVISIONS) throw new Failure('invalid', `a design has at most ${MOST_REVISIONS} revisions`);
        await DesignRevisionModel.query(transaction).insert({
          design_id: id,
          number,
          note,
          document,
          standard_revision: row.standard_revision,
        });
        return revisionsOf(id, transaction);
      });
    }, 201),
  );
  router.get(
    '/designs/:id/revisions/:number',
    answers(async (request): Promise<DesignAt> => {
      const id = idOf(request, 'design');
      const { number: text } = request.params;
      const number = text === 'draft' ? null : Number(text);
      if (number !== null && !(Number.isInteger(number) && number >= 1 && number <= MOST_REVISIONS)) {
        throw notFound('revision');
      }
      const { document, standard_revision } = await designAt(id, number, database);
      return { number, document, standard: standard_revision };
    }),
  );
  router.get(
    '/designs/:id/checkpoints',
    answers(async (request) => {
      const { id } = await theDesign(idOf(request, 'design'));
      return checkpointsOf(id, database);
    }),
  );
  router.post(
    '/designs/:id/checkpoints',
    answers(async (request) => {
      const { id, standard_revision } = await theDesign(idOf(request, 'design'));
      const { name, document } = bodyOf(request, keepCheckpointSchema);
      return database.transaction(async (transaction) => {
        const design = await withKeptImages(
          readDraft(document, sizesOf(await standardAt(standard_revision, transaction))),
          transaction,
        );
        await DesignCheckpointModel.query(transaction).insert({
          id: randomUUID(),
          design_id: id,
          name,
          document: design,
        });
        const old = DesignCheckpointModel.query(transaction)
          .select('id')
          .where({ design_id: id })
          .orderBy('kept_at', 'desc')
          .offset(MOST_CHECKPOINTS);
        await DesignCheckpointModel.query(transaction).delete().whereIn('id', old);
        return checkpointsOf(id, transaction);
      });
    }, 201),
  );
  const checkpointOf = async (request: Request): Promise<DesignCheckpointModel> => {
    const row = await DesignCheckpointModel.query(database)
      .findById(idOf(request, 'checkpoint', 'checkpoint'))
      .where({ design_id: idOf(request, 'design') });
    if (!row) throw notFound('checkpoint');
    return row;
  };
  router.get(
    '/designs/:id/checkpoints/:checkpoint',
    answers(async (request) => {
      const row = await checkpointOf(request);
      return { ...asCheckpoint(row), document: row.document };
    }),
  );
  router.delete(
    '/designs/:id/checkpoints/:checkpoint',
    answers(async (request) => {
      const row = await checkpointOf(request);
      await DesignCheckpointModel.query(database).deleteById(row.id);
      return { deleted: row.id };
    }),
  );
  return router;
}
