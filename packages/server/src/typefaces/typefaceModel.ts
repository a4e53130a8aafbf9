import { Model } from 'objection';

export class TypefaceModel extends Model {
  static override tableName = 'typefaces';
  declare id: string;
  declare name: string;
  declare licence: string;
  declare content: Buffer;
  declare added_at: Date;
}
