import { randomUUID } from 'node:crypto';
import type { DeskRecord, Project, Sheet, SheetFindings, StandardState } from '@mendrel/contract';
import { drawSheet, sheetSources, toMend } from '@mendrel/core';
import type { Finding } from '@mendrel/core';
import fc from 'fast-check';
import pino from 'pino';
import { DesignModel } from '../designs/designModel';
import { theOffice } from '../office/officeModel';
import { drawableProject } from '../output/sheetDrawing';
import { projectDesigns } from '../projects/projectDesigns';
import { ProjectModel } from '../projects/projectModel';
import { SheetModel, sheetRecords } from '../sheets/sheetModel';
import { standardAt } from '../standard/standardModel';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';
import { perform } from '../work/perform';
import type { Work } from '../work/tasks';
import { FindingsKeeper } from './findingsKeeper';
import { ProjectFindingsModel, SheetFindingsModel } from './findingsModel';
import { summaryOf } from './summary';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** What each sheet says when it is drawn now. */
async function afresh(): Promise<Map<string, Finding[]>> {
  const { database, library } = server;
  const found = new Map<string, Finding[]>();
  for (const project of await ProjectModel.query(database).whereNotNull('design_id')) {
    const designs = (await projectDesigns(project, database))!;
    const design = designs.usual.document;
    const standard = await standardAt(project.standard_revision, database);
    const office = (await theOffice(database)).values;
    const sheets = await sheetRecords(project.id, database);
    const of = { design, standard, office, project: project.values };
    for (const [i, source] of sheetSources(of, sheets, (index) => designs.of(sheets[index]!).document).entries())
      found.set(sheets[i]!.id, toMend(drawSheet(source, library.typefaces)));
  }
  return found;
}

/** Counts the sheets that are drawn. */
function counting(): { keeper: FindingsKeeper; drawn: () => number } {
  let count = 0;
  const work: Work = (kind, task) => {
    if ('count' in task) count += task.sheets.length;
    return Promise.resolve(perform(kind, task, server.library.typefaces));
  };
  const keeper = new FindingsKeeper({
    database: server.database,
    work,
    whenIdle: work,
    program: 'test',
    log: pino({ level: 'silent' }),
  });
  return { keeper, drawn: () => [count, (count = 0)][0]! };
}

const desk = async (page = 0): Promise<DeskRecord> =>
  (await server.agent.get(`/api/desk?page=${page}`).expect(200)).body;
const projects = async (): Promise<Project[]> => (await server.agent.get('/api/projects').expect(200)).body;
const sheetsIn = async (id: string): Promise<Sheet[]> =>
  (await server.agent.get(`/api/projects/${id}/sheets`).expect(200)).body;

test('nothing is claimed of sheets before they were looked at', async () => {
  const before = await desk();
  expect(before).toMatchObject({ projects: 3, sheets: 69, fitting: 0, waiting: 3, groups: [] });
  await server.findings.refresh();
  const { waiting, fitting, groups, count } = await desk();
  const found = [...(await afresh()).values()];
  expect(waiting).toBe(0);
  expect(fitting).toBe(found.filter((each) => each.length === 0).length);
  expect(count).toBe(groups.length);
  expect(groups.length).toBeGreaterThan(0);
});

test('a sheet is drawn again only when something that it is drawn from has changed', async () => {
  const { keeper, drawn } = counting();
  await keeper.refresh();
  expect(drawn()).toBe(0);
  const [project] = await projects();
  const [sheet] = await sheetsIn(project!.id);
  await server.agent.patch(`/api/sheets/${sheet!.id}`).send({ title: 'Other', version: sheet!.version }).expect(200);
  expect((await desk()).waiting).toBe(1);
  await keeper.refresh();
  expect(drawn()).toBe(1);
  // A version alone is no change of what is drawn.
  const { version } = (await sheetsIn(project!.id)).find(({ id }) => id === sheet!.id)!;
  await server.agent.patch(`/api/sheets/${sheet!.id}`).send({ title: 'Other', version }).expect(200);
  await keeper.refresh();
  expect(drawn()).toBe(0);
  // A plan with another title stands in the list on the cover, and on no other sheet.
  const plan = (await sheetsIn(project!.id)).find(({ kind }) => kind === 'plan')!;
  await server.agent.patch(`/api/sheets/${plan.id}`).send({ title: 'Other', version: plan.version }).expect(200);
  await keeper.refresh();
  expect(drawn()).toBe(2);
  // Another program may find something else.
  const { database, library } = server;
  let other = 0;
  const work: Work = (kind, task) => {
    if ('count' in task) other += task.sheets.length;
    return Promise.resolve(perform(kind, task, library.typefaces));
  };
  await new FindingsKeeper({
    database,
    work,
    whenIdle: work,
    program: 'newer',
    log: pino({ level: 'silent' }),
  }).refresh();
  expect(other).toBe(69);
  await keeper.refresh();
});

