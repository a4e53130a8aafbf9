import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { ImpactProgress, Project, StandardImpact, StandardState } from '@mendrel/contract';
import type { Design, OfficeStandard, OwnParameter } from '@mendrel/core';
import { cellsOf, newParameter, readStandard } from '@mendrel/core';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';
import { perform } from '../work/perform';
import type { Work } from '../work/tasks';
import { standardImpact } from './standardImpact';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const state = async (): Promise<StandardState> => (await server.agent.get('/api/standard').expect(200)).body;
const save = async (part: Partial<OfficeStandard>, status = 200) => {
  const { draft, version } = await state();
  return server.agent
    .put('/api/standard')
    .send({ standard: { ...draft, ...part }, version })
    .expect(status);
};
const projects = async (): Promise<Project[]> => (await server.agent.get('/api/projects')).body;
const designs = async () =>
  (await server.agent.get('/api/designs')).body as { id: string; name: string; version: number; standard: number }[];
const designOf = async (name: string) => {
  const { id } = (await designs()).find((each) => each.name === name)!;
  return (await server.agent.get(`/api/designs/${id}`)).body as {
    id: string;
    version: number;
    standard: number | null;
    document: Design;
  };
};

const own = (name: string) =>
  ({ name, series: 'Office', width: 1016, height: 711.2, unit: 'in', roll: false }) as const;
const parameter = (id: string, key: string): OwnParameter => newParameter({ id, key, name: key });

describe('each table of the draft', () => {
  test.each<[keyof OfficeStandard, (draft: OfficeStandard) => Partial<OfficeStandard>]>([
    ['sizes', (draft) => ({ sizes: [...draft.sizes, own('28 x 40')] })],
    ['frameRules', ({ frameRules }) => ({ frameRules: frameRules.map((rule) => ({ ...rule, folds: false })) })],
    ['roles', ({ roles }) => ({ roles: roles.map((role) => ({ ...role, capitals: role.use === 'title' })) })],
    ['heights', ({ heights }) => ({ heights: [...heights, 30] })],
    ['pens', ({ pens }) => ({ pens: pens.map((pen) => ({ ...pen, colour: '#112233' })) })],
    ['patterns', ({ patterns }) => ({ patterns: [...patterns, { id: 'p', name: 'P', dashes: [1, 2], in: 'mm' }] })],
    ['layers', ({ layers }) => ({ layers: layers.map((layer) => ({ ...layer, name: `${layer.name}-X` })) })],
    ['scales', ({ scales }) => ({ scales: [...scales, '1:750'] })],
    [
      'wording',
      () => ({ wording: { severalScales: 'Various', noScale: '-', notToScale: 'NTS', dates: '2 Apr 2031' } }),
    ],
    ['dimensions', ({ dimensions }) => ({ dimensions: dimensions.slice(1) })],
    ['parameters', ({ parameters }) => ({ parameters: [...parameters, parameter('p9', 'sheet.zone')] })],
    ['tables', () => ({ tables: [{ id: 't1', name: 'Doors', columns: [{ key: 'c1', name: 'Door' }] }] })],
    ['devices', ({ devices }) => ({ devices: devices.slice(1) })],
    ['languages', () => ({ languages: ['English', 'German'] })],
    ['uncounted', () => ({ uncounted: ['ISO 9431'] })],
    ['reducedPrints', () => ({ reducedPrints: [{ from: 'ISO A2', to: 'ISO A3' }] })],
    ['leastHeight', () => ({ leastHeight: 1.5 })],
    ['unit', () => ({ unit: 'in' })],
  ])('%s is saved and read back', async (table, change) => {
    const { draft } = await state();
    const part = change(draft);
    await save(part);
    expect((await state()).draft[table]).toEqual(part[table]);
    await save({ [table]: draft[table] });
  });
});

test('of two who save from the same version the second is refused, and nothing of the first is lost', async () => {
  const { draft, version } = await state();
  const put = (leastHeight: number) =>
    server.agent.put('/api/standard').send({ standard: { ...draft, leastHeight }, version });
  const answers = await Promise.all([put(1.1), put(1.2), put(1.3)]);
  expect(answers.map((each) => each.status).sort()).toEqual([200, 409, 409]);
  const won = answers.find((each) => each.status === 200)!.body as StandardState;
  expect((await state()).draft.leastHeight).toBe(won.draft.leastHeight);
  await save({ leastHeight: 1.8 });
});

