import type { Knex } from 'knex';

/** A project that uses a design, for all its sheets or for those of a kind. */
export interface DesignUser {
  design_id: string;
  /** Null while the draft is followed. */
  design_revision: number | null;
  name: string;
}

/** Who uses designs, in the order of the projects; those of one design where it is named. */
export async function designUsers(database: Knex, designId?: string): Promise<DesignUser[]> {
  const { rows } = await database.raw<{ rows: DesignUser[] }>(
    `select used.design_id, used.design_revision, coalesce(project.values->>'project.name', 'Unnamed project') as name
       from design_uses as used join projects as project on project.id = used.project_id
       ${designId === undefined ? '' : 'where used.design_id = ?'} order by project.position, used.kind nulls first`,
    designId === undefined ? [] : [designId],
  );
  return rows;
}

/** The names of projects, each once. */
export const namesOf = (users: readonly DesignUser[]): string[] => [...new Set(users.map(({ name }) => name))];
