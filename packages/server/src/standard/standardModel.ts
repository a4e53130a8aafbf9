import type { OfficeStandard } from '@mendrel/core';
import { migrateStandard } from '@mendrel/core';
import type { Knex } from 'knex';
import { Model } from 'objection';
import type { Pojo } from 'objection';
import { withDocument } from '../database/record';
import { Failure } from '../http/failure';
import { theOffice } from '../office/officeModel';

/** A published standard. It is never changed. */
export class StandardRevisionModel extends Model {
  static override tableName = 'standard_revisions';
  static override idColumn = 'number';
  static override jsonAttributes = ['document'];
  declare number: number;
  declare note: string;
  declare document: OfficeStandard;
  declare published_at: Date;

  override $parseDatabaseJson(json: Pojo): Pojo {
    return withDocument(super.$parseDatabaseJson(json), 'document', migrateStandard);
  }
}

/** The number of the standard that was published last; null before the first. New designs and projects start by it. */
export async function newestRevision(database: Knex): Promise<number | null> {
  const row = await StandardRevisionModel.query(database).select('number').orderBy('number', 'desc').first();
  return row?.number ?? null;
}

/**
 * The standard of a published revision, with the symbols that came since, or the draft for null. Parameters, own tables and languages are always those of the draft: they
 * name data, which has one name at a time, and so they follow a renaming everywhere.
 * @throws Failure when there is no such revision
 */
export async function standardAt(number: number | null, database: Knex): Promise<OfficeStandard> {
  const { standard: draft } = await theOffice(database);
  if (number === null) return draft;
  const row = await StandardRevisionModel.query(database).findById(number);
  if (!row) throw new Failure('not-found', `the standard has no revision ${number}`, 'standard');
  const { parameters, tables, languages } = draft;
  const standard: OfficeStandard = { ...row.document, parameters, tables };
  // A symbol that came later harms nothing that was published; what was published keeps the look that it had.
  const added = draft.symbols?.filter(({ id }) => !row.document.symbols?.some((each) => each.id === id)) ?? [];
  if (added.length > 0) standard.symbols = [...(row.document.symbols ?? []), ...added];
  if (languages) standard.languages = languages;
  else delete standard.languages;
  return standard;
}

/** Refuses a revision that is not there. */
export async function checkRevision(number: number | null | undefined, database: Knex): Promise<void> {
  if (number === null || number === undefined) return;
  if (!(await StandardRevisionModel.query(database).select('number').findById(number)))
    throw new Failure('invalid', `the standard has no revision ${number}`, 'standard');
}