test.each<[string, object, string]>([
  ['a size of nothing', { sizes: [{ ...own('W'), width: 0 }] }, 'sizes.0.width'],
  ['a role in a typeface that is not here', { roles: [] }, 'roles'],
  ['another kind of document', { format: 'mendrel-design' }, ''],
])('%s is refused at its place and changes nothing', async (_name, part, where) => {
  const before = await state();
  const answer = await save(part, 400);
  expect(answer.body).toMatchObject({ code: 'invalid', where });
  expect(await state()).toEqual(before);
});

test('a typeface that is not available is refused by name', async () => {
  const { draft } = await state();
  const roles = draft.roles.map((role, i) => (i === 2 ? { ...role, typeface: 'Lost Sans' } : role));
  const answer = await save({ roles }, 400);
  expect(answer.body).toMatchObject({ where: 'roles.2.typeface', message: expect.stringContaining('Lost Sans') });
});

describe('what is in use', () => {
  test('is not taken away, and the answer says where it is used', async () => {
    const { draft } = await state();
    const roles = await save({ roles: draft.roles.filter((role) => role.id !== 'value') }, 409);
    expect(roles.body).toMatchObject({
      code: 'in-use',
      message: expect.stringContaining('Harbour block, Quay cover, Quay strip'),
    });
    const parameters = await save({ parameters: [] }, 409);
    expect(parameters.body).toMatchObject({ code: 'in-use', message: expect.stringContaining('1 project') });
    expect((await state()).draft).toEqual(draft);
  });

  test('a size of the office that a sheet has stays', async () => {
    await save({ sizes: [...(await state()).draft.sizes, own('28 x 40')] });
    const [project] = await projects();
    await server.agent.patch(`/api/projects/${project!.id}`).send({ standard: null, version: project!.version });
    const sheet = await server.agent
      .post(`/api/projects/${project!.id}/sheets`)
      .send({ title: 'Board', kind: 'plan', size: '28 x 40' })
      .expect(201);
    const { draft } = await state();
    const answer = await save({ sizes: draft.sizes.filter((size) => size.name !== '28 x 40') }, 409);
    expect(answer.body.message).toContain('1 sheet');
    await server.agent.delete(`/api/sheets/${sheet.body.id}`).expect(200);
    await save({ sizes: draft.sizes.filter((size) => size.name !== '28 x 40') });
    const now = (await projects())[0]!;
    await server.agent.patch(`/api/projects/${now.id}`).send({ standard: 1, version: now.version }).expect(200);
  });
});

test('a parameter that gets another key has it in designs, projects and sheets', async () => {
  const { draft } = await state();
  await save({ parameters: [...draft.parameters, parameter('zone', 'sheet.zone')] });
  const { id, document, version } = await designOf('Quay strip');
  const text = JSON.stringify(document).replace('{sheet.title}', '{sheet.title} {sheet.zone}');
  const changed = await server.agent
    .put(`/api/designs/${id}`)
    .send({ document: JSON.parse(text), version })
    .expect(200);
  const [project] = await projects();
  const [sheet] = (await server.agent.get(`/api/projects/${project!.id}/sheets`)).body as {
    id: string;
    version: number;
    values: Record<string, string>;
  }[];
  await server.agent
    .patch(`/api/sheets/${sheet!.id}`)
    .send({ values: { ...sheet!.values, 'sheet.zone': 'B' }, version: sheet!.version })
    .expect(200);

  const uses = (await server.agent.get('/api/standard/parameter-uses')).body as { key: string; sheets: number }[];
  expect(uses.find((each) => each.key === 'sheet.zone')).toMatchObject({
    sheets: 1,
    designs: [{ name: 'Quay strip' }],
  });

  const now = await state();
  const parameters = now.draft.parameters.map((each) => ({
    ...each,
    key: each.key === 'sheet.zone' ? 'sheet.part' : each.key === 'project.datum' ? 'project.level' : each.key,
  }));
  await save({ parameters });
  const patterns = [...cellsOf((await designOf('Quay strip')).document)].flatMap(({ cell }) =>
    cell.contents.flatMap((content) => (content.kind === 'field' ? [content.pattern] : [])),
  );
  expect(patterns).toContain('{sheet.title} {sheet.part}');
  expect((await projects())[0]!.values).toMatchObject({ 'project.level': '4.20 m' });
  const [after] = (await server.agent.get(`/api/projects/${project!.id}/sheets`)).body as { values: object }[];
  expect(after!.values).toMatchObject({ 'sheet.part': 'B' });

  // Another scope would mean that the values are entered elsewhere.
  const moved = parameters.map((each) => ({ ...each, key: each.key === 'sheet.part' ? 'project.part' : each.key }));
  expect((await save({ parameters: moved }, 409)).body.message).toContain('keeps its scope');
  expect(changed.body.version).toBe(version + 1);
});

