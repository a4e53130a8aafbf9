import { createHash, randomUUID } from 'node:crypto';
import { MOST_SET_DRAWINGS, MOST_UPLOAD_BYTES, setCreateSchema, takeOverSchema } from '@mendrel/contract';
import type { IntakeSet, IntakeSetRecord } from '@mendrel/contract';
import type { OfficeStandard, SheetGroup } from '@mendrel/core';
import { parametersOf, sheetGroups } from '@mendrel/core';
import { Router } from 'express';
import type { Knex } from 'knex';
import { keepAsset } from '../assets/assetModel';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { costly } from '../http/costly';
import { oneFile } from '../http/uploads';
import { officeForSaving } from '../office/officeModel';
import { newestRevision, standardAt } from '../standard/standardModel';
import { fileName, withoutEnding } from './fileName';
import { LegacyModel } from './legacyModel';
import { asIntakeSets, drawingsOfSet, IntakeSetModel, TakeOverModel } from './setModel';
import { projectOf } from './setProject';
import { SetReader } from './setReader';

const MOST_SETS = 100;

/** A sign of what is to be taken over as what. */
const wishOf = (leader: string, projectName: string, drawings: readonly string[]): string =>
  createHash('sha256')
    .update(JSON.stringify([leader, projectName, [...drawings].sort()]))
    .digest('hex');

async function theSet(id: string, database: Knex): Promise<IntakeSetModel> {
  const row = await IntakeSetModel.query(database).findById(id);
  if (!row) throw notFound('set of drawings');
  return row;
}

async function summaryOf(row: IntakeSetModel, database: Knex): Promise<IntakeSet> {
  const [summary] = await asIntakeSets([row], database);
  if (!summary) throw notFound('set of drawings');
  return summary;
}