/** Changes of everything that a sheet is drawn from, by the routes that people make them by. */
const CHANGES: Record<string, (pick: number) => Promise<unknown>> = {
  async title(pick) {
    const sheet = await aSheet(pick);
    const title = 'A very long title of a sheet '.repeat(pick % 6);
    await server.agent.patch(`/api/sheets/${sheet.id}`).send({ title, version: sheet.version }).expect(200);
  },
  async size(pick) {
    const sheet = await aSheet(pick);
    const size = ['ISO A1', 'ISO A3', 'ISO B1'][pick % 3];
    await server.agent.patch(`/api/sheets/${sheet.id}`).send({ size, version: sheet.version }).expect(200);
  },
  async 'a new sheet'(pick) {
    const project = await aProject(pick);
    const sheet = { title: 'New', kind: 'plan', size: 'ISO A1' };
    await server.agent.post(`/api/projects/${project.id}/sheets`).send(sheet).expect(201);
  },
  async 'a deleted sheet'(pick) {
    await server.agent.delete(`/api/sheets/${(await aSheet(pick)).id}`).expect(200);
  },
  async 'project data'(pick) {
    const { id, values, version } = await aProject(pick);
    const changed = { ...values, 'project.client': pick % 2 === 0 ? 'A client with a name of some length' : '' };
    await server.agent.patch(`/api/projects/${id}`).send({ values: changed, version }).expect(200);
  },
  async 'the revision of the design'(pick) {
    const { id, designRevision, version } = await aProject(pick);
    const other = designRevision === null ? 1 : null;
    await server.agent.patch(`/api/projects/${id}`).send({ designRevision: other, version }).expect(200);
  },
  async 'the design of a kind of sheet'(pick) {
    const { id, kinds, version } = await aProject(pick);
    const designs = await DesignModel.query(server.database);
    const own = { kind: 'plan', designId: designs[pick % designs.length]!.id, designRevision: null, size: null };
    await server.agent
      .patch(`/api/projects/${id}`)
      .send({ kinds: kinds.length > 0 ? [] : [own], version })
      .expect(200);
  },
  async 'a revision of a sheet'(pick) {
    const sheet = await aSheet(pick);
    const words = {
      date: '2031-04-02',
      description: 'Changed '.repeat(1 + (pick % 9)),
      by: '',
      checked: '',
      code: null,
    };
    await server.agent
      .post(`/api/projects/${sheet.projectId}/revisions`)
      .send({ id: randomUUID(), ...words, sheets: [sheet.id] })
      .expect(201);
  },
  async 'the design'(pick) {
    const designs = await DesignModel.query(server.database);
    const { id, document, version } = designs[pick % designs.length]!;
    const edited = {
      ...document,
      dimensions: document.dimensions.map((each) => ({ ...each })),
      name: `Design ${pick}`,
    };
    await server.agent.put(`/api/designs/${id}`).send({ document: edited, version }).expect(200);
  },
  async 'office data'(pick) {
    const { values, version } = (await server.agent.get('/api/office').expect(200)).body as {
      values: object;
      version: number;
    };
    const changed = { ...values, 'office.name': 'An office with a name '.repeat(1 + (pick % 5)) };
    await server.agent.put('/api/office').send({ values: changed, version }).expect(200);
  },
  async 'the standard'(pick) {
    const { draft, version } = (await server.agent.get('/api/standard').expect(200)).body as StandardState;
    const roles = draft.roles.map((role) =>
      role.id === 'value' ? { ...role, height: [2.5, 3.5, 7][pick % 3]! } : role,
    );
    await server.agent
      .put('/api/standard')
      .send({ standard: { ...draft, roles }, version })
      .expect(200);
  },
  async 'the standard of a project'(pick) {
    const { id, standard, version } = await aProject(pick);
    await server.agent
      .patch(`/api/projects/${id}`)
      .send({ standard: standard === null ? 1 : null, version })
      .expect(200);
  },
};
const aProject = async (pick: number): Promise<Project> => (await projects())[pick % 3]!;
async function aSheet(pick: number): Promise<Sheet> {
  const sheets = await sheetsIn((await aProject(pick)).id);
  return sheets[pick % sheets.length]!;
}

