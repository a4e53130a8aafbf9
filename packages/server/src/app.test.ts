import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import supertest from 'supertest';
import { createApp } from './app';
import { startTestServer, testDependencies } from './testing/server';
import type { TestServer } from './testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

test.each([
  ['get', '/api/nothing', 404, 'not-found'],
  ['get', '/api/designs/not-an-id', 404, 'not-found'],
  ['get', '/api/designs/3f1b6a52-0f6a-4d4e-9d11-2a8e7d5c9b00', 404, 'not-found'],
  ['get', '/api/sheets/3f1b6a52-0f6a-4d4e-9d11-2a8e7d5c9b00/sheet.pdf', 404, 'not-found'],
  ['delete', '/api/designs/3f1b6a52-0f6a-4d4e-9d11-2a8e7d5c9b00', 404, 'not-found'],
] as const)('%s %s answers %d in the one shape of errors', async (method, path, status, code) => {
  const { body } = await server.agent[method](path).expect(status);
  expect(body).toEqual({ code, message: expect.any(String) });
});

test('what is not JSON, or too much of it, is refused', async () => {
  const post = () => server.agent.post('/api/projects').set('Content-Type', 'application/json');
  expect((await post().send('{"name":').expect(400)).body).toEqual({
    code: 'invalid',
    message: 'what was sent is not JSON',
  });
  expect(
    (
      await post()
        .send(JSON.stringify({ name: 'x'.repeat(13_000_000) }))
        .expect(413)
    ).body,
  ).toMatchObject({ code: 'too-large' });
});

test('an error inside is told without its insides, and logged with them', async () => {
  await server.database.schema.renameTable('office', 'office_away');
  const { body } = await server.agent.get('/api/office').expect(500);
  await server.database.schema.renameTable('office_away', 'office');
  expect(body).toEqual({ code: 'internal', message: 'something went wrong on the server; nothing was changed' });
  expect(server.logged.join('')).toContain('office');
});

test('pages of other origins cannot change anything', async () => {
  const { body } = await server.agent
    .post('/api/projects')
    .set('Origin', 'http://elsewhere.example')
    .send({ name: 'X', designId: null })
    .expect(403);
  expect(body).toMatchObject({ code: 'forbidden' });
});

test('answers carry the headers that keep browsers careful', async () => {
  const { headers } = await server.agent.get('/api/health').expect(200);
  expect(headers['content-security-policy']).toContain("script-src 'self'");
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['x-powered-by']).toBeUndefined();
});

test('browsers may keep the code that they have compiled', async () => {
  const { headers } = await server.agent.get('/api/health').expect(200);
  // With this header Chromium 156 compiles all code anew at each visit (seen in its own trace: v8.compileModule).
  expect(headers).not.toHaveProperty('origin-agent-cluster');
});

test('office data is changed from the version it was read at', async () => {
  const { body: office } = await server.agent.get('/api/office').expect(200);
  const values = { ...office.values, 'office.phone': '055 0142 881' };
  await server.agent.put('/api/office').send({ values, version: office.version }).expect(200);
  await server.agent.put('/api/office').send({ values, version: office.version }).expect(409);
  await server.agent
    .put('/api/office')
    .send({ values: { 'sheet.title': 'x' }, version: office.version + 1 })
    .expect(400);
});

test('places of the interface are answered with its page, files that are not there are not', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'mendrel-web-'));
  writeFileSync(join(folder, 'index.html'), '<title>Mendrel</title>');
  mkdirSync(join(folder, 'assets'));
  writeFileSync(join(folder, 'assets', 'place-Ab12.js'), 'export {}');
  const { database, library } = server;
  const agent = supertest(createApp(testDependencies(database, library, pino({ level: 'silent' })), folder));
  expect((await agent.get('/projects/a-b/register').expect(200)).text).toContain('Mendrel');
  for (const path of ['/assets/old-name.js', '/favicon.ico', '/../package.json']) {
    const { body } = await agent.get(path).expect(404);
    expect(body).toMatchObject({ code: 'not-found' });
  }
  // What never changes is not asked for again; the page that names it is.
  const kept = async (path: string) => (await agent.get(path).expect(200)).headers['cache-control'];
  expect(await kept('/assets/place-Ab12.js')).toBe('public, max-age=31536000, immutable');
  expect(await kept('/desk')).toBe('public, max-age=0');
  rmSync(folder, { recursive: true });
});
