import { randomUUID } from 'node:crypto';
import type { Project, Sheet, StandardState } from '@mendrel/contract';
import type { OwnParameter } from '@mendrel/core';
import { newParameter } from '@mendrel/core';
import { SheetModel } from '../sheets/sheetModel';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const zone = newParameter({ id: 'zone', key: 'sheet.zone', name: 'Zone' });
const state = async (): Promise<StandardState> => (await server.agent.get('/api/standard').expect(200)).body;
const withKey = async (key: string) => {
  const { draft, version } = await state();
  const parameters = [...draft.parameters.filter(({ id }) => id !== zone.id), { ...zone, key }];
  return server.agent
    .put('/api/standard')
    .send({ standard: { ...draft, parameters }, version })
    .expect(200);
};
/** What is said of a revision. */
const SAID = { date: '2031-04-02', description: 'Zones', by: 'MO', checked: 'TL' };
const SHEETS = 6000;
const CLIENTS = 10;

test('while a parameter is renamed over thousands of sheets, ten people edit, and nothing that was answered is lost', async () => {
  await withKey('sheet.zone');
  const [project] = (await server.agent.get('/api/projects')).body as Project[];
  const rows = Array.from({ length: SHEETS }, (_, i) => ({
    id: randomUUID(),
    project_id: project!.id,
    number: `Z-${i}`,
    title: 'Zone',
    kind: 'plan' as const,
    size: 'ISO A1',
    values: { 'sheet.zone': `zone ${i}`, 'sheet.drawnBy': 'MO' },
    views: [],
    version: 1,
  }));
  for (let i = 0; i < SHEETS; i += 1000) await SheetModel.query(server.database).insert(rows.slice(i, i + 1000));

  /** What was answered with 200, by sheet: the values that have to be there in the end, under whatever key. */
  const answered = new Map<string, { zone: string; version: number }>();
  const conflicts: number[] = [];
  let key = 'sheet.zone';
  let renaming = true;
  const edit = async (client: number): Promise<void> => {
    for (let i = 0; renaming || i < 20; i++) {
      const { id } = rows[(i * CLIENTS + client) % SHEETS]!;
      const row = await SheetModel.query(server.database).findById(id);
      const known = 'sheet.place' in row!.values ? 'sheet.place' : 'sheet.zone';
      const values = { ...row!.values, [known]: `client ${client}, edit ${i}` };
      const { status, body } = await server.agent.patch(`/api/sheets/${id}`).send({ values, version: row!.version });
      if (status === 200) answered.set(id, { zone: `client ${client}, edit ${i}`, version: (body as Sheet).version });
      // The sheet was renamed in between, or its key has just gone away: told, and nothing is overwritten.
      else conflicts.push(status);
    }
  };
  const editing = Promise.all(Array.from({ length: CLIENTS }, (_, client) => edit(client)));
  await withKey('sheet.place');
  key = 'sheet.place';
  renaming = false;
  await editing;

  expect(answered.size).toBeGreaterThan(CLIENTS);
  expect(new Set(conflicts.filter((status) => status !== 409 && status !== 400))).toEqual(new Set());
  const now = await SheetModel.query(server.database).where({ title: 'Zone' });
  expect(now).toHaveLength(SHEETS);
  for (const [i, { id }] of rows.entries()) {
    const row = now.find((each) => each.id === id)!;
    const edited = answered.get(id);
    expect([i, row.values]).toEqual([i, { [key]: edited?.zone ?? `zone ${i}`, 'sheet.drawnBy': 'MO' }]);
    // The renaming counts as a change, so that who had the sheet open before is told.
    expect(row.version).toBeGreaterThanOrEqual(edited?.version ?? 2);
  }
});

