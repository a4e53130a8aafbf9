import { randomUUID } from 'node:crypto';
import type { Project, Sheet } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
let project: Project;
beforeAll(async () => {
  server = await startTestServer();
  project = ((await server.agent.get('/api/projects').expect(200)).body as Project[])[0]!;
});
afterAll(() => server.stop());

const sheets = async (): Promise<Sheet[]> =>
  (await server.agent.get(`/api/projects/${project.id}/sheets`).expect(200)).body;
const sheet = async (number: string): Promise<Sheet> => (await sheets()).find((each) => each.number === number)!;

test('the demo practice has the projects of its scenario', async () => {
  const { body } = await server.agent.get('/api/projects').expect(200);
  expect(body.map((each: Project) => [each.name, each.sheets])).toEqual([
    ['Brackenmouth Ferry Terminal', 42],
    ['Tolliver Creek Field Station', 18],
    ['Osier Lane Pump House', 9],
  ]);
});

test('project data is changed from the version it was read at', async () => {
  const values = { ...project.values, 'project.client': 'Brackenmouth Harbour Board' };
  const changed = await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ version: project.version, values })
    .expect(200);
  expect(changed.body.values['project.client']).toBe('Brackenmouth Harbour Board');
  await server.agent.patch(`/api/projects/${project.id}`).send({ version: project.version, values }).expect(409);
  project = changed.body;
});

test('a project names the device that it is printed on, and what falls outside it is found on its sheets', async () => {
  const set = (device: string | null, status = 200) =>
    server.agent.patch(`/api/projects/${project.id}`).send({ version: project.version, device }).expect(status);
  expect((await set('sold', 400)).body).toMatchObject({ where: 'device' });
  project = (await set('plan-copier')).body;
  expect(project.device).toBe('plan-copier');
  const found = async (): Promise<string[]> => {
    const { body } = await server.agent.get(`/api/projects/${project.id}/findings`).expect(200);
    return (body as { findings: { kind: string; message: string }[] }[])
      .flatMap(({ findings }) => findings)
      .filter(({ kind }) => kind === 'device')
      .map(({ message }) => message);
  };
  // The frames have 10 mm on the right; the copier leaves 12 mm blank there.
  expect(new Set(await found())).toEqual(
    new Set([
      'the frame falls 2.0 mm outside what Plan copier prints (right)',
      'Plan copier, the device of the project, takes no sheet of ISO A3',
    ]),
  );
  project = (await set('roll-plotter')).body;
  expect(await found()).toEqual([]);
});

test.each([
  [{ values: { 'sheet.title': 'x' } }, 'not entered for the project'],
  [{ values: { 'project.name': 5 } }, 'values.project.name'],
  [{ designId: '3f1b6a52-0f6a-4d4e-9d11-2a8e7d5c9b00' }, 'there is no such design'],
  [{ colour: 'red' }, 'unknown field colour'],
])('refuses %j', async (change, message) => {
  const { body } = await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ version: project.version, ...change })
    .expect(400);
  expect(body).toMatchObject({ code: 'invalid', message: expect.stringContaining(message) });
});

test('sheets come in the order of their numbers', async () => {
  const numbers = (await sheets()).map((each) => each.number);
  expect(numbers.slice(0, 3)).toEqual(['G-001', 'G-002', 'A-101']);
  expect(numbers).toHaveLength(42);
});

test('a new sheet gets the proposed number, and a taken number is refused', async () => {
  const url = `/api/projects/${project.id}`;
  const { body: proposal } = await server.agent.get(`${url}/next-number?kind=plan`).expect(200);
  expect(proposal).toEqual({ number: 'A-108' });
  const { body: added } = await server.agent
    .post(`${url}/sheets`)
    .send({ title: 'Mezzanine plan', kind: 'plan', size: 'ISO A1' })
    .expect(201);
  expect(added.number).toBe('A-108');
  const refused = await server.agent
    .post(`${url}/sheets`)
    .send({ number: 'A-108', title: '', kind: 'plan', size: 'ISO A1' })
    .expect(400);
  expect(refused.body).toEqual({ code: 'invalid', message: 'there is a sheet A-108 already', where: 'number' });
  await server.agent.delete(`/api/sheets/${added.id}`).expect(200);
  await server.agent.get(`${url}/next-number?kind=opera`).expect(400);
});

