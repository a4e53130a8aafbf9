import type { ProjectPage } from '@mendrel/contract';
import { LONGEST_FIND, PROJECTS_ON_A_PAGE } from '@mendrel/contract';
import type { Knex } from 'knex';
import { z } from 'zod';
import { ProjectModel, WITHOUT_TABLES } from './projectModel';
import { asProjects } from './projectRecords';

/** What a page of projects is asked for with. */
export const projectPageSchema = z.object({
  /** From 0 on. */
  page: z.coerce.number().int().min(0).max(100_000).default(0),
  /** Parts of a name, a number or a client, in any order. */
  find: z.string().max(LONGEST_FIND).default(''),
  /** Those that are put away, in place of the others. */
  archived: z.enum(['true', 'false']).default('false'),
});

/** What is looked through for what somebody types. */
const WORDS = "lower(concat_ws(' ', values->>'project.name', values->>'project.number', values->>'project.client'))";

/** A page of an office's projects, in the order in which they came. */
export async function projectPage(
  { page, find, archived }: z.infer<typeof projectPageSchema>,
  database: Knex,
): Promise<ProjectPage> {
  const meant = ProjectModel.query(database).where({ archived: archived === 'true' });
  for (const part of find.toLowerCase().split(/\s+/))
    if (part !== '') void meant.whereRaw(`strpos(${WORDS}, ?) > 0`, part);
  const [rows, count, [counts]] = await Promise.all([
    meant
      .clone()
      .select(...WITHOUT_TABLES)
      .orderBy('position')
      .offset(page * PROJECTS_ON_A_PAGE)
      .limit(PROJECTS_ON_A_PAGE),
    meant.resultSize(),
    ProjectModel.query(database)
      .select(database.raw('count(*)::int as "all", count(*) filter (where archived)::int as archived'))
      .castTo<{ all: number; archived: number }[]>(),
  ]);
  return { projects: await asProjects(rows, database), count, all: counts?.all ?? 0, archived: counts?.archived ?? 0 };
}
