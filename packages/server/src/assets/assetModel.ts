import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { Model } from 'objection';
import { notFound } from '../http/failure';

/** What a file is, so that it is given out as that and as nothing else. */
export type AssetType = 'png' | 'jpeg' | 'typeface' | 'drawing' | 'linework';

/** A file that is kept once, under its SHA-256, for all who refer to it. It never changes. */
export class AssetModel extends Model {
  static override tableName = 'assets';
  static override idColumn = 'sha256';
  declare sha256: string;
  declare type: AssetType;
  declare bytes: number;
  declare content: Buffer;
  /** When something that is kept referred to it last. */
  declare used_at: Date;
}

/** Keeps a file, or finds that it is kept already. @returns its SHA-256 */
export async function keepAsset(type: AssetType, content: Buffer, database: Knex): Promise<string> {
  const sha256 = createHash('sha256').update(content).digest('hex');
  await AssetModel.query(database)
    .insert({ sha256, type, bytes: content.length, content, used_at: new Date() })
    .onConflict('sha256')
    .merge(['used_at']);
  return sha256;
}

/** A file by its SHA-256. @throws Failure when it is not kept */
export async function assetContent(sha256: string, database: Knex): Promise<Buffer> {
  const row = await AssetModel.query(database).select('content').findById(sha256);
  if (!row) throw notFound('file');
  return row.content;
}
