import { once } from 'node:events';
import { createServer, request as call } from 'node:http';
import type { RequestListener, Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import fc from 'fast-check';
import { startTestServer } from '../testing/server';
import type { TestServer } from '../testing/server';

let server: TestServer;
let listening: Server;
let port: number;
/** Ids of what there is, by the part of the address that they stand in. */
const ids: Record<string, string> = {};
beforeAll(async () => {
  server = await startTestServer();
  listening = createServer(server.app as RequestListener);
  await once(listening.listen(0, '127.0.0.1'), 'listening');
  port = (listening.address() as AddressInfo).port;
  const first = async (path: string): Promise<string> => (await server.agent.get(`/api/${path}`)).body[0].id;
  for (const path of ['designs', 'projects', 'intake']) ids[path] = await first(path);
  ids['sheets'] = await first(`projects/${ids['projects']}/sheets`);
  ids['sets'] = (await server.agent.post('/api/intake/sets').send({ name: 'Set' })).body.id;
  ids['typefaces'] = '3f1b6a52-0f6a-4d4e-9d11-2a8e7d5c9b00';
});
afterAll(async () => {
  await new Promise((done) => listening.close(done));
  await server.stop();
});

interface Odd {
  method: string;
  path: string;
  headers?: Record<string, string>;
  body?: string | Buffer;
}

/** A request as it is written here, with nothing set right on its way. */
const send = ({ method, path, headers = {}, body = '' }: Odd): Promise<{ status: number; text: string }> =>
  new Promise((resolve, reject) => {
    const length = Buffer.byteLength(body);
    const request = call(
      { port, method, path, headers: { 'content-length': String(length), ...headers } },
      (answer) => {
        const chunks: Buffer[] = [];
        answer.on('data', (chunk: Buffer) => chunks.push(chunk));
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text: Buffer.concat(chunks).toString() }));
      },
    );
    request.on('error', reject);
    request.end(body);
  });
const json = { 'content-type': 'application/json' };

const ROUTES = [
  'GET office',
  'PUT office',
  'GET standard',
  'PUT standard',
  'POST standard/impact',
  'POST standard/revisions',
  'GET standard/revisions/:number',
  'GET typefaces/:typefaces/file',
  'POST typefaces',
  'DELETE typefaces/:typefaces',
  'POST designs',
  'GET designs/:designs',
  'PUT designs/:designs',
  'POST designs/:designs/revisions',
  'GET designs/:designs/revisions/:number',
  'POST designs/:designs/checkpoints',
  'GET designs/:designs/checkpoints/:typefaces',
  'DELETE designs/:designs/checkpoints/:typefaces',
  'POST projects',
  'PATCH projects/:projects',
  'GET projects/:projects/next-number?kind=:number',
  'POST projects/:projects/sheets',
  'PATCH sheets/:sheets',
  'GET intake/readings/:typefaces',
  'POST intake',
  'PUT intake/:intake/corrections',
  'POST intake/:intake/keep',
  'POST intake/:intake/parameters',
  'PUT intake/lessons',
  'POST intake/sets',
  'POST intake/sets/:sets/drawings',
  'POST intake/sets/:sets/take-over',
  'GET intake/sets/:sets',
  'GET nothing/:number',
];
const FIELDS = [
  'version',
  'values',
  'name',
  'note',
  'document',
  'standard',
  'designId',
  'designRevision',
  'number',
  'title',
  'kind',
  'size',
  'views',
  'leader',
  'projectName',
  'drawings',
  'caption',
  'key',
  'value',
  'sign',
  'answer',
  'texts',
  '__proto__',
  'constructor',
];

