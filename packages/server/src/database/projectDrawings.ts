import type { Migration } from './migration';

/** Drawings that a project's views show, each read once. */
export const projectDrawings: Migration = {
  name: '022-project-drawings',
  async up(database) {
    // Drawings are large, and lz4 packs them five times as fast as what PostgreSQL uses by itself.
    await database.raw('alter table assets alter column content set compression lz4');
    await database.schema.createTable('project_drawings', (table) => {
      table.uuid('id').primary();
      table.uuid('project_id').notNullable().references('projects.id').onDelete('CASCADE').index();
      table.text('name').notNullable();
      // The file as it was brought.
      table.text('asset').notNullable().references('assets.sha256');
      table.bigInteger('bytes').notNullable();
      // What was read of it, each part with the SHA-256 of its linework.
      table.jsonb('spaces').notNullable();
      table.timestamp('added_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
    });
    // What areas are measured from, and their groups; null while nobody has chosen it.
    await database.schema.alterTable('projects', (table) => table.jsonb('areas'));
  },
  async down(database) {
    await database.schema.alterTable('projects', (table) => table.dropColumn('areas'));
    await database.schema.dropTableIfExists('project_drawings');
    await database.raw('alter table assets alter column content set compression default');
  },
};
