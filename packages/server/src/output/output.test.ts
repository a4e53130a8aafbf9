import { once } from 'node:events';
import { createServer } from 'node:http';
import type { RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Project, Sheet } from '@mendrel/contract';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
let project: Project;
let sheets: Sheet[];
beforeAll(async () => {
  server = await startTestServer();
  project = ((await server.agent.get('/api/projects')).body as Project[])[2]!;
  sheets = (await server.agent.get(`/api/projects/${project.id}/sheets`)).body;
});
afterAll(() => server.stop());

test('a set comes as one PDF with a page a sheet', async () => {
  const { body, headers } = await server.agent.get(`/api/projects/${project.id}/set.pdf`).buffer().expect(200);
  expect(headers['content-type']).toBe('application/pdf');
  expect(headers['content-disposition']).toBe('attachment; filename=Osier-Lane-Pump-House.pdf');
  const text = (body as Buffer).toString('latin1');
  expect(text.startsWith('%PDF-1.7')).toBe(true);
  expect(text.match(/\/Type \/Page\b/g)).toHaveLength(project.sheets);
});

test('a sheet comes as DXF with its values in attributes, and as SVG', async () => {
  const plan = sheets.find((sheet) => sheet.number === 'A-101')!;
  const dxf = await server.agent.get(`/api/sheets/${plan.id}/sheet.dxf`).responseType('blob').expect(200);
  expect(dxf.headers['content-disposition']).toBe('attachment; filename=2210-A-101.dxf');
  const words = (dxf.body as Buffer).toString();
  expect(words).toMatch(/ATTRIB[\s\S]*?Existing plans[\s\S]*?SHEET_TITLE/);
  // The sheet's scale field fills itself from the view that stands on the sheet.
  expect(words).toMatch(/ATTRIB[\s\S]*?\n1:50\n[\s\S]*?SHEET_SCALE/);
  const svg = await server.agent.get(`/api/sheets/${plan.id}/sheet.svg`).responseType('blob').expect(200);
  expect((svg.body as Buffer).toString()).toContain('width="594mm"');
});

test('a project without a design says what to do', async () => {
  const { body: bare } = await server.agent.post('/api/projects').send({ name: 'Bare', designId: null }).expect(201);
  const { body } = await server.agent.get(`/api/projects/${bare.id}/set.pdf`).expect(400);
  expect(body).toMatchObject({ code: 'invalid', message: 'Bare has no design yet; choose one under Data' });
});

test('letters of every script stay in the names of files', async () => {
  const { body: named } = await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ values: { ...project.values, 'project.name': 'Łódź Čechov / 港' }, version: project.version })
    .expect(200);
  const { headers } = await server.agent.get(`/api/projects/${project.id}/set.pdf`).expect(200);
  expect(headers['content-disposition']).toContain(`filename*=UTF-8''${encodeURIComponent('Łódź-Čechov-港.pdf')}`);
  await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ values: project.values, version: named.version })
    .expect(200);
});

test('sets that nobody waits for any more are not drawn, and others are answered meanwhile', async () => {
  const [ferry] = (await server.agent.get('/api/projects')).body as Project[];
  const listening = createServer(server.app as RequestListener);
  await once(listening.listen(0, '127.0.0.1'), 'listening');
  const url = `http://127.0.0.1:${(listening.address() as AddressInfo).port}/api`;
  const setPdf = (signal?: AbortSignal): Promise<unknown> =>
    fetch(`${url}/projects/${ferry!.id}/set.pdf`, signal ? { signal } : {}).then((answer) => answer.arrayBuffer());
  // Whatever is drawn asks for typefaces.
  const asked = vi.spyOn(server.library.typefaces, 'get');
  await setPdf();
  const oneSet = asked.mock.calls.length;
  asked.mockClear();

  const leaving = new AbortController();
  const left = Promise.allSettled(Array.from({ length: 12 }, () => setPdf(leaving.signal)));
  await fetch(`${url}/health`);
  leaving.abort();
  expect((await left).map(({ status }) => status)).toEqual(Array.from({ length: 12 }, () => 'rejected'));
  // Sets are drawn in turn, so that this one ends after all that is still drawn of those.
  await setPdf();
  expect(asked.mock.calls.length).toBeLessThan(3 * oneSet);
  asked.mockRestore();
  await new Promise((done) => listening.close(done));
});
