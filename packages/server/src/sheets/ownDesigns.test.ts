import { randomUUID } from 'node:crypto';
import type {
  DesignSummary,
  DesignSwap,
  DesignSwapImpact,
  Office,
  Project,
  Sheet,
  SheetChange,
} from '@mendrel/contract';
import type { SheetKind } from '@mendrel/core';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const theProject = async (): Promise<Project> => (await server.agent.get('/api/projects').expect(200)).body[0];
const sheetsOf = async ({ id }: Project): Promise<Sheet[]> =>
  (await server.agent.get(`/api/projects/${id}/sheets`)).body;
const designNamed = async (name: string): Promise<DesignSummary> =>
  (await server.agent.get('/api/designs')).body.find((each: DesignSummary) => each.name === name);
const change = async ({ id, version }: Sheet, what: Omit<SheetChange, 'version'>, status = 200): Promise<Sheet> =>
  (
    await server.agent
      .patch(`/api/sheets/${id}`)
      .send({ ...what, version })
      .expect(status)
  ).body;
const drawn = async ({ id }: Sheet): Promise<string> =>
  (await server.agent.get(`/api/sheets/${id}/sheet.svg`).expect(200)).body.toString();
const office = async (): Promise<Office> => (await server.agent.get('/api/office').expect(200)).body;
const setKinds = async (sheetKinds: SheetKind[], status = 200) => {
  const { values, version } = await office();
  return (await server.agent.put('/api/office').send({ values, version, sheetKinds }).expect(status)).body;
};
const planOf = async (): Promise<Sheet> => (await sheetsOf(await theProject())).find(({ kind }) => kind === 'plan')!;

describe('a design of a sheet’s own', () => {
  test('one sheet is drawn with it, its revision too, and all others as before', async () => {
    const { id } = await designNamed('Harbour block');
    const [plan, other] = (await sheetsOf(await theProject())).filter(({ kind }) => kind === 'plan');
    const before = [await drawn(plan!), await drawn(other!)];
    const changed = await change(plan!, { design: { id } });
    // It begins by the newest revision.
    expect(changed.design).toEqual({ id, revision: 2 });
    expect(await drawn(plan!)).toContain('Identification number');
    expect(await drawn(other!)).toBe(before[1]);
    // Another change leaves it; null takes it away.
    expect((await change(changed, { title: plan!.title })).design).toEqual({ id, revision: 2 });
    const back = await change({ ...changed, version: changed.version + 1 }, { design: null });
    expect(back.design).toBeNull();
    expect(await drawn(plan!)).toBe(before[0]);
  });

  test('what is no design or no revision is refused, and the sheet stays as it was', async () => {
    const plan = await planOf();
    const { id } = await designNamed('Harbour block');
    const none = '00000000-0000-4000-8000-000000000000';
    await change(plan, { design: { id: none } }, 404);
    await change(plan, { design: { id, revision: 9 } }, 404);
    expect(await planOf()).toEqual(plan);
  });

  test('it keeps the design from being deleted, and is looked at again when its draft changes', async () => {
    const { body: design } = await server.agent.get(`/api/designs/${(await designNamed('Harbour block')).id}`);
    const copy = { ...design.document, name: 'Own block' };
    const { body: made } = await server.agent.post('/api/designs').send({ document: copy }).expect(201);
    const plan = await planOf();
    const changed = await change(plan, { design: { id: made.id, revision: null } });
    const refused = await server.agent.delete(`/api/designs/${made.id}`).expect(409);
    expect(refused.body.message).toContain((await theProject()).name);
    await server.findings.refresh();
    expect(await server.findings.stale()).toEqual([]);
    const { version } = (await server.agent.get(`/api/designs/${made.id}`)).body;
    const draft = { ...copy, modules: { columns: 2, rows: 2 } };
    await server.agent.put(`/api/designs/${made.id}`).send({ document: draft, version }).expect(200);
    expect(await server.findings.stale()).toHaveLength(1);
    await change(changed, { design: null });
    await server.agent.delete(`/api/designs/${made.id}`).expect(200);
  });

  test('a sheet whose design is gone by the time it is restored is drawn like all of its kind', async () => {
    const { body: design } = await server.agent.get(`/api/designs/${(await designNamed('Harbour block')).id}`);
    const { body: made } = await server.agent
      .post('/api/designs')
      .send({ document: { ...design.document, name: 'Short block' } })
      .expect(201);
    const project = await theProject();
    const plan = await planOf();
    await change(plan, { design: { id: made.id } });
    const { body } = await server.agent
      .post(`/api/projects/${project.id}/sheet-changes`)
      .send({ changes: [], deleted: [plan.id] })
      .expect(200);
    await server.agent.delete(`/api/designs/${made.id}`).expect(200);
    await server.agent.post(`/api/bin/${body.bin}/restore`).expect(200);
    expect((await sheetsOf(project)).find(({ id }) => id === plan.id)?.design).toBeNull();
  });

  test('what it would do to chosen sheets is told before, and only of those', async () => {
    const { id } = await designNamed('Harbour block');
    const project = await theProject();
    const ids = (await sheetsOf(project)).slice(1, 3).map((sheet) => sheet.id);
    const swap: DesignSwap = { sheets: { ids, design: { id } } };
    const { body } = await server.agent.post(`/api/projects/${project.id}/swap-impact`).send(swap).expect(200);
    const impact = body as DesignSwapImpact;
    expect(impact.told.map((each) => each.id).sort()).toEqual([...ids].sort());
    expect(impact.told.map(({ design }) => design)).toEqual([
      { id, revision: 2 },
      { id, revision: 2 },
    ]);
    for (const { place } of impact.designs.own) expect(impact.designs.designs[place]?.name).toBe('Harbour block');
  });
});

