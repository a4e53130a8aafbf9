import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { KeptImage, Office, Project } from '@mendrel/contract';
import type { Design } from '@mendrel/core';
import { mapCells, outlineValue, pictureValue } from '@mendrel/core';
import sharp from 'sharp';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';
import { AssetModel } from './assetModel';
import { sweepAssets } from './sweepAssets';

let server: TestServer;
let logo: KeptImage;
beforeAll(async () => {
  server = await startTestServer();
  const png = await sharp({ create: { width: 300, height: 150, channels: 3, background: '#205080' } })
    .png()
    .toBuffer();
  logo = (await server.agent.post('/api/assets').attach('file', png, 'logo.png').expect(201)).body as KeptImage;
});
afterAll(() => server.stop());

const theOffice = async (): Promise<Office> => (await server.agent.get('/api/office').expect(200)).body as Office;
const withLogo = async (value: string): Promise<Office> => {
  const office = await theOffice();
  return { ...office, values: { ...office.values, 'office.logo': value } };
};

test('an outline is data of a project, however long; other words have their limit', async () => {
  const ring = Array.from({ length: 600 }, (_, i) => (i % 2 === 0 ? 500 : 300) + Math.round(250 * Math.cos(i / 95)));
  const outline = outlineValue({ width: 1000, height: 600, parts: [{ name: 'Hall', ring }], lines: [] });
  expect(outline.length).toBeGreaterThan(2000);
  const [project] = (await server.agent.get('/api/projects').expect(200)).body as Project[];
  const { values, version } = (await server.agent.get(`/api/projects/${project!.id}`).expect(200)).body as Project;
  const saved = (key: string, value: string) =>
    server.agent.patch(`/api/projects/${project!.id}`).send({ values: { ...values, [key]: value }, version });
  const { body: refused } = await saved('project.client', outline.replaceAll(',', ' ')).expect(400);
  expect(refused).toMatchObject({ message: expect.stringContaining('has more than 2000 characters') });
  const { body: none } = await saved('project.keyPlan', 'Hall').expect(400);
  expect(none).toMatchObject({ message: expect.stringContaining('Key plan outline is an outline') });
  const { body } = await saved('project.keyPlan', outline).expect(200);
  expect((body as Project).values['project.keyPlan']).toBe(outline);
  const { body: longest } = await server.agent.get('/api/office/longest-values').expect(200);
  expect(longest).not.toHaveProperty(['project.keyPlan']);
});

test('a logo of the office stands on the sheets of a project, in its PDF once for all of them', async () => {
  await server.agent
    .put('/api/office')
    .send(await withLogo(pictureValue(logo)))
    .expect(200);
  const designs = (await server.agent.get('/api/designs').expect(200)).body as { id: string; name: string }[];
  const { document } = (
    await server.agent.get(`/api/designs/${designs.find(({ name }) => name === 'Harbour block')!.id}`).expect(200)
  ).body as { document: Design };
  let placed = false;
  const own = mapCells({ ...document, name: 'With a logo' }, (cell) => {
    if (placed || cell.division || cell.contents.length === 0) return cell;
    placed = true;
    const picture = { id: 'logo', name: 'Logo', width: 10, height: 10, linework: [], parameter: 'office.logo' };
    const at = { horizontal: 'left', vertical: 'top', rotation: 0 } as const;
    return { ...cell, contents: [{ ...picture, ...at, kind: 'picture' }] };
  });
  const made = (await server.agent.post('/api/designs').send({ document: own }).expect(201)).body as { id: string };
  const projects = (await server.agent.get('/api/projects').expect(200)).body as Project[];
  const { id, version } = projects.find(({ name }) => name === 'Osier Lane Pump House')!;
  await server.agent.patch(`/api/projects/${id}`).send({ designId: made.id, version }).expect(200);
  const pdf = (await server.agent.get(`/api/projects/${id}/set.pdf`).buffer().expect(200)).body as Buffer;
  const folder = mkdtempSync(join(tmpdir(), 'mendrel-logo-'));
  try {
    writeFileSync(join(folder, 'set.pdf'), pdf);
    // Reference: pdfimages of poppler-utils, a line for each use with the object that holds the image.
    const list = execFileSync('pdfimages', ['-list', join(folder, 'set.pdf')], { encoding: 'utf8' });
    const uses = list
      .trim()
      .split('\n')
      .slice(2)
      .map((line) => line.trim().split(/\s+/));
    expect(uses).toHaveLength(9);
    expect(uses[0]!.slice(3, 5)).toEqual(['300', '150']);
    // 300 dots on 10 mm.
    expect(Number(uses[0]![12])).toBe(762);
    expect(new Set(uses.map((each) => each[10])).size).toBe(1);
  } finally {
    rmSync(folder, { recursive: true });
  }
});

test('its file is kept as long as the value refers to it', async () => {
  const old = new Date(Date.now() - 30 * 24 * 3600 * 1000);
  await AssetModel.query(server.database).findById(logo.asset).patch({ used_at: old });
  await sweepAssets(server.database);
  expect(await AssetModel.query(server.database).findById(logo.asset)).toBeDefined();
});

test.each([
  ['a file that is not here', `png 10x10 ${'0'.repeat(64)}`, 'its file is not here any more'],
  ['what is no picture', 'logo.png', 'choose a PNG, JPEG or SVG file'],
])('a logo that refers to %s is refused', async (_name, value, message) => {
  const before = await theOffice();
  const answer = await server.agent
    .put('/api/office')
    .send(await withLogo(value))
    .expect(400);
  expect(answer.body).toMatchObject({ where: 'values.office.logo', message: expect.stringContaining(message) });
  expect(await theOffice()).toEqual(before);
});
