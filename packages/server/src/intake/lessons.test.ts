import { readFileSync } from 'node:fs';
import type { TestServer } from '../testing/server';
import { startTestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const corner = readFileSync('demo/legacy/corner-block-a1.dxf', 'latin1');

/** Brings in the corner block with one caption in words that nobody knows. */
async function bring(caption: string): Promise<string> {
  const content = Buffer.from(corner.replace('Drawn by', caption).replace('Created by', caption), 'latin1');
  const { body } = await server.agent.post('/api/intake').attach('file', content, `${caption}.dxf`).expect(201);
  return body.id as string;
}
const read = async (id: string) => (await server.agent.get(`/api/intake/${id}/conversion`).expect(200)).body;
interface Text {
  id: number;
  text: string;
  kind: string;
  parameter: string | null;
  cell: string | null;
}
const textOf = (report: { texts: Text[] }, words: string): Text => report.texts.find(({ text }) => text === words)!;

test('what a person sets right stays with its drawing; what is taught is known in the next one, until it is forgotten', async () => {
  const first = await bring('PENCILLED');
  const { report } = await read(first);
  const value = textOf(report, 'MO');
  expect(textOf(report, 'PENCILLED').kind).toBe('caption');
  expect(value.parameter).toBeNull();
  await server.agent
    .put(`/api/intake/${first}/corrections`)
    .send({ texts: { [value.id]: { kind: 'field', parameter: 'sheet.drawnBy' } } })
    .expect(200);
  expect((await server.agent.get('/api/intake/lessons').expect(200)).body.captions).toEqual({});
  const second = await bring('Pencilled:');
  expect(textOf((await read(second)).report, 'MO').parameter).toBeNull();
  await server.agent
    .put('/api/intake/lessons')
    .send({ kind: 'captions', sign: 'pencilled', answer: 'sheet.drawnBy' })
    .expect(200);
  expect(textOf((await read(second)).report, 'MO')).toMatchObject({ kind: 'field', parameter: 'sheet.drawnBy' });

  await server.agent.put('/api/intake/lessons').send({ kind: 'captions', sign: 'pencilled', answer: null }).expect(200);
  expect(textOf((await read(second)).report, 'MO').parameter).toBeNull();
});

test('a caption that nobody knows becomes a parameter of the office', async () => {
  const id = await bring('INKED IN');
  const { report } = await read(id);
  const [proposal] = report.proposals;
  expect(proposal).toMatchObject({ caption: 'INKED IN', key: 'sheet.inkedIn', name: 'Inked in', value: 'MO' });
  const { caption, key, name, value } = proposal;
  const { body } = await server.agent
    .post(`/api/intake/${id}/parameters`)
    .send({ caption, key, name, value })
    .expect(200);
  expect(textOf(body.report, 'MO')).toMatchObject({ kind: 'field', parameter: 'sheet.inkedIn' });
  expect(body.report.proposals).toEqual([]);
  const { body: standard } = await server.agent.get('/api/standard').expect(200);
  expect(standard.draft.parameters.map((each: { key: string }) => each.key)).toContain('sheet.inkedIn');

  await server.agent.post(`/api/intake/${id}/parameters`).send({ caption, key: 'nowhere', name, value }).expect(400);
});

test('pens are taught by their old signs', async () => {
  const id = await bring('Drawn by');
  const [pen] = (await read(id)).report.pens;
  await server.agent.put('/api/intake/lessons').send({ kind: 'pens', sign: pen.sign, answer: 'fine' }).expect(200);
  const after = await read(id);
  expect(after.report.pens[0]).toMatchObject({ sign: pen.sign, pen: 'fine' });
  expect(after.design.frame.pen).toBe('fine');
  await server.agent.put('/api/intake/lessons').send({ kind: 'paper', sign: 'x', answer: 'y' }).expect(400);
});
