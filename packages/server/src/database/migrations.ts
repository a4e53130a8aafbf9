import type { Knex } from 'knex';

/** A step of the schema; steps run once each, in this order, and are never changed after they were released. */
export interface Migration {
  name: string;
  up(database: Knex): Promise<void>;
  down(database: Knex): Promise<void>;
}

const firstTables: Migration = {
  name: '001-first-tables',
  async up(database) {
    await database.schema.createTable('office', (table) => {
      table.integer('id').primary().checkIn(['1']);
      table.jsonb('values').notNullable();
      table.jsonb('standard').notNullable();
      table.integer('version').notNullable().defaultTo(1);
    });
    await database.schema.createTable('designs', (table) => {
      table.uuid('id').primary();
      table.text('name').notNullable();
      table.jsonb('document').notNullable();
      table.integer('version').notNullable().defaultTo(1);
      table.timestamp('updated_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
    });
    await database.schema.createTable('projects', (table) => {
      table.uuid('id').primary();
      table.integer('position').notNullable();
      table.uuid('design_id').references('designs.id').onDelete('RESTRICT');
      table.jsonb('values').notNullable();
      table.integer('version').notNullable().defaultTo(1);
    });
    await database.schema.createTable('sheets', (table) => {
      table.uuid('id').primary();
      table.uuid('project_id').notNullable().references('projects.id').onDelete('CASCADE');
      table.text('number').notNullable();
      table.text('title').notNullable();
      table.text('kind').notNullable();
      table.text('size').notNullable();
      table.jsonb('values').notNullable();
      table.jsonb('views').notNullable();
      table.integer('version').notNullable().defaultTo(1);
      table.unique(['project_id', 'number']);
    });
    await database.schema.createTable('legacy_drawings', (table) => {
      table.uuid('id').primary();
      table.text('name').notNullable();
      table.binary('content').notNullable();
      table.integer('bytes').notNullable();
      table.uuid('design_id').references('designs.id').onDelete('SET NULL');
      table.timestamp('added_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
    });
  },
  async down(database) {
    for (const table of ['legacy_drawings', 'sheets', 'projects', 'designs', 'office']) {
      await database.schema.dropTableIfExists(table);
    }
  },
};

export const migrations: readonly Migration[] = [firstTables];
