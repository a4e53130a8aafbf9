import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { addLegacySchema, keepSchema, proposedParameterSchema } from '@mendrel/contract';
import type { LegacyRecord, ReadingRecord } from '@mendrel/contract';
import type { Conversion, Corrections, IntakeProgress } from '@mendrel/core';
import { correctionsSchema, normalCaption } from '@mendrel/core';
import { Router } from 'express';
import type { Knex } from 'knex';
import { assetContent, keepAsset } from '../assets/assetModel';
import { DesignModel } from '../designs/designModel';
import { asDesign, createDesign } from '../designs/designRoutes';
import type { Dependencies } from '../http/dependencies';
import { Followed } from '../http/followed';
import { goneSignal } from '../http/files';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { costly } from '../http/costly';
import { fileToRead } from '../http/uploads';
import { addParameter } from '../standard/addParameter';
import { newestRevision, standardAt } from '../standard/standardModel';
import { converter } from './convert';
import { fileName, withoutEnding } from './fileName';
import { lessonsOf, teach } from './lessons';
import { asLegacy, LEGACY_COLUMNS, LegacyModel } from './legacyModel';

const MOST_DRAWINGS = 500;

async function withDesignNames(rows: readonly LegacyModel[], database: Knex): Promise<LegacyRecord[]> {
  const designs = await DesignModel.query(database).select('id', 'name');
  return rows.map((row) => asLegacy(row, designs.find((design) => design.id === row.design_id)?.name ?? null));
}

export function intakeRoutes({ database, read, readSoon }: Dependencies): Router {
  const router = Router();
  const convert = converter(read);
  const readings = new Followed<IntakeProgress>({ step: 'read', part: 0 });

  const conversionOf = async (
    id: string,
    corrections?: Corrections,
  ): Promise<{ row: LegacyModel; conversion: Conversion }> => {
    const row = await LegacyModel.query(database).findById(id);
    if (!row) throw notFound('legacy drawing');
    const standard = await standardAt(await newestRevision(database), database);
    const name = withoutEnding(row.name);
    const by = { standard, corrections: corrections ?? row.corrections, lessons: await lessonsOf(database) };
    const bytes = new Uint8Array(await assetContent(row.asset, database));
    const conversion = await readings.follow(id, (tell) => convert(bytes, name, by, undefined, tell));
    return { row, conversion };
  };

  router.get(
    '/intake',
    answers(async () => {
      const rows = await LegacyModel.query(database)
        .select(LEGACY_COLUMNS)
        .whereNull('set_id')
        .orderBy('added_at')
        .orderBy('name')
        .limit(MOST_DRAWINGS);
      return withDesignNames(rows, database);
    }),
  );
  router.post(
    '/intake',
    costly(),
    fileToRead(readSoon),
    answers(async (request, response) => {
      const { file } = request;
      if (!file) throw new Failure('invalid', 'no file was sent', 'file');
      const { reading } = bodyOf(request, addLegacySchema);
      const name = fileName(file.originalname);
      const standard = await standardAt(await newestRevision(database), database);
      // Read before it is stored: a file that cannot be read leaves nothing behind.
      // Whoever goes away while it is read does not want it any more.
      const by = { standard, corrections: {}, lessons: await lessonsOf(database) };
      await readings.follow(reading, (tell) =>
        convert(new Uint8Array(file.buffer), withoutEnding(name), by, goneSignal(response), tell),
      );
      const count = await LegacyModel.query(database).whereNull('set_id').resultSize();
      if (count >= MOST_DRAWINGS)
        throw new Failure('invalid', `intake holds at most ${MOST_DRAWINGS} drawings; delete some first`);
      const row = await LegacyModel.query(database)
        .insert({
          id: randomUUID(),
          name,
          asset: await keepAsset('drawing', file.buffer, database),
          bytes: file.size,
        })
        .returning([...LEGACY_COLUMNS]);
      return asLegacy(row, null);
    }, 201),
  );
  router.get(
    '/intake/readings/:id',
    answers(async (request): Promise<ReadingRecord> => {
      const progress = readings.at(idOf(request, 'reading'));
      return Promise.resolve({ progress: progress ?? null });
    }),
  );
  router.get(
    '/intake/:id/conversion',
    answers(async (request) => {
      const { row, conversion } = await conversionOf(idOf(request, 'legacy drawing'));
      return { ...conversion, name: row.name, corrections: row.corrections };
    }),
  );
  router.put(
    '/intake/:id/corrections',
    answers(async (request) => {
      const id = idOf(request, 'legacy drawing');
      const corrections = bodyOf(request, correctionsSchema);
      // Tried before it is kept: what the drawing cannot be read by leaves the last corrections as they were.
      const { row, conversion } = await conversionOf(id, corrections);
      await LegacyModel.query(database).findById(id).patch({ corrections });
      return { ...conversion, name: row.name, corrections };
    }),
  );
  router.post(
    '/intake/:id/keep',
    answers(async (request) => {
      const id = idOf(request, 'legacy drawing');
      const { document } = bodyOf(request, keepSchema);
      return database.transaction(async (transaction) => {
        // Held until the end, so that the same wish sent twice is carried out once.
        const row = await LegacyModel.query(transaction).select(LEGACY_COLUMNS).findById(id).forUpdate();
        if (!row) throw notFound('legacy drawing');
        const kept = row.design_id === null ? undefined : await DesignModel.query(transaction).findById(row.design_id);
        if (kept && isDeepStrictEqual(kept.document, document)) return asDesign(kept);
        const design = await createDesign(document, transaction);
        await LegacyModel.query(transaction).findById(id).patch({ design_id: design.id });
        return asDesign(design);
      });
    }, 201),
  );
  router.post(
    '/intake/:id/parameters',
    answers(async (request) => {
      const id = idOf(request, 'legacy drawing');
      const { caption, ...wanted } = bodyOf(request, proposedParameterSchema);
      await database.transaction(async (transaction) => {
        await addParameter(wanted, transaction);
        await teach('captions', normalCaption(caption), wanted.key, transaction);
      });
      const { row, conversion } = await conversionOf(id);
      return { ...conversion, name: row.name, corrections: row.corrections };
    }),
  );
  router.delete(
    '/intake/:id',
    answers(async (request) => {
      const id = idOf(request, 'legacy drawing');
      if ((await LegacyModel.query(database).deleteById(id)) === 0) throw notFound('legacy drawing');
      return { deleted: id };
    }),
  );
  return router;
}