describe('kinds of sheet', () => {
  const FIRE = { name: 'Fire strategy', figure: 9 };

  test('a kind of the office’s own is given to sheets, numbers them, and has a design', async () => {
    const plan = await planOf();
    await change(plan, { kind: FIRE.name }, 400);
    expect((await setKinds([FIRE])).sheetKinds).toEqual([FIRE]);
    const project = await theProject();
    const next = await server.agent.get(`/api/projects/${project.id}/next-number`).query({ kind: FIRE.name });
    expect(next.body.number).toBe('A-901');
    const { id: designId } = await designNamed('Harbour block');
    const kinds = [{ kind: FIRE.name, designId, size: null }];
    await server.agent.patch(`/api/projects/${project.id}`).send({ kinds, version: project.version }).expect(200);
    expect((await change(plan, { kind: FIRE.name })).kind).toBe(FIRE.name);
    expect(await drawn(plan)).toContain('Identification number');
  });

  test('one that sheets have stays, and says where', async () => {
    const { message } = await setKinds([], 409);
    expect(message).toContain('Fire strategy is used by a sheet of Brackenmouth Ferry Terminal');
    // Its figure may change, and a kind may be added beside it.
    await setKinds([
      { ...FIRE, figure: 8 },
      { name: 'Demolition', figure: 7 },
    ]);
    await setKinds([{ ...FIRE, figure: 8 }]);
  });

  test('a sheet whose kind is gone by the time it is restored can be edited, and gets another kind', async () => {
    await setKinds([...(await office()).sheetKinds, { name: 'Survey', figure: 7 }]);
    const project = await theProject();
    const sheet = { kind: 'Survey', size: 'ISO A1', title: 'Site', number: 'A-701' };
    const { body: added } = await server.agent.post(`/api/projects/${project.id}/sheets`).send(sheet).expect(201);
    const { body } = await server.agent
      .post(`/api/projects/${project.id}/sheet-changes`)
      .send({ changes: [], deleted: [added.id] })
      .expect(200);
    await setKinds((await office()).sheetKinds.filter(({ name }) => name !== 'Survey'));
    await server.agent.post(`/api/bin/${body.bin}/restore`).expect(200);
    const edited = await change(added, { kind: 'Survey', title: 'Site and level' });
    expect((await change(edited, { kind: 'plan' })).kind).toBe('plan');
    await change({ ...edited, version: edited.version + 1 }, { kind: 'Survey' }, 400);
  });

  test('names that are taken, and too many, are refused', async () => {
    expect((await setKinds([{ name: 'PLAN', figure: 3 }], 400)).message).toContain('there is a kind plan already');
    await setKinds(
      Array.from({ length: 21 }, (_, i) => ({ name: `Kind ${i}`, figure: 1 })),
      400,
    );
  });
});

