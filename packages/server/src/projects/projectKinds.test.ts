import type { DesignSummary, Project, ProjectKindChange, Sheet } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const projects = async (): Promise<Project[]> => (await server.agent.get('/api/projects').expect(200)).body;
const sheetsOf = async (id: string): Promise<Sheet[]> => (await server.agent.get(`/api/projects/${id}/sheets`)).body;
const harbour = async (): Promise<DesignSummary> =>
  (await server.agent.get('/api/designs')).body.find((each: DesignSummary) => each.name === 'Harbour block');
const setKinds = async (kinds: ProjectKindChange[], status = 200) => {
  const [{ id, version } = { id: '', version: 0 }] = await projects();
  return (await server.agent.patch(`/api/projects/${id}`).send({ kinds, version }).expect(status)).body;
};
const drawn = async (sheet: Sheet | undefined): Promise<string> =>
  (await server.agent.get(`/api/sheets/${sheet!.id}/sheet.svg`).expect(200)).body.toString();

test('sheets of a kind are drawn with a design of their own, all others with that of the project', async () => {
  const { id: designId } = await harbour();
  const [project] = await projects();
  const sheets = await sheetsOf(project!.id);
  const [plan, detail] = (['plan', 'detail'] as const).map((kind) => sheets.find((each) => each.kind === kind));
  const before = { plan: await drawn(plan), detail: await drawn(detail) };
  const changed: Project = await setKinds([{ kind: 'detail', designId, size: 'ISO A3' }]);
  // A design that is newly chosen begins by its newest revision.
  expect(changed.kinds).toEqual([
    { kind: 'detail', designId, designName: 'Harbour block', designRevision: 1, size: 'ISO A3' },
  ]);
  expect(await drawn(plan)).toBe(before.plan);
  expect(await drawn(detail)).not.toBe(before.detail);
  expect(await drawn(detail)).toContain('Identification number');
  const dxf = await server.agent.get(`/api/sheets/${detail!.id}/sheet.dxf`).expect(200);
  expect(dxf.text).toContain('Harbour');
  await server.agent.get(`/api/projects/${project!.id}/set.pdf`).expect(200);
});

test('who uses a design is told of kinds as well, and keeps it from being deleted', async () => {
  const design = await harbour();
  expect(design.projects).toEqual(['Brackenmouth Ferry Terminal', 'Osier Lane Pump House']);
  const { body: revisions } = await server.agent.get(`/api/designs/${design.id}/revisions`);
  expect(revisions[0].projects).toEqual(design.projects);
  const osier = (await projects()).find(({ name }) => name === 'Osier Lane Pump House')!;
  await server.agent.patch(`/api/projects/${osier.id}`).send({ designId: null, version: osier.version }).expect(200);
  const { body } = await server.agent.delete(`/api/designs/${design.id}`).expect(409);
  expect(body.message).toContain('Brackenmouth Ferry Terminal uses this design');
});

test('findings stand with the design in which they are mended', async () => {
  await server.findings.refresh();
  const [project] = await projects();
  const details = (await sheetsOf(project!.id)).filter(({ kind }) => kind === 'detail');
  const [one] = details;
  await server.agent
    .patch(`/api/sheets/${one!.id}`)
    .send({ title: 'A title that is far too long for its cell '.repeat(7).trim(), version: one!.version })
    .expect(200);
  await server.findings.refresh();
  const { groups } = (await server.agent.get('/api/desk')).body;
  const spilling = groups.find((group: { named: { named: { id: string }[] }[] }) =>
    group.named.some(({ named }) => named.some(({ id }) => id === one!.id)),
  );
  expect(spilling.design).toMatchObject({ name: 'Harbour block', revision: 1 });
});

test('what is no kind, no design or no revision is refused, and the kinds stay as they were', async () => {
  const { id: designId } = await harbour();
  const [before] = await projects();
  const none = '00000000-0000-4000-8000-000000000000';
  expect((await setKinds([{ kind: 'detail', designId: none, size: null }], 404)).message).toContain('no such design');
  expect((await setKinds([{ kind: 'detail', designId, designRevision: 7, size: null }], 404)).message).toContain(
    'no revision 7',
  );
  const twice = { kind: 'plan' as const, designId, size: null };
  expect((await setKinds([twice, twice], 400)).message).toContain('plan is named twice');
  expect((await setKinds([{ ...twice, kind: 'sketch' as 'plan' }], 400)).where).toContain('kinds.0.kind');
  const [after] = await projects();
  expect(after).toEqual(before);
  expect((await setKinds([])).kinds).toEqual([]);
});
