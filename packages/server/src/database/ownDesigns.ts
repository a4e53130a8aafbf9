import type { Migration } from './migration';

/** Designs of single sheets, their order by hand, module grids by kind, kinds of sheet of the office's own, and days of sets. */
export const ownDesigns: Migration = {
  name: '021-own-designs',
  async up(database) {
    await database.schema.alterTable('sheets', (table) => {
      // Null while it is drawn like all of its kind.
      table.uuid('design_id').references('designs.id').index();
      // Null for the draft.
      table.integer('design_revision');
    });
    // Columns and rows; null for those of the design.
    await database.schema.alterTable('project_kinds', (table) => table.jsonb('modules'));
    await database.schema.alterTable('office', (table) => table.jsonb('sheet_kinds').notNullable().defaultTo('[]'));
    // Keys of the office's values that a project may have its own of.
    await database.schema.alterTable('office', (table) => table.jsonb('replaceable').notNullable().defaultTo('[]'));
    // Only of projects that are in an order by hand.
    await database.schema.createTable('sheet_places', (table) => {
      table.uuid('sheet_id').primary().references('sheets.id').onDelete('CASCADE');
      table.uuid('project_id').notNullable().references('projects.id').onDelete('CASCADE').index();
      table.integer('place').notNullable();
    });
    // The day on which a set is to go out next; null while none is known.
    await database.schema.alterTable('sets', (table) => table.text('due'));
    // The drawing area that it was found with, in mm.
    await database.schema.alterTable('sheet_findings', (table) => table.jsonb('area'));
    await database.raw('drop view design_uses');
    await database.raw(
      `create view design_uses as
         select id as project_id, null::text as kind, null::uuid as sheet_id, design_id, design_revision
           from projects where design_id is not null
         union all select project_id, kind, null, design_id, design_revision
           from project_kinds where design_id is not null
         union all select project_id, null, id, design_id, design_revision from sheets where design_id is not null`,
    );
  },
  async down(database) {
    await database.schema.dropTableIfExists('sheet_places');
    await database.raw('drop view if exists design_uses');
    await database.raw(
      `create view design_uses as
         select id as project_id, null::text as kind, design_id, design_revision from projects where design_id is not null
         union all select project_id, kind, design_id, design_revision from project_kinds where design_id is not null`,
    );
    await database.schema.alterTable('sheet_findings', (table) => table.dropColumn('area'));
    await database.schema.alterTable('sets', (table) => table.dropColumn('due'));
    await database.schema.alterTable('office', (table) => table.dropColumns('sheet_kinds', 'replaceable'));
    await database.schema.alterTable('project_kinds', (table) => table.dropColumn('modules'));
    await database.schema.alterTable('sheets', (table) => table.dropColumns('design_id', 'design_revision'));
  },
};
