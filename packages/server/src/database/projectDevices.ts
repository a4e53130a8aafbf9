import type { Migration } from './migration';

/** The device that the sheets of a project are printed on, by its id in the standard. */
export const projectDevices: Migration = {
  name: '023-project-devices',
  async up(database) {
    await database.schema.alterTable('projects', (table) => table.text('device'));
  },
  async down(database) {
    await database.schema.alterTable('projects', (table) => table.dropColumn('device'));
  },
};
