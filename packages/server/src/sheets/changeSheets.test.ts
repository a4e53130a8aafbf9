import { randomUUID } from 'node:crypto';
import type { BinEntry, HistoryEntry, Project, Sheet, SheetsChange, SheetsChanged, SheetSet } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
let project: Project;
beforeAll(async () => {
  server = await startTestServer();
  project = (await server.agent.post('/api/projects').send({ name: 'Ropewalk', designId: null }).expect(201)).body;
  for (const number of ['A-101', 'A-102', 'A-103'])
    await server.agent
      .post(`/api/projects/${project.id}/sheets`)
      .send({ number, title: `Plan ${number}`, kind: 'plan', size: 'ISO A1' })
      .expect(201);
});
afterAll(() => server.stop());

const sheets = async (): Promise<Sheet[]> => (await server.agent.get(`/api/projects/${project.id}/sheets`)).body;
const send = (changes: SheetsChange['changes'], more: object = {}) =>
  server.agent.post(`/api/projects/${project.id}/sheet-changes`).send({ changes, ...more });
const each = ({ id, version }: Sheet, change: object) => ({ id, version, ...change });

test('several sheets change together; two may change numbers', async () => {
  const [one, two, three] = await sheets();
  const { body } = await send([
    each(one!, { number: 'A-102' }),
    each(two!, { number: 'A-101', title: 'Roof' }),
    each(three!, { values: { 'sheet.drawnBy': 'MO' } }),
  ]).expect(200);
  const { sheets: now } = body as SheetsChanged;
  expect(now.map(({ number, title }) => [number, title])).toEqual([
    ['A-101', 'Roof'],
    ['A-102', 'Plan A-101'],
    ['A-103', 'Plan A-103'],
  ]);
  expect(now[2]!.values).toEqual({ 'sheet.drawnBy': 'MO' });
});

test.each<[string, (of: Sheet[]) => SheetsChange['changes'], number, string]>([
  [
    'a date that is none',
    ([one, two]) => [each(one!, { title: 'x' }), each(two!, { values: { 'sheet.date': '31.02.2031' } })],
    400,
    'A-102: ',
  ],
  [
    'a number that another sheet has',
    ([one, two]) => [each(one!, { title: 'x' }), each(two!, { number: 'A-103' })],
    400,
    'there is a sheet A-103 already',
  ],
  [
    'one number for two',
    ([one, two]) => [each(one!, { number: 'B' }), each(two!, { number: 'B' })],
    400,
    'there is a sheet B already',
  ],
  ['a size that is none', ([one, two]) => [each(one!, { title: 'x' }), each(two!, { size: 'Q4' })], 400, 'Q4'],
  [
    'an old version',
    ([one, two]) => [each(one!, { title: 'x' }), { ...each(two!, { title: 'x' }), version: 99 }],
    409,
    'A-102: ',
  ],
  [
    'a sheet that is named twice',
    ([one]) => [each(one!, { title: 'x' }), each(one!, { title: 'y' })],
    400,
    'named twice',
  ],
])('with %s nothing is changed, and the words say where', async (_what, changes, status, words) => {
  const before = await sheets();
  const { body } = await send(changes(before)).expect(status);
  expect(body.message).toContain(words);
  expect(await sheets()).toEqual(before);
});

