import { readFileSync } from 'node:fs';
import type { LegacyRecord } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const list = async (): Promise<LegacyRecord[]> => (await server.agent.get('/api/intake').expect(200)).body;
const corner = readFileSync('demo/legacy/corner-block-a1.dxf');
const upload = (content: Buffer, name = 'block.dxf') => server.agent.post('/api/intake').attach('file', content, name);

test('the shipped legacy drawings wait in intake', async () => {
  expect((await list()).map((each) => each.name)).toEqual([
    'corner-block-a1.dxf',
    'dirty-arch-e1.dxf',
    'rotated-text-a1.dxf',
    'scaled-model-a3.dxf',
    'strip-arch-d.dxf',
  ]);
});

test('a drawing is brought in, converted and kept as a design', async () => {
  const { body: added } = await upload(corner, 'Straße – alt.dxf').expect(201);
  expect(added).toMatchObject({ name: 'Straße – alt.dxf', bytes: corner.length, designId: null });
  const { body: conversion } = await server.agent.get(`/api/intake/${added.id}/conversion`).expect(200);
  expect(conversion.report.sheet.name).toBe('ISO A1');
  const { body: kept } = await server.agent
    .post(`/api/intake/${added.id}/keep`)
    .send({ document: conversion.design })
    .expect(201);
  expect((await list()).find((each) => each.id === added.id)).toMatchObject({
    designId: kept.id,
    designName: 'Straße – alt',
  });
});

test('what is set right by hand is kept, and the drawing is read anew by it', async () => {
  const { body: added } = await upload(corner, 'to correct.dxf').expect(201);
  const { body: first } = await server.agent.get(`/api/intake/${added.id}/conversion`).expect(200);
  expect(first.corrections).toEqual({});
  const [a, b] = [...first.report.cells].sort((one, other) => one.y - other.y || one.x - other.x);
  const { origin, unitsPerPaperMm } = first.report.source;
  const middle = (cell: typeof a) => ({
    x: origin.x + unitsPerPaperMm * (cell.x + cell.width / 2),
    y: origin.y + unitsPerPaperMm * (cell.y + cell.height / 2),
  });
  const drawn = first.report.texts.find((text: { parameter: string }) => text.parameter === 'sheet.drawnBy');
  const put = (corrections: object) => server.agent.put(`/api/intake/${added.id}/corrections`).send(corrections);

  const joined = { joined: [[middle(a), middle(b)]] };
  const { body: second } = await put(joined).expect(200);
  expect(second.report.cells).toHaveLength(first.report.cells.length - 1);
  const both = { ...joined, texts: { [drawn.id]: { kind: 'field', parameter: 'sheet.approvedBy' } } };
  await put(both).expect(200);
  const { body: third } = await server.agent.get(`/api/intake/${added.id}/conversion`).expect(200);
  expect(third.corrections).toEqual(both);
  expect(third.report.cells).toHaveLength(first.report.cells.length - 1);
  expect(third.report.texts.find((text: { id: number }) => text.id === drawn.id)).toMatchObject({
    kind: 'field',
    parameter: 'sheet.approvedBy',
  });

  // What the drawing cannot be read by, or is no correction, leaves everything as it was.
  await put({ sheet: { name: 'ISO A5', unitsPerPaperMm: 3, rotation: 0 } }).expect(422);
  await put({ texts: { first: { kind: 'field' } } }).expect(400);
  await put({ layers: { BORDER: 'somewhere' } }).expect(400);
  await put({ layers: Object.fromEntries(Array.from({ length: 2001 }, (_, i) => [`L${i}`, 'out'])) }).expect(400);
  await put({ roles: [{ height: -1, from: 'value', to: 'title' }] }).expect(400);
  const { body: last } = await server.agent.get(`/api/intake/${added.id}/conversion`).expect(200);
  expect(last.corrections).toEqual(both);
});

test('a drawing is brought in with an id to ask how far it is read; nothing is known of others', async () => {
  const reading = '11111111-2222-4333-8444-555555555555';
  await server.agent.post('/api/intake').field('reading', reading).attach('file', corner, 'followed.dxf').expect(201);
  expect((await server.agent.get(`/api/intake/readings/${reading}`).expect(200)).body).toEqual({ progress: null });
  await server.agent.get('/api/intake/readings/none').expect(404);
  const { body } = await server.agent
    .post('/api/intake')
    .field('reading', 'none')
    .attach('file', corner, 'not followed.dxf')
    .expect(400);
  expect(body).toMatchObject({ code: 'invalid', where: 'reading' });
});

describe('bad files are refused in words, nothing is kept, and the server goes on', () => {
  test.each([
    ['a text', Buffer.from('Dear all,\n'), 'line 1: "Dear all," is not a group code', 'line 1'],
    ['a drawing cut off', corner.subarray(0, 12_000), 'cut off', expect.stringMatching(/^line \d+$/)],
    ['nothing', Buffer.alloc(0), 'the file is empty', 'line 1'],
    ['zeros', Buffer.alloc(30 * 1024 * 1024), 'is not a group code', 'line 1'],
    [
      'NaN',
      Buffer.from(corner.toString('latin1').replace('841.0', 'nan'), 'latin1'),
      '"nan" is not a number',
      expect.stringMatching(/^line \d+$/),
    ],
  ])('%s', async (_name, content, message, where) => {
    const before = await list();
    const { body } = await upload(content).expect(422);
    expect(body).toEqual({ code: 'unreadable', message: expect.stringContaining(message), where });
    expect(await list()).toEqual(before);
    await server.agent.get('/api/health').expect(200);
  });

  test('a file over 64 MB', async () => {
    const { body } = await upload(Buffer.alloc(65 * 1024 * 1024)).expect(413);
    expect(body).toEqual({ code: 'too-large', message: 'the file is larger than 64 MB' });
  });

  test('no file at all', async () => {
    expect((await server.agent.post('/api/intake').expect(400)).body).toMatchObject({ code: 'invalid', where: 'file' });
  });
});

test('a design that is not sound is not kept', async () => {
  const [first] = await list();
  await server.agent
    .post(`/api/intake/${first!.id}/keep`)
    .send({ document: { format: 'mendrel-design' } })
    .expect(400);
  expect((await list())[0]?.designId).toBeNull();
});
