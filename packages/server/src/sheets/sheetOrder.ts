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

/** What a project says of all its sheets, asked in one go: a register is read often. */
export interface RegisterFrame {
  numbering: NumberingScheme | null;
  /** Ids of its sheets in an order by hand; null where they are in that of their numbers. */
  byHand: string[] | null;
  /** Whether there are revisions, and issues, to ask for. */
  revised: boolean;
  issued: boolean;
}

/** What a project says of all its sheets; of one that is not there nothing. */
export async function registerFrame(projectId: string, database: Knex): Promise<RegisterFrame> {
  const { rows } = await database.raw<{ rows: RegisterFrame[] }>(
    `select project.numbering,
       (select array_agg(sheet_id order by place) from sheet_places where project_id = project.id) as "byHand",
       exists (select 1 from revisions where project_id = project.id) as revised,
       exists (select 1 from issues where project_id = project.id) as issued
     from projects as project where id = ?`,
    [projectId],
  );
  return rows[0] ?? { numbering: null, byHand: null, revised: false, issued: false };
}

/** Sheets of a project in their order: by hand, or by their numbers as the project's scheme counts them. */
export function inProjectOrder<S extends { id: string; number: string }>(
  { numbering, byHand }: RegisterFrame,
  sheets: readonly S[],
): S[] {
  const numbered = inSheetOrder(sheets, numbering);
  return byHand ? inHandOrder(numbered, byHand) : numbered;
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
