import type { AreaSettings, NumberingScheme, TableRows } from '@mendrel/core';
import { VersionedModel } from '../database/record';

/** What lists of projects read: rows of tables may be long, and no list shows them. */
export const WITHOUT_TABLES = [
  'id',
  'position',
  'design_id',
  'design_revision',
  'standard_revision',
  'first_revision',
  'numbering',
  'file_names',
  'device',
  'archived',
  'values',
  'version',
] as const;

/** What a project has chosen for its sheets, as part of what they are drawn from. */
export const chosenFor = ({
  file_names,
  device,
}: Pick<ProjectModel, 'file_names' | 'device'>): { fileNames?: string; device?: string } => ({
  ...(file_names === null ? {} : { fileNames: file_names }),
  ...(device === null ? {} : { device }),
});

export class ProjectModel extends VersionedModel {
  static override tableName = 'projects';
  static override jsonAttributes = ['values', 'tables', 'numbering', 'areas'];
  declare position: number;
  declare design_id: string | null;
  declare design_revision: number | null;
  declare standard_revision: number | null;
  declare first_revision: string;
  declare numbering: NumberingScheme | null;
  declare file_names: string | null;
  /** The id in the standard of the device that its sheets are printed on. */
  declare device: string | null;
  declare archived: boolean;
  declare values: Record<string, string>;
  declare tables: TableRows;
  /** What its areas are measured from; null while nobody has chosen it. */
  declare areas: AreaSettings | null;

  /** A project's name is a parameter like any other, so that it is entered in one place. */
  get name(): string {
    return this.values['project.name'] ?? 'Unnamed project';
  }
}
