import { randomUUID } from 'node:crypto';
import type { DesignSummary, Issue, Project } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';
import { sweepAll } from '../database/sweepAll';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const projects = async (): Promise<Project[]> => (await server.agent.get('/api/projects')).body;
const ferry = async (): Promise<Project> => (await projects()).find(({ name }) => name.includes('Ferry'))!;
const all = async (path: string): Promise<unknown> => (await server.agent.get(path).expect(200)).body;

test('a project comes back as it was: sheets, revisions, sets, and what it issued prints as before', async () => {
  const project = await ferry();
  const paths = ['sheets', 'revisions', 'sets', 'issues', 'tables'].map(
    (what) => `/api/projects/${project.id}/${what}`,
  );
  const before = await Promise.all(paths.map(all));
  const [issue] = before[3] as Issue[];
  const sheet = async () => (await server.agent.get(`/api/issues/${issue!.id}/sheets/3/sheet.svg`).expect(200)).text;
  const drawn = await sheet();
  const { bin } = (await server.agent.delete(`/api/projects/${project.id}`).expect(200)).body as { bin: string };
  await server.agent.get(`/api/issues/${issue!.id}/sheets`).expect(404);
  // What it needs to come back is kept, however long nothing else has referred to it.
  await server.database('assets').update({ used_at: new Date(0) });
  await sweepAll(server.database);
  await server.agent.post(`/api/bin/${bin}/restore`).expect(200);
  expect(await Promise.all(paths.map(all))).toEqual(before);
  expect(await sheet()).toBe(drawn);
  expect(await ferry()).toEqual(project);
});

test('a project whose design is gone meanwhile says so; with the design restored it comes back', async () => {
  const [{ id: of }] = (await server.agent.get('/api/designs')).body as [DesignSummary];
  const { document } = (await server.agent.get(`/api/designs/${of}`)).body as { document: object };
  const made = await server.agent.post('/api/designs').send({ document: { ...document, name: 'Strip to go' } });
  const { id: copy } = made.body as { id: string };
  const project = (await server.agent.post('/api/projects').send({ name: 'Short', designId: copy }).expect(201))
    .body as Project;
  const refused = await server.agent.delete(`/api/designs/${copy}`).expect(409);
  expect(refused.body.message).toContain('Short uses this design');
  const gone = (await server.agent.delete(`/api/projects/${project.id}`).expect(200)).body as { bin: string };
  const design = (await server.agent.delete(`/api/designs/${copy}`).expect(200)).body as { bin: string };
  const early = await server.agent.post(`/api/bin/${gone.bin}/restore`).expect(409);
  expect(early.body.message).toContain('restore that first');
  await server.agent.post(`/api/bin/${design.bin}/restore`).expect(200);
  await server.agent.post(`/api/bin/${gone.bin}/restore`).expect(200);
  expect(((await server.agent.get('/api/designs')).body as DesignSummary[]).some(({ id }) => id === copy)).toBe(true);
  expect((await projects()).some(({ id }) => id === project.id)).toBe(true);
});

test('what has lain there for its time is gone for good, and so is what somebody deletes there', async () => {
  const make = async (): Promise<string> => {
    const { body } = await server.agent.post('/api/projects').send({ name: `P ${randomUUID()}`, designId: null });
    return ((await server.agent.delete(`/api/projects/${(body as Project).id}`)).body as { bin: string }).bin;
  };
  const [old, young, unwanted] = [await make(), await make(), await make()];
  await server.database.raw(`update bin set deleted_at = now() - interval '31 days' where id = ?`, [old]);
  await server.agent.delete(`/api/bin/${unwanted}`).expect(200);
  await sweepAll(server.database);
  await server.agent.post(`/api/bin/${old}/restore`).expect(404);
  await server.agent.post(`/api/bin/${unwanted}/restore`).expect(404);
  await server.agent.post(`/api/bin/${young}/restore`).expect(200);
});

test('what was deleted before a column came is restored with what the column usually begins with', async () => {
  const made = (await server.agent.post('/api/projects').send({ name: 'Older', designId: null })).body as Project;
  const { bin } = (await server.agent.delete(`/api/projects/${made.id}`)).body as { bin: string };
  await server.database.raw(`update bin set content = content #- '{0,rows,0,archived}' where id = ?`, [bin]);
  await server.agent.post(`/api/bin/${bin}/restore`).expect(200);
  expect((await projects()).find(({ id }) => id === made.id)).toEqual(made);
});