/** Sets of legacy drawings: read together, recognised as designs with the values of each sheet, and taken over. */
export function setRoutes(dependencies: Dependencies): Router {
  const { database, library } = dependencies;
  const router = Router();
  const reader = new SetReader(dependencies);

  const groupsOf = (drawings: readonly LegacyModel[], standard: OfficeStandard): SheetGroup[] => {
    const read = drawings.flatMap(({ id, name, reading }) =>
      (reading?.sheets ?? []).map((sheet, i) => ({
        id: i === 0 ? id : `${id}.${i}`,
        name: withoutEnding(name),
        ...sheet,
      })),
    );
    return sheetGroups(read, parametersOf(standard), { standard, typefaces: library.typefaces });
  };

  router.get(
    '/intake/sets',
    answers(async () =>
      asIntakeSets(await IntakeSetModel.query(database).orderBy('added_at', 'desc').limit(MOST_SETS), database),
    ),
  );
  router.post(
    '/intake/sets',
    answers(async (request) => {
      const { name } = bodyOf(request, setCreateSchema);
      if ((await IntakeSetModel.query(database).resultSize()) >= MOST_SETS)
        throw new Failure('invalid', `intake holds at most ${MOST_SETS} sets; delete some first`);
      const row = await IntakeSetModel.query(database).insert({ id: randomUUID(), name, state: 'open' }).returning('*');
      return summaryOf(row, database);
    }, 201),
  );
  router.post(
    '/intake/sets/:id/drawings',
    costly(),
    oneFile(MOST_UPLOAD_BYTES),
    answers(async (request) => {
      const set = await theSet(idOf(request, 'set of drawings'), database);
      const { file } = request;
      if (!file) throw new Failure('invalid', 'no file was sent', 'file');
      if (set.state !== 'open') throw new Failure('invalid', 'this set is complete; begin another one');
      const { drawings } = await summaryOf(set, database);
      if (drawings >= MOST_SET_DRAWINGS)
        throw new Failure('invalid', `a set holds at most ${MOST_SET_DRAWINGS} drawings`);
      await LegacyModel.query(database).insert({
        id: randomUUID(),
        name: fileName(file.originalname),
        asset: await keepAsset('drawing', file.buffer, database),
        bytes: file.size,
        set_id: set.id,
      });
      return summaryOf(set, database);
    }, 201),
  );
  for (const [action, from, to] of [
    ['read', ['open', 'stopped'], 'reading'],
    ['stop', ['reading'], 'stopped'],
  ] as const) {
    router.post(
      `/intake/sets/:id/${action}`,
      answers(async (request) => {
        const id = idOf(request, 'set of drawings');
        await theSet(id, database);
        await IntakeSetModel.query(database).findById(id).whereIn('state', from).patch({ state: to });
        const row = await theSet(id, database);
        if (row.state === 'reading') void reader.start(id);
        else reader.stop(id);
        return summaryOf(row, database);
      }),
    );
  }
  router.get(
    '/intake/sets/:id',
    answers(async (request): Promise<IntakeSetRecord> => {
      const row = await theSet(idOf(request, 'set of drawings'), database);
      // The server may have been stopped in between.
      if (row.state === 'reading') void reader.start(row.id);
      const drawings = await drawingsOfSet(row.id, database);
      const standard = await standardAt(await newestRevision(database), database);
      return {
        ...(await summaryOf(row, database)),
        refused: drawings.flatMap(({ name, refused }) => (refused === null ? [] : [{ name, why: refused }])),
        groups: row.state === 'reading' || row.state === 'open' ? [] : groupsOf(drawings, standard),
        names: Object.fromEntries(
          drawings.flatMap(({ id, name, reading }) =>
            (reading?.sheets ?? [undefined]).map((sheet, i, { length }) => [
              i === 0 ? id : `${id}.${i}`,
              length > 1 ? `${name}, ${sheet?.report.space ?? ''} ${i + 1}` : name,
            ]),
          ),
        ),
      };
    }),
  );
  router.post(
    '/intake/sets/:id/take-over',
    answers(async (request) => {
      const id = idOf(request, 'set of drawings');
      const { leader, projectName, drawings } = bodyOf(request, takeOverSchema);
      const wish = wishOf(leader, projectName, drawings);
      return database.transaction(async (transaction) => {
        // Values are saved under the names that their parameters have now.
        await officeForSaving(transaction);
        // Held until the end, so that the same wish sent twice is carried out once.
        const set = await IntakeSetModel.query(transaction).findById(id).forUpdate();
        if (!set) throw notFound('set of drawings');
        const before = await TakeOverModel.query(transaction).findById([id, wish]);
        if (before) return { projectId: before.project_id, designId: before.design_id, sheets: before.sheets };
        if (set.state === 'reading') throw new Failure('invalid', 'the set is still being read');
        const standard = await standardAt(await newestRevision(transaction), transaction);
        const group = groupsOf(await drawingsOfSet(id, transaction), standard).find((each) => each.leader === leader);
        if (!group) throw new Failure('invalid', 'there is no such group of sheets in this set', 'leader');
        const sheets = group.sheets.filter((sheet) => drawings.includes(sheet.drawing));
        if (sheets.length === 0) throw new Failure('invalid', 'choose at least one sheet', 'drawings');
        const { project, design } = await projectOf({ ...group, sheets }, projectName, standard, transaction);
        await LegacyModel.query(transaction)
          .whereIn('id', [...new Set(sheets.map((sheet) => sheet.drawing.split('.')[0] ?? ''))])
          .patch({ design_id: design.id });
        await IntakeSetModel.query(transaction).findById(id).patch({ state: 'taken', project_id: project.id });
        const made = { project_id: project.id, design_id: design.id, sheets: sheets.length };
        await TakeOverModel.query(transaction).insert({ set_id: id, wish, ...made });
        return { projectId: project.id, designId: design.id, sheets: sheets.length };
      });
    }, 201),
  );
  router.delete(
    '/intake/sets/:id',
    answers(async (request) => {
      const id = idOf(request, 'set of drawings');
      reader.stop(id);
      if ((await IntakeSetModel.query(database).deleteById(id)) === 0) throw notFound('set of drawings');
      return { deleted: id };
    }),
  );
  return router;
}
