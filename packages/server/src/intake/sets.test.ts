import type { IntakeSetRecord, Sheet } from '@mendrel/contract';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { ReadingStoppedError } from '@mendrel/reading';
import pino from 'pino';
import { Failure } from '../http/failure';
import type { TestServer } from '../testing/server';
import { startTestServer } from '../testing/server';
import { SetReader } from './setReader';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const corner = readFileSync('demo/legacy/corner-block-a1.dxf', 'latin1');
const sheetFile = (number: string, title: string): Buffer =>
  Buffer.from(corner.replace('BFT-A-101', number).replace('Ground floor plan', title), 'latin1');

const record = async (id: string): Promise<IntakeSetRecord> =>
  (await server.agent.get(`/api/intake/sets/${id}`).expect(200)).body;

/** Asks until the set is no longer being read; each answer comes when the server has one. */
async function whenRead(id: string): Promise<IntakeSetRecord> {
  for (;;) {
    const set = await record(id);
    if (set.state !== 'reading') return set;
  }
}

async function newSet(files: readonly [string, Buffer][]): Promise<string> {
  const { body } = await server.agent.post('/api/intake/sets').send({ name: 'Ferry terminal' }).expect(201);
  for (const [name, content] of files)
    await server.agent.post(`/api/intake/sets/${body.id}/drawings`).attach('file', content, name).expect(201);
  return body.id as string;
}

test('a set of drawings is read, shown, and imported as a project with its register', async () => {
  const id = await newSet([
    ['a101.dxf', sheetFile('BFT-A-101', 'Ground floor plan')],
    ['a102.dxf', sheetFile('BFT-A-102', 'First floor plan')],
    ['a103.dxf', sheetFile('BFT-A-103', 'Roof plan')],
    ['broken.dxf', Buffer.from('Dear all,\n')],
  ]);
  const { body: begun } = await server.agent.post(`/api/intake/sets/${id}/read`).expect(200);
  expect(begun).toMatchObject({ state: 'reading', drawings: 4 });
  const set = await whenRead(id);
  expect(set).toMatchObject({ state: 'read', drawings: 4, done: 4 });
  expect(set.refused).toEqual([{ name: 'broken.dxf', why: expect.stringContaining('line 1') }]);
  expect(set.groups.map((group) => group.sheets.map(({ number }) => number))).toEqual([
    ['BFT-A-101', 'BFT-A-102', 'BFT-A-103'],
  ]);
  // The drawings of a set do not stand among those that wait one by one.
  expect((await server.agent.get('/api/intake').expect(200)).body).toHaveLength(5);

  const [group] = set.groups;
  const drawings = group!.sheets.slice(0, 2).map(({ drawing }) => drawing);
  const { body: taken } = await server.agent
    .post(`/api/intake/sets/${id}/take-over`)
    .send({ leader: group!.leader, projectName: 'Old Ferry Terminal', drawings })
    .expect(201);
  const { body: project } = await server.agent.get(`/api/projects/${taken.projectId}`).expect(200);
  expect(project).toMatchObject({ name: 'Old Ferry Terminal', designId: taken.designId, sheets: 2 });
  expect(project.values['project.client']).toBe('Brackenmouth Harbour Trust');
  const { body: sheets } = await server.agent.get(`/api/projects/${taken.projectId}/sheets`).expect(200);
  expect(sheets.map((sheet: { number: string; title: string }) => [sheet.number, sheet.title])).toEqual([
    ['BFT-A-101', 'Ground floor plan'],
    ['BFT-A-102', 'First floor plan'],
  ]);
  expect(sheets[0].values['sheet.drawnBy']).toBe('MO');
  expect(await record(id)).toMatchObject({ state: 'taken', projectId: taken.projectId });
});

