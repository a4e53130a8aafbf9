import type { Knex } from 'knex';

/** A project with all that its sheets are drawn from, told by versions. */
export interface ProjectStamp {
  id: string;
  stamp: string;
}

/**
 * The stamps of projects with sheets and a design. Whatever a sheet is drawn from carries a version or never changes, so that a
 * project whose stamp is the same as before need not be looked at; that a stamp differs says only that something may have changed.
 * @param program tells apart programs that may find different things
 */
export async function projectStamps(database: Knex, program: string, id?: string): Promise<ProjectStamp[]> {
  const { rows } = await database.raw<{ rows: ProjectStamp[] }>(
    `select project.id, concat_ws('|', ?::text, office.version, office.standard_version,
         (select md5(string_agg(id::text, ',' order by id)) from typefaces),
         project.version, project.standard_revision, project.design_id, coalesce(project.design_revision, -1),
         case when project.design_revision is null then design.version end,
         (select md5(string_agg(concat_ws('|', own.kind, own.design_id, coalesce(own.design_revision, -1), own.modules,
            case when own.design_revision is null then other.version end), ',' order by own.kind))
          from project_kinds as own left join designs as other on other.id = own.design_id where own.project_id = project.id),
         (select md5(string_agg(concat_ws('|', own.id, other.version), ',' order by own.id))
          from sheets as own join designs as other on other.id = own.design_id
          where own.project_id = project.id and own.design_revision is null),
         sheet.stamp) as stamp
       from projects as project
       join designs as design on design.id = project.design_id
       join (select project_id, md5(string_agg(id::text || version, ',' order by id)) as stamp from sheets
             ${id === undefined ? '' : 'where project_id = ?'} group by project_id) as sheet on sheet.project_id = project.id
       cross join office
       ${id === undefined ? 'where not project.archived' : ''}
       order by project.position`,
    id === undefined ? [program] : [program, id],
  );
  return rows;
}
