import { Model } from 'objection';
import type { Pojo } from 'objection';
import type { IssueBlocks } from '@mendrel/contract';
import type { OfficeStandard, SheetKind, TableRows } from '@mendrel/core';
import { migrateStandard } from '@mendrel/core';
import { withDocument } from '../database/record';
import type { Knex } from 'knex';

export class OfficeModel extends Model {
  static override tableName = 'office';
  static override jsonAttributes = ['values', 'tables', 'sheet_kinds', 'replaceable', 'standard'];
  declare id: number;
  declare values: Record<string, string>;
  declare tables: TableRows;
  declare issue_blocks: IssueBlocks;
  /** Those that the office has besides the usual ones. */
  declare sheet_kinds: SheetKind[];
  /** Keys of values that a project may have its own of. */
  declare replaceable: string[];
  declare template_id: string | null;
  declare standard: OfficeStandard;
  declare version: number;
  declare standard_version: number;

  override $parseDatabaseJson(json: Pojo): Pojo {
    return withDocument(super.$parseDatabaseJson(json), 'standard', migrateStandard);
  }
}

/** The key of the lock on the names of parameters; any number that nobody else uses. */
const NAMES_LOCK = 4310_002;

/**
 * The office while values are being saved: no parameter is renamed before the transaction has ended, so that no value is
 * saved under a name that is just going away. An advisory lock, for those are given in the order in which they are asked
 * for; locks on the row itself would let many who save keep one who renames waiting for ever.
 */
export async function officeForSaving(transaction: Knex): Promise<OfficeModel> {
  await transaction.raw('select pg_advisory_xact_lock_shared(?)', [NAMES_LOCK]);
  return theOffice(transaction);
}

/** The office while parameters may be renamed: whoever saves values waits until the transaction has ended. */
export async function officeForRenaming(transaction: Knex): Promise<OfficeModel> {
  await transaction.raw('select pg_advisory_xact_lock(?)', [NAMES_LOCK]);
  return officeForChange(transaction);
}

/** The office for a change of itself: whoever else wants to change it waits. */
export async function officeForChange(transaction: Knex): Promise<OfficeModel> {
  return OfficeModel.query(transaction).findById(1).forUpdate().throwIfNotFound();
}

/** The one office of this installation. */
export async function theOffice(database: Knex): Promise<OfficeModel> {
  return OfficeModel.query(database).findById(1).throwIfNotFound();
}
