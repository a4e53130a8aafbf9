import type { Project } from '@mendrel/contract';
import type { Knex } from 'knex';
import { DesignModel } from '../designs/designModel';
import { notFound } from '../http/failure';
import { SheetModel } from '../sheets/sheetModel';
import { projectsByHand } from '../sheets/sheetOrder';
import { kindsOf } from './projectKinds';
import type { ProjectModel } from './projectModel';

/** Projects as they are told. */
export async function asProjects(rows: readonly ProjectModel[], database: Knex): Promise<Project[]> {
  const ids = rows.map((row) => row.id);
  const counts = await SheetModel.query(database)
    .select('project_id')
    .count('* as count')
    .whereIn('project_id', ids)
    .groupBy('project_id')
    .castTo<{ project_id: string; count: string }[]>();
  const designs = new Map((await DesignModel.query(database).select('id', 'name')).map(({ id, name }) => [id, name]));
  const kinds = await kindsOf(ids, designs, database);
  const byHand = await projectsByHand(ids, database);
  const sheets = new Map(counts.map(({ project_id, count }) => [project_id, Number(count)]));
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    designId: row.design_id,
    designName: row.design_id === null ? null : (designs.get(row.design_id) ?? null),
    designRevision: row.design_revision,
    standard: row.standard_revision,
    kinds: kinds.get(row.id) ?? [],
    values: row.values,
    firstRevision: row.first_revision,
    numbering: row.numbering,
    fileNames: row.file_names,
    device: row.device,
    archived: row.archived,
    sheets: sheets.get(row.id) ?? 0,
    byHand: byHand.has(row.id),
    version: row.version,
  }));
}

/** A project as it is told. */
export async function asProject(row: ProjectModel, database: Knex): Promise<Project> {
  const [project] = await asProjects([row], database);
  if (!project) throw notFound('project');
  return project;
}
