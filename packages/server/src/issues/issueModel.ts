import type { Issue } from '@mendrel/contract';
import type { Recipient } from '@mendrel/core';
import type { Knex } from 'knex';
import { VersionedModel } from '../database/record';

/** An issue of a project: which sheets went out with it, and as what, stands in `issue_sheets`. */
export class IssueModel extends VersionedModel {
  static override tableName = 'issues';
  static override jsonAttributes = ['recipients'];
  declare project_id: string;
  declare number: number;
  declare date: string;
  declare purpose: string;
  declare set: string;
  declare recipient: string;
  declare recipients: Recipient[];
  declare remarks: string;
  declare transmittal_design_id: string | null;
  declare transmittal_size: string | null;
  declare withdrawn: string | null;
  declare made_at: Date;
}

/** A sheet as it went out. */
export interface IssueSheetRow {
  issue_id: string;
  position: number;
  sheet_id: string | null;
  number: string;
  title: string;
  size: string;
  revision: string;
  /** SHA-256 of what it shares with others, and of what is its own. */
  shared: string;
  own: string;
}

/** A page of what went with an issue. */
export interface TransmittalRow {
  issue_id: string;
  page: number;
  shared: string;
  own: string;
}

/** Issues as they are told. */
export async function asIssues(rows: readonly IssueModel[], database: Knex): Promise<Issue[]> {
  const counts = await database('issue_sheets')
    .whereIn(
      'issue_id',
      rows.map(({ id }) => id),
    )
    .groupBy('issue_id')
    .select<{ issue_id: string; count: string }[]>('issue_id', database.raw('count(*) as count'));
  const sheets = new Map(counts.map(({ issue_id, count }) => [issue_id, Number(count)]));
  return rows.map((row) => ({
    id: row.id,
    projectId: row.project_id,
    number: row.number,
    date: row.date,
    purpose: row.purpose,
    set: row.set,
    recipients: row.recipients,
    remarks: row.remarks,
    sheets: sheets.get(row.id) ?? 0,
    transmittal:
      row.transmittal_size === null ? null : { designId: row.transmittal_design_id, size: row.transmittal_size },
    withdrawn: row.withdrawn,
    madeAt: row.made_at.toISOString(),
    version: row.version,
  }));
}
