import knex, { type Knex } from 'knex';
import type { Migration } from './migration';
import { migrations } from './migrations';

/** How long a connection may take to be made, and how long a statement may take, in ms. */
const CONNECT_TIME = 5000;
const STATEMENT_TIME = 120_000;
/** The key of the lock that a server holds while it brings the schema up; any number that nobody else uses. */
const MIGRATION_LOCK = 4310_001;

const silent = (): void => undefined;

/** Connects to PostgreSQL. A short pool: one practice works here, and long work runs elsewhere. */
export function connect(url: string): Knex {
  return knex({
    client: 'pg',
    connection: {
      connectionString: url,
      connectionTimeoutMillis: CONNECT_TIME,
      statement_timeout: STATEMENT_TIME,
      // A database that stands still answers nothing, not even that it took too long.
      query_timeout: STATEMENT_TIME + CONNECT_TIME,
      keepAlive: true,
      // Compiling a statement takes longer than any of these does: the Desk took ten times as long with it.
      options: '-c jit=off',
    },
    // What goes wrong is told by whoever asked; the pool would tell it twice, and not as a line of the log.
    log: { warn: silent, error: silent, deprecate: silent, debug: silent },
    pool: { min: 0, max: 8 },
    acquireConnectionTimeout: 10_000,
  });
}

/**
 * Brings the database to the newest schema. Several servers that start at once wait for each other; a lock of the migrations
 * that a killed server has left behind is freed, since whoever holds the lock here knows that nobody else is at work.
 * @param steps all of them, or those that an earlier version had
 */
export async function migrate(database: Knex, steps: readonly Migration[] = migrations): Promise<void> {
  const config: Knex.MigratorConfig = {
    migrationSource: {
      getMigrations: () => Promise.resolve(steps.map((each) => each.name)),
      getMigrationName: (name: string) => name,
      getMigration: (name: string) => {
        const found = steps.find((each) => each.name === name);
        if (!found) throw new Error(`there is no migration ${name}`);
        return Promise.resolve(found);
      },
    },
  };
  await database.transaction(async (transaction) => {
    await transaction.raw('select pg_advisory_xact_lock(?)', [MIGRATION_LOCK]);
    await database.migrate.forceFreeMigrationsLock(config);
    await database.migrate.latest(config);
  });
}
