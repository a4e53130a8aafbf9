import { randomUUID } from 'node:crypto';
import type { DrawingRecord, DrawingReplaced, Project, Sheet, SheetsChanged, SheetsWish } from '@mendrel/contract';
import { MOST_WAITING } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { AssetModel } from '../assets/assetModel';
import { sweepAssets } from '../assets/sweepAssets';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
let project: Project;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());
beforeEach(async () => {
  project = (await server.agent.post('/api/projects').send({ name: 'Ropewalk', designId: null }).expect(201)).body;
  for (const number of ['A-101', 'A-102'])
    await server.agent
      .post(`/api/projects/${project.id}/sheets`)
      .send({ number, title: number, kind: 'plan', size: 'ISO A1' })
      .expect(201);
});

const viewOf = (id: string, more: Partial<View> = {}): View => ({
  id,
  name: `View ${id}`,
  realWidth: 10_000,
  realHeight: 8000,
  scale: '1:100',
  module: null,
  ...more,
});
const send = (change: SheetsWish) => server.agent.post(`/api/projects/${project.id}/sheet-changes`).send(change);
const tray = async (id = project.id): Promise<View[]> =>
  (await server.agent.get(`/api/projects/${id}/tray`).expect(200)).body as View[];
const names = async (): Promise<string[]> => (await tray()).map(({ id }) => id);
const sheets = async (id = project.id): Promise<Sheet[]> =>
  (await server.agent.get(`/api/projects/${id}/sheets`)).body as Sheet[];
async function show(views: View[]): Promise<Sheet> {
  const [first] = await sheets();
  const { body } = await server.agent
    .patch(`/api/sheets/${first!.id}`)
    .send({ views, version: first!.version })
    .expect(200);
  return body as Sheet;
}

test('a view waits in the tray of its project, and goes to a sheet in one step', async () => {
  await send({ tray: { put: [viewOf('a'), viewOf('b', { module: 'B2', shift: { x: 1, y: 2 }, locked: true })] } });
  expect(await tray()).toEqual([viewOf('a'), viewOf('b')]);
  const [first] = await sheets();
  const { id, version } = first!;
  const { body } = await send({
    changes: [{ id, version, views: [viewOf('b', { module: 'A1' })] }],
    tray: { take: ['b'] },
  }).expect(200);
  expect((body as SheetsChanged).sheets.map(({ views }) => views.length)).toEqual([1]);
  expect(await names()).toEqual(['a']);
});