test('what is set right on one drawing counts for all sheets of its group; a file that is there twice says so', async () => {
  const id = await newSet([
    ['a101.dxf', sheetFile('BFT-A-101', 'Ground floor plan')],
    ['a101-copy.dxf', sheetFile('BFT-A-101', 'Ground floor plan')],
    ['a301.dxf', sheetFile('BFT-A-301', 'Schnitt A-A')],
  ]);
  await server.agent.post(`/api/intake/sets/${id}/read`).expect(200);
  const [group] = (await whenRead(id)).groups;
  expect(group!.sheets.map(({ number, kind, sameAs }) => [number, kind, sameAs])).toEqual([
    ['BFT-A-101', 'plan', undefined],
    ['BFT-A-101 (2)', 'plan', 'a101-copy.dxf'],
    ['BFT-A-301', 'section', undefined],
  ]);
  const { body: conversion } = await server.agent.get(`/api/intake/${group!.leader}/conversion`).expect(200);
  const drawn = conversion.report.texts.find((text: { parameter: string }) => text.parameter === 'sheet.drawnBy');
  const texts = { [drawn.id]: { kind: 'field', parameter: 'sheet.approvedBy' } };
  await server.agent.put(`/api/intake/${group!.leader}/corrections`).send({ texts }).expect(200);
  const apply = (body: object) => server.agent.post(`/api/intake/sets/${id}/corrections`).send(body);
  await apply({ drawing: '00000000-0000-4000-8000-000000000000' }).expect(400);
  const { body: again } = await apply({ drawing: group!.leader }).expect(200);
  expect(again).toMatchObject({ state: 'reading' });
  const [corrected] = (await whenRead(id)).groups;
  expect(corrected!.sheets.map(({ values }) => [values['sheet.approvedBy'], values['sheet.drawnBy']])).toEqual(
    corrected!.sheets.map(() => ['MO', undefined]),
  );
  // Without anything new it may be read again as a whole, after the office was taught something.
  await server.agent.post(`/api/intake/sets/${id}/again`).expect(200);
  expect((await whenRead(id)).groups[0]!.sheets[0]!.values['sheet.approvedBy']).toBe('MO');
});

/** A DXF file with two A3 sheets beside each other, each with a block of three cells. */
function twoSheets(): Buffer {
  const pairs: [number, string | number][] = [
    [0, 'SECTION'],
    [2, 'ENTITIES'],
  ];
  const box = (x: number, y: number, w: number, h: number): void => {
    const corners = [x, y, x + w, y, x + w, y + h, x, y + h, x, y];
    for (let i = 0; i < 8; i += 2) {
      const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = corners.slice(i, i + 4);
      pairs.push([0, 'LINE'], [8, '0'], [10, x0], [20, y0], [11, x1], [21, y1]);
    }
  };
  const text = (words: string, x: number, y: number, height: number): void =>
    void pairs.push([0, 'TEXT'], [8, '0'], [10, x], [20, y], [40, height], [1, words]);
  for (const [x, number] of [
    [0, 'B-201'],
    [500, 'B-202'],
  ] as const) {
    box(x, 0, 420, 297);
    box(x + 20, 10, 390, 277);
    box(x + 230, 10, 90, 20);
    box(x + 320, 10, 90, 20);
    box(x + 230, 30, 180, 20);
    text('PROJECT', x + 232, 46, 1.8);
    text('Harbour Library', x + 232, 33, 5);
    text('TITLE', x + 232, 26, 1.8);
    text(`Plan ${number}`, x + 232, 13, 3.5);
    text('DRAWING NO.', x + 322, 26, 1.8);
    text(number, x + 322, 13, 5);
  }
  pairs.push([0, 'ENDSEC'], [0, 'EOF']);
  return Buffer.from(pairs.map(([code, value]) => `${code}\n${value}\n`).join(''), 'latin1');
}

test('a file with several sheets gives the register a sheet for each', async () => {
  const id = await newSet([['both.dxf', twoSheets()]]);
  await server.agent.post(`/api/intake/sets/${id}/read`).expect(200);
  const { groups, names } = await whenRead(id);
  expect(groups.map(({ sheets }) => sheets.map(({ number, title }) => [number, title]))).toEqual([
    [
      ['B-201', 'Plan B-201'],
      ['B-202', 'Plan B-202'],
    ],
  ]);
  const [group] = groups;
  expect(group!.sheets.map(({ drawing }) => names[drawing])).toEqual(['both.dxf, Model 1', 'both.dxf, Model 2']);
  const { body } = await server.agent
    .post(`/api/intake/sets/${id}/take-over`)
    .send({ leader: group!.leader, projectName: 'Both', drawings: group!.sheets.map(({ drawing }) => drawing) })
    .expect(201);
  expect(body.sheets).toBe(2);
});

