import type { Knex } from 'knex';

/** A step of the schema; steps run once each, in this order, and are never changed after they were released. */
export interface Migration {
  name: string;
  up(database: Knex): Promise<void>;
  down(database: Knex): Promise<void>;
}