test('sheets that are as they were at their last revision stay so, and those that are not are not', async () => {
  await withKey('sheet.zone');
  const [project] = (await server.agent.get('/api/projects')).body as Project[];
  const sheets = async (): Promise<Sheet[]> => (await server.agent.get(`/api/projects/${project!.id}/sheets`)).body;
  const [first, second] = (await sheets()).filter(({ number }) => number.startsWith('A-'));
  for (const sheet of [first!, second!]) {
    await server.agent
      .patch(`/api/sheets/${sheet.id}`)
      .send({ values: { ...sheet.values, 'sheet.zone': 'North' }, version: sheet.version })
      .expect(200);
  }
  await server.agent
    .post(`/api/projects/${project!.id}/revisions`)
    .send({ id: randomUUID(), code: null, sheets: [first!.id, second!.id], ...SAID })
    .expect(201);
  const changed = (await sheets()).find(({ id }) => id === second!.id)!;
  await server.agent
    .patch(`/api/sheets/${changed.id}`)
    .send({ title: 'Another title', version: changed.version })
    .expect(200);
  await withKey('sheet.place');
  const now = new Map((await sheets()).map((sheet) => [sheet.id, sheet]));
  expect(now.get(first!.id)).toMatchObject({ changedSince: false, values: { 'sheet.place': 'North' } });
  expect(now.get(second!.id)?.changedSince).toBe(true);
});

test('two keys change places in one step', async () => {
  const { draft } = await state();
  const other = { ...zone, id: 'other', name: 'Other', key: 'sheet.other' };
  const save = async (parameters: OwnParameter[]) => {
    const { version } = await state();
    const own = draft.parameters.filter(({ id }) => id !== 'zone' && id !== 'other');
    await server.agent
      .put('/api/standard')
      .send({ standard: { ...draft, parameters: [...own, ...parameters] }, version })
      .expect(200);
  };
  await save([{ ...zone, key: 'sheet.place' }, other]);
  const row = (await SheetModel.query(server.database).where({ title: 'Zone' }).first())!;
  const values = { 'sheet.place': 'here', 'sheet.other': 'there' };
  await server.agent.patch(`/api/sheets/${row.id}`).send({ values, version: row.version }).expect(200);
  await save([
    { ...zone, key: 'sheet.other' },
    { ...other, key: 'sheet.place' },
  ]);
  expect((await SheetModel.query(server.database).findById(row.id))!.values).toEqual({
    'sheet.other': 'here',
    'sheet.place': 'there',
  });
});

test('a value cannot be saved under a name that has just gone away', async () => {
  const row = (await SheetModel.query(server.database).where({ title: 'Zone' }).first())!;
  const values = { 'sheet.zone': 'old name' };
  const { body } = await server.agent.patch(`/api/sheets/${row.id}`).send({ values, version: row.version }).expect(400);
  expect(body.where).toBe('values.sheet.zone');
});

test('checkpoints and published revisions of a design follow as its draft does', async () => {
  const { draft, version } = await state();
  const parameters = [...draft.parameters, { ...zone, id: 'mark', name: 'Mark', key: 'sheet.mark' }];
  await server.agent
    .put('/api/standard')
    .send({ standard: { ...draft, parameters }, version })
    .expect(200);
  const [{ id }] = (await server.agent.get('/api/designs')).body;
  const { body: design } = await server.agent.get(`/api/designs/${id}`);
  const document = JSON.parse(JSON.stringify(design.document).replaceAll('sheet.drawnBy', 'sheet.mark'));
  await server.agent.put(`/api/designs/${id}`).send({ document, version: design.version }).expect(200);
  await server.agent.post(`/api/designs/${id}/checkpoints`).send({ name: 'Before', document }).expect(201);
  await server.agent
    .post(`/api/designs/${id}/revisions`)
    .send({ note: 'Mark', version: design.version + 1 })
    .expect(201);
  const renamed = parameters.map((each) => (each.id === 'mark' ? { ...each, key: 'sheet.sign' } : each));
  await server.agent
    .put('/api/standard')
    .send({ standard: { ...draft, parameters: renamed }, version: version + 1 })
    .expect(200);
  const [{ id: checkpoint }] = (await server.agent.get(`/api/designs/${id}/checkpoints`)).body;
  const [{ number }] = (await server.agent.get(`/api/designs/${id}/revisions`)).body;
  for (const path of ['', `/checkpoints/${checkpoint}`, `/revisions/${number}`]) {
    const text = JSON.stringify((await server.agent.get(`/api/designs/${id}${path}`).expect(200)).body.document);
    expect([path, text.includes('sheet.mark'), text.includes('sheet.sign')]).toEqual([path, false, true]);
  }
});

