import { Model } from 'objection';
import type { Pojo, Transaction } from 'objection';
import { conflict, notFound } from '../http/failure';

/** A row with a version, which each change raises by one. */
export class VersionedModel extends Model {
  declare id: string;
  declare version: number;
}

/** A row as it was stored, with its document in the version of today: stored documents stay as they are until they are saved. */
export const withDocument = (row: Pojo, column: string, migrate: (document: object) => object): Pojo =>
  typeof row[column] === 'object' && row[column] !== null ? { ...row, [column]: migrate(row[column] as object) } : row;

type VersionedClass<M extends VersionedModel> = {
  new (): M;
} & typeof VersionedModel;

/**
 * Changes a row if it still has the version that the change was made from.
 * @throws Failure `not-found` or `conflict`
 */
export async function changeVersioned<M extends VersionedModel>(
  model: VersionedClass<M>,
  id: string,
  version: number,
  change: Record<string, unknown>,
  what: string,
  transaction: Transaction,
): Promise<M> {
  const changed = await model
    .query(transaction)
    .patch({ ...change, version: version + 1 })
    .where({ id, version });
  const row = await model.query(transaction).findById(id);
  if (!row) throw notFound(what);
  if (changed === 0) throw conflict(what);
  return row as M;
}
