import { randomUUID } from 'node:crypto';
import type { DeskRecord, Project, SheetSet } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const desk = async (): Promise<DeskRecord> => (await server.agent.get('/api/desk').expect(200)).body;
const projects = async (): Promise<Project[]> => (await server.agent.get('/api/projects').expect(200)).body;
const setsOf = async (id: string): Promise<SheetSet[]> => (await server.agent.get(`/api/projects/${id}/sets`)).body;
const setDue = async ({ id, version }: SheetSet, due: string | null, status = 200): Promise<SheetSet> =>
  (await server.agent.patch(`/api/sets/${id}`).send({ due, version }).expect(status)).body;

test('sets that go out next are told by their days, with what is to be mended on them; an issue takes the day away', async () => {
  await server.findings.refresh();
  const [ferry] = await projects();
  const [tender, board] = await setsOf(ferry!.id);
  expect((await desk()).due).toEqual([
    {
      project: { id: ferry!.id, name: 'Brackenmouth Ferry Terminal' },
      set: { id: board!.id, name: 'Harbour board' },
      due: '2031-05-20',
      overdue: false,
      sheets: 5,
      looked: 5,
      unfit: 0,
    },
  ]);
  await setDue(tender!, '2001-02-29', 400);
  await setDue(tender!, '2001-02-28');
  const { due } = await desk();
  expect(due.map(({ set, overdue }) => [set.name, overdue])).toEqual([
    ['Tender', true],
    ['Harbour board', false],
  ]);
  const wish = { purpose: 'For information', recipients: [], remarks: '', transmittal: null, date: '2031-05-19' };
  await server.agent
    .post(`/api/projects/${ferry!.id}/issues`)
    .send({ id: randomUUID(), setId: board!.id, ...wish })
    .expect(201);
  expect((await desk()).due.map(({ set }) => set.name)).toEqual(['Tender']);
  // A project that was put away goes out no more.
  await server.agent.patch(`/api/projects/${ferry!.id}`).send({ archived: true, version: ferry!.version }).expect(200);
  expect((await desk()).due).toEqual([]);
  await server.agent.patch(`/api/projects/${ferry!.id}`).send({ archived: false, version: ferry!.version + 1 });
});

test('designs are told of which projects use an older revision, until they have moved', async () => {
  const osier = (await projects()).find(({ name }) => name === 'Osier Lane Pump House')!;
  const { late } = await desk();
  expect(late).toEqual([{ id: osier.designId, name: 'Harbour block', newest: 2, behind: 1, projects: 1 }]);
  await server.agent.patch(`/api/projects/${osier.id}`).send({ designRevision: 2, version: osier.version }).expect(200);
  expect((await desk()).late).toEqual([]);
});
