import type { Design } from '@mendrel/core';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const list = async () =>
  (await server.agent.get('/api/designs').expect(200)).body as { id: string; name: string; projects: string[] }[];
const quay = async () => {
  const { id } = (await list()).find((each) => each.name === 'Quay strip')!;
  return (await server.agent.get(`/api/designs/${id}`).expect(200)).body as {
    id: string;
    document: Design;
    version: number;
  };
};

test('designs say which projects use them', async () => {
  const found = (await list()).find((each) => each.name === 'Quay strip');
  expect(found?.projects).toEqual(['Brackenmouth Ferry Terminal', 'Tolliver Creek Field Station']);
});

test('a design is saved, and a second save from the same version is refused without overwriting', async () => {
  const { id, document, version } = await quay();
  const mine = { ...document, name: 'Quay strip, wider' };
  const theirs = { ...document, name: 'Quay strip, theirs' };
  const saved = await server.agent.put(`/api/designs/${id}`).send({ document: theirs, version }).expect(200);
  expect(saved.body.version).toBe(version + 1);
  const refused = await server.agent.put(`/api/designs/${id}`).send({ document: mine, version }).expect(409);
  expect(refused.body).toEqual({ code: 'conflict', message: expect.stringContaining('your change was not saved') });
  expect((await server.agent.get(`/api/designs/${id}`)).body.document.name).toBe('Quay strip, theirs');
  await server.agent
    .put(`/api/designs/${id}`)
    .send({ document, version: version + 1 })
    .expect(200);
});

test('of saves at the same moment exactly one wins', async () => {
  const { id, document, version } = await quay();
  const answers = await Promise.all(
    Array.from({ length: 6 }, (_, i) =>
      server.agent.put(`/api/designs/${id}`).send({ document: { ...document, name: `Try ${i}` }, version }),
    ),
  );
  expect(answers.map((each) => each.status).sort()).toEqual([200, 409, 409, 409, 409, 409]);
  const now = await server.agent.get(`/api/designs/${id}`);
  await server.agent.put(`/api/designs/${id}`).send({ document, version: now.body.version }).expect(200);
});

test('a faulty document is refused with its place, and nothing is stored', async () => {
  const { document } = await quay();
  const before = (await list()).length;
  const faulty = {
    ...document,
    dimensions: [
      { name: 'a', formula: 'b' },
      { name: 'b', formula: 'a' },
    ],
  };
  const answer = await server.agent.post('/api/designs').send({ document: faulty }).expect(400);
  expect(answer.body).toMatchObject({
    code: 'invalid',
    message: expect.stringContaining('a → b → a'),
    where: 'dimensions.0',
  });
  for (const bad of [undefined, null, [], 'text', { ...document, version: 2 }, { ...document, extra: 1 }]) {
    await server.agent.post('/api/designs').send({ document: bad }).expect(400);
  }
  expect(await list()).toHaveLength(before);
});

test('a design in use is not deleted, an unused one is', async () => {
  const { id, document } = await quay();
  const refused = await server.agent.delete(`/api/designs/${id}`).expect(409);
  expect(refused.body).toMatchObject({
    code: 'in-use',
    message: expect.stringContaining('Brackenmouth Ferry Terminal'),
  });
  const made = await server.agent
    .post('/api/designs')
    .send({ document: { ...document, name: 'Unused' } })
    .expect(201);
  await server.agent.delete(`/api/designs/${made.body.id}`).expect(200);
  await server.agent.get(`/api/designs/${made.body.id}`).expect(404);
});
