import knex, { type Knex } from 'knex';
import { migrations } from './migrations';

/** Connects to PostgreSQL. A short pool: one practice works here, and long work runs elsewhere. */
export function connect(url: string): Knex {
  return knex({ client: 'pg', connection: url, pool: { min: 0, max: 8 }, acquireConnectionTimeout: 10_000 });
}

/** Brings the database to the newest schema. */
export async function migrate(database: Knex): Promise<void> {
  await database.migrate.latest({
    migrationSource: {
      getMigrations: () => Promise.resolve(migrations.map((each) => each.name)),
      getMigrationName: (name: string) => name,
      getMigration: (name: string) => {
        const found = migrations.find((each) => each.name === name);
        if (!found) throw new Error(`there is no migration ${name}`);
        return Promise.resolve(found);
      },
    },
  });
}
