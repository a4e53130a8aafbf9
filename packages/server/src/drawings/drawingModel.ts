import type { DrawingRecord, DrawingSpace } from '@mendrel/contract';
import { Model } from 'objection';

/** A drawing that views of a project may show, as it was read. */
export class DrawingModel extends Model {
  static override tableName = 'project_drawings';
  static override jsonAttributes = ['spaces'];
  declare id: string;
  declare project_id: string;
  declare name: string;
  /** The file as it was brought. */
  declare asset: string;
  declare bytes: number | string;
  declare spaces: DrawingSpace[];
  /** When its file was brought, the last one where it was replaced. */
  declare added_at: Date;
}

export const asDrawing = ({ id, name, bytes, spaces, added_at }: DrawingModel): DrawingRecord => ({
  id,
  name,
  bytes: Number(bytes),
  spaces,
  addedAt: added_at.toISOString(),
});
