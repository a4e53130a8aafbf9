import type { Office, Project, ProjectTables } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => void (server = await startTestServer()));
afterAll(() => server.stop());

const projects = async (): Promise<Project[]> =>
  (await server.agent.get('/api/projects').expect(200)).body as Project[];
const first = async (): Promise<Project> => (await projects())[0]!;
const tablesOf = async (id: string): Promise<ProjectTables> =>
  (await server.agent.get(`/api/projects/${id}/tables`).expect(200)).body as ProjectTables;

test('rows of a project are saved as a whole and read back, and its version goes up', async () => {
  const { id, version } = await first();
  const tables = { contacts: [{ discipline: 'Acoustics', firm: 'Still Water' }] };
  const saved = await server.agent.put(`/api/projects/${id}/tables`).send({ tables, version }).expect(200);
  expect(saved.body).toEqual({ tables, version: version + 1 });
  expect(await tablesOf(id)).toEqual({ tables, version: version + 1 });
  await server.agent.put(`/api/projects/${id}/tables`).send({ tables: {}, version }).expect(409);
  expect((await tablesOf(id)).tables).toEqual(tables);
});

test.each([
  ['rows of a table that nobody enters', { revisions: [{ code: 'A' }] }, 'rows of "revisions" come by themselves'],
  ['rows of a table that is not there', { doors: [{}] }, 'there is no table "doors"'],
  ['data that its rows do not have', { contacts: [{ colour: 'red' }] }, 'rows of Contacts have no "colour"'],
  ['a table of something else', { contacts: 'all' }, ''],
])('%s are refused, and nothing is changed', async (_name, tables, message) => {
  const { id } = await first();
  const before = await tablesOf(id);
  const answer = await server.agent
    .put(`/api/projects/${id}/tables`)
    .send({ tables, version: before.version })
    .expect(400);
  expect(answer.body.message).toContain(message);
  expect(await tablesOf(id)).toEqual(before);
});

test('a table of the office’s own is entered as soon as the draft has it, and stays when the draft loses it', async () => {
  const state = (await server.agent.get('/api/standard').expect(200)).body;
  const draft = { ...state.draft, tables: [{ id: 'doors', name: 'Doors', columns: [{ key: 'c1', name: 'Door' }] }] };
  const saved = (await server.agent.put('/api/standard').send({ standard: draft, version: state.version }).expect(200))
    .body;
  const office = (await server.agent.get('/api/office').expect(200)).body as Office;
  const tables = { ...office.tables, doors: [{ c1: 'D-01' }] };
  await server.agent
    .put('/api/office')
    .send({ ...office, tables })
    .expect(200);
  await server.agent
    .put('/api/standard')
    .send({ standard: { ...draft, tables: [] }, version: saved.version })
    .expect(200);
  const now = (await server.agent.get('/api/office').expect(200)).body as Office;
  expect(now.tables).toEqual(tables);
  await server.agent.put('/api/office').send(now).expect(200);
  // Who knows nothing of tables leaves them alone.
  const { values, version } = (await server.agent.get('/api/office').expect(200)).body as Office;
  const other = (await server.agent.put('/api/office').send({ values, version }).expect(200)).body as Office;
  expect(other.tables).toEqual(tables);
});

test('a project without rows of a table shows the office’s, and its findings follow both', async () => {
  const project = await first();
  const before = (await server.agent.get(`/api/projects/${project.id}/findings`).expect(200)).body as unknown;
  const { version } = await tablesOf(project.id);
  const long = { contacts: [{ discipline: 'Wasserversorgungs'.repeat(4), firm: 'X', phone: '1' }] };
  await server.agent.put(`/api/projects/${project.id}/tables`).send({ tables: long, version }).expect(200);
  const after = (await server.agent.get(`/api/projects/${project.id}/findings`).expect(200)).body as unknown;
  expect(JSON.stringify(before)).not.toContain('the table of contacts');
  expect(JSON.stringify(after)).toContain('spills out of its column in the table of contacts');
});

test('the longest value of each parameter is found in all projects', async () => {
  const { body: before } = await server.agent.get('/api/office/longest-values').expect(200);
  const { body: projects } = await server.agent.get('/api/projects').expect(200);
  const [project] = projects as { id: string; values: Record<string, string>; version: number }[];
  const client = `${before['project.client']} and all of its partners in the harbour`;
  const values = { ...project!.values, 'project.client': client };
  await server.agent.patch(`/api/projects/${project!.id}`).send({ values, version: project!.version }).expect(200);
  const { body: after } = await server.agent.get('/api/office/longest-values').expect(200);
  expect(after).toEqual({ ...before, 'project.client': client });
  const { body: sheets } = await server.agent.get(`/api/projects/${project!.id}/sheets`).expect(200);
  const longest = Math.max(...(sheets as { title: string }[]).map(({ title }) => title.length));
  expect(after['sheet.title'].length).toBeGreaterThanOrEqual(longest);
});
