import { readFileSync } from 'node:fs';
import type { IntakeSetRecord, Project, Sheet } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const AT_ONCE = 4;
/** The same request, sent several times at the same moment, as by an impatient hand. */
const atOnce = (path: string, body: object) =>
  Promise.all(Array.from({ length: AT_ONCE }, () => server.agent.post(path).send(body)));

test('sheets that are added at once take a number each', async () => {
  const [project] = (await server.agent.get('/api/projects')).body as Project[];
  const sheet = { title: 'Stair details', kind: 'detail', size: 'ISO A1' };
  const answers = await Promise.all(
    Array.from({ length: 20 }, () => server.agent.post(`/api/projects/${project!.id}/sheets`).send(sheet)),
  );
  expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 201));
  expect(new Set(answers.map(({ body }) => (body as Sheet).number)).size).toBe(20);
});

test('a design is published once, and again only when something has changed', async () => {
  const { body: designs } = await server.agent.get('/api/designs');
  const { id } = designs.find((each: { name: string }) => each.name === 'Quay strip');
  const { body: design } = await server.agent.get(`/api/designs/${id}`);
  const document = { ...design.document, name: 'Quay strip, wide' };
  await server.agent.put(`/api/designs/${id}`).send({ document, version: design.version }).expect(200);
  const wish = { note: 'Wider', version: design.version + 1 };
  const answers = await atOnce(`/api/designs/${id}/revisions`, wish);
  expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 201));
  expect(
    (await server.agent.get(`/api/designs/${id}/revisions`)).body.map(({ number }: { number: number }) => number),
  ).toEqual([2, 1]);
  const { body } = await server.agent
    .post(`/api/designs/${id}/revisions`)
    .send({ ...wish, note: 'Wider still' })
    .expect(400);
  expect(body).toMatchObject({ message: 'nothing has changed since revision 2', where: 'note' });
});

test('the standard is published once', async () => {
  const { body: standard } = await server.agent.get('/api/standard');
  await server.agent
    .put('/api/standard')
    .send({ standard: { ...standard.draft, leastHeight: 1.5 }, version: standard.version })
    .expect(200);
  const answers = await atOnce('/api/standard/revisions', { note: 'Smaller', version: standard.version + 1 });
  expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 201));
  expect((await server.agent.get('/api/standard')).body.revisions).toHaveLength(2);
});

test('a design is kept from a drawing once', async () => {
  const [drawing] = (await server.agent.get('/api/intake')).body;
  const { body: conversion } = await server.agent.get(`/api/intake/${drawing.id}/conversion`).expect(200);
  const answers = await atOnce(`/api/intake/${drawing.id}/keep`, { document: conversion.design });
  expect(new Set(answers.map(({ body }) => body.id)).size).toBe(1);
});

const corner = readFileSync('demo/legacy/corner-block-a1.dxf', 'latin1');
const sheetFile = (number: number): Buffer =>
  Buffer.from(corner.replace('BFT-A-101', `BFT-A-${number}`).replace('Ground floor plan', `Plan ${number}`), 'latin1');

test.each([1, 2, 3])('a set is taken over by the order in which it is shown, and once (try %i)', async (round) => {
  const { body: set } = await server.agent.post('/api/intake/sets').send({ name: 'Set' }).expect(201);
  // Names that are equal, and not in the order in which they come.
  for (const [i, name] of ['c.dxf', 'a.dxf', 'b.dxf', 'a.dxf', 'c.dxf', 'a.dxf'].entries())
    await server.agent
      .post(`/api/intake/sets/${set.id}/drawings`)
      .attach('file', sheetFile(100 + i), name)
      .expect(201);
  await server.agent.post(`/api/intake/sets/${set.id}/read`).expect(200);
  let record: IntakeSetRecord;
  do record = (await server.agent.get(`/api/intake/sets/${set.id}`)).body;
  while (record.state === 'reading');
  // Where rows lie in the table changes with every edit; what a set is does not.
  await server.database('legacy_drawings').where({ set_id: set.id }).orderBy('id').limit(1).update({ bytes: 1 });
  const [group] = record.groups;
  const wish = {
    leader: group!.leader,
    projectName: `Taken ${round}`,
    drawings: group!.sheets.map(({ drawing }) => drawing),
  };
  const answers = await atOnce(`/api/intake/sets/${set.id}/take-over`, wish);
  expect(answers.map(({ status, body }) => [status, body.message])).toEqual(answers.map(() => [201, undefined]));
  expect(new Set(answers.map(({ body }) => body.projectId)).size).toBe(1);
  const named = ((await server.agent.get('/api/projects')).body as Project[]).filter(
    ({ name }) => name === wish.projectName,
  );
  expect(named.map(({ sheets }) => sheets)).toEqual([6]);
  const { body: again } = await server.agent
    .post(`/api/intake/sets/${set.id}/take-over`)
    .send({ ...wish, projectName: 'Another' })
    .expect(201);
  expect(again.projectId).not.toBe(answers[0]!.body.projectId);
});
