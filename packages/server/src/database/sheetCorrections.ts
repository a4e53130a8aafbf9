import type { Migration } from './migration';

/** What was set right on the sheets of a file that is one of a set, by the number of the sheet in it. */
export const sheetCorrections: Migration = {
  name: '013-sheet-corrections',
  async up(database) {
    await database.schema.alterTable('legacy_drawings', (table) => {
      table.jsonb('sheet_corrections').notNullable().defaultTo('{}');
    });
  },
  async down(database) {
    await database.schema.alterTable('legacy_drawings', (table) => table.dropColumn('sheet_corrections'));
  },
};
