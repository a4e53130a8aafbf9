import { randomUUID } from 'node:crypto';
import type { Project, Revision, RevisionCreate, Sheet } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** A project of its own with some sheets. */
async function projectWith(numbers: readonly string[], first = 'P01'): Promise<Project> {
  const { agent } = server;
  const { id: designId } = (await agent.get('/api/designs')).body.find(
    (each: { name: string }) => each.name === 'Quay strip',
  );
  const made = await agent.post('/api/projects').send({ name: 'Ropewalk sheds', designId }).expect(201);
  const { id, version } = made.body as Project;
  for (const number of numbers)
    await agent
      .post(`/api/projects/${id}/sheets`)
      .send({ number, title: `Sheet ${number}`, kind: 'plan', size: 'ISO A1' })
      .expect(201);
  return (await agent.patch(`/api/projects/${id}`).send({ version, firstRevision: first }).expect(200)).body as Project;
}
const sheetsOf = async (id: string): Promise<Sheet[]> => (await server.agent.get(`/api/projects/${id}/sheets`)).body;
const wish = (sheets: readonly Sheet[], more: Partial<RevisionCreate> = {}): RevisionCreate => ({
  id: randomUUID(),
  date: '2031-03-21',
  description: 'Gangway moved',
  by: 'MO',
  checked: 'TL',
  code: null,
  sheets: sheets.map(({ id }) => id),
  ...more,
});
const make = async (project: Project, body: RevisionCreate, status = 201): Promise<Revision> =>
  (await server.agent.post(`/api/projects/${project.id}/revisions`).send(body).expect(status)).body;
const codes = async ({ id }: Project): Promise<Record<string, string[]>> =>
  Object.fromEntries((await sheetsOf(id)).map((sheet) => [sheet.number, sheet.revisions.map(({ code }) => code)]));

test('each chosen sheet gets the next code of its own, and shows its revision', async () => {
  const project = await projectWith(['A-101', 'A-102', 'A-103']);
  const [one, two] = await sheetsOf(project.id);
  await make(project, wish([one!]));
  await make(project, wish([one!, two!], { date: '2 April 2031', description: 'Tender' }));
  expect(await codes(project)).toEqual({ 'A-101': ['P01', 'P02'], 'A-102': ['P01'], 'A-103': [] });
  const [, first] = (await server.agent.get(`/api/projects/${project.id}/revisions`)).body as Revision[];
  expect(first).toMatchObject({ description: 'Gangway moved', by: 'MO', withdrawn: null, version: 1 });
  const svg = await server.agent.get(`/api/sheets/${one!.id}/sheet.svg`).expect(200);
  expect(svg.body.toString()).toContain('Tender');
});

test('one code for all is refused where a sheet had it, and nothing of it is kept', async () => {
  const project = await projectWith(['A-101', 'A-102']);
  const [one, two] = await sheetsOf(project.id);
  await make(project, wish([one!], { code: 'C01' }));
  const refused = await server.agent
    .post(`/api/projects/${project.id}/revisions`)
    .send(wish([two!, one!], { code: 'C01' }))
    .expect(400);
  expect(refused.body).toMatchObject({ where: 'code', message: expect.stringContaining('A-101 had a revision C01') });
  expect(await codes(project)).toEqual({ 'A-101': ['C01'], 'A-102': [] });
  expect((await server.agent.get(`/api/projects/${project.id}/revisions`)).body).toHaveLength(1);
});

test('what is asked for several times at once is made once, and others at once take a code each', async () => {
  const project = await projectWith(['A-101']);
  const sheets = await sheetsOf(project.id);
  const same = wish(sheets);
  await Promise.all([same, same, same].map((body) => make(project, body)));
  expect(await codes(project)).toEqual({ 'A-101': ['P01'] });
  await Promise.all(Array.from({ length: 5 }, () => make(project, wish(sheets))));
  expect(await codes(project)).toEqual({ 'A-101': ['P01', 'P02', 'P03', 'P04', 'P05', 'P06'] });
});

test('a withdrawn revision leaves the sheets and its trace, stands again when wanted, and its code is not given again', async () => {
  const project = await projectWith(['A-101'], 'A');
  const sheets = await sheetsOf(project.id);
  await make(project, wish(sheets, { description: 'First issue' }));
  const second = await make(project, wish(sheets, { description: 'Sent by mistake' }));
  const withdraw = { withdrawn: 'Sent to the wrong people', version: second.version };
  const { body: gone } = await server.agent.patch(`/api/revisions/${second.id}`).send(withdraw).expect(200);
  expect(gone).toMatchObject({ withdrawn: 'Sent to the wrong people', description: 'Sent by mistake' });
  const drawn = async () => (await server.agent.get(`/api/sheets/${sheets[0]!.id}/sheet.svg`)).body.toString();
  expect(await drawn()).not.toContain('Sent by mistake');
  await make(project, wish(sheets));
  expect(await codes(project)).toEqual({ 'A-101': ['A', 'B', 'C'] });
  await server.agent.patch(`/api/revisions/${second.id}`).send({ withdrawn: null, version: gone.version }).expect(200);
  expect(await drawn()).toContain('Sent by mistake');
  // From an older state nothing is changed.
  await server.agent.patch(`/api/revisions/${second.id}`).send({ by: 'XX', version: gone.version }).expect(409);
});

