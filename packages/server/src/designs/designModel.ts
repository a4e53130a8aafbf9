import type { Design } from '@mendrel/core';
import { VersionedModel } from '../database/record';

export class DesignModel extends VersionedModel {
  static override tableName = 'designs';
  static override jsonAttributes = ['document'];
  declare name: string;
  declare document: Design;
  declare standard_revision: number | null;
  declare updated_at: Date;
}
