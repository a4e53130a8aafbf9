import type { Revision } from '@mendrel/contract';
import { VersionedModel } from '../database/record';

/** A revision of a project: what was changed, when and by whom. Which sheets have it stands in `sheet_revisions`. */
export class RevisionModel extends VersionedModel {
  static override tableName = 'revisions';
  declare project_id: string;
  declare position: number;
  declare date: string;
  declare description: string;
  declare by: string;
  declare checked: string;
  declare withdrawn: string | null;
  declare made_at: Date;
}

export const asRevision = (row: RevisionModel): Revision => ({
  id: row.id,
  projectId: row.project_id,
  date: row.date,
  description: row.description,
  by: row.by,
  checked: row.checked,
  withdrawn: row.withdrawn,
  madeAt: row.made_at.toISOString(),
  version: row.version,
});

/** A sheet that has a revision. */
export interface SheetRevisionRow {
  revision_id: string;
  sheet_id: string;
  code: string;
  state: string;
}
