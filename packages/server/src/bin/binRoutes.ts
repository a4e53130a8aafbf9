import { BIN_PAGE } from '@mendrel/contract';
import { Router } from 'express';
import type { Dependencies } from '../http/dependencies';
import { notFound } from '../http/failure';
import { answers, idOf } from '../http/requests';
import { asEntry } from './binModel';
import type { BinRow } from './binModel';
import { restore } from './restore';

export function binRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get(
    '/bin',
    answers(async () => {
      const rows = await database<BinRow>('bin')
        .select('id', 'kind', 'name', 'project_id', 'deleted_at')
        .orderBy('deleted_at', 'desc')
        .limit(BIN_PAGE);
      return rows.map(asEntry);
    }),
  );
  router.post(
    '/bin/:id/restore',
    answers(async (request) => {
      const id = idOf(request, 'deleted thing');
      return database.transaction(async (transaction) => {
        const entry = await transaction<BinRow>('bin').where({ id }).forUpdate().first();
        if (!entry) throw notFound('deleted thing');
        await restore(entry, transaction);
        return asEntry(entry);
      });
    }),
  );
  router.delete(
    '/bin/:id',
    answers(async (request) => {
      const id = idOf(request, 'deleted thing');
      const deleted = await database('bin').where({ id }).delete();
      if (deleted === 0) throw notFound('deleted thing');
      return { deleted: id };
    }),
  );
  return router;
}
