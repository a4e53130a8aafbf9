import type { NumberingScheme } from '@mendrel/core';
import { inHandOrder, inSheetOrder } from '@mendrel/core';
import type { Knex } from 'knex';
import { conflict } from '../http/failure';

/** Where a sheet stands in an order by hand. */
export interface SheetPlaceRow {
  sheet_id: string;
  project_id: string;
  place: number;
}

/** Rows that are written at once. */
const AT_ONCE = 1000;

/** Whether the sheets of a project stand in an order by hand. */
export async function isByHand(projectId: string, database: Knex): Promise<boolean> {
  const row = await database<SheetPlaceRow>('sheet_places').where({ project_id: projectId }).first();
  return row !== undefined;
}

/** Those of some projects whose sheets stand in an order by hand. */
export async function projectsByHand(ids: readonly string[], database: Knex): Promise<ReadonlySet<string>> {
  const rows = await database<SheetPlaceRow>('sheet_places').distinct('project_id').whereIn('project_id', ids);
  return new Set(rows.map(({ project_id }) => project_id));
}

/** Sheets of a project in their order: by hand, or by their numbers as the project's scheme counts them. */
export async function inProjectOrder<S extends { id: string; number: string }>(
  projectId: string,
  sheets: readonly S[],
  database: Knex,
): Promise<S[]> {
  const row = await database<{ id: string; numbering: NumberingScheme | null }>('projects')
    .select('numbering')
    .where({ id: projectId })
    .first();
  const numbered = inSheetOrder(sheets, row?.numbering ?? null);
  const places = await database<SheetPlaceRow>('sheet_places')
    .select('sheet_id')
    .where({ project_id: projectId })
    .orderBy('place');
  return places.length === 0
    ? numbered
    : inHandOrder(
        numbered,
        places.map(({ sheet_id }) => sheet_id),
      );
}

/**
 * Puts sheets of a project into an order by hand; null for that of their numbers.
 * @throws Failure when a sheet is gone, or came meanwhile
 */
export async function orderSheets(
  projectId: string,
  order: readonly string[] | null,
  transaction: Knex.Transaction,
): Promise<void> {
  await transaction<SheetPlaceRow>('sheet_places').where({ project_id: projectId }).delete();
  if (order === null) return;
  const rows = await transaction<{ id: string; project_id: string }>('sheets')
    .select('id')
    .where({ project_id: projectId });
  const here = new Set(rows.map(({ id }) => id));
  const asked = new Set(order);
  if (asked.size !== order.length || asked.size !== here.size || order.some((id) => !here.has(id)))
    throw conflict('register');
  const places = order.map((sheet_id, place): SheetPlaceRow => ({ sheet_id, project_id: projectId, place }));
  await transaction.batchInsert('sheet_places', places, AT_ONCE);
}
