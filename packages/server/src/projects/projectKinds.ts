import type { ProjectKind, ProjectKindChange } from '@mendrel/contract';
import type { Knex } from 'knex';
import { designAt, newestDesignRevision } from '../designs/designModel';
import { Failure } from '../http/failure';
import { checkKinds } from '../office/sheetKinds';

/** What a project says of a kind of sheet. */
export interface KindRow {
  project_id: string;
  kind: ProjectKind['kind'];
  design_id: string | null;
  design_revision: number | null;
  size: string | null;
  modules: ProjectKind['modules'];
}

/** What projects say of their kinds of sheet, by project. */
export async function kindsOf(
  projectIds: readonly string[],
  designNames: ReadonlyMap<string, string>,
  database: Knex,
): Promise<Map<string, ProjectKind[]>> {
  const rows = await database<KindRow>('project_kinds').whereIn('project_id', projectIds).orderBy('kind');
  const found = new Map<string, ProjectKind[]>();
  for (const { project_id, kind, design_id, design_revision, size, modules } of rows) {
    const designName = design_id === null ? null : (designNames.get(design_id) ?? null);
    const one = { kind, designId: design_id, designName, designRevision: design_revision, size, modules };
    found.set(project_id, [...(found.get(project_id) ?? []), one]);
  }
  return found;
}

/** Kinds of sheet as they are kept. @throws Failure when there is no such design or revision */
export async function kindRows(
  projectId: string,
  kinds: readonly ProjectKindChange[],
  transaction: Knex,
): Promise<KindRow[]> {
  const rows: KindRow[] = [];
  await checkKinds(
    kinds.map(({ kind }) => kind),
    transaction,
  );
  for (const { kind, designId, designRevision, size, modules = null } of kinds) {
    if (rows.some((row) => row.kind === kind)) throw new Failure('invalid', `${kind} is named twice`, 'kinds');
    if (designId === null && size === null && modules === null) continue;
    const revision =
      designId === null
        ? null
        : designRevision === undefined
          ? await newestDesignRevision(designId, transaction)
          : designRevision;
    if (designId !== null) await designAt(designId, revision, transaction);
    rows.push({ project_id: projectId, kind, design_id: designId, design_revision: revision, size, modules });
  }
  return rows;
}

/**
 * Says anew what is different for kinds of sheet; kinds that are not named are drawn like all others. A design that is newly chosen
 * begins by its newest revision.
 * @throws Failure when there is no such design or revision
 */
export async function setKinds(
  projectId: string,
  kinds: readonly ProjectKindChange[],
  transaction: Knex.Transaction,
): Promise<void> {
  const rows = await kindRows(projectId, kinds, transaction);
  await transaction('project_kinds').where({ project_id: projectId }).delete();
  if (rows.length > 0) await transaction('project_kinds').insert(rows);
}
