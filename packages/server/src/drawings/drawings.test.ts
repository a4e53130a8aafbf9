import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { DrawingRecord, HistoryEntry, Project, Sheet } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { RED_PNG } from '../../../formats/src/testing/image';
import { AssetModel } from '../assets/assetModel';
import { sweepAssets } from '../assets/sweepAssets';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
let project: Project;
let sheet: Sheet;
const folder = mkdtempSync(join(tmpdir(), 'mendrel-drawings-'));
beforeAll(async () => {
  server = await startTestServer();
  [project] = (await server.agent.get('/api/projects')).body as [Project];
  const sheets = (await server.agent.get(`/api/projects/${project.id}/sheets`)).body as Sheet[];
  sheet = sheets.find(({ number }) => number === 'A-601')!;
});
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await server.stop();
});

const pairs = (...all: (string | number)[]): string => all.join('\n');
const line = (layer: string, x0: number, y0: number, x1: number, y1: number): string =>
  pairs(0, 'LINE', 8, layer, 10, x0, 20, y0, 11, x1, 21, y1);
/** A drawing in metres: a wall of 10 by 6 m, and a line on another layer that reaches far out of it. */
const PLAN = pairs(
  ...[0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, 6, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES'],
  line('WALL', 0, 0, 10, 0),
  line('WALL', 10, 0, 10, 6),
  line('WALL', 10, 6, 0, 6),
  line('WALL', 0, 6, 0, 0),
  line('AXIS', -30, 3, 40, 3),
  pairs(0, 'TEXT', 8, 'NAMES', 10, 4, 20, 4, 40, 0.25, 1, 'Hall'),
  ...[0, 'ENDSEC', 0, 'EOF', ''],
);

const bring = (content: string | Buffer, name = 'plan.dxf', id = project.id) =>
  server.agent.post(`/api/projects/${id}/drawings`).attach('file', Buffer.from(content), name);

function viewOf(
  { name, spaces: [space] }: DrawingRecord,
  scale: string,
  over: Partial<NonNullable<View['drawing']>> = {},
): View {
  const drawing = { linework: space!.linework, name, unit: 1000, x: -1, y: -1, ...over };
  return { id: 'plan', name: 'Plan', realWidth: 12_000, realHeight: 8000, scale, module: 'A1', drawing };
}

async function show(views: View[]): Promise<void> {
  const { body } = await server.agent
    .patch(`/api/sheets/${sheet.id}`)
    .send({ views, version: sheet.version })
    .expect(200);
  sheet = body as Sheet;
}

const fileOf = async (ending: string): Promise<Buffer> =>
  (await server.agent.get(`/api/sheets/${sheet.id}/sheet.${ending}`).responseType('blob').expect(200)).body as Buffer;

// Reference: ezdxf reads the exported file.
const LINES = `
import ezdxf, json, sys
doc = ezdxf.readfile(sys.argv[1])
assert not doc.audit().errors
print(json.dumps([[e.dxf.layer] + [c for p in e.get_points("xy") for c in p] for e in doc.modelspace() if e.dxftype() == "LWPOLYLINE"]))
`;
function linesIn(dxf: Buffer): [string, ...number[]][] {
  const path = join(folder, 'sheet.dxf');
  writeFileSync(path, dxf);
  return JSON.parse(execFileSync('/usr/bin/python3', ['-c', LINES, path], { encoding: 'utf8' })) as [
    string,
    ...number[],
  ][];
}

let drawing: DrawingRecord;

test('a drawing is read once and told of: its parts, its unit, its layers, its lowest letters', async () => {
  const { body } = await bring(PLAN).expect(201);
  drawing = body as DrawingRecord;
  expect(drawing).toMatchObject({
    name: 'plan.dxf',
    spaces: [
      {
        name: 'Model',
        unit: 1000,
        items: 6,
        leastText: 0.25,
        box: { x: -30, y: 0, width: 70, height: 6 },
        layers: [
          { name: 'AXIS', items: 1 },
          { name: 'NAMES', items: 1 },
          { name: 'WALL', items: 4 },
        ],
      },
    ],
  });
  const { body: again } = await bring(PLAN, 'copy.dxf').expect(201);
  expect((again as DrawingRecord).spaces[0]!.linework).toBe(drawing.spaces[0]!.linework);
  await server.agent.delete(`/api/drawings/${(again as DrawingRecord).id}`).expect(200);
  const { body: all } = await server.agent.get(`/api/projects/${project.id}/drawings`).expect(200);
  expect((all as DrawingRecord[]).map(({ name }) => name)).toContain('plan.dxf');
});

test.each([
  ['1:50', 50],
  ['1:100', 100],
  ['1/8" = 1\'-0"', 96],
])('lengths on paper are those of the building at %s, cut exactly at the window', async (scale, denominator) => {
  await show([viewOf(drawing, scale)]);
  const lines = linesIn(await fileOf('dxf'));
  const walls = lines
    .filter(([layer]) => layer === 'WALL')
    .map(([, x0 = 0, y0 = 0, x1 = 0, y1 = 0]) => Math.hypot(x1 - x0, y1 - y0));
  expect(walls.sort((a, b) => a - b).map((each) => Math.round(each * 1000) / 1000)).toEqual(
    [6000, 6000, 10_000, 10_000].map((mm) => Math.round((mm / denominator) * 1000) / 1000),
  );
  // The axis is 70 m long; the window shows 12 m of it.
  const [, x0 = 0, , x1 = 0] = lines.find(([layer]) => layer === 'AXIS')!;
  expect(Math.abs(x1 - x0)).toBeCloseTo(12_000 / denominator, 3);
});

test('layers that a view hides are in no file; its texts are', async () => {
  await show([viewOf(drawing, '1:100', { hidden: ['AXIS'] })]);
  expect(linesIn(await fileOf('dxf')).some(([layer]) => layer === 'AXIS')).toBe(false);
  expect((await fileOf('svg')).toString()).toContain('>Hall</text>');
  expect((await fileOf('pdf')).subarray(0, 5).toString()).toBe('%PDF-');
});

test('a picture of what a view shows comes under an address that says all of it', async () => {
  const [space] = drawing.spaces;
  const piece = {
    width: 120,
    height: 80,
    from: { x: -1, y: -1 },
    perUnit: 10,
    hidden: ['AXIS'],
    typeface: 'Barlow Semi Condensed',
    least: 0.18,
  };
  const address = `/api/linework/${space!.linework}/picture.svg`;
  const { body, headers } = await server.agent
    .get(address)
    .query({ piece: JSON.stringify(piece) })
    .expect(200);
  expect(headers).toMatchObject({
    'content-type': 'image/svg+xml; charset=utf-8',
    'cache-control': 'private, max-age=31536000, immutable',
  });
  const svg = (body as Buffer).toString();
  // A wall of 10 m at 1:100, one metre from the corner, y down.
  expect(svg).toContain('M10 70H110');
  expect(svg).toContain('@font-face');
  await server.agent.get(address).expect(400);
  await server.agent.get(address).query({ piece: '{' }).expect(400);
  await server.agent
    .get(address)
    .query({ piece: JSON.stringify({ ...piece, width: -1 }) })
    .expect(400);
  await server.agent
    .get(`/api/linework/${'0'.repeat(64)}/picture.svg`)
    .query({ piece: JSON.stringify(piece) })
    .expect(404);
});

test('a drawing that a sheet shows is not deleted, and says where it is shown', async () => {
  await show([viewOf(drawing, '1:100')]);
  const { body } = await server.agent.delete(`/api/drawings/${drawing.id}`).expect(409);
  expect(body.message).toBe('plan.dxf is shown on A-601; take it off there first');
});

test('a new file takes the place of a drawing: views show it in the same window, and history tells', async () => {
  await show([viewOf(drawing, '1:100', { hidden: ['AXIS'] })]);
  // The same plan in millimetres, with a door where a wall was.
  const thousand = (...at: number[]): number[] => at.map((each) => each * 1000);
  const millimetres = pairs(
    ...[0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, 4, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES'],
    ...[
      [0, 0, 4, 0],
      [5, 0, 10, 0],
      [10, 0, 10, 6],
      [10, 6, 0, 6],
      [0, 6, 0, 0],
    ].map((at) => {
      const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = thousand(...at);
      return line('WALL', x0, y0, x1, y1);
    }),
    ...[0, 'ENDSEC', 0, 'EOF', ''],
  );
  const { body } = await server.agent
    .put(`/api/drawings/${drawing.id}/file`)
    .attach('file', Buffer.from(millimetres), 'plan B.dxf')
    .expect(200);
  expect(body).toMatchObject({ sheets: ['A-601'], issued: [], drawing: { name: 'plan B.dxf' } });
  drawing = body.drawing as DrawingRecord;
  sheet = ((await server.agent.get(`/api/projects/${project.id}/sheets`)).body as Sheet[]).find(
    ({ id }) => id === sheet.id,
  )!;
  expect(sheet.views[0]).toMatchObject({
    realWidth: 12_000,
    scale: '1:100',
    module: 'A1',
    drawing: {
      name: 'plan B.dxf',
      // When it was brought, so that a view that does not follow is known to be older.
      brought: drawing.addedAt,
      unit: 1,
      x: -1000,
      y: -1000,
      hidden: ['AXIS'],
      linework: drawing.spaces[0]!.linework,
    },
  });
  const walls = linesIn(await fileOf('dxf')).filter(([layer]) => layer === 'WALL');
  expect(
    walls.map(([, x0 = 0, y0 = 0, x1 = 0, y1 = 0]) => Math.round(Math.hypot(x1 - x0, y1 - y0))).sort((a, b) => a - b),
  ).toEqual([40, 50, 60, 60, 100]);
  const { body: history } = await server.agent.get(`/api/sheets/${sheet.id}/history`).expect(200);
  expect((history as HistoryEntry[]).some(({ field }) => field === 'views')).toBe(true);
  await server.agent
    .put(`/api/drawings/${drawing.id}/file`)
    .attach('file', Buffer.from(PLAN.slice(0, 90)), 'cut.dxf')
    .expect(422);
  // Back to metres for what follows.
  const { body: back } = await server.agent
    .put(`/api/drawings/${drawing.id}/file`)
    .attach('file', Buffer.from(PLAN), 'plan.dxf')
    .expect(200);
  drawing = back.drawing as DrawingRecord;
  sheet = ((await server.agent.get(`/api/projects/${project.id}/sheets`)).body as Sheet[]).find(
    ({ id }) => id === sheet.id,
  )!;
  expect(sheet.views[0]!.drawing).toMatchObject({ unit: 1000, x: -1, y: -1 });
});

test('a view may not show what is not kept', async () => {
  const { body } = await server.agent
    .patch(`/api/sheets/${sheet.id}`)
    .send({ views: [viewOf(drawing, '1:100', { linework: 'f'.repeat(64) })], version: sheet.version })
    .expect(400);
  expect(body).toMatchObject({ where: 'views.0.drawing', message: expect.stringContaining('choose it again') });
});

test.each<[string, () => string | Buffer, RegExp]>([
  ['cut off', () => PLAN.slice(0, PLAN.length / 2), /cut off/],
  ['empty', () => pairs(0, 'SECTION', 2, 'ENTITIES', 0, 'ENDSEC', 0, 'EOF', ''), /nothing is drawn/],
  [
    'a level line only',
    () => pairs(0, 'SECTION', 2, 'ENTITIES', line('A', 0, 0, 9, 0), 0, 'ENDSEC', 0, 'EOF', ''),
    /nothing is drawn/,
  ],
  ['a damaged picture', () => Buffer.from(RED_PNG, 'base64').subarray(0, 50), /damaged|picture/],
  ['no drawing at all', () => 'hello', /line 1|section|group code|not a whole/],
])('a file that is %s is refused in words, and leaves nothing behind', async (_what, content, words) => {
  const before = await AssetModel.query(server.database).resultSize();
  const { body, status } = await bring(content(), 'bad.dxf');
  expect([400, 422]).toContain(status);
  expect(body.message).toMatch(words);
  expect(await AssetModel.query(server.database).resultSize()).toBe(before);
});

test('a picture of dots can be shown as well', async () => {
  const { body } = await bring(Buffer.from(RED_PNG, 'base64'), 'photo.png').expect(201);
  expect((body as DrawingRecord).spaces).toMatchObject([{ name: 'Picture', box: { x: 0, y: 0, width: 4, height: 2 } }]);
});

test('linework stays as long as a view, a drawing, the bin or an issue knows it, and goes a week after', async () => {
  const { database } = server;
  const [space] = drawing.spaces;
  const long = async (): Promise<number> =>
    AssetModel.query(database)
      .findById(space!.linework)
      .patch({ used_at: new Date(0) });
  await long();
  await sweepAssets(database);
  expect(await AssetModel.query(database).findById(space!.linework)).toBeDefined();
  // Another project, with the drawing and a view of it, goes to the bin.
  const { body: copy } = await server.agent
    .post('/api/projects')
    .send({ name: 'Copied', designId: null, from: { projectId: project.id, take: ['data', 'sheets', 'views'] } })
    .expect(201);
  const { body: copied } = await server.agent.get(`/api/projects/${copy.id}/drawings`).expect(200);
  expect((copied as DrawingRecord[]).map(({ name }) => name)).toContain('plan.dxf');
  await show([]);
  await server.agent.delete(`/api/drawings/${drawing.id}`).expect(200);
  await server.agent.delete(`/api/projects/${copy.id}`).expect(200);
  await long();
  await sweepAssets(database);
  expect(await AssetModel.query(database).findById(space!.linework)).toBeDefined();
  await database('bin').delete();
  await long();
  await sweepAssets(database);
  expect(await AssetModel.query(database).findById(space!.linework)).toBeUndefined();
});

test('an issued sheet keeps what its views showed, whatever the register shows later', async () => {
  const { body: added } = await bring(PLAN).expect(201);
  await show([viewOf(added as DrawingRecord, '1:100')]);
  const { body: set } = await server.agent
    .post(`/api/projects/${project.id}/sets`)
    .send({ values: { 'set.name': 'Schedules' }, sheets: [sheet.id] })
    .expect(201);
  const { body: issue } = await server.agent
    .post(`/api/projects/${project.id}/issues`)
    .send({
      id: '0f0e0d0c-0b0a-4908-8706-050403020100',
      setId: set.id,
      date: '2031-06-01',
      purpose: 'For information',
      recipients: [],
      remarks: '',
      transmittal: null,
    })
    .expect(201);
  const own = async (): Promise<string> => {
    const { body } = await server.agent
      .get(`/api/issues/${issue.id}/sheets/0/sheet.dxf`)
      .responseType('blob')
      .expect(200);
    return (body as Buffer).toString();
  };
  const before = await own();
  expect(before).toContain('WALL');
  sheet = ((await server.agent.get(`/api/projects/${project.id}/sheets`)).body as Sheet[]).find(
    ({ id }) => id === sheet.id,
  )!;
  await show([]);
  await server.agent.delete(`/api/drawings/${(added as DrawingRecord).id}`).expect(200);
  await AssetModel.query(server.database)
    .where({ type: 'linework' })
    .patch({ used_at: new Date(0) });
  await sweepAssets(server.database);
  expect(await own()).toBe(before);
});