test('two who renumber at once do it one after the other, and the second is told', async () => {
  const before = await sheets();
  const answers = await Promise.all(
    ['N', 'M'].map((letter) => send(before.map((sheet, i) => each(sheet, { number: `${letter}-${i}` })))),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  const numbers = (await sheets()).map(({ number }) => number[0]);
  expect(new Set(numbers).size).toBe(1);
});

test('sheets come and go with what changes; what went is restored with its place in sets, its revisions and its issues', async () => {
  const [one, two] = await sheets();
  const values = { 'set.name': 'Some' };
  const body = { values, sheets: [two!.id, one!.id] };
  const set = (await server.agent.post(`/api/projects/${project.id}/sets`).send(body).expect(201)).body as SheetSet;
  await server.agent
    .post(`/api/projects/${project.id}/revisions`)
    .send({
      id: randomUUID(),
      date: '2031-04-02',
      description: 'First',
      by: '',
      checked: '',
      code: null,
      sheets: [two!.id],
    })
    .expect(201);
  const [, before] = await sheets();
  const added = { id: randomUUID(), number: 'Z-1', title: 'New', kind: 'plan', size: 'ISO A1', values: {} };
  const done = (await send([each(one!, { title: 'First one' })], { added: [added], deleted: [two!.id] }).expect(200))
    .body as SheetsChanged;
  expect(done.sheets.map(({ title }) => title).sort()).toEqual(['First one', 'New']);
  const inSet = async () =>
    ((await server.agent.get(`/api/projects/${project.id}/sets`)).body as SheetSet[]).find(({ id }) => id === set.id)!
      .sheets;
  expect(await inSet()).toEqual([one!.id]);
  const [entry] = (await server.agent.get('/api/bin')).body as BinEntry[];
  expect(entry).toMatchObject({ id: done.bin, kind: 'sheets', projectId: project.id });
  // Its number is taken meanwhile: said, and nothing is restored.
  await server.agent
    .post(`/api/projects/${project.id}/sheets`)
    .send({ number: two!.number, title: '', kind: 'plan', size: 'ISO A1' })
    .expect(201);
  const refused = await server.agent.post(`/api/bin/${done.bin}/restore`).expect(409);
  expect(refused.body.message).toContain(`another sheet ${two!.number} by now`);
  const other = (await sheets()).find(({ number }) => number === two!.number)!;
  await send([], { deleted: [other.id] }).expect(200);
  await server.agent.post(`/api/bin/${done.bin}/restore`).expect(200);
  expect((await sheets()).find(({ id }) => id === two!.id)).toEqual(before);
  expect(await inSet()).toEqual([two!.id, one!.id]);
  await server.agent.post(`/api/bin/${done.bin}/restore`).expect(404);
  await send([], { deleted: [added.id] }).expect(200);
});

test('each field that became another is kept, with what it was; a value that was taken away as well', async () => {
  const [one] = await sheets();
  const first = await send([each(one!, { title: 'Now', values: { 'sheet.status': 'Draft' } })]).expect(200);
  await send([each((first.body as SheetsChanged).sheets[0]!, { values: {} })]).expect(200);
  const told = (await server.agent.get(`/api/sheets/${one!.id}/history`).expect(200)).body as HistoryEntry[];
  expect(told.slice(0, 3).map(({ field, before, after }) => [field, before, after])).toEqual(
    expect.arrayContaining([
      ['title', one!.title, 'Now'],
      ['sheet.status', null, 'Draft'],
      ['sheet.status', 'Draft', null],
    ]),
  );
  const older = await server.agent.get(`/api/sheets/${one!.id}/history?before=${told[2]!.id}`).expect(200);
  expect(older.body).toEqual(told.slice(3));
  await server.agent.get(`/api/sheets/${one!.id}/history?before=x`).expect(400);
});

test('the scheme of a project gives the next number and the order; its file names name what is put out', async () => {
  const { version } = (await server.agent.get(`/api/projects/${project.id}`)).body as Project;
  const patch = (body: object, status = 200) =>
    server.agent
      .patch(`/api/projects/${project.id}`)
      .send({ version, ...body })
      .expect(status);
  const refused = await patch({ numbering: { pattern: '{discipline}', disciplines: [], zones: [], digits: 3 } }, 400);
  expect(refused.body.message).toContain('needs its {sequence}');
  expect((await patch({ fileNames: '{sheet.nothing}' }, 400)).body).toMatchObject({ where: 'fileNames' });
  const numbering = { pattern: '{zone}{sequence}', disciplines: [], zones: ['S', 'N'], digits: 3 };
  await patch({ numbering, fileNames: '{sheet.number} {sheet.title}' });
  const [one, two, three] = await sheets();
  await send([
    each(one!, { number: 'N002' }),
    each(two!, { number: 'S009' }),
    each(three!, { number: 'N001', title: 'Roof/plan' }),
  ]).expect(200);
  expect((await sheets()).map(({ number }) => number)).toEqual(['S009', 'N001', 'N002']);
  const next = await server.agent.get(`/api/projects/${project.id}/next-number?kind=plan`).expect(200);
  expect(next.body).toEqual({ number: 'N003' });
  const { id: designId } = ((await server.agent.get('/api/designs')).body as { id: string }[])[0]!;
  await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ version: version + 1, designId })
    .expect(200);
  const svg = await server.agent.get(`/api/sheets/${three!.id}/sheet.svg`).expect(200);
  expect(svg.headers['content-disposition']).toContain('N001-Roof-plan.svg');
});
