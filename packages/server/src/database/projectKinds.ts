import type { Migration } from './migration';

/** What sheets of a kind are drawn with in a project, where it differs from all others, and one place to ask who uses a design. */
export const projectKinds: Migration = {
  name: '017-project-kinds',
  async up(database) {
    await database.schema.createTable('project_kinds', (table) => {
      table.uuid('project_id').notNullable().references('projects.id').onDelete('CASCADE');
      table.text('kind').notNullable();
      // Null for the design of the project.
      table.uuid('design_id').references('designs.id').index();
      // Null for the draft.
      table.integer('design_revision');
      // The size of new sheets; null for the usual one.
      table.text('size');
      table.primary(['project_id', 'kind']);
    });
    await database.raw(
      `create view design_uses as
         select id as project_id, null::text as kind, design_id, design_revision from projects where design_id is not null
         union all select project_id, kind, design_id, design_revision from project_kinds where design_id is not null`,
    );
  },
  async down(database) {
    await database.raw('drop view if exists design_uses');
    await database.schema.dropTableIfExists('project_kinds');
  },
};
