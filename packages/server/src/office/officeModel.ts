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

/** The one office of this installation. */
export async function theOffice(database: Knex): Promise<OfficeModel> {
  return OfficeModel.query(database).findById(1).throwIfNotFound();
}