test('a kind has a module grid of its own, which its sheets change with', async () => {
  const project = await theProject();
  const sheet = (await sheetsOf(project)).find(({ kind, views }) => kind === 'plan' && views.length > 0)!;
  const view = { id: 'far', name: 'Far', realWidth: 100, realHeight: 100, scale: null, module: 'B2' };
  await change(sheet, { views: [view] });
  const words = { date: '2031-06-01', description: 'Before the grid', by: 'MO', checked: 'TS' };
  await server.agent
    .post(`/api/projects/${project.id}/revisions`)
    .send({ id: randomUUID(), ...words, code: null, sheets: [sheet.id] })
    .expect(201);
  const was = (await sheetsOf(project)).find(({ id }) => id === sheet.id)!;
  const swap: DesignSwap = {
    kinds: [{ kind: 'plan', designId: null, size: null, modules: { columns: 1, rows: 1 } }],
  };
  const { body } = await server.agent.post(`/api/projects/${project.id}/swap-impact`).send(swap).expect(200);
  // Views stand in modules that are not there any more.
  expect((body as DesignSwapImpact).worse).toBeGreaterThan(0);
  await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ ...swap, version: project.version })
    .expect(200);
  const { designs, kinds } = (await server.agent.get(`/api/projects/${project.id}/designs`)).body;
  expect(designs[kinds.plan].modules).toEqual({ columns: 1, rows: 1 });
  expect(designs[0].modules).not.toEqual({ columns: 1, rows: 1 });
  const is = (await sheetsOf(project)).find(({ id }) => id === sheet.id)!;
  expect([was.changedSince, is.changedSince]).toEqual([false, true]);
});

describe('an order by hand', () => {
  const setOrder = async (sheetOrder: string[] | null, status = 200): Promise<Project> => {
    const { id, version } = await theProject();
    return (await server.agent.patch(`/api/projects/${id}`).send({ sheetOrder, version }).expect(status)).body;
  };
  const idsOf = async (): Promise<string[]> => (await sheetsOf(await theProject())).map(({ id }) => id);

  test('sheets stand, are counted and go out in it; new ones come last, and by number they stand as before', async () => {
    const before = await idsOf();
    const order = [before[2]!, ...before.filter((_, i) => i !== 2)];
    expect((await setOrder(order)).byHand).toBe(true);
    expect(await idsOf()).toEqual(order);
    const project = await theProject();
    const sheet = { kind: 'cover', size: 'ISO A1', title: 'Foreword', number: 'G-000' };
    const { body: added } = await server.agent.post(`/api/projects/${project.id}/sheets`).send(sheet).expect(201);
    expect(await idsOf()).toEqual([...order, added.id]);
    await server.agent.delete(`/api/sheets/${added.id}`).expect(200);
    expect((await setOrder(null)).byHand).toBe(false);
    expect(await idsOf()).toEqual(before);
  });

  test('one that leaves a sheet out, or names one twice, changes nothing', async () => {
    const before = await idsOf();
    await setOrder(before.slice(1), 409);
    await setOrder([...before.slice(1), before[1]!], 409);
    expect(await idsOf()).toEqual(before);
    expect((await theProject()).byHand).toBe(false);
  });

  test('a sheet that is restored stands where it stood', async () => {
    const project = await theProject();
    const order = (await idsOf()).reverse();
    await setOrder(order);
    const changes = `/api/projects/${project.id}/sheet-changes`;
    const { body } = await server.agent
      .post(changes)
      .send({ changes: [], deleted: [order[1]] })
      .expect(200);
    expect(await idsOf()).toEqual(order.filter((_, i) => i !== 1));
    await server.agent.post(`/api/bin/${body.bin}/restore`).expect(200);
    expect(await idsOf()).toEqual(order);
    const copy = { name: 'Second terminal', designId: null, from: { projectId: project.id, take: ['sheets'] } };
    const { body: made } = await server.agent.post('/api/projects').send(copy).expect(201);
    const numbers = async (of: Project): Promise<string[]> => (await sheetsOf(of)).map(({ number }) => number);
    expect(made.byHand).toBe(true);
    expect(await numbers(made)).toEqual(await numbers(project));
    await setOrder(null);
  });
});
