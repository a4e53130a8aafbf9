import { randomUUID } from 'node:crypto';
import type { TrayChange } from '@mendrel/contract';
import { MOST_WAITING } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { unmoved } from '@mendrel/core';
import type { Knex } from 'knex';
import { conflict, Failure } from '../http/failure';
import { checkViews } from '../sheets/checkViews';

/** A view of a project that stands on no sheet. */
interface WaitingRow {
  project_id: string;
  id: string;
  view: View;
  /** Views wait in the order in which they came. */
  place: string;
}

/** A view as it waits: it has no place on any sheet, and nothing keeps it there. */
function waiting(view: View): View {
  const left = { ...unmoved(view), module: null };
  delete left.locked;
  return left;
}

/** The views that wait in the tray of a project, those first that came first. */
export async function trayOf(projectId: string, database: Knex): Promise<View[]> {
  const rows = await database<WaitingRow>('waiting_views').where({ project_id: projectId }).orderBy('place');
  return rows.map(({ view }) => view);
}

/**
 * Takes views out of the tray of a project and puts others into it.
 * @param projectId of a project that the transaction holds, so that no view is taken twice
 * @throws Failure when a view that is taken is not there any more, or one that comes cannot be drawn or finds no room
 */
export async function changeTray(projectId: string, { put, take }: TrayChange, transaction: Knex): Promise<void> {
  if (take.length > 0) {
    const taken = await transaction('waiting_views').where({ project_id: projectId }).whereIn('id', take).delete();
    if (taken < new Set(take).size) throw conflict('tray');
  }
  if (put.length === 0) return;
  await checkViews(put, transaction);
  const there = await transaction<WaitingRow>('waiting_views').select('id').where({ project_id: projectId });
  const known = new Set(there.map(({ id }) => id));
  for (const { id, name } of put) {
    if (known.has(id)) throw new Failure('invalid', `${name} is in the tray already`, 'tray');
    known.add(id);
  }
  if (known.size > MOST_WAITING)
    throw new Failure('invalid', `a tray holds ${MOST_WAITING} views at most; place or remove some first`, 'tray');
  await transaction('waiting_views').insert(
    put.map((view) => ({ project_id: projectId, id: view.id, view: JSON.stringify(waiting(view)) })),
  );
}

/** Views that wait as they are from now on, each in its place. */
export async function rewriteTray(projectId: string, views: readonly View[], transaction: Knex): Promise<void> {
  await transaction.raw(
    `update waiting_views as waiting set view = each.view
     from jsonb_to_recordset(?::jsonb) as each (id text, view jsonb)
     where waiting.project_id = ? and waiting.id = each.id`,
    [JSON.stringify(views.map((view) => ({ id: view.id, view }))), projectId],
  );
}

/** Where a view of a deleted sheet waits, which comes back with that sheet. */
export interface ViewKept {
  /** Its id in the tray. */
  id: string;
  sheet: string;
  /** Its id on the sheet. */
  view: string;
}

/**
 * Puts the views of sheets that are about to go into the tray of their project.
 * @returns where each of them waits
 * @throws Failure where they find no room in it
 */
export async function keepViewsOf(
  projectId: string,
  sheets: readonly { id: string; views: readonly View[] }[],
  transaction: Knex,
): Promise<ViewKept[]> {
  const rows = await transaction<WaitingRow>('waiting_views').select('id').where({ project_id: projectId });
  const known = new Set(rows.map(({ id }) => id));
  const put: View[] = [];
  const kept: ViewKept[] = [];
  for (const sheet of sheets)
    for (const view of sheet.views) {
      // Copies of a sheet may hold views of the same id.
      const id = known.has(view.id) ? randomUUID() : view.id;
      known.add(id);
      put.push({ ...view, id });
      kept.push({ id, sheet: sheet.id, view: view.id });
    }
  await changeTray(projectId, { put, take: [] }, transaction);
  return kept;
}

/**
 * Takes the views of sheets that come back out of the tray again.
 * @returns those that are not there any more: they stand elsewhere, or were removed
 */
export async function takeBackViews(
  projectId: string,
  kept: readonly ViewKept[],
  transaction: Knex,
): Promise<ViewKept[]> {
  const ids = kept.map(({ id }) => id);
  const rows = await transaction<WaitingRow>('waiting_views')
    .where({ project_id: projectId })
    .whereIn('id', ids)
    .delete()
    .returning('id');
  const taken = new Set(rows.map(({ id }) => id));
  return kept.filter(({ id }) => !taken.has(id));
}
