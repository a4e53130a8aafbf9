import type { Migration } from './migration';

/** Revisions of projects, and the sheets that have them. */
export const revisions: Migration = {
  name: '016-revisions',
  async up(database) {
    await database.schema.alterTable('projects', (table) => table.text('first_revision').notNullable().defaultTo('A'));
    await database.schema.createTable('revisions', (table) => {
      table.uuid('id').primary();
      table.uuid('project_id').notNullable().references('projects.id').onDelete('CASCADE');
      // In the order in which they were made within their project.
      table.integer('position').notNullable();
      table.text('date').notNullable();
      table.text('description').notNullable();
      table.text('by').notNullable();
      table.text('checked').notNullable();
      // Why it was withdrawn; null while it stands.
      table.text('withdrawn');
      table.timestamp('made_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
      table.integer('version').notNullable().defaultTo(1);
      table.unique(['project_id', 'position']);
    });
    await database.schema.createTable('sheet_revisions', (table) => {
      table.uuid('revision_id').notNullable().references('revisions.id').onDelete('CASCADE');
      table.uuid('sheet_id').notNullable().references('sheets.id').onDelete('CASCADE').index();
      table.text('code').notNullable();
      // SHA-256 of what the sheet was when it got the revision.
      table.text('state').notNullable();
      table.primary(['revision_id', 'sheet_id']);
      table.unique(['sheet_id', 'code']);
    });
  },
  async down(database) {
    await database.schema.dropTableIfExists('sheet_revisions');
    await database.schema.dropTableIfExists('revisions');
    await database.schema.alterTable('projects', (table) => table.dropColumn('first_revision'));
  },
};