test('a sheet that changes after its revision is told, until its next one', async () => {
  const project = await projectWith(['A-101', 'A-102']);
  const sheets = await sheetsOf(project.id);
  const changed = async () => (await sheetsOf(project.id)).map((sheet) => sheet.changedSince);
  expect(await changed()).toEqual([false, false]);
  await make(project, wish(sheets));
  expect(await changed()).toEqual([false, false]);
  const [one] = await sheetsOf(project.id);
  const path = `/api/sheets/${one!.id}`;
  const { body: retitled } = await server.agent.patch(path).send({ title: 'Other', version: one!.version }).expect(200);
  expect(retitled.changedSince).toBe(true);
  expect(await changed()).toEqual([true, false]);
  // Back as it was, it is no other sheet.
  await server.agent.patch(path).send({ title: one!.title, version: retitled.version }).expect(200);
  expect(await changed()).toEqual([false, false]);
  // Another design changes all of them.
  const { body: designs } = await server.agent.get('/api/designs');
  const harbour = designs.find((each: { name: string }) => each.name === 'Harbour block').id;
  const { body: now } = await server.agent.get(`/api/projects/${project.id}`);
  await server.agent.patch(`/api/projects/${project.id}`).send({ designId: harbour, version: now.version }).expect(200);
  expect(await changed()).toEqual([true, true]);
  await make(project, wish(sheets));
  expect(await changed()).toEqual([false, false]);
});

test('another design for a kind of sheet changes the sheets of that kind alone', async () => {
  const project = await projectWith(['A-101', 'A-102']);
  const [plan, other] = await sheetsOf(project.id);
  await server.agent.patch(`/api/sheets/${other!.id}`).send({ kind: 'detail', version: other!.version }).expect(200);
  await make(project, wish([plan!, other!]));
  const { body: designs } = await server.agent.get('/api/designs');
  const designId = designs.find((each: { name: string }) => each.name === 'Harbour block').id;
  const kinds = async (list: object[]): Promise<boolean[]> => {
    const { version } = (await server.agent.get(`/api/projects/${project.id}`)).body;
    await server.agent.patch(`/api/projects/${project.id}`).send({ kinds: list, version }).expect(200);
    return (await sheetsOf(project.id)).map((sheet) => sheet.changedSince);
  };
  expect(await kinds([{ kind: 'detail', designId, size: null }])).toEqual([false, true]);
  expect(await kinds([])).toEqual([false, false]);
});

test('a code that would grow too long is refused, and one that is given goes on', async () => {
  const project = await projectWith(['A-101']);
  const sheets = await sheetsOf(project.id);
  await make(project, wish(sheets, { code: '9'.repeat(12) }));
  const refused = await make(project, wish(sheets), 400);
  expect(refused).toMatchObject({ where: 'code', message: expect.stringContaining('too long') });
  await make(project, wish(sheets, { code: 'A' }));
});

test('what cannot be kept is refused in words', async () => {
  const project = await projectWith(['A-101']);
  const other = await projectWith(['A-101']);
  const [sheet] = await sheetsOf(project.id);
  const [foreign] = await sheetsOf(other.id);
  const refused = async (body: unknown) =>
    (await server.agent.post(`/api/projects/${project.id}/revisions`).send(body as object)).body.message;
  expect(await refused(wish([sheet!], { date: '31.02.2031' }))).toContain('there is no');
  expect(await refused(wish([sheet!], { date: 'soon' }))).toContain('is a date');
  expect(await refused(wish([sheet!], { description: ' ' }))).toContain('say what was changed');
  expect(await refused(wish([]))).toContain('choose the sheets');
  expect(await refused(wish([foreign!]))).toContain('not there any more');
  expect(await refused(wish([sheet!], { code: 'A code that is far too long' }))).toContain('at most 12 characters');
  expect(await refused({ ...wish([sheet!]), by: '\u0000' })).toBeDefined();
  const taken = await make(other, wish([foreign!]));
  expect(await refused(wish([sheet!], { id: taken.id }))).toContain('another project');
  expect(await codes(project)).toEqual({ 'A-101': [] });
  await server.agent.get(`/api/projects/${randomUUID()}/revisions`).expect(404);
  await server.agent.patch(`/api/revisions/${randomUUID()}`).send({ by: 'X', version: 1 }).expect(404);
});

test('findings follow: what a new revision makes a sheet say is looked at anew', async () => {
  const project = await projectWith(['A-101']);
  const sheets = await sheetsOf(project.id);
  const before = (await server.agent.get(`/api/projects/${project.id}/findings`)).body;
  await make(project, wish(sheets, { code: 'W'.repeat(12) }));
  const after = (await server.agent.get(`/api/projects/${project.id}/findings`)).body;
  expect(JSON.stringify(before)).not.toContain('WWW');
  expect(JSON.stringify(after)).not.toEqual(JSON.stringify(before));
});
