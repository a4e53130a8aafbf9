import { randomUUID } from 'node:crypto';
import type { DesignSummary, TextHeightsRecord } from '@mendrel/contract';
import type { Design } from '@mendrel/core';
import { DESIGN_VERSION } from '@mendrel/core';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const list = async () => (await server.agent.get('/api/designs').expect(200)).body as DesignSummary[];
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

test('heights of lettering are told over all designs, with those that use them', async () => {
  const { body } = (await server.agent.get('/api/designs/text-heights').expect(200)) as { body: TextHeightsRecord };
  expect(body.unit).toBe('mm');
  const heights = body.heights.map(({ height }) => height);
  expect(heights).toEqual([...heights].sort((a, b) => a - b));
  const names = (await list()).map(({ name }) => name).sort();
  const named = new Set(body.heights.flatMap((each) => each.designs.map(({ name }) => name)));
  expect([...named].sort()).toEqual(names);
  expect(body.heights.every(({ inSeries, near }) => inSeries && near.length === 0)).toBe(true);
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

const circular = (document: Design): Design => ({
  ...document,
  dimensions: [
    { name: 'a', formula: 'b' },
    { name: 'b', formula: 'a' },
  ],
});

test('a document of another structure is refused with its place, and nothing is stored', async () => {
  const { document } = await quay();
  const before = (await list()).length;
  const twice = { ...document, panels: [...document.panels, ...document.panels] };
  const answer = await server.agent.post('/api/designs').send({ document: twice }).expect(400);
  expect(answer.body).toMatchObject({
    code: 'invalid',
    message: expect.stringContaining('used twice'),
    where: 'panels.1',
  });
  for (const bad of [
    undefined,
    null,
    [],
    'text',
    { ...document, version: DESIGN_VERSION + 1 },
    { ...document, extra: 1 },
  ]) {
    await server.agent.post('/api/designs').send({ document: bad }).expect(400);
  }
  expect(await list()).toHaveLength(before);
});

test('a draft is kept with formulas that are wrong, but not published with them', async () => {
  const { document } = await quay();
  const made = await server.agent
    .post('/api/designs')
    .send({ document: circular(document) })
    .expect(201);
  const { id, version } = made.body as { id: string; version: number };
  // What it cannot be drawn for is left out of the starter drawing; the rest goes along.
  await server.agent.get('/api/standard/starter.dxf').expect(200);
  const refused = await server.agent.post(`/api/designs/${id}/revisions`).send({ note: 'First', version }).expect(400);
  expect(refused.body).toMatchObject({
    code: 'invalid',
    message: expect.stringContaining('a → b → a'),
    where: 'dimensions.0',
  });
  await server.agent
    .put(`/api/designs/${id}`)
    .send({ document: { ...document, name: 'Mended' }, version })
    .expect(200);
  await server.agent.post(`/api/designs/${id}/revisions`).send({ note: 'First', version }).expect(409);
  const published = await server.agent
    .post(`/api/designs/${id}/revisions`)
    .send({ note: 'First', version: version + 1 })
    .expect(201);
  expect(published.body).toMatchObject([{ number: 1, note: 'First', projects: [] }]);
  await server.agent
    .post(`/api/designs/${id}/revisions`)
    .send({ note: ' ', version: version + 1 })
    .expect(400);

  // What is published stays as it was, whatever becomes of the draft.
  await server.agent
    .put(`/api/designs/${id}`)
    .send({ document: { ...document, name: 'Later' }, version: version + 1 })
    .expect(200);
  const first = await server.agent.get(`/api/designs/${id}/revisions/1`).expect(200);
  expect(first.body).toMatchObject({ number: 1, document: { name: 'Mended' } });
  const draft = await server.agent.get(`/api/designs/${id}/revisions/draft`).expect(200);
  expect(draft.body).toMatchObject({ number: null, document: { name: 'Later' } });
  for (const none of ['2', '0', 'x', '1.5']) await server.agent.get(`/api/designs/${id}/revisions/${none}`).expect(404);
  await server.agent.delete(`/api/designs/${id}`).expect(200);
});

test('states of a draft are kept under names, found again and let go', async () => {
  const { id, document } = await quay();
  const at = `/api/designs/${id}/checkpoints`;
  const kept = await server.agent.post(at).send({ name: 'Before the new logo', document }).expect(201);
  const [first] = kept.body as { id: string; name: string }[];
  expect(first?.name).toBe('Before the new logo');
  const again = await server.agent.get(`${at}/${first?.id}`).expect(200);
  expect(again.body.document).toEqual(document);
  await server.agent.post(at).send({ name: '', document }).expect(400);
  await server.agent
    .post(at)
    .send({ name: 'Bad', document: { ...document, panels: 3 } })
    .expect(400);
  await server.agent.get(`${at}/nothing`).expect(404);
  await server.agent.delete(`${at}/${first?.id}`).expect(200);
  expect((await server.agent.get(at).expect(200)).body).toEqual([]);
});

test('a project uses a revision of its design, or by the draft', async () => {
  const projects = (await server.agent.get('/api/projects')).body as {
    id: string;
    name: string;
    version: number;
    designRevision: number | null;
  }[];
  const pump = projects.find((each) => each.name === 'Osier Lane Pump House')!;
  expect(pump.designRevision).toBe(1);
  const at = `/api/projects/${pump.id}`;
  await server.agent.patch(at).send({ version: pump.version, designRevision: 7 }).expect(404);
  const moved = await server.agent.patch(at).send({ version: pump.version, designRevision: null }).expect(200);
  expect(moved.body.designRevision).toBeNull();
  const { id } = await quay();
  const other = await server.agent.patch(at).send({ version: moved.body.version, designId: id }).expect(200);
  expect(other.body).toMatchObject({ designId: id, designRevision: 1 });
  const revisions = (await server.agent.get(`/api/designs/${id}/revisions`)).body as { projects: string[] }[];
  expect(revisions[0]?.projects).toContain('Osier Lane Pump House');
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

test('a design that was stored in an older version is read in that of today, draft and revision alike, without being written', async () => {
  const { id } = (await server.agent.get('/api/designs')).body[0];
  const older = async (table: string, where: object): Promise<void> => {
    const { document } = await server.database(table).where(where).first('document');
    await server
      .database(table)
      .where(where)
      .update({ document: JSON.stringify({ ...document, version: 2 }) });
  };
  await older('designs', { id });
  await older('design_revisions', { design_id: id, number: 1 });
  for (const path of [`/api/designs/${id}`, `/api/designs/${id}/revisions/1`])
    expect((await server.agent.get(path).expect(200)).body.document.version).toBe(DESIGN_VERSION);
  expect((await server.database('designs').where({ id }).first('document')).document.version).toBe(2);
});

test('a design is kept as a starter without a new version, and is none any more', async () => {
  const [before] = await list();
  expect(before!.starter).toBe(false);
  const place = `/api/designs/${before!.id}/starter`;
  await server.agent.put(place).send({ starter: true }).expect(200, { starter: true });
  expect((await list()).find(({ id }) => id === before!.id)).toMatchObject({ starter: true, version: before!.version });
  await server.agent.put(place).send({ starter: 'yes' }).expect(400);
  await server.agent.put(`/api/designs/${randomUUID()}/starter`).send({ starter: true }).expect(404);
  await server.agent.put(place).send({ starter: false }).expect(200);
  expect(await list()).toContainEqual(before);
});
