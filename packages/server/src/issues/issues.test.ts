import { randomUUID } from 'node:crypto';
import type {
  DesignSummary,
  Issue,
  IssueCheck,
  IssueComparison,
  IssueCreate,
  IssuedSheet,
  Office,
  Project,
  Sheet,
  SheetSet,
  StandardState,
} from '@mendrel/contract';
import { newParameter } from '@mendrel/core';
import { readCsv } from '@mendrel/formats/csv';
import { sweepAssets } from '../assets/sweepAssets';
import { contentOf, pagesOf } from '../testing/pdfPages';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';
import { sweepFrozen } from './frozenModel';

let server: TestServer;
let project: Project;
let sheets: Sheet[];
let set: SheetSet;
beforeAll(async () => {
  server = await startTestServer();
  const all = (await server.agent.get('/api/projects')).body as Project[];
  project = all.find(({ name }) => name.includes('Ferry'))!;
  // Counted from 1 here.
  await server.database('issues').delete();
  sheets = await sheetsOf();
  const chosen = [...sheets.filter(({ kind }) => kind === 'cover'), ...sheets.filter(({ kind }) => kind === 'plan')];
  const values = { 'set.name': 'Tender set' };
  const body = { values, sheets: chosen.slice(0, 4).map(({ id }) => id) };
  set = (await server.agent.post(`/api/projects/${project.id}/sets`).send(body).expect(201)).body;
  // What the demo lacks is not looked at here.
  const office = (await server.agent.get('/api/office')).body as Office;
  await server.agent
    .put('/api/office')
    .send({ values: office.values, version: office.version, issueBlocks: 'nothing' })
    .expect(200);
});
afterAll(() => server.stop());

const sheetsOf = async (): Promise<Sheet[]> => (await server.agent.get(`/api/projects/${project.id}/sheets`)).body;
const wish = (more: Partial<IssueCreate> = {}): IssueCreate => ({
  id: randomUUID(),
  date: '2031-04-02',
  purpose: 'For tender',
  recipients: [{ firm: 'Harbour Trust', person: 'H. Pell', copies: 'PDF' }],
  remarks: '',
  setId: set.id,
  transmittal: null,
  ...more,
});
const make = async (body: IssueCreate, status = 201): Promise<Issue> =>
  (await server.agent.post(`/api/projects/${project.id}/issues`).send(body).expect(status)).body;
const issued = async ({ id }: Issue): Promise<IssuedSheet[]> =>
  (await server.agent.get(`/api/issues/${id}/sheets`)).body;
const change = async (id: string, body: object): Promise<Sheet> => {
  const { version } = (await sheetsOf()).find((sheet) => sheet.id === id)!;
  return (
    await server.agent
      .patch(`/api/sheets/${id}`)
      .send({ version, ...body })
      .expect(200)
  ).body as Sheet;
};

test('what went out stays as it was to the byte, whatever becomes of its sheets, designs, standard, data and typefaces', async () => {
  const issue = await make(wish());
  expect(issue).toMatchObject({ number: 1, set: 'Tender set', sheets: 4, withdrawn: null });
  const setPdf = async (): Promise<Buffer> =>
    (await server.agent.get(`/api/issues/${issue.id}/set.pdf`).expect(200)).body;
  const before = await setPdf();
  const seen = pagesOf(before);
  expect(seen.map(({ words }) => words).join()).toContain('Upper deck plan');
  // Marked on the ground floor plan, though the sheet of its large-scale part did not go out.
  expect(seen.map(({ words }) => words).join()).toContain('A1/A-401');
  // Sheets, data, standard, designs: all of it becomes something else.
  const [first, second] = set.sheets;
  await change(first!, { title: 'Another cover', size: 'ISO A0' });
  await server.agent.delete(`/api/sheets/${second}`).expect(200);
  const office = (await server.agent.get('/api/office')).body as Office;
  const values = { ...office.values, 'office.name': 'Another office' };
  await server.agent.put('/api/office').send({ values, version: office.version }).expect(200);
  const { draft, version } = (await server.agent.get('/api/standard')).body as StandardState;
  const roles = draft.roles.map((role) => ({ ...role, height: role.height * 1.2 }));
  await server.agent
    .put('/api/standard')
    .send({ standard: { ...draft, roles }, version })
    .expect(200);
  const now = (await server.agent.get(`/api/projects`)).body.find(({ id }: Project) => id === project.id) as Project;
  const harbour = ((await server.agent.get('/api/designs')).body as DesignSummary[]).find(({ name }) =>
    name.includes('Harbour'),
  )!;
  await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ version: now.version, designId: harbour.id, standard: null, kinds: [] })
    .expect(200);
  await server.database('assets').update({ used_at: new Date(0) });
  await sweepAssets(server.database);
  await sweepFrozen(server.database);

  const after = await setPdf();
  expect(contentOf(after)).toBe(contentOf(before));
  pagesOf(after).forEach(({ picture, words }, i) => {
    expect(words).toBe(seen[i]!.words);
    expect(picture.equals(seen[i]!.picture)).toBe(true);
  });
  const single = await server.agent.get(`/api/issues/${issue.id}/sheets/1/sheet.dxf`).expect(200);
  expect(single.text).toContain('Quillwater Studio');
  expect(single.text).not.toContain('Another office');
  // Put back for the others.
  await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({
      version: now.version + 1,
      designId: now.designId,
      standard: now.standard,
      kinds: now.kinds.map(({ kind, designId, designRevision, size }) => ({ kind, designId, designRevision, size })),
    })
    .expect(200);
  project = (await server.agent.get(`/api/projects/${project.id}`)).body as Project;
});

