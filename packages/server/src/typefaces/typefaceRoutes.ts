import { randomUUID } from 'node:crypto';
import { MOST_FONT_BYTES } from '@mendrel/contract';
import type { TypefaceRecord } from '@mendrel/contract';
import { SHIPPED_TYPEFACES } from '@mendrel/fonts';
import { Router } from 'express';
import { UniqueViolationError } from 'objection';
import { z } from 'zod';
import { assetContent, keepAsset } from '../assets/assetModel';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { goneSignal } from '../http/files';
import { answers, bodyOf, idOf } from '../http/requests';
import { costly } from '../http/costly';
import { oneFile } from '../http/uploads';
import { resultOf } from '../intake/convert';
import { theOffice } from '../office/officeModel';
import { StandardRevisionModel } from '../standard/standardModel';
import { TypefaceModel } from './typefaceModel';

const MOST_TYPEFACES = 50;

const uploadSchema = z.object({
  licence: z.string().trim().min(1, 'say under which licence the typeface may be used and embedded').max(300),
});

const LIST_COLUMNS = ['id', 'name', 'licence'] as const;

const asRecord = ({ id, name, licence }: Pick<TypefaceModel, 'id' | 'name' | 'licence'>): TypefaceRecord => ({
  id,
  name,
  licence,
  shipped: false,
});

export function typefaceRoutes({ database, library, read }: Dependencies): Router {
  const router = Router();
  router.get(
    '/typefaces',
    answers(async (): Promise<TypefaceRecord[]> => {
      const rows = await TypefaceModel.query(database)
        .select([...LIST_COLUMNS])
        .orderBy('name');
      const shipped = SHIPPED_TYPEFACES.map(({ name, licence }) => ({ id: null, name, licence, shipped: true }));
      return [...shipped, ...rows.map(asRecord)];
    }),
  );
  router.post(
    '/typefaces',
    costly(),
    oneFile(MOST_FONT_BYTES),
    answers(async (request, response) => {
      const { file } = request;
      if (!file) throw new Failure('invalid', 'no file was sent', 'file');
      const { licence } = bodyOf(request, uploadSchema);
      const bytes = new Uint8Array(file.buffer);
      const result = await resultOf(read, { kind: 'typeface', bytes }, goneSignal(response));
      const name = 'typeface' in result ? result.typeface : '';
      if (library.has(name)) throw new Failure('invalid', `the typeface ${name} is here already`, 'file');
      const count = await TypefaceModel.query(database).resultSize();
      if (count >= MOST_TYPEFACES)
        throw new Failure('invalid', `an office holds at most ${MOST_TYPEFACES} typefaces of its own`);
      try {
        const row = await TypefaceModel.query(database)
          .insert({ id: randomUUID(), name, licence, asset: await keepAsset('typeface', file.buffer, database) })
          .returning([...LIST_COLUMNS]);
        library.add(name, bytes);
        return asRecord(row);
      } catch (error) {
        if (error instanceof UniqueViolationError)
          throw new Failure('invalid', `the typeface ${name} is here already`, 'file');
        throw error;
      }
    }, 201),
  );
  router.get('/typefaces/:id/file', async (request, response) => {
    const row = await TypefaceModel.query(database).findById(idOf(request, 'typeface'));
    if (!row) throw notFound('typeface');
    response.setHeader('Content-Type', 'font/ttf');
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    response.send(await assetContent(row.asset, database));
  });
  router.delete(
    '/typefaces/:id',
    answers(async (request) => {
      const id = idOf(request, 'typeface');
      const name = await database.transaction(async (transaction) => {
        const row = await TypefaceModel.query(transaction)
          .select([...LIST_COLUMNS])
          .findById(id);
        if (!row) throw notFound('typeface');
        const office = await theOffice(transaction);
        const published = await StandardRevisionModel.query(transaction);
        for (const { standard, words } of [
          { standard: office.standard, words: 'the draft' },
          ...published.map((each) => ({ standard: each.document, words: `revision ${each.number}` })),
        ]) {
          const user = [...standard.roles, ...standard.dimensions].find((each) => each.typeface === row.name);
          if (user) {
            throw new Failure('in-use', `${user.name} in ${words} of the standard is set in ${row.name}`);
          }
          if (standard.fallbackTypeface === row.name)
            throw new Failure('in-use', `${row.name} gives letters that others lack in ${words} of the standard`);
        }
        await TypefaceModel.query(transaction).deleteById(id);
        return row.name;
      });
      library.remove(name);
      return { deleted: id };
    }),
  );
  return router;
}