test('a title is edited; a stale edit is reported, not overwritten', async () => {
  const { id, version } = await sheet('A-101');
  await server.agent.patch(`/api/sheets/${id}`).send({ version, title: 'Ground floor plan, north' }).expect(200);
  await server.agent.patch(`/api/sheets/${id}`).send({ version, title: 'Too late' }).expect(409);
  expect((await sheet('A-101')).title).toBe('Ground floor plan, north');
});

const AN_EXTENT = { id: 'v', name: 'V', realWidth: 1, realHeight: 1, scale: null, module: null };
test.each([
  ['a sheet needs a number', { number: '' }],
  ['has no sheet size A9', { size: 'A9' }],
  ['not entered for the sheet', { values: { 'sheet.scale': '1:50' } }],
  ['V: "big" is not a scale', { views: [{ ...AN_EXTENT, scale: 'big' }] }],
  ['views.0.realWidth', { views: [{ ...AN_EXTENT, realWidth: -1 }] }],
  ['views.0.module', { views: [{ ...AN_EXTENT, module: '3B' }] }],
  ['a sheet holds 100 views at most', { views: Array(10_000).fill(AN_EXTENT) }],
  ['title', { title: 'x'.repeat(301) }],
])('refuses a sheet: %s', async (message, change) => {
  const { id, version } = await sheet('A-102');
  const { body } = await server.agent
    .patch(`/api/sheets/${id}`)
    .send({ version, ...change })
    .expect(400);
  expect(body.message).toContain(message);
});

test('a project is added with a design and can take sheets at once', async () => {
  const { body: added } = await server.agent
    .post('/api/projects')
    .send({ name: 'Lantern Steps', designId: project.designId })
    .expect(201);
  expect(added).toMatchObject({ name: 'Lantern Steps', sheets: 0, designName: 'Quay strip' });
  const { body: first } = await server.agent
    .post(`/api/projects/${added.id}/sheets`)
    .send({ title: 'Plan', kind: 'plan', size: 'ISO A2' })
    .expect(201);
  expect(first.number).toBe('A-101');
});

test('all projects of a large office are listed', async () => {
  const [first] = await server.database('projects').limit(1);
  const rows = Array.from({ length: 600 }, (_, i) => ({
    id: randomUUID(),
    position: 100 + i,
    values: JSON.stringify({ 'project.name': `Project ${i}` }),
    standard_revision: first.standard_revision,
  }));
  await server.database.batchInsert('projects', rows, 200);
  const { body } = await server.agent.get('/api/projects').expect(200);
  expect(body.length).toBeGreaterThan(600);
  expect(body.at(-1).name).toBe('Project 599');
});

test('what is said of the set is entered with the project', async () => {
  const { body: now } = await server.agent.get(`/api/projects/${project.id}`).expect(200);
  const values = { ...now.values, 'set.purpose': 'For tender' };
  await server.agent.patch(`/api/projects/${project.id}`).send({ version: now.version, values }).expect(200);
  const { body } = await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ version: now.version + 1, values: { ...values, 'set.count': '12' } })
    .expect(400);
  expect(body.message).toContain('not entered for the project');
});

test('a date has to be in the calendar; one that stood there before keeps nothing else from being saved', async () => {
  const before = await sheet('A-103');
  const change = (values: Record<string, string>, version: number) =>
    server.agent.patch(`/api/sheets/${before.id}`).send({ version, values });
  const { body } = await change({ 'sheet.date': '31.02.2025' }, before.version).expect(400);
  expect(body).toMatchObject({ message: 'Date: there is no 31 February 2025', where: 'values.sheet.date' });
  await change({ 'sheet.date': '28.02.2025' }, before.version).expect(200);
  await server
    .database('sheets')
    .where({ id: before.id })
    .update({ values: { 'sheet.date': 'some day' } });
  await change({ 'sheet.date': 'some day', 'sheet.drawnBy': 'TL' }, before.version + 1).expect(200);
});

