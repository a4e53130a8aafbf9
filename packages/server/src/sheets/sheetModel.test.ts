import type { Project, Sheet } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';
import { sheetRecords, sheetsAsJson } from './sheetModel';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

describe('the sheets of a project as JSON text', () => {
  test('are those that are read as records, with revisions and without', async () => {
    const [first] = (await server.agent.get('/api/projects').expect(200)).body as Project[];
    const { body } = await server.agent
      .post('/api/projects')
      .send({ name: 'Netmakers Row Loft', designId: first?.designId })
      .expect(201);
    for (const title of ['Plan', 'Plan of the roof']) {
      await server.agent
        .post(`/api/projects/${(body as Project).id}/sheets`)
        .send({ title, kind: 'plan', size: 'ISO A1' })
        .expect(201);
    }
    const projects = (await server.agent.get('/api/projects').expect(200)).body as Project[];
    const revised = new Set<boolean>();
    for (const { id } of projects) {
      const records = await sheetRecords(id, server.database);
      revised.add(records.some(({ revisions }) => revisions.length > 0));
      expect(JSON.parse((await sheetsAsJson(id, server.database)) ?? '')).toEqual(records);
    }
    expect(revised.size).toBe(2);
  });

  test('keep every character of a value', async () => {
    const projects = (await server.agent.get('/api/projects').expect(200)).body as Project[];
    for (const { id } of projects) {
      const [sheet] = await sheetRecords(id, server.database);
      const notes = 'Size 3/4" \\ "quoted"\nsecond line\tλ “x” 𝛼';
      const { body } = await server.agent
        .patch(`/api/sheets/${sheet?.id}`)
        .send({ values: { ...sheet?.values, 'sheet.notes': notes }, version: sheet?.version })
        .expect(200);
      const told = (await server.agent.get(`/api/projects/${id}/sheets`).expect(200)).body as Sheet[];
      expect(told.find((each) => each.id === sheet?.id)).toEqual(body);
      expect((body as Sheet).values['sheet.notes']).toBe(notes);
    }
  });

  test('a project without sheets has an empty list, one that is not there none', async () => {
    const { body } = await server.agent.post('/api/projects').send({ name: 'Alder House', designId: null }).expect(201);
    const { id } = body as Project;
    expect(await sheetsAsJson(id, server.database)).toBeUndefined();
    expect((await server.agent.get(`/api/projects/${id}/sheets`).expect(200)).body).toEqual([]);
    await server.agent.get('/api/projects/5d0bd1a7-6f0e-4d4f-9f0c-0d9a4a3f8d11/sheets').expect(404);
  });
});
