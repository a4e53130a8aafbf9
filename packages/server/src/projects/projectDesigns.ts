import type { DesignSwap, ProjectDesignsRecord, Sheet } from '@mendrel/contract';
import type { Design } from '@mendrel/core';
import type { Knex } from 'knex';
import { designAt, newestDesignRevision } from '../designs/designModel';
import { newestOf } from '../sheets/ownDesigns';
import type { KindRow } from './projectKinds';
import { kindRows } from './projectKinds';
import type { ProjectModel } from './projectModel';

/** A design as a project uses it. */
export interface UsedDesign {
  /** Tells it apart from all others that the project uses. */
  key: string;
  id: string;
  /** Null while the draft is followed. */
  revision: number | null;
  document: Design;
}

/** The designs that sheets of a project are drawn with. */
export interface ProjectDesigns {
  /** That of all kinds which have none of their own. */
  usual: UsedDesign;
  of: (sheet: Pick<Sheet, 'id' | 'kind' | 'design'>) => UsedDesign;
  byKind: ReadonlyMap<string, UsedDesign>;
  /** Those that sheets of a kind have of their own. */
  own: readonly (UsedDesign & Pick<Sheet, 'kind'>)[];
}

/** The designs of a project as they are sent. */
export function designsRecord(found: ProjectDesigns | undefined): ProjectDesignsRecord {
  if (!found) return { designs: [], kinds: {}, own: [] };
  const designs = [found.usual.document];
  const placeOf = ({ document }: UsedDesign): number => {
    if (!designs.includes(document)) designs.push(document);
    return designs.indexOf(document);
  };
  const kinds = [...found.byKind].map(([kind, used]) => [kind, placeOf(used)] as const);
  const own = found.own.map((used) => ({
    id: used.id,
    revision: used.revision,
    kind: used.kind,
    place: placeOf(used),
  }));
  return { designs, kinds: Object.fromEntries(kinds.filter(([, place]) => place > 0)), own };
}

/** The designs of a project by kind of sheet, and those of single sheets; undefined while it has none. */
export async function projectDesigns(project: ProjectModel, database: Knex): Promise<ProjectDesigns | undefined> {
  const kinds = await database<KindRow>('project_kinds').where({ project_id: project.id });
  return designsOf(project, kinds, database);
}

/** The designs that a project would have with a change. @throws Failure when there is no such design or revision */
export async function swappedDesigns(
  project: ProjectModel,
  { designId, designRevision, kinds, sheets }: DesignSwap,
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
    id: project.id,
  };
  return designsOf(of, rows, database, sheets);
}

async function designsOf(
  project: Pick<ProjectModel, 'id' | 'design_id' | 'design_revision'>,
  kinds: readonly KindRow[],
  database: Knex,
  sheets?: DesignSwap['sheets'],
): Promise<ProjectDesigns | undefined> {
  if (project.design_id === null) return undefined;
  const known = new Map<string, UsedDesign>();
  const use = async (id: string, revision: number | null, modules: KindRow['modules'] = null): Promise<UsedDesign> => {
    const key = [id, revision, ...(modules ? [JSON.stringify(modules)] : [])].join(' ');
    const before = known.get(key);
    if (before) return before;
    const document = modules
      ? { ...(await use(id, revision)).document, modules }
      : (await designAt(id, revision, database)).document;
    const used = { key, id, revision, document };
    known.set(key, used);
    return used;
  };
  const usual = await use(project.design_id, project.design_revision);
  const byKind = new Map<string, UsedDesign>();
  for (const { kind, design_id, design_revision, modules } of kinds) {
    const [id, revision] = design_id === null ? [usual.id, usual.revision] : [design_id, design_revision];
    byKind.set(kind, await use(id, revision, modules));
  }
  const gridOf = (kind: string): KindRow['modules'] => kinds.find((each) => each.kind === kind)?.modules ?? null;
  const rows = await database('sheets')
    .distinct<{ design_id: string; design_revision: number | null; kind: string }[]>(
      'design_id',
      'design_revision',
      'kind',
    )
    .where({ project_id: project.id })
    .whereNotNull('design_id');
  const own: (UsedDesign & Pick<Sheet, 'kind'>)[] = [];
  for (const { design_id, design_revision, kind } of rows)
    own.push({ ...(await use(design_id, design_revision, gridOf(kind))), kind });
  const given = sheets?.design ? await newestOf(sheets.design, database) : null;
  const kindsOfThose =
    sheets && given ? await database('sheets').distinct<Pick<Sheet, 'kind'>[]>('kind').whereIn('id', sheets.ids) : [];
  if (given)
    for (const { kind } of kindsOfThose) own.push({ ...(await use(given.id, given.revision, gridOf(kind))), kind });
  const those = new Set(sheets?.ids);
  return {
    usual,
    of: (sheet) => {
      const design = those.has(sheet.id) ? given : sheet.design;
      const found = own.find(
        (each) => each.kind === sheet.kind && each.id === design?.id && each.revision === design.revision,
      );
      return found ?? byKind.get(sheet.kind) ?? usual;
    },
    byKind,
    own,
  };
}