test('a project is deleted with its sheets; its design stays, and can be deleted then', async () => {
  const { body: all } = await server.agent.get('/api/projects').expect(200);
  const pump = (all as Project[]).find((each) => each.name === 'Osier Lane Pump House')!;
  const design = `/api/designs/${pump.designId}`;
  const used = await server.agent.delete(design).expect(409);
  expect(used.body).toMatchObject({ code: 'in-use', message: expect.stringContaining('Osier Lane Pump House') });
  await server.agent.delete(`/api/projects/${pump.id}`).expect(200);
  await server.agent.get(`/api/projects/${pump.id}`).expect(404);
  await server.agent.delete(`/api/projects/${pump.id}`).expect(404);
  expect(await server.database('sheets').where({ project_id: pump.id })).toEqual([]);
  await server.agent.get(design).expect(200);
  await server.agent.delete(design).expect(200);
});

test('a project begins from another: with its designs, numbering and file names, and with what else is wanted of it', async () => {
  const { agent } = server;
  const of = ((await agent.get('/api/projects')).body as Project[]).find(({ name }) => name.includes('Ferry'))!;
  const numbering = { pattern: '{discipline}-{type}{sequence}', disciplines: ['G', 'A'], zones: [], digits: 2 };
  await agent
    .patch(`/api/projects/${of.id}`)
    .send({ version: of.version, numbering, fileNames: '{sheet.number}' })
    .expect(200);
  const begin = async (take: string[]): Promise<Project> =>
    (
      await agent
        .post('/api/projects')
        .send({ name: 'New quay', designId: null, from: { projectId: of.id, take } })
        .expect(201)
    ).body as Project;
  const sheetsIn = async ({ id }: Project): Promise<Sheet[]> => (await agent.get(`/api/projects/${id}/sheets`)).body;
  const bare = await begin([]);
  expect(bare).toMatchObject({ designId: of.designId, numbering, fileNames: '{sheet.number}', sheets: 0 });
  expect(bare.kinds).toEqual(of.kinds);
  expect(bare.values).toEqual({ 'project.name': 'New quay' });
  const whole = await begin(['data', 'sheets', 'views', 'sets']);
  expect(whole.values).toMatchObject({ 'project.client': of.values['project.client'] });
  expect(whole.values['project.number']).toBeUndefined();
  const [before, after] = [await sheetsIn(of), await sheetsIn(whole)];
  expect(after.map(({ number, title }) => [number, title])).toEqual(before.map(({ number, title }) => [number, title]));
  expect(after.some(({ revisions, issues }) => revisions.length + issues.length > 0)).toBe(false);
  expect(after.find(({ views }) => views.length > 0)?.views[0]?.id).not.toBe(
    before.find(({ views }) => views.length > 0)?.views[0]?.id,
  );
  const [ofSets, sets] = await Promise.all(
    [of, whole].map(async ({ id }) => (await agent.get(`/api/projects/${id}/sets`)).body as { sheets: string[] }[]),
  );
  expect(sets!.map((set) => set.sheets.length)).toEqual(ofSets!.map((set) => set.sheets.length));
  expect(sets![0]!.sheets).toContain(after[0]!.id);
  // Without sheets there are neither views nor sets.
  expect(await sheetsIn(await begin(['views', 'sets']))).toEqual([]);
});

test('a project that is put away is not looked at on the Desk until it is taken out again', async () => {
  const { agent } = server;
  const project = ((await agent.get('/api/projects')).body as Project[]).at(-1)!;
  const counted = async (): Promise<number> => (await agent.get('/api/desk?page=0')).body.projects as number;
  const before = await counted();
  const put = async (archived: boolean, version: number): Promise<Project> =>
    (await agent.patch(`/api/projects/${project.id}`).send({ version, archived }).expect(200)).body as Project;
  const away = await put(true, project.version);
  expect(away.archived).toBe(true);
  expect(await counted()).toBe(before - 1);
  await put(false, away.version);
  expect(await counted()).toBe(before);
});
