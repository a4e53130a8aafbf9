import { createHash } from 'node:crypto';
import type { Sheet } from '@mendrel/contract';
import type { Design } from '@mendrel/core';
import { cellsOf } from '@mendrel/core';
import sharp from 'sharp';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';
import { AssetModel } from './assetModel';
import { sweepAssets } from './sweepAssets';
import { DesignModel } from '../designs/designModel';
import { LegacyModel } from '../intake/legacyModel';

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

/** A sheet that is drawn with the design of its project. */
async function aPlanOf(project: string): Promise<Sheet> {
  const { body } = await server.agent.get(`/api/projects/${project}/sheets`);
  return (body as Sheet[]).find(({ kind }) => kind === 'plan')!;
}

test('a sound picture is kept, in a document that brings it along', async () => {
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
  const sheet = await aPlanOf(project.id);
  for (const path of [`sheets/${sheet.id}/sheet.pdf`, `projects/${project.id}/set.pdf`]) {
    const { status, body, headers } = await server.agent.get(`/api/${path}`);
    expect([path, status, body.code]).toEqual([path, 422, 'unreadable']);
    expect(body.message).toContain('the picture Mark');
    expect(headers['content-disposition']).toBeUndefined();
  }
  await DesignModel.query(server.database).findById(id).patch({ document });
  await server.agent.get(`/api/sheets/${sheet.id}/sheet.pdf`).expect(200);
});

/** The design with a picture whose file is kept beside it. */
const referring = (document: Design, asset: string): Design => {
  const copy = withPicture(document, 'png', png);
  for (const { cell } of cellsOf(copy))
    for (const content of cell.contents)
      if (content.kind === 'picture' && content.image) content.image = { type: 'png', columns: 64, rows: 64, asset };
  return copy;
};
const upload = (bytes: Buffer) => server.agent.post('/api/assets').attach('file', bytes, 'mark.png');
const sizeOf = async (table: string): Promise<number> =>
  Number((await server.database.raw(`select max(length(document::text)) as most from ${table}`)).rows[0].most);

test('an image is kept once, however often it comes, and given out for ever under what it is', async () => {
  const { body: first } = await upload(png).expect(201);
  const { body: again } = await upload(png).expect(201);
  expect(first).toEqual({ asset: createHash('sha256').update(png).digest('hex'), type: 'png', columns: 64, rows: 64 });
  expect(again).toEqual(first);
  expect(await AssetModel.query(server.database).where({ sha256: first.asset }).resultSize()).toBe(1);
  const { body, headers } = await server.agent.get(`/api/assets/${first.asset}`).expect(200);
  expect(Buffer.compare(body, png)).toBe(0);
  expect(headers).toMatchObject({
    'content-type': 'image/png',
    'cache-control': 'private, max-age=31536000, immutable',
    'x-content-type-options': 'nosniff',
  });
});

// Reference: sharp writes them; what is kept are its dots, losslessly.
test.each(['tiff', 'webp'] as const)('a %s is kept as PNG, with its dots and their size on paper', async (format) => {
  const dots = Buffer.from(Array.from({ length: 30 * 20 * 3 }, (_, i) => (i * 37) % 256));
  const made = sharp(dots, { raw: { width: 30, height: 20, channels: 3 } }).withMetadata({ density: 200 });
  const file = await (format === 'tiff' ? made.tiff({ compression: 'lzw' }) : made.webp({ lossless: true })).toBuffer();
  const { body } = await upload(file).expect(201);
  expect(body).toMatchObject({ type: 'png', columns: 30, rows: 20 });
  if (format === 'tiff') expect(body.dotsPerInch).toBeCloseTo(200, 0);
  const { body: kept } = await server.agent.get(`/api/assets/${body.asset}`).expect(200);
  const { data, info } = await sharp(kept).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  expect([info.width, info.height, Buffer.compare(data, dots)]).toEqual([30, 20, 0]);
  const cut = await upload(file.subarray(0, file.length / 2)).expect(400);
  expect(cut.body.message).toContain('damaged');
});

test('what is no image, or is not kept, is neither taken nor given out', async () => {
  for (const bytes of [Buffer.from('<svg onload="x"/>'), png.subarray(0, png.length - 200)])
    expect((await upload(bytes).expect(400)).body.code).toBe('invalid');
  await server.agent.post('/api/assets').expect(400);
  await server.agent.get('/api/assets/abc').expect(400);
  await server.agent.get(`/api/assets/${'0'.repeat(64)}`).expect(404);
  // Legacy drawings are kept in the same place and are given out by their own routes only.
  const drawing = await AssetModel.query(server.database).findOne({ type: 'drawing' });
  await server.agent.get(`/api/assets/${drawing!.sha256}`).expect(404);
});