test('sheets show the issues that they went out with, unless one is withdrawn', async () => {
  const third = set.sheets[2]!;
  const drawn = async (): Promise<string> => (await server.agent.get(`/api/sheets/${third}/sheet.svg`)).body.toString();
  const issue = await make(wish({ purpose: 'For the harbour board' }));
  const sheet = (await sheetsOf()).find(({ id }) => id === third)!;
  expect(sheet.issues.at(-1)).toMatchObject({ purpose: 'For the harbour board', recipient: 'Harbour Trust' });
  const withdrawn = await server.agent
    .patch(`/api/issues/${issue.id}`)
    .send({ withdrawn: 'Sent too early', version: issue.version })
    .expect(200);
  expect(withdrawn.body).toMatchObject({ withdrawn: 'Sent too early', number: issue.number });
  expect((await sheetsOf()).find(({ id }) => id === third)!.issues.map(({ purpose }) => purpose)).toEqual([
    'For tender',
  ]);
  expect(await drawn()).not.toContain('harbour board');
});

test('an office that lets nothing incomplete go out is told what is wrong first, and nothing is kept', async () => {
  const office = (await server.agent.get('/api/office')).body as Office;
  const blocks = (issueBlocks: Office['issueBlocks'], version: number) =>
    server.agent.put('/api/office').send({ values: office.values, version, issueBlocks }).expect(200);
  const third = set.sheets[2]!;
  await change(third, { title: 'A title that is far too long for any title block there is, '.repeat(5) });
  await blocks('error', office.version);
  const asked = { ...wish(), id: undefined };
  const check = (await server.agent.post(`/api/projects/${project.id}/issue-check`).send(asked).expect(200))
    .body as IssueCheck;
  expect(check).toMatchObject({ sheets: 3, errors: 1, blocked: true, changed: expect.any(Number) });
  expect(check.told[0]).toMatchObject({ id: third });
  const frozen = await server.database('frozen').count('* as count');
  const refused = await make(wish(), 400);
  expect(refused).toMatchObject({
    code: 'invalid',
    message: expect.stringContaining('1 sheet would go out incomplete'),
  });
  expect(await server.database('frozen').count('* as count')).toEqual(frozen);
  await blocks('nothing', office.version + 1);
  await make(wish());
  await change(third, { title: 'Pontoon plan' });
});

test('asked for twice it is made once; at once with another, one of them is told', async () => {
  const same = wish({ purpose: 'Once' });
  const both = await Promise.all([make(same), make(same)]);
  expect(both[0].id).toBe(both[1].id);
  const list = (await server.agent.get(`/api/projects/${project.id}/issues`)).body as Issue[];
  expect(list.filter(({ purpose }) => purpose === 'Once')).toHaveLength(1);
  expect(list.map(({ number }) => number)).toEqual(list.map((_, i) => list.length - i));
});

