import type { DesignSwap, ProjectDesignsRecord, ProjectKind, ProjectKindChange } from '@mendrel/contract';
import type { Design } from '@mendrel/core';
import { SHEET_KINDS } from '@mendrel/core';
import type { Knex } from 'knex';
import { designAt, newestDesignRevision } from '../designs/designModel';
import { Failure } from '../http/failure';
import type { ProjectModel } from './projectModel';

/** What a project says of a kind of sheet. */
interface KindRow {
  project_id: string;
  kind: ProjectKind['kind'];
  design_id: string | null;
  design_revision: number | null;
  size: string | null;
}

/** What projects say of their kinds of sheet, by project. */
export async function kindsOf(
  projectIds: readonly string[],
  designNames: ReadonlyMap<string, string>,
  database: Knex,
): Promise<Map<string, ProjectKind[]>> {
  const rows = await database<KindRow>('project_kinds').whereIn('project_id', projectIds).orderBy('kind');
  const found = new Map<string, ProjectKind[]>();
  for (const { project_id, kind, design_id, design_revision, size } of rows) {
    const designName = design_id === null ? null : (designNames.get(design_id) ?? null);
    const one = { kind, designId: design_id, designName, designRevision: design_revision, size };
    found.set(project_id, [...(found.get(project_id) ?? []), one]);
  }
  return found;
}

/** Kinds of sheet as they are kept. @throws Failure when there is no such design or revision */
async function kindRows(projectId: string, kinds: readonly ProjectKindChange[], transaction: Knex): Promise<KindRow[]> {
  const rows: KindRow[] = [];
  for (const { kind, designId, designRevision, size } of kinds) {
    if (rows.some((row) => row.kind === kind)) throw new Failure('invalid', `${kind} is named twice`, 'kinds');
    if (designId === null && size === null) continue;
    const revision =
      designId === null
        ? null
        : designRevision === undefined
          ? await newestDesignRevision(designId, transaction)
          : designRevision;
    if (designId !== null) await designAt(designId, revision, transaction);
    rows.push({ project_id: projectId, kind, design_id: designId, design_revision: revision, size });
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

/** A design as a project uses it. */
export interface UsedDesign {
  id: string;
  /** Null while the draft is followed. */
  revision: number | null;
  document: Design;
}

/** The designs that sheets of a project are drawn with. */
export interface ProjectDesigns {
  /** That of all kinds which have none of their own. */
  usual: UsedDesign;
  of: (sheet: { kind: ProjectKind['kind'] }) => UsedDesign;
}

/** The designs of a project as they are sent. */
export function designsRecord(found: ProjectDesigns | undefined): ProjectDesignsRecord {
  if (!found) return { designs: [], kinds: {} };
  const designs = [found.usual.document];
  const kinds: ProjectDesignsRecord['kinds'] = {};
  for (const kind of SHEET_KINDS) {
    const { document } = found.of({ kind });
    if (!designs.includes(document)) designs.push(document);
    const place = designs.indexOf(document);
    if (place > 0) kinds[kind] = place;
  }
  return { designs, kinds };
}

/** The designs of a project by kind of sheet; undefined while it has none. */
export async function projectDesigns(project: ProjectModel, database: Knex): Promise<ProjectDesigns | undefined> {
  const kinds = await database<KindRow>('project_kinds').where({ project_id: project.id });
  return designsOf(project, kinds, database);
}

/** The designs that a project would have with a change. @throws Failure when there is no such design or revision */
export async function swappedDesigns(
  project: ProjectModel,
  { designId, designRevision, kinds }: DesignSwap,
  database: Knex,
): Promise<ProjectDesigns | undefined> {
  const newest =
    designId !== undefined && designRevision === undefined ? await newestDesignRevision(designId, database) : undefined;
  const revision = newest === undefined ? designRevision : newest;
  const rows = kinds
    ? await kindRows(project.id, kinds, database)
    : await database<KindRow>('project_kinds').where({ project_id: project.id });
  const of = {
    design_id: designId ?? project.design_id,
    design_revision: revision === undefined ? project.design_revision : revision,
  };
  return designsOf(of, rows, database);
}

async function designsOf(
  project: Pick<ProjectModel, 'design_id' | 'design_revision'>,
  kinds: readonly KindRow[],
  database: Knex,
): Promise<ProjectDesigns | undefined> {
  if (project.design_id === null) return undefined;
  const known = new Map<string, UsedDesign>();
  const use = async (id: string, revision: number | null): Promise<UsedDesign> => {
    const key = `${id} ${revision}`;
    const before = known.get(key);
    if (before) return before;
    const used = { id, revision, document: (await designAt(id, revision, database)).document };
    known.set(key, used);
    return used;
  };
  const usual = await use(project.design_id, project.design_revision);
  const byKind = new Map<string, UsedDesign>();
  for (const { kind, design_id, design_revision } of kinds)
    if (design_id !== null) byKind.set(kind, await use(design_id, design_revision));
  return { usual, of: ({ kind }) => byKind.get(kind) ?? usual };
}
