import { once } from 'node:events';
import { createConnection, createServer } from 'node:net';
import type { AddressInfo, Socket } from 'node:net';
import supertest from 'supertest';
import pino from 'pino';
import { createApp } from '../app';
import { connect, migrate } from '../database/connection';
import { startTestServer, testDependencies } from '../testing/server';
import type { TestServer } from '../testing/server';
import { TypefaceLibrary } from '../typefaces/typefaceLibrary';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** The application in front of a database at some address. */
function inFrontOf(url: string) {
  const database = connect(url);
  const app = createApp(testDependencies(database, new TypefaceLibrary(), pino({ level: 'silent' })));
  return { agent: supertest(app), database };
}

/** A way to the database that can be cut and opened again. */
async function wayTo(url: string) {
  const { hostname, port } = new URL(url);
  const open = new Set<Socket>();
  const way = createServer((client) => {
    const database = createConnection(Number(port), hostname);
    for (const [from, to] of [
      [client, database],
      [database, client],
    ] as const) {
      open.add(from);
      from.on('error', () => undefined).on('close', () => (open.delete(from), to.destroy()));
      from.pipe(to);
    }
  });
  const listen = (at: number): Promise<unknown> => once(way.listen(at, '127.0.0.1'), 'listening');
  await listen(0);
  const { port: at } = way.address() as AddressInfo;
  const through = new URL(url);
  through.port = String(at);
  return {
    url: through.href,
    open: () => listen(at),
    cut: async () => {
      const closed = once(way, 'close');
      way.close();
      for (const each of open) each.destroy();
      await closed;
    },
  };
}

test('a database that is gone is told, by health as well, and nothing has to be started again when it is back', async () => {
  const way = await wayTo(server.url);
  const { agent, database } = inFrontOf(way.url);
  await agent.get('/api/office').expect(200);
  await way.cut();
  for (const path of ['/api/office', '/api/health']) {
    const { body, status } = await agent.get(path);
    expect([path, status, body.code]).toEqual([path, 503, 'unavailable']);
    expect(body.message).toContain('the database does not answer');
  }
  await way.open();
  await agent.get('/api/health').expect(200);
  await agent.get('/api/office').expect(200);
  await database.destroy();
  await way.cut();
});

test('a database that takes connections and says nothing is given up after seconds', async () => {
  const taken = new Set<Socket>();
  const silent = createServer((socket) => void taken.add(socket));
  await once(silent.listen(0, '127.0.0.1'), 'listening');
  const { agent, database } = inFrontOf(`postgres://a:b@127.0.0.1:${(silent.address() as AddressInfo).port}/c`);
  const { body } = await agent.get('/api/health').expect(503);
  expect(body.code).toBe('unavailable');
  for (const socket of taken) socket.destroy();
  silent.close();
  await database.destroy();
});

// The same error code that PostgreSQL gives for a full disk, from a trigger (PostgreSQL documentation, appendix A: 53100).
test('a full disk is told in words, the change is not saved, and goes through once there is room', async () => {
  const { body: office } = await server.agent.get('/api/office').expect(200);
  const change = { values: { ...office.values, 'office.phone': '055 0142 889' }, version: office.version };
  await server.database.raw(`
    create function full_disk() returns trigger language plpgsql as $$ begin
      raise exception 'could not extend file "base/1/2": No space left on device' using errcode = '53100';
    end $$;
    create trigger full_disk before update on office for each row execute function full_disk();`);
  const { body } = await server.agent.put('/api/office').send(change).expect(503);
  expect(body).toMatchObject({
    code: 'unavailable',
    message: expect.stringContaining('the disk of the database is full'),
  });
  expect((await server.agent.get('/api/office')).body).toEqual(office);
  await server.database.raw('drop trigger full_disk on office; drop function full_disk()');
  await server.agent.put('/api/office').send(change).expect(200);
});

test('a lock of the migrations that a killed server left behind is freed', async () => {
  await server.database('knex_migrations_lock').update({ is_locked: 1 });
  await Promise.all([migrate(server.database), migrate(server.database)]);
  expect(await server.database('knex_migrations_lock').first()).toMatchObject({ is_locked: 0 });
});
