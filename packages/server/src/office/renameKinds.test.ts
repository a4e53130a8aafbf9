import { randomUUID } from 'node:crypto';
import type { DesignSummary, Office, Project, Sheet } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const office = async (): Promise<Office> => (await server.agent.get('/api/office').expect(200)).body;
const save = async (names: string[], renamedKinds: Office['sheetKinds'] | object[], status = 200) => {
  const { values, version } = await office();
  const sheetKinds = names.map((name) => ({ name, figure: 8 }));
  return (await server.agent.put('/api/office').send({ values, version, sheetKinds, renamedKinds }).expect(status))
    .body;
};
const theProject = async (): Promise<Project> => (await server.agent.get('/api/projects').expect(200)).body[0];
const sheetsOf = async ({ id }: Project): Promise<Sheet[]> =>
  (await server.agent.get(`/api/projects/${id}/sheets`).expect(200)).body;

test('sheets, projects, conditions and what lies in the bin follow a kind that is renamed, and nothing counts as changed', async () => {
  await save(['survey', 'model'], []);
  const project = await theProject();
  const [first, second] = (await sheetsOf(project)).filter(({ kind }) => kind === 'plan');
  for (const { id, version } of [first!, second!])
    await server.agent.patch(`/api/sheets/${id}`).send({ kind: 'survey', version }).expect(200);
  const { version } = await theProject();
  const kinds = [...project.kinds, { kind: 'survey', designId: project.designId, size: 'ISO A1' }].map(
    ({ kind, designId, size }) => ({ kind, designId, designRevision: null, size, modules: null }),
  );
  await server.agent.patch(`/api/projects/${project.id}`).send({ kinds, version }).expect(200);
  const [design] = ((await server.agent.get('/api/designs')).body as DesignSummary[]).filter(
    ({ id }) => id === project.designId,
  );
  const { document, version: drawn } = (await server.agent.get(`/api/designs/${design!.id}`)).body;
  const panels = document.panels.map((each: object) => ({
    ...each,
    when: 'sheet.kind == "Survey" || sheet.kind != "plan"',
  }));
  await server.agent
    .put(`/api/designs/${design!.id}`)
    .send({ document: { ...document, panels }, version: drawn })
    .expect(200);
  await server.agent
    .post(`/api/projects/${project.id}/revisions`)
    .send({
      id: randomUUID(),
      code: null,
      sheets: [first!.id],
      date: '2031-04-02',
      description: 'x',
      by: '',
      checked: '',
    })
    .expect(201);
  const gone = (await sheetsOf(project)).find(({ id }) => id === second!.id)!;
  const deleted = await server.agent.delete(`/api/sheets/${gone.id}?version=${gone.version}`).expect(200);

  await save(['measured survey', 'model'], [{ from: 'survey', to: 'measured survey' }]);
  const now = (await sheetsOf(project)).find(({ id }) => id === first!.id)!;
  expect(now).toMatchObject({ kind: 'measured survey', changedSince: false });
  expect((await theProject()).kinds.map(({ kind }) => kind)).toContain('measured survey');
  const { document: renamed } = (await server.agent.get(`/api/designs/${design!.id}`)).body;
  expect(renamed.panels[0].when).toBe('sheet.kind == "measured survey" || sheet.kind != "plan"');
  await server.agent.post(`/api/bin/${deleted.body.bin}/restore`).expect(200);
  expect((await sheetsOf(project)).find(({ id }) => id === second!.id)?.kind).toBe('measured survey');
});

test.each([
  [
    'a kind that every office has',
    ['measured survey', 'model', 'plans'],
    { from: 'plan', to: 'plans' },
    'no kind of its own called plan',
  ],
  [
    'a name that another kind has',
    ['model'],
    { from: 'measured survey', to: 'model' },
    'choose a name that no kind has',
  ],
  [
    'a name that is not among the kinds',
    ['model'],
    { from: 'measured survey', to: 'other' },
    'choose a name that no kind has',
  ],
  [
    'a kind that stays',
    ['measured survey', 'model', 'other'],
    { from: 'measured survey', to: 'other' },
    'choose a name that no kind has',
  ],
])('%s is refused, and nothing changes', async (_what, names, renamed, words) => {
  const before = await office();
  const { message } = await save(names, [renamed], 400);
  expect(message).toContain(words);
  expect(await office()).toEqual(before);
});