test('a parameter that stands in a stamp, or in a revision that projects use, cannot be removed', async () => {
  const { draft, version } = await state();
  const parameters = [...draft.parameters, { ...zone, id: 'keep', name: 'Keep', key: 'sheet.keep' }];
  await server.agent
    .put('/api/standard')
    .send({ standard: { ...draft, parameters }, version })
    .expect(200);
  const removal = async () => {
    const { version: now } = await state();
    return server.agent.put('/api/standard').send({ standard: draft, version: now });
  };
  const { body: list } = await server.agent.get('/api/designs');
  const { id } = list.find((each: { name: string }) => each.name === 'Harbour block') ?? list.at(-1);
  const change = async (document: object) => {
    const { body } = await server.agent.get(`/api/designs/${id}`);
    return (await server.agent.put(`/api/designs/${id}`).send({ document, version: body.version }).expect(200)).body;
  };
  const { document } = (await server.agent.get(`/api/designs/${id}`)).body;
  const at = { of: 'frame', anchor: 'lower-left', x: '5 mm', y: '5 mm' };
  const stamp = {
    kind: 'stamp',
    id: 'kept',
    pattern: '{sheet.keep}',
    role: draft.roles[0]!.id,
    angle: 0,
    boxed: false,
    at,
  };
  const { version: stamped } = await change({ ...document, loose: [...(document.loose ?? []), stamp] });
  expect((await removal()).body).toMatchObject({
    code: 'in-use',
    message: expect.stringContaining(`${document.name} (1 place)`),
  });
  await server.agent.post(`/api/designs/${id}/revisions`).send({ note: 'Stamped', version: stamped }).expect(201);
  await change(document);
  const { body } = await removal();
  expect(body).toMatchObject({
    code: 'in-use',
    message: expect.stringMatching(/used in revision \d+ of Harbour block/),
  });
  // Once a newer revision is without it and no project uses the old one, it may go.
  const { version: clean } = (await server.agent.get(`/api/designs/${id}`)).body;
  await server.agent.post(`/api/designs/${id}/revisions`).send({ note: 'Without', version: clean }).expect(201);
  expect((await removal()).status).toBe(200);
});

test('what lies in the bin, and names of files, follow; a parameter that files are named by cannot be removed', async () => {
  const { draft, version } = await state();
  const wing = { ...zone, id: 'wing', name: 'Wing', key: 'sheet.wing' };
  const put = async (parameters: OwnParameter[], at: number, status = 200) =>
    server.agent
      .put('/api/standard')
      .send({ standard: { ...draft, parameters }, version: at })
      .expect(status);
  await put([...draft.parameters, wing], version);
  const [, project] = (await server.agent.get('/api/projects')).body as Project[];
  const changes = `/api/projects/${project!.id}/sheet-changes`;
  const id = randomUUID();
  const sheet = { id, number: 'W-1', title: 'Wing', kind: 'plan', size: 'ISO A1', values: { 'sheet.wing': 'north' } };
  await server.agent
    .post(changes)
    .send({ changes: [], added: [sheet] })
    .expect(200);
  await server.agent
    .patch(`/api/projects/${project!.id}`)
    .send({ fileNames: '{sheet.number}[ {sheet.wing}]', version: project!.version })
    .expect(200);
  const { body } = await server.agent
    .post(changes)
    .send({ changes: [], deleted: [id] })
    .expect(200);
  const refused = await put(draft.parameters, version + 1, 409);
  expect(refused.body.message).toContain('the file names of 1 project');
  await put([...draft.parameters, { ...wing, key: 'sheet.part' }], version + 1);
  await server.agent.post(`/api/bin/${body.bin}/restore`).expect(200);
  const [, now] = (await server.agent.get('/api/projects')).body as Project[];
  expect(now!.fileNames).toBe('{sheet.number}[ {sheet.part}]');
  const back = ((await server.agent.get(`/api/projects/${project!.id}/sheets`)).body as Sheet[]).find(
    (each) => each.id === id,
  );
  expect(back!.values).toEqual({ 'sheet.part': 'north' });
});
