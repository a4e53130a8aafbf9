import type { Knex } from 'knex';
import { withReservedAsCalled } from '@mendrel/core';
import type { Migration } from './migration';

interface Binned {
  table: string;
  rows: Record<string, unknown>[];
}

/** Reserved modules of kinds of sheet are called as the office calls them, as those of designs are since version 6. */
export const reservedModules: Migration = {
  name: '025-reserved-modules',
  async up(database) {
    const kinds = await reservingIn(database);
    for (const { project_id, kind, modules } of kinds)
      await database('project_kinds')
        .where({ project_id, kind })
        .update({ modules: JSON.stringify(withReservedAsCalled(modules)) });
    // Those of deleted projects are restored as they are.
    const binned = await database<{ id: string; content: Binned[] }>('bin').whereRaw(
      `jsonb_path_exists(content, '$[*] \\? (@.table == "project_kinds").rows[*].modules.reserved[*]')`,
    );
    for (const { id, content } of binned)
      await database('bin')
        .where({ id })
        .update({ content: JSON.stringify(content.map((part) => renamedIn(part))) });
  },
  async down() {
    // The names stand where they stood; those of grids that are named otherwise are read as places.
  },
};

const reservingIn = (database: Knex) =>
  database<{ project_id: string; kind: string; modules: object }>('project_kinds').whereRaw(
    `modules -> 'naming' is not null and modules -> 'reserved' is not null`,
  );

const renamedIn = ({ table, rows }: Binned): Binned => ({
  table,
  rows:
    table === 'project_kinds' ? rows.map((row) => ({ ...row, modules: withReservedAsCalled(row['modules']) })) : rows,
});