test('saves, revisions and checkpoints refer to an image and hold no copy of it', async () => {
  const { id, document, version } = await quay();
  // Nothing that could be packed: the numbers of a linear congruential generator.
  let dot = 1;
  const next = (): number => (dot = (Math.imul(dot, 1_664_525) + 1_013_904_223) >>> 0) >>> 24;
  const noise = Buffer.from(Array.from({ length: 300 * 300 * 3 }, next));
  const large = await sharp(noise, { raw: { width: 300, height: 300, channels: 3 } })
    .png()
    .toBuffer();
  const carried = withPicture(document, 'png', large);
  for (const { cell } of cellsOf(carried))
    for (const content of cell.contents)
      if (content.kind === 'picture' && content.image) Object.assign(content.image, { columns: 300, rows: 300 });
  expect(large.length).toBeGreaterThan(100_000);
  const { body: saved } = await server.agent.put(`/api/designs/${id}`).send({ document: carried, version }).expect(200);
  expect(JSON.stringify(saved.document).length).toBeLessThan(100_000);
  await server.agent.post(`/api/designs/${id}/checkpoints`).send({ name: 'Carried', document: carried }).expect(201);
  await server.agent
    .post(`/api/designs/${id}/revisions`)
    .send({ note: 'With a mark', version: version + 1 })
    .expect(201);
  for (const table of ['designs', 'design_revisions', 'design_checkpoints'])
    expect(await sizeOf(table)).toBeLessThan(100_000);
  const sha256 = createHash('sha256').update(large).digest('hex');
  expect(await AssetModel.query(server.database).findById(sha256)).toMatchObject({ bytes: large.length, type: 'png' });

  // Files that leave hold the image inside.
  const { body: projects } = await server.agent.get('/api/projects');
  const project = projects.find((each: { designId: string }) => each.designId === id);
  const { body: moved } = await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ designRevision: null, version: project.version })
    .expect(200);
  const sheet = await aPlanOf(project.id);
  const svg = await server.agent.get(`/api/sheets/${sheet.id}/sheet.svg`).expect(200);
  expect(String(svg.body)).toContain(large.toString('base64'));
  const pdf = await server.agent.get(`/api/sheets/${sheet.id}/sheet.pdf`).buffer().expect(200);
  expect(pdf.body.length).toBeGreaterThan(large.length / 2);
  await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ designRevision: 1, version: moved.version })
    .expect(200);
  await server.agent
    .put(`/api/designs/${id}`)
    .send({ document, version: version + 1 })
    .expect(200);
});

test('a picture on the sheet is kept beside the design like one in a cell, and travels with its file', async () => {
  const { id, document, version } = await quay();
  const at = { of: 'sheet', anchor: 'lower-left', x: '0', y: '0' };
  const image = { type: 'png', columns: 64, rows: 64, data: png.toString('base64') };
  const border = {
    id: 'border',
    kind: 'picture',
    name: 'Border',
    width: 80,
    height: 80,
    linework: [],
    image,
    size: 'sheet',
    at,
  };
  const carried = { ...document, loose: [border] };
  const { body: saved } = await server.agent.put(`/api/designs/${id}`).send({ document: carried, version }).expect(200);
  const asset = createHash('sha256').update(png).digest('hex');
  expect(saved.document.loose).toMatchObject([{ image: { asset } }]);
  const file = await server.agent.get(`/api/designs/${id}/design.json`).buffer().expect(200);
  expect(String(file.text ?? file.body)).toContain(image.data);
  const drawn = await server.agent.get(`/api/designs/${id}/sheet.svg`).query({ size: 'ISO A1' }).buffer().expect(200);
  expect(String(drawn.body)).toContain(image.data);
  await server.agent.put(`/api/designs/${id}`).send({ document, version: saved.version }).expect(200);
});

test('a design may not refer to an image that is not there', async () => {
  const { id, document, version } = await quay();
  const { body } = await server.agent
    .put(`/api/designs/${id}`)
    .send({ document: referring(document, 'f'.repeat(64)), version })
    .expect(400);
  expect(body).toMatchObject({ where: 'damaged', message: expect.stringContaining('choose it again') });
});

test('a file of another kind is no picture, whatever a document calls it', async () => {
  const { id, document, version } = await quay();
  const drawing = await AssetModel.query(server.database).findOne({ type: 'drawing' });
  const { body } = await server.agent
    .put(`/api/designs/${id}`)
    .send({ document: referring(document, drawing!.sha256), version })
    .expect(400);
  expect(body.message).toContain('choose it again');
});

test('a file that nothing has referred to for a week is removed, and no other', async () => {
  const { database } = server;
  const { id, document, version } = await quay();
  const other = await sharp({ create: { width: 64, height: 64, channels: 3, background: '#123456' } })
    .png()
    .toBuffer();
  const { body: used } = await upload(other).expect(201);
  await server.agent
    .put(`/api/designs/${id}`)
    .send({ document: referring(document, used.asset), version })
    .expect(200);
  const loose = await sharp({ create: { width: 9, height: 9, channels: 3, background: '#654321' } })
    .png()
    .toBuffer();
  const { body: unused } = await upload(loose).expect(201);
  // A picture that was given for one that an old drawing names.
  const mark = await sharp({ create: { width: 8, height: 4, channels: 3, background: '#112233' } })
    .png()
    .toBuffer();
  const { body: image } = await upload(mark).expect(201);
  const [old] = await LegacyModel.query(database);
  await server.agent
    .put(`/api/intake/${old!.id}/corrections`)
    .send({ pictures: { 'quill.png': { image } } })
    .expect(200);
  expect(await sweepAssets(database)).toBe(0);
  await AssetModel.query(database).patch({ used_at: new Date(Date.now() - 8 * 86_400_000) });
  await sweepAssets(database);
  const left = (await AssetModel.query(database)).map(({ sha256 }) => sha256);
  expect(left).toContain(used.asset);
  expect(left).toContain(image.asset);
  expect(left).not.toContain(unused.asset);
  const drawings = await LegacyModel.query(database);
  expect(drawings.every(({ asset }) => left.includes(asset))).toBe(true);
  await server.agent.get(`/api/intake/${drawings[0]!.id}/conversion`).expect(200);
});