test('after whatever changes, what is kept is what drawing all sheets afresh finds', async () => {
  const step = fc.tuple(fc.constantFrom(...Object.keys(CHANGES)), fc.nat(10_000));
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 4 }), async (steps) => {
      for (const [kind, pick] of steps) await CHANGES[kind]!(pick);
      await server.findings.refresh();
      const found = await afresh();
      const kept = await SheetFindingsModel.query(server.database);
      expect(new Map(kept.map((row) => [row.sheet_id, row.findings]))).toEqual(
        new Map([...found].map(([id, findings]) => [id, JSON.parse(JSON.stringify(findings)) as Finding[]])),
      );
      const summaries = await ProjectFindingsModel.query(server.database);
      expect(summaries).toHaveLength(3);
      for (const { project_id, summary } of summaries) {
        const sheets = await sheetRecords(project_id, server.database);
        const designs = (await projectDesigns(
          (await ProjectModel.query(server.database).findById(project_id))!,
          server.database,
        ))!;
        const told = summaryOf(
          sheets.map((sheet) => {
            const { id, revision } = designs.of(sheet);
            return { id: sheet.id, number: sheet.number, design: { id, revision }, findings: found.get(sheet.id)! };
          }),
        );
        expect(summary).toEqual(JSON.parse(JSON.stringify(told)));
      }
      expect((await desk()).waiting).toBe(0);
    }),
    // Every kind of change at least once, in an order that tells apart what each of them must bring about.
    { numRuns: 16, examples: Object.keys(CHANGES).map((kind, i) => [[[kind, i + 1]]]) },
  );
});

test('the findings of a project come as they are now, also while nothing was looked at yet', async () => {
  const [project] = await projects();
  const { database } = server;
  await SheetFindingsModel.query(database).delete();
  await ProjectFindingsModel.query(database).delete();
  const rows = (await server.agent.get(`/api/projects/${project!.id}/findings`).expect(200)).body as SheetFindings[];
  const found = await afresh();
  const sheets = await sheetsIn(project!.id);
  expect(rows.map(({ sheet }) => sheet).sort()).toEqual(sheets.map(({ id }) => id).sort());
  for (const { sheet, findings } of rows) expect(findings).toEqual(JSON.parse(JSON.stringify(found.get(sheet))));
  expect(await drawableProject(project!.id, database)).toBeDefined();
});

test('what is the same everywhere stands once, worst first, with the projects in which it does most', async () => {
  await server.findings.refresh();
  const all = await projects();
  for (const { id } of all) {
    for (const sheet of (await sheetsIn(id)).slice(0, 3))
      await server.agent.patch(`/api/sheets/${sheet.id}`).send({ size: 'ISO B1', version: sheet.version }).expect(200);
  }
  const [first] = all;
  await server.agent.patch(`/api/projects/${first!.id}`).send({ designId: null, version: first!.version }).expect(200);
  await server.agent.post('/api/projects').send({ name: 'Empty', designId: all[1]!.designId }).expect(201);
  await server.findings.refresh();
  const { groups, count } = await desk();
  const order = groups.map(({ finding }) => ['error', 'gap', 'note'].indexOf(finding.weight));
  expect(order).toEqual([...order].sort());
  expect(new Set(groups.map(({ key }) => key)).size).toBe(count);
  expect(groups.find(({ key }) => key === 'no design')).toMatchObject({
    place: 'data',
    projects: 1,
    named: [{ id: first!.id, name: first!.name, named: [] }],
  });
  expect(groups.at(-1)).toMatchObject({ key: 'no sheets', named: [{ name: 'Empty', sheets: 0 }] });
  const unserved = groups.filter(({ finding }) => finding.kind === 'unserved');
  expect(unserved.length).toBeGreaterThan(0);
  for (const group of unserved) {
    const whole = await server.agent.get(`/api/desk/group?key=${encodeURIComponent(group.key)}`).expect(200);
    expect(whole.body).toEqual(group);
  }
  expect((await desk(1000)).groups).toEqual([]);
  await server.agent.get('/api/desk?page=-1').expect(400);
  await server.agent.get('/api/desk/group?key=gone').expect(404);
});

