import type { Migration } from './migration';

const TABLES = ['office', 'projects'] as const;

/** Rows of tables that people enter: contacts, abbreviations, an office's own. */
export const enteredTables: Migration = {
  name: '014-entered-tables',
  async up(database) {
    for (const name of TABLES) {
      await database.schema.alterTable(name, (table) => table.jsonb('tables').notNullable().defaultTo('{}'));
    }
  },
  async down(database) {
    for (const name of TABLES) await database.schema.alterTable(name, (table) => table.dropColumn('tables'));
  },
};
