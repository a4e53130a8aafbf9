import type { TableRows } from '@mendrel/core';
import { VersionedModel } from '../database/record';

export class ProjectModel extends VersionedModel {
  static override tableName = 'projects';
  static override jsonAttributes = ['values', 'tables'];
  declare position: number;
  declare design_id: string | null;
  declare design_revision: number | null;
  declare standard_revision: number | null;
  declare values: Record<string, string>;
  declare tables: TableRows;

  /** A project's name is a parameter like any other, so that it is entered in one place. */
  get name(): string {
    return this.values['project.name'] ?? 'Unnamed project';
  }
}