test('reading is stopped, and goes on where it was', async () => {
  const id = await newSet([1, 2, 3, 4].map((n) => [`s${n}.dxf`, sheetFile(`BFT-A-20${n}`, `Plan ${n}`)]));
  await server.agent.post(`/api/intake/sets/${id}/read`).expect(200);
  const { body: stopped } = await server.agent.post(`/api/intake/sets/${id}/stop`).expect(200);
  expect(stopped.state).toBe('stopped');
  await server.agent.post(`/api/intake/sets/${id}/read`).expect(200);
  expect(await whenRead(id)).toMatchObject({ state: 'read', done: 4 });
});

test.each([
  ['the server was stopped', () => new ReadingStoppedError()],
  ['no turn was free', () => new Failure('too-many', 'the reading has to wait for too many others')],
])('a reading that was broken off since %s says nothing about its drawing', async (_why, error) => {
  const id = await newSet([['one.dxf', sheetFile('BFT-A-401', 'Plan')]]);
  await server.database('intake_sets').where({ id }).update({ state: 'reading' });
  const log = pino({ level: 'silent' });
  const { database } = server;
  await new SetReader({ database, log, read: () => Promise.reject(error()) }).start(id);
  expect(await server.database('legacy_drawings').where({ set_id: id })).toEqual([
    expect.objectContaining({ reading: null, refused: null }),
  ]);
  // Whoever looks at the set lets its reading go on.
  expect(await whenRead(id)).toMatchObject({ state: 'read', done: 1, refused: [] });
});

test('what cannot be is refused in words', async () => {
  const id = await newSet([['one.dxf', sheetFile('BFT-A-301', 'Plan')]]);
  const takeOver = (body: object) => server.agent.post(`/api/intake/sets/${id}/take-over`).send(body);
  const nobody = '00000000-0000-4000-8000-000000000000';
  expect((await takeOver({ leader: nobody, projectName: 'X', drawings: [nobody] }).expect(400)).body).toMatchObject({
    code: 'invalid',
    where: 'leader',
  });
  await takeOver({ leader: nobody, projectName: '', drawings: [] }).expect(400);
  await server.agent.post(`/api/intake/sets/${nobody}/read`).expect(404);
  await server.agent.post('/api/intake/sets').send({ name: ' ' }).expect(400);
  await server.agent.delete(`/api/intake/sets/${id}`).expect(200);
  await server.agent.get(`/api/intake/sets/${id}`).expect(404);
});

test('revisions that stood on old sheets come along with their codes, and go on from them', async () => {
  const id = await newSet([
    ['a101.dxf', sheetFile('BFT-A-101', 'Ground floor plan')],
    ['a102.dxf', sheetFile('BFT-A-102', 'First floor plan')],
  ]);
  await server.agent.post(`/api/intake/sets/${id}/read`).expect(200);
  const [group] = (await whenRead(id)).groups;
  const wish = { leader: group!.leader, projectName: 'Old', drawings: group!.sheets.map(({ drawing }) => drawing) };
  const { body: taken } = await server.agent.post(`/api/intake/sets/${id}/take-over`).send(wish).expect(201);
  const sheets = async (): Promise<Sheet[]> =>
    (await server.agent.get(`/api/projects/${taken.projectId}/sheets`).expect(200)).body;
  const [one, two] = await sheets();
  // The code of the old block; what it says nothing of is told.
  expect(one!.revisions).toMatchObject([{ code: 'B', description: 'As on the old drawing', withdrawn: false }]);
  // Both are of one revision, and nothing has changed since.
  expect(two!.revisions[0]!.id).toBe(one!.revisions[0]!.id);
  expect([one!.changedSince, two!.changedSince]).toEqual([false, false]);
  const next = { id: randomUUID(), date: '2031-04-02', description: 'Tender', by: '', checked: '', code: null };
  await server.agent
    .post(`/api/projects/${taken.projectId}/revisions`)
    .send({ ...next, sheets: [one!.id] })
    .expect(201);
  expect((await sheets())[0]!.revisions.map(({ code }) => code)).toEqual(['B', 'C']);
});