test('two issues are compared: sheets that came, went and changed, with what on each; a renamed parameter is the same', async () => {
  const third = set.sheets[2]!;
  const { draft, version } = (await server.agent.get('/api/standard')).body as StandardState;
  const zone = newParameter({ id: 'zone', key: 'sheet.zone', name: 'Zone' });
  const saved = await server.agent
    .put('/api/standard')
    .send({ standard: { ...draft, parameters: [...draft.parameters, zone] }, version })
    .expect(200);
  const { values } = (await sheetsOf()).find(({ id }) => id === third)!;
  await change(third, { values: { ...values, 'sheet.zone': 'North' } });
  const one = await make(wish());
  await server.agent
    .put('/api/standard')
    .send({
      standard: { ...draft, parameters: [...draft.parameters, { ...zone, key: 'sheet.place' }] },
      version: (saved.body as StandardState).version,
    })
    .expect(200);
  await change(third, { title: 'Pontoon plan, east' });
  const addition = sheets.find(({ id, kind }) => kind === 'section' && !set.sheets.includes(id))!;
  const [now] = ((await server.agent.get(`/api/projects/${project.id}/sets`)).body as SheetSet[]).filter(
    ({ id }) => id === set.id,
  );
  const kept = now!.sheets.slice(0, -1);
  await server.agent
    .patch(`/api/sets/${set.id}`)
    .send({ version: now!.version, sheets: [...kept, addition.id] })
    .expect(200);
  const other = await make(wish({ date: '2031-05-12', purpose: 'For construction' }));
  const compared = (await server.agent.get(`/api/issues/${other.id}/compare/${one.id}`).expect(200))
    .body as IssueComparison;
  const told = compared.sheets.map(({ kind, number, differences }) => [
    kind,
    number,
    differences.map(({ words }) => words),
  ]);
  const gone = (await issued(one)).at(-1)!;
  const changed = (await issued(other)).find(({ title }) => title === 'Pontoon plan, east')!;
  expect(told).toContainEqual(['changed', changed.number, ['Sheet title: “Pontoon plan” is “Pontoon plan, east” now']]);
  expect(told).toContainEqual(['added', addition.number, []]);
  expect(told).toContainEqual(['gone', gone.number, []]);
});

test('the transmittal is a sheet of the office’s own design with recipients and sheets, and a table that no spreadsheet computes', async () => {
  const cover = ((await server.agent.get('/api/designs')).body as DesignSummary[]).find(({ name }) =>
    name.includes('cover'),
  )!;
  const third = set.sheets[2]!;
  await change(third, { title: '=HYPERLINK("x")' });
  const issue = await make(wish({ transmittal: { designId: cover.id, size: 'ISO A1' } }));
  expect(issue.transmittal).toEqual({ designId: cover.id, size: 'ISO A1' });
  const pdf = (await server.agent.get(`/api/issues/${issue.id}/transmittal.pdf`).expect(200)).body as Buffer;
  const words = pagesOf(pdf)[0]?.words;
  const rows = await issued(issue);
  for (const { number } of rows) expect(words).toContain(number);
  const csv = await server.agent.get(`/api/issues/${issue.id}/transmittal.csv`).expect(200);
  expect(csv.text).not.toMatch(/(^|,)"?=/m);
  const [headings, ...lines] = readCsv(csv.text);
  expect(headings![0]).toBe('Sheet');
  expect(lines.map((line) => line[0])).toEqual(rows.map(({ number }) => number));
  expect(lines.map((line) => line.at(-1))).toEqual(rows.map(({ hash }) => hash));
  await change(third, { title: 'Pontoon plan' });
});

test('words that make no issue are refused by their field', async () => {
  const bad = async (more: Partial<IssueCreate>): Promise<string> =>
    ((await make(wish(more), 400)) as unknown as { where: string }).where;
  expect(await bad({ date: '31.02.2031' })).toBe('date');
  expect(await bad({ purpose: ' ' })).toBe('purpose');
  expect(await bad({ recipients: [{ firm: '', person: '', copies: 'PDF' }] })).toBe('recipients.0');
  const empty = await server.agent
    .post(`/api/projects/${project.id}/sets`)
    .send({ values: { 'set.name': 'Empty' }, sheets: [] })
    .expect(201);
  expect(await bad({ setId: (empty.body as SheetSet).id })).toBe('setId');
  await make(wish({ setId: randomUUID() }), 404);
});

test('what a set has to have is asked for before it goes out', async () => {
  const { draft, version } = (await server.agent.get('/api/standard')).body as StandardState;
  const stage = { ...newParameter({ id: 'stage', key: 'set.stage', name: 'Stage' }), required: true };
  await server.agent
    .put('/api/standard')
    .send({ standard: { ...draft, parameters: [...draft.parameters, stage] }, version })
    .expect(200);
  const told = async (): Promise<string[]> => {
    const asked = { ...wish(), id: undefined };
    const { body } = await server.agent.post(`/api/projects/${project.id}/issue-check`).send(asked).expect(200);
    return (body as IssueCheck).told.flatMap(({ findings }) => findings.map(({ message }) => message));
  };
  expect(await told()).toContain('Stage is required, and missing');
  const [now] = ((await server.agent.get(`/api/projects/${project.id}/sets`)).body as SheetSet[]).filter(
    ({ id }) => id === set.id,
  );
  await server.agent
    .patch(`/api/sets/${set.id}`)
    .send({ version: now!.version, values: { ...now!.values, 'set.stage': '3' } })
    .expect(200);
  expect(await told()).not.toContain('Stage is required, and missing');
});