const oddText = fc.oneof(
  fc.constantFrom(
    '\u0000',
    'a\u0000b',
    '\ud800',
    'x\udfff',
    '',
    ' ',
    '%ff',
    '../..',
    "';drop table sheets",
    'ISO A1',
    'plan',
    'A-101',
  ),
  fc.string({ unit: 'binary', maxLength: 30 }),
);
const oddValue: fc.Arbitrary<unknown> = fc.letrec((tie) => ({
  value: fc.oneof(
    { depthSize: 'small' },
    oddText,
    fc.constantFrom(null, true, 0, 1, -1, 1.5, 2147483647, 2147483648, 9e15, 1e308, -1e308),
    fc.array(tie('value'), { maxLength: 3 }),
    fc.dictionary(fc.oneof(fc.constantFrom(...FIELDS), oddText), tie('value'), { maxKeys: 4 }),
  ),
})).value;
const oddBody = fc.oneof(
  fc
    .dictionary(fc.constantFrom(...FIELDS), oddValue, { maxKeys: 6 })
    .map((value) => ({ headers: json, body: JSON.stringify(value) })),
  fc.constantFrom<Pick<Odd, 'headers' | 'body'>>(
    { headers: json, body: '{"name":' },
    { headers: json, body: '['.repeat(100_000) },
    { headers: json, body: `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}` },
    { headers: { ...json, 'content-encoding': 'gzip' }, body: 'this is not packed' },
    { headers: { ...json, 'content-encoding': 'compress' }, body: '{}' },
    { headers: { 'content-type': 'application/json; charset=klingon' }, body: '{}' },
    { headers: { 'content-type': 'multipart/form-data' }, body: 'no boundary' },
    {
      headers: { 'content-type': 'multipart/form-data; boundary=x' },
      body: '--x\r\ncontent-disposition: form-data; name="file"; filename="a\r\n',
    },
    {
      headers: { 'content-type': 'multipart/form-data; boundary=x' },
      body: '--x\r\nContent-Disposition: form-data; name="licence"\r\n\r\na\u0000b\r\n--x--\r\n',
    },
    { headers: { 'content-type': 'text/plain' }, body: 'words' },
    {},
  ),
);
const oddPart = fc.oneof(
  { weight: 3, arbitrary: fc.constant(':') },
  {
    weight: 1,
    arbitrary: fc.constantFrom(
      '%ff',
      '%00',
      '..%2f..',
      '-'.repeat(36),
      '2147483648',
      '99999999999999999999',
      'null',
      'draft',
      '%F0%9F',
      'a'.repeat(4000),
    ),
  },
);
const odd: fc.Arbitrary<Odd> = fc
  .record({
    route: fc.constantFrom(...ROUTES),
    parts: fc.array(oddPart, { minLength: 2, maxLength: 2 }),
    with: oddBody,
  })
  .map(({ route, parts, with: rest }) => {
    const [method = '', pattern = ''] = route.split(' ');
    let i = 0;
    const path = pattern.replace(/:(\w+)/g, (_, name: string) => {
      const part = parts[i++] ?? ':';
      return part === ':' ? (ids[name] ?? '1') : part;
    });
    return { method, path: `/api/${path}`, ...rest };
  });

test('no request, however odd, ends in an error of the server', async () => {
  await fc.assert(
    fc.asyncProperty(odd, async (request) => {
      const { status, text } = await send(request);
      expect([request.method, request.path, status < 500 ? 'answered' : `${status} ${text}`]).toEqual([
        request.method,
        request.path,
        'answered',
      ]);
      if (status >= 400)
        expect(JSON.parse(text)).toMatchObject({ code: expect.any(String), message: expect.stringMatching(/\S/) });
    }),
    { numRuns: 2500, seed: 20261128 },
  );
  expect(server.logged).toEqual([]);
}, 300_000);

test.each([
  ['U+0000', { name: 'a\u0000b', designId: null }, 'name'],
  ['half a pair', { name: 'a\ud800b', designId: null }, 'name'],
  ['U+0000 in a key', { name: 'a', designId: null, 'a\u0000': 1 }, 'a\ufffd'],
])('%s is refused with its place', async (_what, body, where) => {
  const answer = await server.agent.post('/api/projects').send(body).expect(400);
  expect(answer.body).toMatchObject({ code: 'invalid', where, message: expect.stringContaining('cannot be kept') });
});

test('versions and numbers that no database holds are refused, not looked for', async () => {
  const version = { version: 2_147_483_648 };
  for (const [method, path] of [
    ['put', `designs/${ids['designs']}`],
    ['patch', `projects/${ids['projects']}`],
    ['patch', `sheets/${ids['sheets']}`],
  ] as const)
    expect((await server.agent[method](`/api/${path}`).send(version).expect(400)).body.where).toBe('version');
});

test.each(['evil.example', 'evil.example:4310', '127.0.0.1.evil.example', 'localhost@evil.example', ''])(
  'a server that is called %s does not answer, be it from a page of that name',
  async (host) => {
    const { status, text } = await send({
      method: 'POST',
      path: '/api/projects',
      headers: { ...json, host, origin: `http://${host}` },
      body: '{"name":"X","designId":null}',
    });
    // A request without a host is refused before it comes to us.
    expect([400, 403]).toContain(status);
    if (status === 403) expect(JSON.parse(text)).toMatchObject({ code: 'forbidden' });
    expect((await server.agent.get('/api/projects')).body).not.toContainEqual(expect.objectContaining({ name: 'X' }));
  },
);

test.each(['localhost', 'LOCALHOST:1', '127.0.0.1:4310', '[::1]:4310'])('%s is this machine', async (host) => {
  expect((await send({ method: 'GET', path: '/api/office', headers: { host } })).status).toBe(200);
});

test('ordinary reading is not limited', async () => {
  // Fifty people at a time: more connections at once than a machine takes would say nothing of the limit.
  const statuses = new Set<number>();
  for (let sent = 0; sent < 3200; sent += 50) {
    const asked = Array.from({ length: 50 }, () => send({ method: 'GET', path: '/api/typefaces' }));
    for (const { status } of await Promise.all(asked)) statuses.add(status);
  }
  expect(statuses).toEqual(new Set([200]));
});
