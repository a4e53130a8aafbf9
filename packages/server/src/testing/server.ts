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

/** An empty database of its own, against the PostgreSQL of DATABASE_URL. */
export async function emptyDatabase(): Promise<{ database: Knex; url: string; remove: () => Promise<void> }> {
  const url = process.env['DATABASE_URL'];
  if (!url) throw new Error('DATABASE_URL is not set; run the server tests with npm run test:server');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const admin = knex({ client: 'pg', connection: url, pool: { min: 0, max: 1 } });
  await admin.raw('create database ??', [name]);
  const own = new URL(url);
  own.pathname = `/${name}`;
  const database = connect(own.href);
  return {
    database,
    url: own.href,
    async remove() {
      await database.destroy();
      await admin.raw('drop database ?? with (force)', [name]);
      await admin.destroy();
    },
  };
}

export async function startTestServer(): Promise<TestServer> {
  const { database, url, remove } = await emptyDatabase();
  await migrate(database);
  await seedDemo(database, 'demo/legacy');
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
    read: readInTurn((task, _signal, tell) => readFile(task, library.typefaces, tell)),
    work,
    findings: new FindingsKeeper({ database, work, program: 'test', log }),
    // Sheets are looked at when a test asks for it.
    changed: () => undefined,
    hosts: [],
  };
}
