import type {
  DesignRevision,
  DesignSummary,
  DesignSwap,
  DesignSwapImpact,
  Project,
  ProjectKindChange,
  Sheet,
} from '@mendrel/contract';
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
    { kind: 'detail', designId, designName: 'Harbour block', designRevision: 2, size: 'ISO A3', modules: null },
  ]);
  expect(await drawn(plan)).toBe(before.plan);
  expect(await drawn(detail)).not.toBe(before.detail);
  expect(await drawn(detail)).toContain('Identification number');
  const dxf = async (sheet: Sheet | undefined): Promise<string> =>
    (await server.agent.get(`/api/sheets/${sheet!.id}/sheet.dxf`).expect(200)).text;
  expect(await dxf(detail)).toContain('Identification number');
  expect(await dxf(plan)).not.toContain('Identification number');
  await server.agent.get(`/api/projects/${project!.id}/set.pdf`).expect(200);
});

test('who uses a design is told of kinds as well, and keeps it from being deleted', async () => {
  const design = await harbour();
  expect(design.projects).toEqual(['Brackenmouth Ferry Terminal', 'Osier Lane Pump House']);
  const { body: revisions } = await server.agent.get(`/api/designs/${design.id}/revisions`);
  expect(revisions.map((each: DesignRevision) => each.projects)).toEqual([
    ['Brackenmouth Ferry Terminal'],
    ['Osier Lane Pump House'],
  ]);
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
  expect(spilling.design).toMatchObject({ name: 'Harbour block', revision: 2 });
});

test('what is no kind, no design or no revision is refused, and the kinds stay as they were', async () => {
  const { id: designId } = await harbour();
  const [before] = await projects();
  const none = '00000000-0000-4000-8000-000000000000';
  expect((await setKinds([{ kind: 'detail', designId: none, size: null }], 404)).message).toContain('no such design');
  expect((await setKinds([{ kind: 'detail', designId, designRevision: 7, size: null }], 404)).message).toContain(
    'no revision 7',
  );
  const twice = { kind: 'plan', designId, size: null };
  expect((await setKinds([twice, twice], 400)).message).toContain('plan is named twice');
  expect((await setKinds([{ ...twice, kind: 'sketch' }], 400)).message).toContain('no kind of sheet sketch');
  const [after] = await projects();
  expect(after).toEqual(before);
  expect((await setKinds([])).kinds).toEqual([]);
});

const impactOf = async (project: Project, swap: DesignSwap, status = 200): Promise<DesignSwapImpact> =>
  (await server.agent.post(`/api/projects/${project.id}/swap-impact`).send(swap).expect(status)).body;

test('what another design would do is told sheet by sheet with real values, and nothing is changed by asking', async () => {
  const { id: designId } = await harbour();
  const [project] = await projects();
  const sheets = await sheetsOf(project!.id);
  const details = sheets.filter(({ kind }) => kind === 'detail');
  const [one] = details;
  // Longer than the small block takes, and than the strip does.
  await server.agent
    .patch(`/api/sheets/${one!.id}`)
    .send({
      title: 'Canopy',
      values: { ...one!.values, 'sheet.approvedBy': 'A name of some length '.repeat(4) },
      version: one!.version,
    })
    .expect(200);
  const impact = await impactOf(project!, { kinds: [{ kind: 'detail', designId, size: null }] });
  expect(impact.sheets).toBe(details.length);
  expect(impact.areas).toBe(details.length);
  // The block asks for who approved; the strip asks for the client's address, which the block leaves out.
  expect(impact.gained).toContain('Approved by');
  expect(impact.lost).toContain('Client address');
  expect(impact.worse).toBeGreaterThan(0);
  const [worst] = impact.told;
  expect(worst!.id).toBe(one!.id);
  expect(worst!.after.map(({ message }) => message).join()).toContain('A name of some length');
  expect(impact.designs.kinds).toMatchObject({ detail: 1 });
  expect((await projects())[0]).toEqual(project);
  // The very same designs do nothing; a revision that is not there is refused.
  expect(await impactOf(project!, {})).toMatchObject({ sheets: 0, told: [] });
  await impactOf(project!, { designRevision: 99 }, 404);
});

test('sizes that a design does not serve, and a design for the whole project, are told before', async () => {
  const { body: designs } = await server.agent.get('/api/designs');
  const cover = designs.find((each: DesignSummary) => each.name === 'Quay cover');
  const [project] = await projects();
  const sheets = await sheetsOf(project!.id);
  const impact = await impactOf(project!, { designId: cover.id });
  // Covers have it already, where they have one of their own.
  const others = sheets.filter(({ kind }) => kind !== 'cover' || project!.kinds.every((each) => each.kind !== 'cover'));
  expect(impact.sheets).toBe(others.length);
  const small = impact.told.find((each) => sheets.find(({ id }) => id === each.id)?.size === 'ISO A3');
  expect(small!.after).toContainEqual(expect.objectContaining({ kind: 'unserved', weight: 'error' }));
});
