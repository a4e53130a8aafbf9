import { createHash } from 'node:crypto';
import type { Sheet } from '@mendrel/contract';
import { standingRevisions } from '@mendrel/core';
import type { Knex } from 'knex';
import type { KindRow } from '../projects/projectKinds';

/** What is asked of a sheet to tell whether it is another one than before. */
type Asked = Pick<Sheet, 'id' | 'number' | 'title' | 'kind' | 'size' | 'design' | 'values' | 'views'>;

interface Row extends Omit<Sheet['revisions'][number], 'withdrawn'> {
  sheet_id: string;
  state: string;
  withdrawn: string | null;
}

/** With which design and module grid a sheet of a project is drawn; where a draft is followed, with its version. */
export async function designStates(
  projectId: string,
  database: Knex,
): Promise<(sheet: Pick<Sheet, 'id' | 'kind'>) => string> {
  const { rows } = await database.raw<{ rows: { kind: string | null; sheet_id: string | null; state: string }[] }>(
    `select used.kind, used.sheet_id, concat_ws('|', used.design_id, coalesce(used.design_revision, -1),
         case when used.design_revision is null then design.version end) as state
       from design_uses as used join designs as design on design.id = used.design_id where used.project_id = ?`,
    [projectId],
  );
  const states = new Map(rows.map(({ kind, sheet_id, state }) => [sheet_id ?? kind, state]));
  const own = await database<KindRow>('project_kinds')
    .select('kind', 'modules')
    .where({ project_id: projectId })
    .whereNotNull('modules');
  const grids = new Map(own.map(({ kind, modules }) => [kind, modules && gridState(modules)]));
  return ({ id, kind }) => (states.get(id) ?? states.get(kind) ?? states.get(null) ?? '') + (grids.get(kind) ?? '');
}

/** A grid as it is told apart from others; one that is columns and rows alone as it always was. */
function gridState({ columns, rows, ...more }: NonNullable<KindRow['modules']>): string {
  const others = Object.entries(more).sort(([a], [b]) => (a < b ? -1 : 1));
  return ` ${columns} ${rows}${others.length > 0 ? ` ${JSON.stringify(others)}` : ''}`;
}

/** SHA-256 of what a sheet is: its own data, its views, its design. What all sheets of its project share is not asked. */
export const stateOf = ({ number, title, kind, size, values, views }: Asked, design: string): string =>
  createHash('sha256')
    .update(JSON.stringify([number, title, kind, size, Object.entries(values).sort(), views, design]))
    .digest('hex');

/** Sheets of one project with their revisions, and whether they have changed since the last one. */
export async function withRevisions<S extends Asked>(
  projectId: string,
  sheets: readonly S[],
  database: Knex,
): Promise<(S & Pick<Sheet, 'revisions' | 'changedSince'>)[]> {
  const [one] = sheets;
  const rows = await database('sheet_revisions as of')
    .join('revisions as revision', 'revision.id', 'of.revision_id')
    .where('revision.project_id', projectId)
    .modify((query) => (sheets.length === 1 && one ? void query.where('of.sheet_id', one.id) : undefined))
    .orderBy('revision.position')
    .select<Row[]>(
      'of.sheet_id',
      'of.code',
      'of.state',
      'revision.id',
      'revision.date',
      'revision.description',
      'revision.by',
      'revision.checked',
      'revision.withdrawn',
    );
  const known = new Map<string, Row[]>();
  for (const row of rows) {
    const before = known.get(row.sheet_id);
    if (before) before.push(row);
    else known.set(row.sheet_id, [row]);
  }
  const designOf = known.size > 0 ? await designStates(projectId, database) : () => '';
  return sheets.map((sheet) => {
    const own = known.get(sheet.id) ?? [];
    const revisions = own.map(({ sheet_id: _sheet, state, withdrawn, ...revision }) => ({
      ...revision,
      state,
      withdrawn: withdrawn !== null,
    }));
    const last = standingRevisions(revisions).at(-1);
    return {
      ...sheet,
      revisions: revisions.map(({ state: _state, ...revision }) => revision),
      changedSince: last !== undefined && last.state !== stateOf(sheet, designOf(sheet)),
    };
  });
}