test('two who take a view at once do it one after the other; it stands once', async () => {
  await send({ tray: { put: [viewOf('a')] } });
  const answers = await Promise.all(
    (await sheets()).map(({ id, version }) =>
      send({ changes: [{ id, version, views: [viewOf('a', { module: 'A1' })] }], tray: { take: ['a'] } }),
    ),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  expect((await sheets()).flatMap(({ views }) => views)).toHaveLength(1);
  expect(await tray()).toEqual([]);
});

test.each<[string, SheetsWish['tray'], number, string]>([
  ['a view that is there already', { put: [viewOf('a')] }, 400, 'View a is in the tray already'],
  ['a view that comes twice', { put: [viewOf('c'), viewOf('c')] }, 400, 'View c is in the tray already'],
  ['a scale that is none', { put: [viewOf('c', { scale: 'large' })] }, 400, 'View c: '],
  [
    'a drawing that is not kept',
    { put: [viewOf('c', { drawing: { linework: 'f'.repeat(64), name: 'x', unit: 1, x: 0, y: 0 } })] },
    400,
    'choose it again',
  ],
  [
    'more than it holds',
    { put: Array.from({ length: MOST_WAITING }, (_, i) => viewOf(`n${i}`)) },
    400,
    `a tray holds ${MOST_WAITING} views at most`,
  ],
  ['a view that is not in it', { take: ['a', 'z'] }, 409, 'someone else has changed this tray'],
])('%s is refused, and nothing is changed', async (_what, change, status, words) => {
  await send({ tray: { put: [viewOf('a')] } });
  const { body } = await send({ tray: change }).expect(status);
  expect(body.message).toContain(words);
  expect(await tray()).toEqual([viewOf('a')]);
});

test('views of a sheet that is deleted wait, and come back with it', async () => {
  const sheet = await show([viewOf('a', { module: 'A1' }), viewOf('b', { module: 'C1' })]);
  const { bin } = (await send({ deleted: [sheet.id], keepViews: true }).expect(200)).body as SheetsChanged;
  expect(await names()).toEqual(['a', 'b']);
  await server.agent.post(`/api/bin/${bin}/restore`).expect(200);
  expect(await tray()).toEqual([]);
  expect((await sheets())[0]!.views).toEqual(sheet.views);
});

test('a view that stands elsewhere by then stays there when its first sheet is restored', async () => {
  await send({ tray: { put: [viewOf('b')] } });
  const sheet = await show([viewOf('a', { module: 'A1' }), viewOf('b', { module: 'C1' })]);
  const { bin } = (await send({ deleted: [sheet.id], keepViews: true }).expect(200)).body as SheetsChanged;
  // The one that was there has its id, so the other waits under one of its own.
  const waiting = await names();
  expect(waiting).toHaveLength(3);
  expect(new Set(waiting).size).toBe(3);
  const [other] = await sheets();
  const { id, version } = other!;
  await send({ changes: [{ id, version, views: [viewOf('a', { module: 'B1' })] }], tray: { take: ['a'] } }).expect(200);
  await server.agent.post(`/api/bin/${bin}/restore`).expect(200);
  expect(await names()).toEqual(['b']);
  expect((await sheets()).map(({ views }) => views.map((view) => view.id))).toEqual([['b'], ['a']]);
});

test('views go with their sheet where nobody wants to keep them', async () => {
  const sheet = await show([viewOf('a', { module: 'A1' })]);
  await send({ deleted: [sheet.id] }).expect(200);
  expect(await tray()).toEqual([]);
});

test('a tray is deleted and restored with its project, and taken along into another', async () => {
  await send({ tray: { put: [viewOf('a'), viewOf('b')] } });
  const from = { projectId: project.id, take: ['sheets', 'views'] };
  const copy = (await server.agent.post('/api/projects').send({ name: 'Copy', designId: null, from }).expect(201)).body;
  expect((await tray(copy.id)).map(({ name }) => name)).toEqual(['View a', 'View b']);
  const { bin } = (await server.agent.delete(`/api/projects/${project.id}`).expect(200)).body;
  await server.agent.get(`/api/projects/${project.id}/tray`).expect(404);
  await server.agent.post(`/api/bin/${bin}/restore`).expect(200);
  expect(await names()).toEqual(['a', 'b']);
  // What comes later still comes last.
  await send({ tray: { put: [viewOf('c')] } });
  expect(await names()).toEqual(['a', 'b', 'c']);
});

/** A drawing in metres with one wall. */
const plan = (length: number): Buffer =>
  Buffer.from(
    [
      ...[0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, 6, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES'],
      ...[0, 'LINE', 8, 'WALL', 10, 0, 20, 0, 11, length, 21, 5, 0, 'ENDSEC', 0, 'EOF', ''],
    ].join('\n'),
  );

test('what a waiting view shows is kept, follows a new file, and is not deleted under it', async () => {
  const record = (
    await server.agent.post(`/api/projects/${project.id}/drawings`).attach('file', plan(10), 'plan.dxf').expect(201)
  ).body as DrawingRecord;
  const { linework } = record.spaces[0]!;
  await send({ tray: { put: [viewOf('a', { drawing: { linework, name: 'plan.dxf', unit: 1000, x: -1, y: -2 } })] } });
  const refused = (await server.agent.delete(`/api/drawings/${record.id}`).expect(409)).body;
  expect(refused.message).toContain('View a, which waits in the tray');
  const { drawing } = (
    await server.agent.put(`/api/drawings/${record.id}/file`).attach('file', plan(12), 'plan 2.dxf').expect(200)
  ).body as DrawingReplaced;
  const [view] = await tray();
  expect(view!.drawing).toMatchObject({ linework: drawing.spaces[0]!.linework, name: 'plan 2.dxf', x: -1, y: -2 });
  // Kept by the view alone: nothing else refers to it then.
  await server.database('project_drawings').delete();
  await server.database('assets').update({ used_at: new Date(0) });
  await sweepAssets(server.database);
  expect(await AssetModel.query(server.database).findById(drawing.spaces[0]!.linework)).toBeDefined();
  await server.agent.delete(`/api/projects/${project.id}`).expect(200);
  await server.database('assets').update({ used_at: new Date(0) });
  await sweepAssets(server.database);
  expect(await AssetModel.query(server.database).findById(drawing.spaces[0]!.linework)).toBeDefined();
});

test('a project that is not there has no tray', async () => {
  await server.agent.get(`/api/projects/${randomUUID()}/tray`).expect(404);
});
