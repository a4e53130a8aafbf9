import type { Design } from '@mendrel/core';
import { cellsOf } from '@mendrel/core';
import sharp from 'sharp';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';
import { DesignModel } from './designModel';

let server: TestServer;
let png: Buffer;
let jpeg: Buffer;
beforeAll(async () => {
  server = await startTestServer();
  // Every dot another one, half of them seen through, as in a logo.
  const dots = Buffer.from(Array.from({ length: 64 * 64 * 4 }, (_, i) => (i * 37) % 256));
  const picture = sharp(dots, { raw: { width: 64, height: 64, channels: 4 } });
  png = await picture.clone().png().toBuffer();
  jpeg = await picture.clone().jpeg().toBuffer();
});
afterAll(() => server.stop());

const quay = async (): Promise<{ id: string; document: Design; version: number }> => {
  const { body: list } = await server.agent.get('/api/designs');
  return (
    await server.agent.get(`/api/designs/${list.find((each: { name: string }) => each.name === 'Quay strip').id}`)
  ).body;
};

/** A design with a picture in its first empty cell. */
function withPicture(document: Design, type: 'png' | 'jpeg', bytes: Buffer): Design {
  const copy = structuredClone(document);
  const leaves = [...cellsOf(copy)].map(({ cell }) => cell).filter(({ division }) => !division);
  const cell = leaves.find(({ contents }) => contents.length === 0) ?? leaves[0]!;
  cell.contents = [
    {
      kind: 'picture',
      id: 'damaged',
      name: 'Mark',
      horizontal: 'centre',
      vertical: 'middle',
      rotation: 0,
      width: 10,
      height: 10,
      linework: [],
      image: { type, data: bytes.toString('base64'), columns: 64, rows: 64 },
    },
  ];
  return copy;
}

const flipped = (bytes: Buffer, at: number): Buffer => {
  const copy = Buffer.from(bytes);
  copy[at] = (copy[at] ?? 0) ^ 1;
  return copy;
};

test('a sound picture is kept', async () => {
  const { id, document, version } = await quay();
  await server.agent
    .put(`/api/designs/${id}`)
    .send({ document: withPicture(document, 'png', png), version })
    .expect(200);
  await server.agent
    .put(`/api/designs/${id}`)
    .send({ document: withPicture(document, 'jpeg', jpeg), version: version + 1 })
    .expect(200);
  await server.agent
    .put(`/api/designs/${id}`)
    .send({ document, version: version + 2 })
    .expect(200);
});

test.each<[string, () => ['png' | 'jpeg', Buffer]]>([
  ['a PNG with one bit flipped', () => ['png', flipped(png, Math.floor(png.length / 2))]],
  ['a PNG that is cut off', () => ['png', png.subarray(0, png.length - 200)]],
  ['a PNG with nothing after its head', () => ['png', png.subarray(0, 40)]],
  ['a JPEG that is cut off', () => ['jpeg', jpeg.subarray(0, Math.floor(jpeg.length / 2))]],
])('%s is refused by its name when it is saved, in a draft, a checkpoint and a new design', async (_what, made) => {
  const { id, document, version } = await quay();
  const damaged = withPicture(document, ...made());
  const answers = [
    await server.agent.put(`/api/designs/${id}`).send({ document: damaged, version }),
    await server.agent.post(`/api/designs/${id}/checkpoints`).send({ name: 'With it', document: damaged }),
    await server.agent.post('/api/designs').send({ document: damaged }),
  ];
  for (const { status, body } of answers) {
    expect([status, body.where]).toEqual([400, 'damaged']);
    expect(body.message).toMatch(/the picture Mark: .*damaged or cut off/);
  }
});

test('one that was kept before pictures were looked at ends in words, as PDF of a sheet and of a set, and the server goes on', async () => {
  const { id, document } = await quay();
  await DesignModel.query(server.database)
    .findById(id)
    .patch({ document: withPicture(document, 'png', flipped(png, Math.floor(png.length / 2))) });
  const { body: projects } = await server.agent.get('/api/projects');
  const project = projects.find((each: { designId: string }) => each.designId === id);
  await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ designRevision: null, version: project.version })
    .expect(200);
  const { body: sheets } = await server.agent.get(`/api/projects/${project.id}/sheets`);
  for (const path of [`sheets/${sheets[0].id}/sheet.pdf`, `projects/${project.id}/set.pdf`]) {
    const { status, body, headers } = await server.agent.get(`/api/${path}`);
    expect([path, status, body.code]).toEqual([path, 422, 'unreadable']);
    expect(body.message).toContain('the picture Mark');
    expect(headers['content-disposition']).toBeUndefined();
  }
  await DesignModel.query(server.database).findById(id).patch({ document });
  await server.agent.get(`/api/sheets/${sheets[0].id}/sheet.pdf`).expect(200);
});
