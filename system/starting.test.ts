import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { get, Mendrel, send, until } from './mendrel';

let mendrel: Mendrel;
beforeEach(() => {
  mendrel = new Mendrel();
});
afterEach(() => mendrel.remove());

test('a second start in one folder says where the first one is, and leaves it alone', async () => {
  const url = await mendrel.withData().start();
  const { stderr, status } = spawnSync(process.execPath, ['scripts/start.mjs'], {
    encoding: 'utf8',
    env: { ...process.env, PORT: '0', MENDREL_DATA: mendrel.data },
  });
  expect(stderr).toContain(`Mendrel runs already in this folder, at ${url} (process ${mendrel.told().pid})`);
  expect(status).toBe(1);
  expect(await get(url, '/health')).toEqual({ ok: true });
});

test.each(['SIGINT', 'SIGTERM', 'SIGHUP'] as const)('%s ends server and database', async (signal) => {
  await mendrel.withData().start();
  expect(mendrel.processes()).toMatchObject({ server: [expect.any(Number)] });
  expect(await mendrel.end(signal)).toBe(0);
  expect(mendrel.processes()).toEqual({ server: [], database: [] });
});

test('one that is killed leaves neither server nor database behind, and starts again', async () => {
  const url = await mendrel.withData().start();
  const { body: project } = (await send(url, 'POST', '/projects', { name: 'Kept', designId: null }))!;
  expect(await mendrel.end('SIGKILL')).toBe('SIGKILL');
  await mendrel.gone();
  expect(await get(await mendrel.start(), `/projects/${project.id}`)).toMatchObject({ name: 'Kept' });
});

test('a server that is killed is told and started again, and so is a database', async () => {
  const url = await mendrel.withData().start();
  const [server] = mendrel.processes().server;
  process.kill(server!, 'SIGKILL');
  await until('another server', () => mendrel.processes().server.some((pid) => pid !== server) || undefined);
  await until('words', () => mendrel.said.includes('The server ended by SIGKILL; it is started again') || undefined);
  const again = await mendrel.ready();
  process.kill(postmaster(), 'SIGKILL');
  await until('words', () => mendrel.said.includes('The database is back') || undefined);
  expect(await get(again, '/health')).toEqual({ ok: true });
  expect((await get(again, '/projects')).length).toBe(3);
  expect(url).toMatch(/^http:\/\/127\.0\.0\.1:\d+$/);
});

const postmaster = (): number =>
  Number(readFileSync(join(mendrel.data, 'postgres/postmaster.pid'), 'utf8').split('\n')[0]);

test('a first start that is broken off at any moment is finished by the next one', async () => {
  // From before anything is made until after the first data is in.
  for (const [i, delay] of [60, 250, 500, 800, 1200, 1700, 2300, 3000].entries()) {
    mendrel.spawn();
    await wait(delay);
    await mendrel.end(i % 2 === 0 ? 'SIGKILL' : 'SIGHUP');
    await mendrel.gone();
  }
  const url = await mendrel.start();
  expect((await get(url, '/projects')).map(({ name }: { name: string }) => name)).toEqual([
    'Brackenmouth Ferry Terminal',
    'Tolliver Creek Field Station',
    'Osier Lane Pump House',
  ]);
});

test('what an interrupted making of the database left behind is made anew', async () => {
  // As initdb leaves it before it has made the first database.
  mkdirSync(join(mendrel.data, 'postgres/base/1'), { recursive: true });
  writeFileSync(join(mendrel.data, 'postgres/PG_VERSION'), '15\n');
  await mendrel.start();
});

test('a file of a database that ended long ago, whose number another program has now, keeps nothing from starting', async () => {
  await mendrel.withData().start();
  const file = join(mendrel.data, 'postgres/postmaster.pid');
  const text = readFileSync(file, 'utf8');
  await mendrel.end('SIGTERM');
  const other = spawn('sleep', ['600'], { stdio: 'ignore' });
  writeFileSync(file, text.replace(/^\d+/, String(other.pid)));
  await mendrel.start();
  other.kill();
});

test('a data folder that cannot be written to is told in words', () => {
  const { stderr, status } = spawnSync(process.execPath, ['scripts/start.mjs'], {
    encoding: 'utf8',
    env: { ...process.env, MENDREL_DATA: '/etc/hostname/data' },
  });
  expect(status).toBe(1);
  expect(stderr).toMatch(
    /Mendrel could not start: the data folder \/etc\/hostname\/data cannot be used: a part of its path is a file/,
  );
});

const isRoot = process.getuid?.() === 0;
// Only root has a user of its own for PostgreSQL, which may not reach what root can.
(isRoot ? test : test.skip)(
  'in a folder that is closed to PostgreSQL the data lies where only root can make folders',
  async () => {
    const { data } = mendrel;
    const closed = join(data, 'closed');
    mkdirSync(closed, { mode: 0o700 });
    // The folder itself is closed by what stands over it.
    Object.assign(mendrel, { data: join(closed, 'data') });
    const url = await mendrel.start();
    const home = /the database lies in (\S+)/.exec(mendrel.said)?.[1] ?? '';
    expect(home).toMatch(/^\/var\/lib\/mendrel\/[0-9a-f]{12}$/);
    expect(existsSync(join(home, 'postgres/PG_VERSION'))).toBe(true);
    expect(
      spawnSync('stat', ['-c', '%U %a', home, join(home, 'postgres'), join(home, 'postgres-password')], {
        encoding: 'utf8',
      }).stdout,
    ).toBe('root 711\npostgres 700\npostgres 600\n');
    await get(url, '/health');
    await mendrel.end('SIGTERM');
    // A folder there that somebody else owns is not used.
    spawnSync('chown', ['nobody', home]);
    mendrel.spawn();
    expect(await mendrel.ended()).toBe(1);
    expect(mendrel.said).toContain(`${home} belongs to somebody else`);
    rmSync(home, { recursive: true });
    rmSync(data, { recursive: true });
  },
);
