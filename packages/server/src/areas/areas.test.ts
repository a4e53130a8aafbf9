import type { DrawingRecord, Project, ProjectAreas, ProjectTables } from '@mendrel/contract';
import type { AreaSettings } from '@mendrel/core';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
let project: Project;
beforeAll(async () => {
  server = await startTestServer();
  project = (await server.agent.post('/api/projects').send({ name: 'Measured', designId: null }).expect(201))
    .body as Project;
});
afterAll(() => server.stop());

const pairs = (...all: (string | number)[]): string => all.join('\n');
const room = (x: number, y: number, width: number, height: number): string =>
  pairs(
    0,
    'LWPOLYLINE',
    8,
    'AREA',
    90,
    4,
    70,
    1,
    10,
    x,
    20,
    y,
    10,
    x + width,
    20,
    y,
    10,
    x + width,
    20,
    y + height,
    10,
    x,
    20,
    y + height,
  );
const text = (words: string, x: number, y: number, height: number): string =>
  pairs(0, 'TEXT', 8, 'NAMES', 10, x, 20, y, 40, height, 1, words);
/** Two rooms in millimetres; the hall as wide as is asked for. */
const plan = (width: number, inMetres = false): Buffer => {
  const by = inMetres ? 0.001 : 1;
  return Buffer.from(
    pairs(
      ...[0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, inMetres ? 6 : 4, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES'],
      room(0, 0, width * by, 6000 * by),
      text('0.01', 500 * by, 500 * by, 200 * by),
      text('Hall', 500 * by, 1000 * by, 200 * by),
      room(width * by, 0, 3000 * by, 6000 * by),
      text('0.02', (width + 500) * by, 500 * by, 200 * by),
      text('Office', (width + 500) * by, 1000 * by, 200 * by),
      ...[0, 'ENDSEC', 0, 'EOF', ''],
    ),
  );
};

const areas = async (): Promise<ProjectAreas> =>
  (await server.agent.get(`/api/projects/${project.id}/areas`).expect(200)).body;
const rows = async (): Promise<string[][]> => {
  const { body } = await server.agent.get(`/api/projects/${project.id}/tables`).expect(200);
  return ((body as ProjectTables).tables['areas'] ?? []).map(({ group, name, area }) => [
    group ?? '',
    name ?? '',
    area ?? '',
  ]);
};

let drawing: DrawingRecord;
let settings: AreaSettings;

test('a project begins with no areas, in the unit of the office', async () => {
  expect(await areas()).toMatchObject({ settings: { sources: [], groups: [], unit: 'm²', decimals: 2 }, sources: [] });
  const { body } = await server.agent
    .post(`/api/projects/${project.id}/drawings`)
    .attach('file', plan(5000), 'plan.dxf')
    .expect(201);
  drawing = body as DrawingRecord;
  settings = {
    sources: [{ drawing: drawing.id, space: 'Model', layers: ['AREA'], unit: 1 }],
    groups: ['Public', 'Staff'],
    groupOf: { '0.01': 'Public', '0.02': 'Staff' },
    unit: 'm²',
    decimals: 2,
  };
});

test('what would be measured is told before anything is saved', async () => {
  const { body } = await server.agent.post(`/api/projects/${project.id}/areas/measure`).send({ settings }).expect(200);
  expect(body).toMatchObject([
    {
      drawing: 'plan.dxf',
      areas: [
        { number: '0.01', name: 'Hall', squareMetres: 30 },
        { number: '0.02', name: 'Office', squareMetres: 18 },
      ],
      findings: [],
    },
  ]);
  expect(await rows()).toEqual([]);
});

test('saved, they are the rows of the table of areas, and stay when other tables are saved', async () => {
  const { version } = await areas();
  await server.agent.put(`/api/projects/${project.id}/areas`).send({ settings, version }).expect(200);
  const listed = [
    ['Public', '0.01 Hall', '30.00 m²'],
    ['Public', 'Total Public', '30.00 m²'],
    ['Staff', '0.02 Office', '18.00 m²'],
    ['Staff', 'Total Staff', '18.00 m²'],
    ['', 'Total', '48.00 m²'],
  ];
  expect(await rows()).toEqual(listed);
  await server.agent.put(`/api/projects/${project.id}/areas`).send({ settings, version }).expect(409);
  const { body } = await server.agent.get(`/api/projects/${project.id}/tables`).expect(200);
  const contacts = [{ discipline: 'Structure', firm: 'Tarn & Selvedge' }];
  await server.agent
    .put(`/api/projects/${project.id}/tables`)
    .send({ tables: { ...body.tables, contacts }, version: body.version })
    .expect(200);
  expect(await rows()).toEqual(listed);
});

test('they follow when the drawing gets a new file', async () => {
  await server.agent.put(`/api/drawings/${drawing.id}/file`).attach('file', plan(7000), 'plan B.dxf').expect(200);
  expect((await rows())[0]).toEqual(['Public', '0.01 Hall', '42.00 m²']);
  expect((await areas()).sources).toMatchObject([{ drawing: 'plan B.dxf' }]);
  // Drawn in metres the rooms are as large as before.
  await server.agent.put(`/api/drawings/${drawing.id}/file`).attach('file', plan(7000, true), 'metres.dxf').expect(200);
  expect((await rows())[0]).toEqual(['Public', '0.01 Hall', '42.00 m²']);
  expect((await areas()).settings.sources).toMatchObject([{ unit: 1000 }]);
  await server.agent.put(`/api/drawings/${drawing.id}/file`).attach('file', plan(7000), 'plan B.dxf').expect(200);
});

test('a drawing that areas are measured from is not deleted; a copy of the project begins without areas', async () => {
  const { body } = await server.agent.delete(`/api/drawings/${drawing.id}`).expect(409);
  expect(body.message).toBe('areas are measured from plan B.dxf; remove it under Areas first');
  const { body: copy } = await server.agent
    .post('/api/projects')
    .send({ name: 'Copy', designId: null, from: { projectId: project.id, take: ['data'] } })
    .expect(201);
  const { body: tables } = await server.agent.get(`/api/projects/${(copy as Project).id}/tables`).expect(200);
  expect(Object.keys((tables as ProjectTables).tables)).toEqual(['contacts']);
});

test('a drawing of another project, or one that is gone, gives nothing and is named so', async () => {
  const other = {
    ...settings,
    sources: [{ ...settings.sources[0]!, drawing: '11111111-1111-4111-8111-111111111111' }],
  };
  const { body } = await server.agent
    .post(`/api/projects/${project.id}/areas/measure`)
    .send({ settings: other })
    .expect(200);
  expect(body).toEqual([{ drawing: null, linework: null, areas: [], findings: [] }]);
  await server.agent
    .post(`/api/projects/${project.id}/areas/measure`)
    .send({ settings: { ...settings, decimals: 9 } })
    .expect(400);
});