test('languages of captions are those of the draft in every revision, and a project chooses among them', async () => {
  await save({ languages: ['English', 'German'] });
  const { body } = await server.agent.get('/api/standard/revisions/1').expect(200);
  expect(body.standard.languages).toEqual(['English', 'German']);
  const [project] = await projects();
  const chosen = (languages: string) =>
    server.agent
      .patch(`/api/projects/${project!.id}`)
      .send({ values: { ...project!.values, 'project.languages': languages }, version: project!.version });
  await chosen('Frisian').expect(400);
  await chosen('German, English').expect(200);
});

test('values are checked by the kind of their parameter', async () => {
  const [project] = await projects();
  const put = (values: Record<string, string>) =>
    server.agent
      .patch(`/api/projects/${project!.id}`)
      .send({ values: { ...project!.values, ...values }, version: project!.version });
  expect((await put({ 'project.fireClass': 'Class 9' }).expect(400)).body).toMatchObject({
    where: 'values.project.fireClass',
    message: 'Fire class is one of Class 1, Class 2, Class 3',
  });
});

describe('the impact of an edit', () => {
  const impactOf = async (part: Partial<OfficeStandard>): Promise<StandardImpact> => {
    const { draft } = await state();
    return (
      await server.agent
        .post('/api/standard/impact')
        .send({ standard: { ...draft, ...part } })
        .expect(200)
    ).body;
  };

  test('of nothing is nothing', async () => {
    const { designs: found, sheets } = await impactOf({});
    expect(found.map((each) => each.changed)).toEqual([0, 0, 0, 0]);
    expect(sheets).toMatchObject({ count: 69, touched: 0, changed: 0 });
  });

  test('is told as far as it is, and stops when nobody waits for it any more', async () => {
    const { draft } = await state();
    const { database } = server;
    const given: number[] = [];
    const work: Work = (kind, task) => {
      if ('design' in task) given.push(task.sheets.length);
      return Promise.resolve(perform(kind, task, server.library.typefaces));
    };
    const told: ImpactProgress[] = [];
    await standardImpact(draft, draft, { database, work, tell: (progress) => void told.push(progress) });
    expect(told[0]).toEqual({ done: 0, all: 69 });
    expect(told.at(-1)).toEqual({ done: 69, all: 69 });
    expect(told.map(({ done }) => done)).toEqual([...told.map(({ done }) => done)].sort((a, b) => a - b));

    const leaving = new AbortController();
    const before = given.length;
    const left = standardImpact(draft, draft, { database, work, signal: leaving.signal, tell: () => leaving.abort() });
    await expect(left).rejects.toThrow('the comparison was stopped');
    expect(given.length - before).toBeLessThan(before);
  });

  test('is not followed by anybody before it begins, or after it has ended', async () => {
    const id = randomUUID();
    expect((await server.agent.get(`/api/standard/impact/${id}`).expect(200)).body).toEqual({ progress: null });
    const { draft } = await state();
    await server.agent.post('/api/standard/impact').send({ standard: draft, following: id }).expect(200);
    expect((await server.agent.get(`/api/standard/impact/${id}`).expect(200)).body).toEqual({ progress: null });
  });

  test('counts the texts of a role on designs and sheets, and what spills, before anything is saved', async () => {
    const before = await state();
    const roles = before.draft.roles.map((role) => (role.id === 'value' ? { ...role, height: 14 } : role));
    const { designs: found, sheets } = await impactOf({ roles });
    const quay = found.find((each) => each.name === 'Quay strip')!;
    expect(quay.changed).toBeGreaterThan(0);
    expect(quay.changed).toBeLessThan(quay.texts);
    expect(quay.spills).toBeGreaterThan(0);
    expect(sheets.touched).toBe(69);
    expect(sheets.atOnce).toBe(0);
    expect(await state()).toEqual(before);
  });

  test('a colour changes how texts look, not where they stand', async () => {
    const { draft } = await state();
    const pens = draft.pens.map((pen) => (pen.id === 'text' ? { ...pen, colour: '#884400' } : pen));
    const { sheets } = await impactOf({ pens });
    expect(sheets.changed).toBe(sheets.texts);
    expect(sheets.spills).toBe(0);
  });
});