test('several who look at one project at once draw its sheets once', async () => {
  const project = (await projects()).find(({ designId, sheets }) => designId !== null && sheets > 0);
  const { keeper, drawn } = counting();
  await SheetFindingsModel.query(server.database).delete();
  await ProjectFindingsModel.query(server.database).delete();
  const all = await Promise.all(Array.from({ length: 4 }, () => keeper.ofProject(project!.id)));
  expect(drawn()).toBe((await sheetsIn(project!.id)).length);
  for (const found of all) expect(found).toEqual(all[0]);
});

test('while the database is away nothing is claimed of sheets; they are looked at when it is back', async () => {
  const { database } = server;
  const logged: string[] = [];
  const log = pino({ level: 'error' }, { write: (line: string) => logged.push(line) });
  let away = true;
  const work: Work = (kind, task) =>
    away
      ? Promise.reject(Object.assign(new Error('Connection terminated unexpectedly'), { code: 'ECONNRESET' }))
      : Promise.resolve(perform(kind, task, server.library.typefaces));
  const keeper = new FindingsKeeper({ database, work, whenIdle: work, program: 'away', log });
  await expect(keeper.refresh()).rejects.toThrow('terminated');
  const kept = await ProjectFindingsModel.query(database);
  expect(JSON.stringify(kept)).not.toContain('could not be checked');
  away = false;
  await keeper.refresh();
  expect(await keeper.stale()).toEqual([]);
  await server.findings.refresh();
});

test('one group tells the worst of what its sheets say, and that they say different things', () => {
  const spill = (message: string, by: number): Finding => ({
    kind: 'spill',
    weight: 'error',
    message,
    by,
    where: { cell: 'c', content: 't' },
  });
  const view: Finding = { kind: 'view', weight: 'error', message: 'too large', where: { view: 'v' } };
  const { groups, fitting } = summaryOf([
    { id: '1', number: 'A-101', design: null, findings: [spill('by 2 mm', 2)] },
    { id: '2', number: 'A-102', design: null, findings: [spill('by 9 mm', 9), view] },
    { id: '3', number: 'A-103', design: null, findings: [{ ...view, where: { view: 'w' } }] },
    { id: '4', number: 'A-104', design: null, findings: [] },
  ]);
  expect(fitting).toBe(1);
  expect(groups).toMatchObject([
    { finding: { message: 'by 9 mm' }, varied: true, sheets: 2, named: [{ number: 'A-101' }, { number: 'A-102' }] },
    // Views of different names are mended by the same act.
    { finding: { message: 'too large' }, varied: false, sheets: 2 },
  ]);
});

test('what is kept of sheets that are gone goes with them', async () => {
  const [, second] = await projects();
  await server.agent.delete(`/api/projects/${second!.id}`).expect(200);
  const [third] = (await projects()).slice(1);
  const [sheet] = await sheetsIn(third!.id);
  await server.agent.patch(`/api/sheets/${sheet!.id}`).send({ title: 'Z', version: sheet!.version }).expect(200);
  await server.findings.refresh();
  const ids = new Set((await SheetModel.query(server.database)).map(({ id }) => id));
  expect((await SheetFindingsModel.query(server.database)).every((row) => ids.has(row.sheet_id))).toBe(true);
  expect(await ProjectFindingsModel.query(server.database).findById(second!.id)).toBeUndefined();
});

test('a project that cannot be looked at says so, and is tried again when something of it changes', async () => {
  const logged: string[] = [];
  const log = pino({ level: 'error' }, { write: (line: string) => logged.push(line) });
  const failing: Work = () => Promise.reject(new Error('out of memory'));
  const keeper = new FindingsKeeper({
    database: server.database,
    work: failing,
    whenIdle: failing,
    program: 'failing',
    log,
  });
  await keeper.refresh();
  expect(logged.join()).toContain('out of memory');
  const summaries = await ProjectFindingsModel.query(server.database);
  expect(
    summaries.some(({ summary }) =>
      summary.groups.some(({ finding }) => finding.message === 'The sheets could not be checked'),
    ),
  ).toBe(true);
  expect(await keeper.stale()).toEqual([]);
  await server.findings.refresh();
  const again = await ProjectFindingsModel.query(server.database);
  expect(JSON.stringify(again)).not.toContain('could not be checked');
});
