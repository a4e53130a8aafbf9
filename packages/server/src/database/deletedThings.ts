import type { Migration } from './migration';

/** What was deleted, with everything that went with it, as long as it can be restored; and projects that are put away. */
export const deletedThings: Migration = {
  name: '020-deleted-things',
  async up(database) {
    await database.schema.alterTable('projects', (table) => table.boolean('archived').notNullable().defaultTo(false));
    // The project that new ones are begun from; null for none.
    await database.schema.alterTable('office', (table) =>
      table.uuid('template_id').references('projects.id').onDelete('SET NULL'),
    );
    await database.schema.createTable('bin', (table) => {
      table.uuid('id').primary();
      table.text('kind').notNullable();
      table.text('name').notNullable();
      // The project that sheets belong to. It may be deleted after them.
      table.uuid('project_id').index();
      // Rows by table, in the order in which they are put back.
      table.jsonb('content').notNullable();
      table.timestamp('deleted_at', { useTz: true }).notNullable().defaultTo(database.fn.now()).index();
      table.text('deleted_by');
    });
  },
  async down(database) {
    await database.schema.dropTableIfExists('bin');
    await database.schema.alterTable('office', (table) => table.dropColumn('template_id'));
    await database.schema.alterTable('projects', (table) => table.dropColumn('archived'));
  },
};
