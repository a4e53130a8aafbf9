import type { Migration } from './migration';

/** Designs that the office begins new ones from. */
export const designStarters: Migration = {
  name: '015-design-starters',
  async up(database) {
    await database.schema.alterTable('designs', (table) => table.boolean('starter').notNullable().defaultTo(false));
  },
  async down(database) {
    await database.schema.alterTable('designs', (table) => table.dropColumn('starter'));
  },
};
