import type { Finding, SheetState } from '@mendrel/core';
import { Model } from 'objection';

/** What was found on a sheet when it was last drawn, and from what. */
export interface KeptFindings {
  sheet_id: string;
  /** SHA-256 of the sheet's source. */
  source: string;
  /** What has to be mended. */
  findings: Finding[];
  /** Its drawing area in mm; null where it cannot be solved. */
  area: NonNullable<SheetState['area']> | null;
}

export class SheetFindingsModel extends Model {
  static override tableName = 'sheet_findings';
  static override idColumn = 'sheet_id';
  static override jsonAttributes = ['findings', 'area'];
  declare sheet_id: KeptFindings['sheet_id'];
  declare source: KeptFindings['source'];
  declare findings: KeptFindings['findings'];
  declare area: KeptFindings['area'];
}

/** A design as a project uses it. */
export interface GroupDesign {
  id: string;
  /** Null while its draft is followed. */
  revision: number | null;
}

/** Findings of a project's sheets that one act mends. */
export interface FindingGroup {
  topic: string;
  /** The design in which they stand; null where they stand in none, and left out by earlier versions. */
  design?: GroupDesign | null;
  /** The worst of them, and whether others say something else. */
  finding: Pick<Finding, 'weight' | 'kind' | 'message' | 'mend' | 'by'>;
  varied: boolean;
  sheets: number;
  named: { id: string; number: string }[];
}

/** The findings of a project's sheets, told together. */
export interface ProjectSummary {
  sheets: number;
  fitting: number;
  groups: FindingGroup[];
}

export class ProjectFindingsModel extends Model {
  static override tableName = 'project_findings';
  static override idColumn = 'project_id';
  static override jsonAttributes = ['summary'];
  declare project_id: string;
  /** What the project was made of when it was looked at last. */
  declare stamp: string;
  declare summary: ProjectSummary;
}
