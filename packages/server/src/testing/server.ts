import { randomUUID } from 'node:crypto';
import { readFile } from '@mendrel/reading/read';
import type { Express } from 'express';
import knex from 'knex';
import type { Knex } from 'knex';
import pino from 'pino';
import type { Logger } from 'pino';
import supertest from 'supertest';
import { createApp } from '../app';
import { connect, migrate } from '../database/connection';
import { seedDemo } from '../demo/seed';
import { FindingsKeeper } from '../findings/findingsKeeper';
import type { Dependencies } from '../http/dependencies';
import { readInTurn } from '../intake/convert';
import { TypefaceLibrary } from '../typefaces/typefaceLibrary';
import { perform } from '../work/perform';
import type { Work } from '../work/tasks';

/** A server with a database of its own for one test file, against the PostgreSQL of DATABASE_URL. */
export interface TestServer {
  agent: ReturnType<typeof supertest>;
  app: Express;
  database: Knex;
  library: TypefaceLibrary;
  findings: FindingsKeeper;
  /** The address of its database. */
  url: string;
  /** What the server logged as errors. */
  logged: string[];
  stop: () => Promise<void>;
}

interface OwnDatabase {
  database: Knex;
  url: string;
  remove: () => Promise<void>;
}

/** An empty database of its own, against the PostgreSQL of DATABASE_URL. */
export const emptyDatabase = (): Promise<OwnDatabase> => ownDatabase();

async function ownDatabase(copyOf?: string): Promise<OwnDatabase> {
  const admin = administrator();
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  if (copyOf === undefined) await admin.raw('create database ??', [name]);
  else await admin.raw('create database ?? template ??', [name, copyOf]);
  const url = addressOf(name);
  const database = connect(url);
  return {
    database,
    url,
    async remove() {
      await database.destroy();
      await admin.raw('drop database ?? with (force)', [name]);
      await admin.destroy();
    },
  };
}

function administrator(): Knex {
  const url = process.env['DATABASE_URL'];
  if (!url) throw new Error('DATABASE_URL is not set; run the server tests with npm run test:unit');
  return knex({ client: 'pg', connection: url, pool: { min: 0, max: 1 } });
}

function addressOf(database: string): string {
  const url = new URL(process.env['DATABASE_URL'] ?? '');
  url.pathname = `/${database}`;
  return url.href;
}

const WITH_DEMO = 'test_with_demo';
/** Of the advisory lock under which one test file makes the database that all of them copy; any number will do. */
const MAKING_IT = 20_261_129;

/** Makes a database that holds the demo, unless another test file has: a copy is there at once, seeding takes seconds. */
async function makeWithDemo(): Promise<void> {
  const admin = administrator();
  try {
    await admin.raw('select pg_advisory_lock(?)', [MAKING_IT]);
    const { rows } = await admin.raw<{ rows: unknown[] }>('select 1 from pg_database where datname = ?', [WITH_DEMO]);
    if (rows.length > 0) return;
    const half = `${WITH_DEMO}_half`;
    await admin.raw('drop database if exists ?? with (force)', [half]);
    await admin.raw('create database ??', [half]);
    const database = connect(addressOf(half));
    await migrate(database);
    await seedDemo(database, 'demo/legacy', await TypefaceLibrary.load(database));
    await database.destroy();
    await admin.raw('alter database ?? rename to ??', [half, WITH_DEMO]);
  } finally {
    // The lock ends with its connection.
    await admin.destroy();
  }
}

export async function startTestServer(): Promise<TestServer> {
  await makeWithDemo();
  const { database, url, remove } = await ownDatabase(WITH_DEMO);
  const library = await TypefaceLibrary.load(database);
  const logged: string[] = [];
  const log = pino({ level: 'error' }, { write: (line: string) => logged.push(line) });
  const dependencies = testDependencies(database, library, log);
  const app = createApp(dependencies);
  return {
    agent: supertest(app),
    app,
    database,
    library,
    findings: dependencies.findings,
    url,
    logged,
    stop: remove,
  };
}

/** What the routes work with in tests: all work is done in the test's own process. */
export function testDependencies(database: Knex, library: TypefaceLibrary, log: Logger): Dependencies {
  const work: Work = (kind, task) => Promise.resolve(perform(kind, task, library.typefaces));
  return {
    database,
    log,
    library,
    // The process that reads and the thread for heavy work are tried with the built server.
    readSoon: () => undefined,
    read: readInTurn((task, _signal, tell) => readFile(task, library.typefaces, tell)),
    work,
    findings: new FindingsKeeper({ database, work, whenIdle: work, program: 'test', log }),
    // Sheets are looked at when a test asks for it.
    changed: () => undefined,
    hosts: [],
  };
}
