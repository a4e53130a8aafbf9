import type { Migration } from './migration';

/** Sets of sheets, issues, and the sheets as they went out. */
export const setsAndIssues: Migration = {
  name: '018-sets-and-issues',
  async up(database) {
    await database.schema.alterTable('office', (table) => table.text('issue_blocks').notNullable().defaultTo('error'));
    await database.schema.createTable('sets', (table) => {
      table.uuid('id').primary();
      table.uuid('project_id').notNullable().references('projects.id').onDelete('CASCADE');
      table.integer('position').notNullable();
      table.jsonb('values').notNullable();
      table.integer('version').notNullable().defaultTo(1);
    });
    await database.schema.createTable('set_sheets', (table) => {
      table.uuid('set_id').notNullable().references('sets.id').onDelete('CASCADE');
      table.uuid('sheet_id').notNullable().references('sheets.id').onDelete('CASCADE').index();
      table.integer('position').notNullable();
      table.primary(['set_id', 'sheet_id']);
    });
    // Looked at when the transaction ends: rows change places in one statement.
    await database.raw(
      `alter table sets add constraint sets_in_order unique (project_id, position) deferrable initially deferred`,
    );
    await database.raw(
      `alter table set_sheets add constraint set_sheets_in_order unique (set_id, position) deferrable initially deferred`,
    );
    // What was issued, under the SHA-256 of its text; never rewritten.
    await database.schema.createTable('frozen', (table) => {
      table.text('sha256').primary();
      table.binary('content').notNullable();
    });
    await database.schema.createTable('issues', (table) => {
      table.uuid('id').primary();
      table.uuid('project_id').notNullable().references('projects.id').onDelete('CASCADE');
      table.integer('number').notNullable();
      table.text('date').notNullable();
      table.text('purpose').notNullable();
      table.text('set').notNullable();
      table.text('recipient').notNullable();
      table.jsonb('recipients').notNullable();
      table.text('remarks').notNullable();
      table.uuid('transmittal_design_id').references('designs.id').onDelete('SET NULL').index();
      table.text('transmittal_size');
      // Why it was withdrawn; null while it stands.
      table.text('withdrawn');
      table.timestamp('made_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
      table.integer('version').notNullable().defaultTo(1);
      table.unique(['project_id', 'number']);
    });
    await database.schema.createTable('issue_sheets', (table) => {
      table.uuid('issue_id').notNullable().references('issues.id').onDelete('CASCADE');
      table.integer('position').notNullable();
      // Null when the sheet is deleted; what went out stays.
      table.uuid('sheet_id').references('sheets.id').onDelete('SET NULL').index();
      table.text('number').notNullable();
      table.text('title').notNullable();
      table.text('size').notNullable();
      table.text('revision').notNullable();
      table.text('shared').notNullable().references('frozen.sha256').index();
      table.text('own').notNullable().references('frozen.sha256').index();
      table.primary(['issue_id', 'position']);
    });
    // The sheets that went with it, from page 0 on.
    await database.schema.createTable('issue_transmittals', (table) => {
      table.uuid('issue_id').notNullable().references('issues.id').onDelete('CASCADE');
      table.integer('page').notNullable();
      table.text('shared').notNullable().references('frozen.sha256').index();
      table.text('own').notNullable().references('frozen.sha256').index();
      table.primary(['issue_id', 'page']);
    });
    // Files that what was issued shows or is lettered with.
    await database.schema.createTable('issue_assets', (table) => {
      table.uuid('issue_id').notNullable().references('issues.id').onDelete('CASCADE');
      table.text('sha256').notNullable().references('assets.sha256').index();
      table.primary(['issue_id', 'sha256']);
    });
  },
  async down(database) {
    for (const table of [
      'issue_assets',
      'issue_transmittals',
      'issue_sheets',
      'issues',
      'frozen',
      'set_sheets',
      'sets',
    ])
      await database.schema.dropTableIfExists(table);
    await database.schema.alterTable('office', (table) => table.dropColumn('issue_blocks'));
  },
};
