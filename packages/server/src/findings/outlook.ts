import type { DueSet, LateDesign } from '@mendrel/contract';
import { MOST_ON_DESK } from '@mendrel/contract';
import type { Knex } from 'knex';

interface DueRow {
  project_id: string;
  project: string;
  set_id: string;
  name: string;
  due: string;
  overdue: boolean;
  sheets: number;
  looked: number;
  unfit: number;
}

/** Sets that go out next, the earliest first, with how many of their sheets something is to be mended on. */
export async function dueSets(database: Knex): Promise<DueSet[]> {
  const { rows } = await database.raw<{ rows: DueRow[] }>(
    `select project.id as project_id, coalesce(project.values->>'project.name', 'Unnamed project') as project,
       sheet_set.id as set_id, coalesce(sheet_set.values->>'set.name', 'Unnamed set') as name, sheet_set.due,
       sheet_set.due < current_date::text as overdue, count(member.sheet_id)::int as sheets,
       count(found.sheet_id) filter (where project.design_id is not null)::int as looked,
       count(*) filter (where jsonb_array_length(found.findings) > 0)::int as unfit
     from (select sets.* from sets join projects on projects.id = sets.project_id
           where sets.due is not null and not projects.archived order by sets.due, projects.position limit ?) as sheet_set
     join projects as project on project.id = sheet_set.project_id
     left join set_sheets as member on member.set_id = sheet_set.id
     left join sheet_findings as found on found.sheet_id = member.sheet_id
     group by project.id, sheet_set.id, sheet_set.values, sheet_set.due
     order by sheet_set.due, project.position`,
    [MOST_ON_DESK],
  );
  return rows.map((row) => ({
    project: { id: row.project_id, name: row.project },
    set: { id: row.set_id, name: row.name },
    due: row.due,
    overdue: row.overdue,
    sheets: row.sheets,
    looked: row.looked,
    unfit: row.unfit,
  }));
}

/** Designs of which projects use an older revision than the newest; those that follow a draft are not behind. */
export async function lateDesigns(database: Knex): Promise<LateDesign[]> {
  const { rows } = await database.raw<{ rows: LateDesign[] }>(
    `select design.id, design.name, newest.number as newest,
       (count(distinct used.project_id) filter (where used.design_revision < newest.number))::int as behind,
       count(distinct used.project_id)::int as projects
     from designs as design
     join (select design_id, max(number) as number from design_revisions group by design_id) as newest
       on newest.design_id = design.id
     join design_uses as used on used.design_id = design.id
     join projects as project on project.id = used.project_id and not project.archived
     group by design.id, design.name, newest.number
     having count(*) filter (where used.design_revision < newest.number) > 0
     order by behind desc, design.name limit ?`,
    [MOST_ON_DESK],
  );
  return rows;
}
