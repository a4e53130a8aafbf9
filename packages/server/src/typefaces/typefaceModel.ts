import { Model } from 'objection';

export class TypefaceModel extends Model {
  static override tableName = 'typefaces';
  declare id: string;
  declare name: string;
  declare licence: string;
  /** SHA-256 of its file. */
  declare asset: string;
  declare added_at: Date;
}
