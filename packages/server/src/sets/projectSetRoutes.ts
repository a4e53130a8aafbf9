import { randomUUID } from 'node:crypto';
import type { SheetSet } from '@mendrel/contract';
import { MOST_SETS, sheetSetChangeSchema, sheetSetCreateSchema } from '@mendrel/contract';
import { parametersOf } from '@mendrel/core';
import { Router } from 'express';
import type { Knex } from 'knex';
import type { Transaction } from 'objection';
import { checkPictures } from '../assets/checkPictures';
import { changeVersioned } from '../database/record';
import type { Dependencies } from '../http/dependencies';
import { Failure, notFound } from '../http/failure';
import { answers, bodyOf, idOf } from '../http/requests';
import { officeForSaving } from '../office/officeModel';
import { checkValues } from '../office/officeRoutes';
import { ProjectModel } from '../projects/projectModel';
import { SheetModel } from '../sheets/sheetModel';
import { asSets, SetModel } from './setModel';
import type { SetSheetRow } from './setModel';

/** Rows that are written at once. */
const AT_ONCE = 1000;

/** Refuses what cannot be said of a set. */
async function checkSaid(
  values: Record<string, string>,
  before: Record<string, string> | undefined,
  transaction: Transaction,
): Promise<void> {
  if ((values['set.name'] ?? '').trim() === '') throw new Failure('invalid', 'a set needs a name', 'values.set.name');
  const { standard } = await officeForSaving(transaction);
  checkValues(values, 'set', parametersOf(standard), before);
  await checkPictures(values, parametersOf(standard), before, transaction);
}

/** Writes which sheets a set has, in their order. @throws Failure when one is not there */
export async function writeSheets(
  setId: string,
  projectId: string,
  sheets: readonly string[],
  transaction: Transaction,
): Promise<void> {
  const wanted = [...new Set(sheets)];
  const there = await SheetModel.query(transaction).select('id').where({ project_id: projectId }).whereIn('id', wanted);
  if (there.length < wanted.length)
    throw new Failure('invalid', 'a sheet that was chosen is not there any more', 'sheets');
  await transaction<SetSheetRow>('set_sheets').where({ set_id: setId }).delete();
  const rows = wanted.map((sheet_id, position): SetSheetRow => ({ set_id: setId, sheet_id, position }));
  await transaction.batchInsert('set_sheets', rows, AT_ONCE);
}

/** Takes sheets that are deleted out of their sets, whose other sheets close up. The project is held by the transaction. */
export async function leaveSets(sheetIds: readonly string[], transaction: Knex): Promise<void> {
  const left = await transaction<SetSheetRow>('set_sheets').whereIn('sheet_id', sheetIds).delete().returning('set_id');
  const sets = [...new Set(left.map(({ set_id }) => set_id))];
  if (sets.length === 0) return;
  await transaction.raw(
    `update set_sheets as member set position = closed.position from
       (select set_id, sheet_id, row_number() over (partition by set_id order by position) - 1 as position
        from set_sheets where set_id = any(?::uuid[])) as closed
     where member.set_id = closed.set_id and member.sheet_id = closed.sheet_id and member.position <> closed.position`,
    [sets],
  );
}

/** The project, held until the transaction ends, so that its sets keep an order without gaps. */
async function heldProject(id: string, transaction: Transaction): Promise<ProjectModel> {
  const project = await ProjectModel.query(transaction).select('id').findById(id).forUpdate();
  if (!project) throw notFound('project');
  return project;
}

async function oneSet(id: string, database: Knex): Promise<SheetSet> {
  const row = await SetModel.query(database).findById(id);
  const [set] = row ? await asSets([row], database) : [];
  if (!set) throw notFound('set');
  return set;
}

export function projectSetRoutes({ database }: Dependencies): Router {
  const router = Router();
  router.get(
    '/projects/:id/sets',
    answers(async (request) => {
      const id = idOf(request, 'project');
      const rows = await SetModel.query(database).where({ project_id: id }).orderBy('position');
      if (rows.length === 0 && !(await ProjectModel.query(database).findById(id))) throw notFound('project');
      return asSets(rows, database);
    }),
  );
  router.post(
    '/projects/:id/sets',
    answers(async (request) => {
      const projectId = idOf(request, 'project');
      const { values, sheets, due } = bodyOf(request, sheetSetCreateSchema);
      return database.transaction(async (transaction) => {
        // Before the project, as whoever renames a parameter takes them.
        await officeForSaving(transaction);
        await heldProject(projectId, transaction);
        const count = await SetModel.query(transaction).where({ project_id: projectId }).resultSize();
        if (count >= MOST_SETS) throw new Failure('invalid', `a project holds at most ${MOST_SETS} sets`);
        await checkSaid(values, undefined, transaction);
        const id = randomUUID();
        await SetModel.query(transaction).insert({
          id,
          project_id: projectId,
          position: count,
          values,
          due,
          version: 1,
        });
        await writeSheets(id, projectId, sheets, transaction);
        return oneSet(id, transaction);
      });
    }, 201),
  );
  router.patch(
    '/sets/:id',
    answers(async (request) => {
      const id = idOf(request, 'set');
      const { version, values, sheets, due } = bodyOf(request, sheetSetChangeSchema);
      return database.transaction(async (transaction) => {
        const before = await SetModel.query(transaction).findById(id);
        if (!before) throw notFound('set');
        await officeForSaving(transaction);
        // Held before its rows, as whoever deletes a sheet holds it.
        await heldProject(before.project_id, transaction);
        if (values) await checkSaid(values, before.values, transaction);
        const change = { ...(values ? { values } : {}), ...(due !== undefined ? { due } : {}) };
        await changeVersioned(SetModel, id, version, change, 'set', transaction);
        if (sheets) await writeSheets(id, before.project_id, sheets, transaction);
        return oneSet(id, transaction);
      });
    }),
  );
  router.delete(
    '/sets/:id',
    answers(async (request) => {
      const id = idOf(request, 'set');
      return database.transaction(async (transaction) => {
        const set = await SetModel.query(transaction).findById(id);
        if (!set) throw notFound('set');
        await heldProject(set.project_id, transaction);
        await SetModel.query(transaction).deleteById(id);
        await SetModel.query(transaction)
          .where({ project_id: set.project_id })
          .where('position', '>', set.position)
          .decrement('position', 1);
        return { deleted: id };
      });
    }),
  );
  return router;
}