describe('revisions', () => {
  test('a draft is published once with a note; what is the same is not published again', async () => {
    await save({ leastHeight: 1.6 });
    const { version } = await state();
    await server.agent.post('/api/standard/revisions').send({ note: ' ', version }).expect(400);
    const published = await server.agent
      .post('/api/standard/revisions')
      .send({ note: 'Smaller prints are read', version })
      .expect(201);
    expect(published.body.revisions[0]).toMatchObject({ number: 2, note: 'Smaller prints are read' });
    const again = await server.agent.post('/api/standard/revisions').send({ note: 'Again', version }).expect(400);
    expect(again.body.message).toBe('nothing has changed since revision 2');
  });

  test('a published standard stays as it is while the draft goes on', async () => {
    await save({ leastHeight: 1.4 });
    const second = await server.agent.get('/api/standard/revisions/2').expect(200);
    expect(second.body.standard.leastHeight).toBe(1.6);
    expect((await server.agent.get('/api/standard/revisions/draft')).body.standard.leastHeight).toBe(1.4);
    await server.agent.get('/api/standard/revisions/77').expect(404);
    await server.agent.get('/api/standard/revisions/x').expect(404);
  });

  test('sheets are drawn by the standard of their project until it is moved', async () => {
    const { draft } = await state();
    await save({ layers: draft.layers.map((layer) => ({ ...layer, name: `NEW-${layer.id}` })) });
    const [project] = await projects();
    const [sheet] = (await server.agent.get(`/api/projects/${project!.id}/sheets`)).body as { id: string }[];
    const dxf = async (): Promise<string> =>
      ((await server.agent.get(`/api/sheets/${sheet!.id}/sheet.dxf`).responseType('blob')).body as Buffer).toString();
    expect(await dxf()).toContain('SHEET-FRAME');
    await server.agent
      .patch(`/api/projects/${project!.id}`)
      .send({ standard: null, version: project!.version })
      .expect(200);
    expect(await dxf()).toContain('NEW-frame');
    await server.agent
      .patch(`/api/projects/${project!.id}`)
      .send({ standard: 99, version: project!.version + 1 })
      .expect(400);
  });

  test('new designs and projects use the newest published standard, and a design is moved by itself', async () => {
    const { document } = await designOf('Quay strip');
    const made = await server.agent.post('/api/designs').send({ document }).expect(201);
    expect(made.body.standard).toBe(2);
    const moved = await server.agent
      .put(`/api/designs/${made.body.id}`)
      .send({ standard: 1, version: made.body.version })
      .expect(200);
    expect(moved.body).toMatchObject({ standard: 1, document });
    await server.agent.delete(`/api/designs/${made.body.id}`).expect(200);
  });
});

