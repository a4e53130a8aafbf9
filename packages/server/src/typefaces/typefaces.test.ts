import { readFileSync } from 'node:fs';
import type { StandardState } from '@mendrel/contract';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readLegacyFile } from '@mendrel/formats/legacy';
import fc from 'fast-check';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const font = Buffer.from([...shippedFontFiles().values()][0]!);
const utf16 = (text: string): Buffer => Buffer.from(text, 'utf16le').swap16();

/** The shipped font under another name of the same length. */
function named(name: string): Buffer {
  const copy = Buffer.from(font);
  for (const [from, to] of [
    [utf16('Barlow'), utf16(name)],
    [Buffer.from('Barlow'), Buffer.from(name)],
  ] as const) {
    for (let at = copy.indexOf(from); at >= 0; at = copy.indexOf(from, at + 1)) to.copy(copy, at);
  }
  return copy;
}

const upload = (bytes: Buffer) =>
  server.agent.post('/api/typefaces').field('licence', 'Test licence').attach('file', bytes, 'font.ttf');

/** Sets all roles of the draft in one typeface while something is tried. */
async function lettering(typeface: string, attempt: () => Promise<void>): Promise<void> {
  const set = async (
    to: (role: StandardState['draft']['roles'][number]) => string,
  ): Promise<StandardState['draft']> => {
    const { draft, version } = (await server.agent.get('/api/standard')).body as StandardState;
    const roles = draft.roles.map((role) => ({ ...role, typeface: to(role) }));
    await server.agent
      .put('/api/standard')
      .send({ standard: { ...draft, roles }, version })
      .expect(200);
    return draft;
  };
  const before = await set(() => typeface);
  await attempt();
  await set(({ id }) => before.roles.find((role) => role.id === id)!.typeface);
}

test('a damaged font is refused when it comes, or else works wherever lettering is drawn', async () => {
  const { body: projects } = await server.agent.get('/api/projects');
  const project = projects[2];
  await server.agent
    .patch(`/api/projects/${project.id}`)
    .send({ standard: null, version: project.version })
    .expect(200);
  const [sheet] = (await server.agent.get(`/api/projects/${project.id}/sheets`)).body;
  const sound = named('Quayle');
  let [refused, used] = [0, 0];
  const damage = fc.array(fc.record({ at: fc.nat(sound.length - 1), to: fc.nat(255) }), {
    minLength: 1,
    maxLength: 40,
  });
  await fc.assert(
    fc.asyncProperty(damage, async (bytes) => {
      const copy = Buffer.from(sound);
      for (const { at, to } of bytes) copy[at] = to;
      const { status, body } = await upload(copy);
      expect([201, 400, 422]).toContain(status);
      if (status !== 201) {
        refused++;
        expect(body.message).toMatch(/\S/);
        return;
      }
      used++;
      await lettering(body.name, async () => {
        for (const path of [
          'standard/specimen.pdf',
          `sheets/${sheet.id}/sheet.pdf`,
          `sheets/${sheet.id}/sheet.svg`,
          `sheets/${sheet.id}/sheet.dxf`,
        ])
          expect([path, (await server.agent.get(`/api/${path}`)).status]).toEqual([path, 200]);
      });
      await server.agent.delete(`/api/typefaces/${body.id}`).expect(200);
    }),
    { numRuns: 30, seed: 20261128 },
  );
  // Both ends are tried, or the test says nothing.
  expect(Math.min(refused, used)).toBeGreaterThan(2);
});

test('a name full of marks of XML and style sheets stays a name in the SVG file', async () => {
  const { body } = await upload(named('&</S>}')).expect(201);
  expect(body.name).toContain('&</S>}');
  const { body: projects } = await server.agent.get('/api/projects');
  const [sheet] = (await server.agent.get(`/api/projects/${projects[2].id}/sheets`)).body;
  await lettering(body.name, async () => {
    const { body: svg } = await server.agent.get(`/api/sheets/${sheet.id}/sheet.svg`).responseType('blob').expect(200);
    const text = (svg as Buffer).toString();
    expect(text).not.toContain('</S>');
    expect(text).toMatch(/@font-face\{font-family:"\\26 \\3c \\2f S\\3e \\7d /);
    // A strict reader of XML finds nothing in it that ends early.
    await expect(readLegacyFile(new Uint8Array(svg as Buffer))).resolves.toHaveLength(1);
  });
  await server.agent.delete(`/api/typefaces/${body.id}`).expect(200);
});

test('with a new typeface in the standard the next drawing is read', async () => {
  const { body } = await upload(named('Quayle')).expect(201);
  await lettering(body.name, async () => {
    const { draft, version } = (await server.agent.get('/api/standard')).body as StandardState;
    await server.agent.post('/api/standard/revisions').send({ note: 'Quayle', version }).expect(201);
    expect(draft.roles[0]!.typeface).toBe(body.name);
    await server.agent
      .post('/api/intake')
      .attach('file', readFileSync('demo/legacy/corner-block-a1.dxf'), 'a.dxf')
      .expect(201);
  });
});

test('of the same font sent twice at once, one is kept and the other is refused in words', async () => {
  const answers = await Promise.all([upload(named('Tidore')), upload(named('Tidore'))]);
  expect(answers.map(({ status }) => status).sort()).toEqual([201, 400]);
  expect(answers.find(({ status }) => status === 400)!.body.message).toContain('is here already');
  // The one that was refused took nothing of the other away.
  const { body: list } = await server.agent.get('/api/typefaces');
  const { name } = list.find((each: { name: string }) => each.name.startsWith('Tidore'));
  await lettering(name, async () => void (await server.agent.get('/api/standard/specimen.pdf').expect(200)));
});

test('a file that is too large is told by the limit of typefaces', async () => {
  const { body } = await upload(Buffer.alloc(9 * 1024 * 1024)).expect(413);
  expect(body.message).toBe('the file is larger than 8 MB');
});
