import { Model } from 'objection';
import type { OfficeStandard } from '@mendrel/core';
import type { Knex } from 'knex';

export class OfficeModel extends Model {
  static override tableName = 'office';
  static override jsonAttributes = ['values', 'standard'];
  declare id: number;
  declare values: Record<string, string>;
  declare standard: OfficeStandard;
  declare version: number;
  declare standard_version: number;
}

/**
 * The office while values are being saved: its parameters do not change before the transaction has ended. Who renames a
 * parameter holds the same row, so that no value is saved under a name that is just going away.
 */
export async function officeForSaving(transaction: Knex): Promise<OfficeModel> {
  return OfficeModel.query(transaction).findById(1).forShare().throwIfNotFound();
}

/** The office for a change of itself: whoever else wants to change it waits. */
export async function officeForChange(transaction: Knex): Promise<OfficeModel> {
  return OfficeModel.query(transaction).findById(1).forUpdate().throwIfNotFound();
}

/** The one office of this installation. */
export async function theOffice(database: Knex): Promise<OfficeModel> {
  return OfficeModel.query(database).findById(1).throwIfNotFound();
}
