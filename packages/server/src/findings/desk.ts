import type { DeskGroup, DeskProject, DeskRecord } from '@mendrel/contract';
import { DESK_PAGE, NAMED_PROJECTS } from '@mendrel/contract';
import type { Finding } from '@mendrel/core';
import { worstFinding } from '@mendrel/core';
import type { Knex } from 'knex';
import { Failure } from '../http/failure';
import type { ProjectSummary } from './findingsModel';
import { dueSets, lateDesigns } from './outlook';
import { projectStamps } from './stamps';

interface Row {
  id: string;
  name: string | null;
  design_id: string | null;
  design_revision: number | null;
  sheets: number;
  stamp: string | null;
  summary: ProjectSummary | null;
}

interface WholeGroup extends DeskGroup {
  named: DeskProject[];
}

const ORDER: Record<Finding['weight'], number> = { error: 0, gap: 1, note: 2 };

/** Everything that the Desk says, with all its groups whole. */
async function wholeDesk(
  database: Knex,
  program: string,
): Promise<Omit<DeskRecord, 'groups' | 'count' | 'due' | 'late'> & { groups: WholeGroup[] }> {
  const [{ rows }, stamps, designs] = await Promise.all([
    database.raw<{ rows: Row[] }>(
      `select project.id, project.values->>'project.name' as name, project.design_id,
         project.design_revision, coalesce(counted.sheets, 0)::int as sheets, kept.stamp, kept.summary
       from projects as project
       left join (select project_id, count(*) as sheets from sheets group by project_id) as counted on counted.project_id = project.id
       left join project_findings as kept on kept.project_id = project.id
       where not project.archived
       order by project.position`,
    ),
    projectStamps(database, program),
    database<{ id: string; name: string }>('designs').select('id', 'name'),
  ]);
  const names = new Map(designs.map(({ id, name }) => [id, name]));
  const today = new Map(stamps.map(({ id, stamp }) => [id, stamp]));
  const groups = new Map<string, WholeGroup>();
  const add = (
    key: string,
    finding: DeskGroup['finding'] & { by?: number },
    varied: boolean,
    design: DeskGroup['design'],
    project: DeskProject,
  ): void => {
    const known = groups.get(key);
    const worst = worstFinding([...(known ? [known.finding as Finding] : []), finding as Finding])!;
    groups.set(key, {
      key,
      finding: worst,
      varied: varied || known?.varied === true || (known !== undefined && known.finding.message !== finding.message),
      design,
      place: key === NO_DESIGN_KEY ? 'data' : 'register',
      sheets: (known?.sheets ?? 0) + project.sheets,
      projects: (known?.projects ?? 0) + 1,
      named: [...(known?.named ?? []), project],
    });
  };
  let [sheets, fitting, waiting] = [0, 0, 0];
  for (const row of rows) {
    sheets += row.sheets;
    const project = { id: row.id, name: row.name ?? 'Unnamed project' };
    if (row.design_id === null) {
      add(NO_DESIGN_KEY, NO_DESIGN, false, null, { ...project, sheets: row.sheets, named: [] });
      continue;
    }
    if (row.sheets === 0) {
      add('no sheets', NO_SHEETS, false, null, { ...project, sheets: 0, named: [] });
      continue;
    }
    // What was found before stays shown while the project is looked at anew.
    if (row.stamp !== today.get(row.id)) waiting++;
    if (!row.summary) continue;
    fitting += row.summary.fitting;
    const usual = { id: row.design_id, revision: row.design_revision };
    for (const { topic, design, finding, varied, sheets: count, named } of row.summary.groups) {
      const { id, revision } = design ?? usual;
      add(
        `${id} ${revision ?? 'draft'} ${topic}`,
        finding,
        varied,
        { id, name: names.get(id) ?? '', revision },
        {
          ...project,
          sheets: count,
          named,
        },
      );
    }
  }
  const worstFirst = [...groups.values()].sort(
    (a, b) => ORDER[a.finding.weight] - ORDER[b.finding.weight] || b.sheets - a.sheets || b.projects - a.projects,
  );
  return { projects: rows.length, sheets, fitting, waiting, groups: worstFirst };
}

const NO_DESIGN_KEY = 'no design';
const NO_DESIGN = {
  weight: 'gap',
  kind: 'missing',
  message: 'No design chosen, so the sheets cannot be drawn',
  mend: 'choose one under Data',
} as const;
const NO_SHEETS = { weight: 'note', kind: 'missing', message: 'No sheets yet' } as const;

/** A page of what needs doing, from 0 on. */
export async function deskPage(page: number, database: Knex, program: string): Promise<DeskRecord> {
  const [{ groups, ...counts }, due, late] = await Promise.all([
    wholeDesk(database, program),
    dueSets(database),
    lateDesigns(database),
  ]);
  return {
    ...counts,
    due,
    late,
    count: groups.length,
    groups: groups.slice(page * DESK_PAGE, (page + 1) * DESK_PAGE).map((group) => ({
      ...group,
      // The most sheets first: that is where the act does most.
      named: [...group.named].sort((a, b) => b.sheets - a.sheets).slice(0, NAMED_PROJECTS),
    })),
  };
}

/** One group with all its projects. @throws Failure when nothing of it is left */
export async function deskGroup(key: string, database: Knex, program: string): Promise<DeskGroup> {
  const group = (await wholeDesk(database, program)).groups.find((each) => each.key === key);
  if (!group) throw new Failure('not-found', 'nothing of this is left to do');
  return { ...group, named: [...group.named].sort((a, b) => b.sheets - a.sheets) };
}
