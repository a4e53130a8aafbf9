import { execFileSync } from 'node:child_process';
import type { Design } from '@mendrel/core';
import { cellsOf, mapCells } from '@mendrel/core';
import sharp from 'sharp';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
let id: string;
beforeAll(async () => {
  server = await startTestServer();
  const designs = (await server.agent.get('/api/designs').expect(200)).body as { id: string; name: string }[];
  id = designs.find(({ name }) => name === 'Quay strip')!.id;
});
afterAll(() => server.stop());

test.each([
  ['pdf', /^%PDF-/],
  ['dxf', /^\s*0\r?\nSECTION/],
  ['svg', /^<\?xml|^<svg/],
] as const)('a sheet of any size is given out as %s, with what it is tried on with', async (format, start) => {
  const path = `/api/designs/${id}/sheet.${format}`;
  const answer = await server.agent.get(path).query({ size: 'ISO A2', tryOn: 'longest' }).buffer().expect(200);
  const content = Buffer.isBuffer(answer.body) ? answer.body.toString('latin1') : answer.text;
  expect(content).toMatch(start);
  expect(answer.headers['content-disposition']).toContain(`Quay-strip-ISO-A2.${format}`);
  if (format === 'dxf') expect(content).toContain('A-1101');
});

test('values that are typed over stand on the sheet that is given out', async () => {
  const asked = { size: 'ISO A2', tryOn: 'typical', values: { 'sheet.title': 'Pontoon at low water' } };
  const path = `/api/designs/${id}/sheet.dxf`;
  const answer = await server.agent.post(path).send(asked).buffer().expect(200);
  expect(answer.text).toContain('Pontoon');
  const { text } = await server.agent.get(path).query({ size: 'ISO A2' }).buffer().expect(200);
  expect(text).not.toContain('Pontoon');
  await server.agent
    .post(path)
    .send({ ...asked, values: { 'sheet.title': 'x'.repeat(3000) } })
    .expect(400);
});

test.each([
  ['a size that it is not made for', { size: 'ISO A4' }, 'Quay strip is not made for ISO A4'],
  ['other values', { size: 'ISO A1', tryOn: 'real' }, ''],
  ['no size', {}, ''],
])('with %s it is refused', async (_name, query, message) => {
  const { body } = await server.agent.get(`/api/designs/${id}/sheet.pdf`).query(query).expect(400);
  expect(body.message).toContain(message);
});

test('a design that is kept as a file comes back the same, with its pictures', async () => {
  const png = await sharp({ create: { width: 40, height: 20, channels: 3, background: '#205080' } })
    .png()
    .toBuffer();
  const { document } = (await server.agent.get(`/api/designs/${id}`).expect(200)).body as { document: Design };
  const image = { type: 'png' as const, columns: 40, rows: 20, data: png.toString('base64') };
  const own = mapCells({ ...document, name: 'With a picture' }, (cell) => ({
    ...cell,
    contents: cell.contents.map((content) =>
      content.kind === 'picture' ? { ...content, linework: [], image } : content,
    ),
  }));
  const made = (await server.agent.post('/api/designs').send({ document: own }).expect(201)).body as { id: string };
  const file = await server.agent.get(`/api/designs/${made.id}/design.json`).buffer().expect(200);
  const kept = JSON.parse(file.text) as Design;
  expect(kept).toEqual(own);
  const back = await server.agent.post('/api/designs').send({ document: kept }).expect(201);
  const pictures = [...cellsOf((back.body as { document: Design }).document)].flatMap(({ cell }) =>
    cell.contents.flatMap((content) => (content.kind === 'picture' ? [content.image] : [])),
  );
  expect(pictures).toEqual([{ type: 'png', columns: 40, rows: 20, asset: expect.stringMatching(/^[0-9a-f]{64}$/) }]);
});

// Reference: Python's zipfile and ezdxf.
test('as DXF its pictures lie beside it in an archive, or leave their outlines where that is chosen', async () => {
  const designs = (await server.agent.get('/api/designs').expect(200)).body as { id: string; name: string }[];
  const { id: pictured } = designs.find(({ name }) => name === 'With a picture')!;
  const asked = (pictures: string) =>
    server.agent
      .get(`/api/designs/${pictured}/sheet.dxf`)
      .query({ size: 'ISO A1', pictures })
      .buffer()
      .parse((stream, done) => {
        const parts: Buffer[] = [];
        stream.on('data', (part: Buffer) => parts.push(part));
        stream.on('end', () => done(null, Buffer.concat(parts)));
      })
      .expect(200);
  const answer = await asked('files');
  expect(answer.headers['content-disposition']).toContain('With-a-picture-ISO-A1.zip');
  const look = `
import ezdxf, io, json, sys, zipfile
z = zipfile.ZipFile(io.BytesIO(sys.stdin.buffer.read()))
drawing = ezdxf.read(io.StringIO(z.read('With-a-picture-ISO-A1.dxf').decode('utf8')))
print(json.dumps({'names': z.namelist(), 'damaged': z.testzip(), 'files': [i.dxf.filename for i in drawing.objects.query('IMAGEDEF')], 'errors': len(drawing.audit().errors)}))`;
  const seen = execFileSync('/usr/bin/python3', ['-B', '-c', look], { input: answer.body as Buffer, encoding: 'utf8' });
  expect(JSON.parse(seen)).toEqual({
    names: ['With-a-picture-ISO-A1.dxf', 'pictures/1-Quillwater-mark.png'],
    damaged: null,
    files: ['pictures/1-Quillwater-mark.png'],
    errors: 0,
  });
  const outlines = await asked('outlines');
  expect(outlines.headers['content-disposition']).toContain('With-a-picture-ISO-A1.dxf');
  expect((outlines.body as Buffer).toString('latin1')).toContain('Image: Quillwater mark');
});

test('a design that is not there has no files', async () => {
  const none = '00000000-0000-4000-8000-000000000000';
  await server.agent.get(`/api/designs/${none}/design.json`).expect(404);
  await server.agent.get(`/api/designs/${none}/sheet.pdf`).query({ size: 'ISO A1' }).expect(404);
});

// Reference: pdftotext (poppler-utils).
test('what published standards ask of a design is given out as pages to print', async () => {
  const answer = await server.agent.get(`/api/designs/${id}/conformity.pdf`).buffer().expect(200);
  expect(answer.headers['content-disposition']).toContain('Quay-strip-conformity.pdf');
  const words = execFileSync('pdftotext', ['-layout', '-', '-'], { input: answer.body as Buffer, encoding: 'utf8' });
  expect(words).toMatch(/Conformity of Quay strip/);
  for (const standard of ['ISO 7200', 'ISO 5457', 'ISO 3098', 'US National CAD Standard'])
    expect(words).toContain(standard);
});
