import { readFileSync } from 'node:fs';
import type { StandardState } from '@mendrel/contract';
import { HOSTILE_FILES } from '../packages/reading/src/testing/hostileFiles';
import type { Ending } from './hostile';
import { check, measured, MEGABYTES, SECONDS } from './hostile';
import { get, Mendrel, send } from './mendrel';

let mendrel: Mendrel;
let url: string;
beforeAll(async () => {
  mendrel = new Mendrel().withData();
  url = await mendrel.start({ MENDREL_READING_SECONDS: String(SECONDS), MENDREL_READING_MEGABYTES: String(MEGABYTES) });
});
afterAll(async () => {
  await mendrel.remove();
});

const throughServer = (name: string, bytes: Buffer): Promise<Ending> => {
  const [server] = mendrel.processes().server;
  return measured(
    async () => {
      const form = new FormData();
      form.append('file', new Blob([new Uint8Array(bytes)]), name);
      const answer = await fetch(`${url}/api/intake`, { method: 'POST', body: form });
      const body = (await answer.json()) as { id?: string; code?: string; message?: string };
      if (answer.status !== 201) {
        expect([name, body.code]).toEqual([name, 'unreadable']);
        return body.message ?? '';
      }
      await fetch(`${url}/api/intake/${body.id}`, { method: 'DELETE' });
      return 'read';
    },
    () => server!,
  );
};

test.each(HOSTILE_FILES.map((file) => [file.name, file] as const))('%s through the server', async (name, file) => {
  check(file, await throughServer(name, file.bytes()));
});

test('after all of them the server is the same process, small again, and nothing of theirs is kept', async () => {
  const { server } = mendrel.processes();
  expect(server).toHaveLength(1);
  expect(mendrel.said).not.toContain('started again');
  const resident = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server[0]}/status`, 'utf8'))?.[1]) / 1024;
  expect(resident).toBeLessThan(600);
  expect(await get(url, '/intake')).toHaveLength(5);
});

test('a typeface that comes while readings go on is known to the next one', async () => {
  // Sound files are read on a busy machine too, which the limits above do not allow for.
  await mendrel.end();
  url = await mendrel.start();
  const font = readFileSync('packages/fonts/ttf/BarlowSemiCondensed-Regular.ttf');
  for (const [from, to] of [
    [Buffer.from('Barlow'), Buffer.from('Quayle')],
    [Buffer.from('Barlow', 'utf16le').swap16(), Buffer.from('Quayle', 'utf16le').swap16()],
  ] as const) {
    for (let at = font.indexOf(from); at >= 0; at = font.indexOf(from, at)) to.copy(font, at);
  }
  const form = new FormData();
  form.append('licence', 'Test licence');
  form.append('file', new Blob([new Uint8Array(font)]), 'quayle.ttf');
  const added = await fetch(`${url}/api/typefaces`, { method: 'POST', body: form });
  expect(added.status).toBe(201);
  const { name } = (await added.json()) as { name: string };
  const { draft, version } = (await get(url, '/standard')) as StandardState;
  const roles = draft.roles.map((role) => ({ ...role, typeface: name }));
  expect((await send(url, 'PUT', '/standard', { standard: { ...draft, roles }, version }))?.status).toBe(200);
  expect((await send(url, 'POST', '/standard/revisions', { note: name, version: version + 1 }))?.status).toBe(201);
  const { answer } = await throughServer('sound.dxf', HOSTILE_FILES.find((each) => each.name === 'utf16.dxf')!.bytes());
  expect(answer).toBe('read');
});

test('a reading that waits behind others is read when its turn comes, and one that is given up gives its memory back', async () => {
  const sound = HOSTILE_FILES.find(({ name }) => name === 'utf16.dxf')!.bytes();
  const slow = HOSTILE_FILES.find(({ name }) => name === 'saved-states.pdf')!.bytes();
  const upload = (bytes: Buffer, signal?: AbortSignal) => {
    const form = new FormData();
    form.append('file', new Blob([new Uint8Array(bytes)]), 'a');
    return fetch(`${url}/api/intake`, { method: 'POST', body: form, ...(signal ? { signal } : {}) });
  };
  const leaving = new AbortController();
  const first = upload(slow, leaving.signal).catch(() => 'left');
  const waiting = Array.from({ length: 3 }, () => upload(sound));
  setTimeout(() => leaving.abort(), 1000);
  expect(await first).toBe('left');
  for (const answer of await Promise.all(waiting)) {
    expect(answer.status).toBe(201);
    const { id } = (await answer.json()) as { id: string };
    await fetch(`${url}/api/intake/${id}`, { method: 'DELETE' });
  }
});