describe('files', () => {
  test('the whole standard comes as JSON and is read again; its schema says the same', async () => {
    const { body, headers } = await server.agent.get('/api/standard/standard.json').expect(200);
    expect(headers['content-disposition']).toContain('office-standard.json');
    expect(readStandard(body)).toEqual((await state()).draft);
    const schema = await server.agent.get('/api/standard/schema.json').responseType('text').expect(200);
    const text = (schema.body as Buffer).toString();
    expect(Object.keys(JSON.parse(text).properties)).toEqual(expect.arrayContaining(Object.keys(body)));
  });

  test('the starter drawing has a block for each size of each design', async () => {
    const answer = await server.agent.get('/api/standard/starter.dxf?revision=1').responseType('blob').expect(200);
    const text = (answer.body as Buffer).toString();
    for (const name of ['Quay strip ISO A1', 'Quay strip ISO A3', 'Harbour block ISO A2']) expect(text).toContain(name);
    expect(text).toContain('Dimensions in inches');
  });

  test('the specimen sheet is a PDF of one page', async () => {
    const answer = await server.agent.get('/api/standard/specimen.pdf').buffer().expect(200);
    expect((answer.body as Buffer).toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1);
  });
});

describe('typefaces', () => {
  const font = readFileSync('packages/fonts/ttf/BarlowSemiCondensed-Regular.ttf');
  /** The shipped file under a name of its own: the family name is written over in place. */
  const renamed = (): Buffer => {
    const copy = Buffer.from(font);
    for (const [from, to] of [
      [utf16('Barlow'), utf16('Quayle')],
      [Buffer.from('Barlow'), Buffer.from('Quayle')],
    ] as const) {
      for (let at = copy.indexOf(from); at >= 0; at = copy.indexOf(from, at)) to.copy(copy, at);
    }
    return copy;
  };
  const utf16 = (text: string): Buffer => Buffer.from(text, 'utf16le').swap16();

  test('a font is uploaded with its licence, used by a role, and stays while it is used', async () => {
    const added = await server.agent
      .post('/api/typefaces')
      .field('licence', 'Test licence')
      .attach('file', renamed(), 'quayle.ttf')
      .expect(201);
    expect(added.body).toMatchObject({
      name: expect.stringContaining('Quayle'),
      licence: 'Test licence',
      shipped: false,
    });
    const { draft } = await state();
    const roles = draft.roles.map((role) => (role.id === 'value' ? { ...role, typeface: added.body.name } : role));
    await save({ roles });
    const refused = await server.agent.delete(`/api/typefaces/${added.body.id}`).expect(409);
    expect(refused.body.message).toContain('Value in the draft of the standard');
    const file = await server.agent.get(`/api/typefaces/${added.body.id}/file`).responseType('blob').expect(200);
    expect((file.body as Buffer).equals(renamed())).toBe(true);
    await save({ roles: draft.roles });
    await server.agent.delete(`/api/typefaces/${added.body.id}`).expect(200);
  });

  test.each([
    ['a text', Buffer.from('this is no font'), 'is not a font file'],
    ['a damaged font', font.subarray(0, 2000), 'font'],
    ['nothing', Buffer.alloc(0), 'is not a font file'],
    ['a shipped font', font, 'is here already'],
  ])('%s is refused in words', async (_name, bytes, words) => {
    const answer = await server.agent.post('/api/typefaces').field('licence', 'L').attach('file', bytes, 'x.ttf');
    expect([400, 422]).toContain(answer.status);
    expect(answer.body.message).toContain(words);
    expect((await server.agent.get('/api/typefaces')).body).toHaveLength(4);
  });

  test('a font without a licence is refused', async () => {
    const answer = await server.agent.post('/api/typefaces').field('licence', ' ').attach('file', font, 'x.ttf');
    expect(answer.body).toMatchObject({ code: 'invalid', message: expect.stringContaining('licence') });
  });
});

test('a parameter that was added since the newest revision counts as a change, and is told as one', async () => {
  const { draft, version, changed } = await state();
  if (changed) await server.agent.post('/api/standard/revisions').send({ note: 'So far', version }).expect(201);
  expect(await state()).toMatchObject({ changed: false });
  await save({ parameters: [...draft.parameters, { ...parameter('since', 'sheet.since'), name: 'Since' }] });
  const after = await state();
  expect(after.changed).toBe(true);
  const { body } = await server.agent.get(`/api/standard/revisions/${after.revisions[0]!.number}`).expect(200);
  // Sheets know the parameter at once; what differs is told by the parameters as they were.
  expect(body.standard.parameters).toContainEqual(expect.objectContaining({ key: 'sheet.since' }));
  expect(body.parametersAsPublished).not.toContainEqual(expect.objectContaining({ key: 'sheet.since' }));
});
