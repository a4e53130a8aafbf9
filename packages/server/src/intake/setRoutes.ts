import { createHash, randomUUID } from 'node:crypto';
import {
  applyCorrectionsSchema,
  MOST_SET_DRAWINGS,
  MOST_UPLOAD_BYTES,
  setCreateSchema,
  takeOverSchema,
} from '@mendrel/contract';
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
import { groupCorrections, readAgain } from './setCorrections';
import { projectOf } from './setProject';
import { SetReader } from './setReader';

const MOST_SETS = 100;

/** A sign of what is to be taken over as what. */
const wishOf = (leader: string, projectName: string, drawings: readonly string[]): string =>
  createHash('sha256')
    .update(JSON.stringify([leader, projectName, [...drawings].sort()]))
    .digest('hex');

/** How the sheets of a file are called in their set: the first as the file itself. */
const sheetId = (drawing: string, sheet: number): string => (sheet === 0 ? drawing : `${drawing}.${sheet}`);

/** The file of a sheet, and which of its sheets it is. */
function fileOf(sheet: string): { drawing: string; number: number } {
  const [drawing = '', number = '0'] = sheet.split('.');
  return { drawing, number: Number(number) };
}

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
    // Of files that are the same to the last byte, all but the first say whose copy they are.
    const firsts = new Map<string, LegacyModel>();
    for (const each of drawings) if (!firsts.has(each.asset)) firsts.set(each.asset, each);
    const read = drawings.flatMap(({ id, name, asset, reading }) =>
      (reading?.sheets ?? []).map((sheet, i) => ({
        id: sheetId(id, i),
        name: withoutEnding(name),
        ...(firsts.get(asset)?.id === id ? {} : { sameAs: firsts.get(asset)?.name ?? '' }),
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
  router.post(
    '/intake/sets/:id/again',
    answers(async (request) => {
      const id = idOf(request, 'set of drawings');
      await readAgain(id, database, () => Promise.resolve([]));
      void reader.start(id);
      return summaryOf(await theSet(id, database), database);
    }),
  );
  router.post(
    '/intake/sets/:id/corrections',
    answers(async (request) => {
      const id = idOf(request, 'set of drawings');
      const { drawing } = bodyOf(request, applyCorrectionsSchema);
      await readAgain(id, database, async (drawings, transaction) => {
        const standard = await standardAt(await newestRevision(transaction), transaction);
        const corrected = drawings.find((each) => each.id === drawing);
        const group = groupsOf(drawings, standard).find(({ sheets }) =>
          sheets.some((each) => each.drawing === drawing),
        );
        if (!corrected || !group)
          throw new Failure('invalid', 'there is no such drawing in a group of this set', 'drawing');
        return groupCorrections(
          corrected,
          group.sheets.map((sheet) => fileOf(sheet.drawing)),
          drawings,
        );
      });
      void reader.start(id);
      return summaryOf(await theSet(id, database), database);
    }),
  );
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
              sheetId(id, i),
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
          .whereIn('id', [...new Set(sheets.map((sheet) => fileOf(sheet.drawing).drawing))])
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
