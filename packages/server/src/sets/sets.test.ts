import type { Project, Sheet, SheetSet } from '@mendrel/contract';
import { pagesOf } from '../testing/pdfPages';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const ferry = async (): Promise<Project> =>
  ((await server.agent.get('/api/projects')).body as Project[]).find(({ name }) => name.includes('Ferry'))!;
const sheetsOf = async (id: string): Promise<Sheet[]> => (await server.agent.get(`/api/projects/${id}/sheets`)).body;
const setsOf = async (id: string): Promise<SheetSet[]> => (await server.agent.get(`/api/projects/${id}/sets`)).body;
const make = async (projectId: string, name: string, sheets: readonly string[], status = 201) =>
  (
    await server.agent
      .post(`/api/projects/${projectId}/sets`)
      .send({ values: { 'set.name': name }, sheets })
      .expect(status)
  ).body;

test('sheets go out in the order of their set, as many as it has, with what is said of it', async () => {
  const project = await ferry();
  const sheets = await sheetsOf(project.id);
  const [plan, other] = sheets.filter(({ number }) => /^A-1/.test(number));
  const cover = sheets.find(({ kind }) => kind === 'cover')!;
  const set = (await make(project.id, 'Pontoon works', [other!.id, cover.id, plan!.id])) as SheetSet;
  expect(set.sheets).toEqual([other!.id, cover.id, plan!.id]);
  const pdf = await server.agent.get(`/api/projects/${project.id}/set.pdf?set=${set.id}`).expect(200);
  expect(decodeURIComponent(pdf.headers['content-disposition'] as string)).toContain('Pontoon-works');
  const text = pagesOf(pdf.body as Buffer).map(({ words }) => words);
  expect(text[0]).toContain(other!.number);
  expect(text[2]).toContain(plan!.number);
  expect(text).toHaveLength(3);
  // The index on the cover lists the set, in its order, and nothing else.
  const index = text[1]!;
  expect(index.indexOf(other!.number)).toBeLessThan(index.indexOf(plan!.number));
  expect(index).not.toContain(sheets.at(-1)!.number);
  const svg = await server.agent.get(`/api/sheets/${plan!.id}/sheet.svg?set=${set.id}`).expect(200);
  expect(svg.body.toString()).not.toBe((await server.agent.get(`/api/sheets/${plan!.id}/sheet.svg`)).body.toString());
});

test('sets keep their places and close up when one of them, or one of their sheets, is deleted', async () => {
  const project = (await server.agent.post('/api/projects').send({ name: 'Ropewalk', designId: null })).body as Project;
  const ids: string[] = [];
  for (const number of ['A-101', 'A-102', 'A-103', 'A-104']) {
    const body = { number, title: number, kind: 'plan', size: 'ISO A1' };
    ids.push((await server.agent.post(`/api/projects/${project.id}/sheets`).send(body).expect(201)).body.id as string);
  }
  const made = await Promise.all(
    ['One', 'Two', 'Three'].map((name) => make(project.id, name, [ids[3]!, ids[0]!, ids[2]!])),
  );
  await Promise.all([ids[0]!, ids[2]!].map((id) => server.agent.delete(`/api/sheets/${id}`).expect(200)));
  const places = await server.database('set_sheets').whereIn(
    'set_id',
    made.map(({ id }) => id as string),
  );
  expect(places.map((row) => [row.sheet_id, row.position])).toEqual(made.map(() => [ids[3], 0]));
  const [first, second] = await setsOf(project.id);
  await server.agent.delete(`/api/sets/${first!.id}`).expect(200);
  const left = await server.database('sets').where({ project_id: project.id }).orderBy('position');
  expect(left.map((row) => row.position)).toEqual([0, 1]);
  expect(left[0].id).toBe(second!.id);
});

test('a set is changed from the version that was read, and holds what can be said of a set only', async () => {
  const project = await ferry();
  const [sheet] = await sheetsOf(project.id);
  const set = (await make(project.id, 'Bridge', [])) as SheetSet;
  const patch = (body: object) => server.agent.patch(`/api/sets/${set.id}`).send({ version: set.version, ...body });
  expect((await patch({ values: { 'set.name': ' ' } }).expect(400)).body.message).toContain('needs a name');
  expect((await patch({ values: { 'set.name': 'B', 'project.name': 'x' } }).expect(400)).body.where).toBe(
    'values.project.name',
  );
  expect((await patch({ sheets: [project.id] }).expect(400)).body.message).toContain('not there any more');
  const changed = (await patch({ sheets: [sheet!.id, sheet!.id] }).expect(200)).body as SheetSet;
  expect(changed).toMatchObject({ sheets: [sheet!.id], version: set.version + 1 });
  await patch({ sheets: [] }).expect(409);
  expect((await setsOf(project.id)).find(({ id }) => id === set.id)?.sheets).toEqual([sheet!.id]);
});
