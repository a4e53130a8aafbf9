import type { Design } from '@mendrel/core';
import { migrateDesign } from '@mendrel/core';
import type { Knex } from 'knex';
import type { Pojo } from 'objection';
import { Model } from 'objection';
import { VersionedModel, withDocument } from '../database/record';
import { Failure, notFound } from '../http/failure';

/** A design's draft. */
export class DesignModel extends VersionedModel {
  static override tableName = 'designs';
  static override jsonAttributes = ['document'];
  declare name: string;
  declare document: Design;
  declare standard_revision: number | null;
  declare starter: boolean;
  declare updated_at: Date;

  override $parseDatabaseJson(json: Pojo): Pojo {
    return withDocument(super.$parseDatabaseJson(json), 'document', migrateDesign);
  }
}

/** A published design. It is never changed. */
export class DesignRevisionModel extends Model {
  static override tableName = 'design_revisions';
  static override idColumn = ['design_id', 'number'];
  static override jsonAttributes = ['document'];
  declare design_id: string;
  declare number: number;
  declare note: string;
  declare document: Design;
  declare standard_revision: number | null;
  declare published_at: Date;

  override $parseDatabaseJson(json: Pojo): Pojo {
    return withDocument(super.$parseDatabaseJson(json), 'document', migrateDesign);
  }
}

/** A state of a draft that was kept under a name. */
export class DesignCheckpointModel extends Model {
  static override tableName = 'design_checkpoints';
  static override jsonAttributes = ['document'];
  declare id: string;
  declare design_id: string;
  declare name: string;
  declare document: Design;
  declare kept_at: Date;

  override $parseDatabaseJson(json: Pojo): Pojo {
    return withDocument(super.$parseDatabaseJson(json), 'document', migrateDesign);
  }
}

/** The number of a design's revision that was published last; null before the first. */
export async function newestDesignRevision(designId: string, database: Knex): Promise<number | null> {
  const row = await DesignRevisionModel.query(database)
    .select('number')
    .where({ design_id: designId })
    .orderBy('number', 'desc')
    .first();
  return row?.number ?? null;
}

/**
 * A design as it was published, or its draft for null.
 * @throws Failure when there is no such design or revision
 */
export async function designAt(
  designId: string,
  number: number | null,
  database: Knex,
): Promise<DesignModel | DesignRevisionModel> {
  if (number === null) {
    const draft = await DesignModel.query(database).findById(designId);
    if (!draft) throw notFound('design');
    return draft;
  }
  const row = await DesignRevisionModel.query(database).findById([designId, number]);
  if (!row) throw new Failure('not-found', `this design has no revision ${number}`, 'designRevision');
  return row;
}
