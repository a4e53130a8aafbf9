import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { HostileFile } from '../packages/reading/src/testing/hostileFile';
import { HOSTILE_FILES } from '../packages/reading/src/testing/hostileFiles';
import type { StandardState } from '@mendrel/contract';
import { get, Mendrel, send } from './mendrel';

/** Limits of a reading here, so that what is meant to go on for ever does not. */
const [SECONDS, MEGABYTES] = [6, 1000];
/** What a process may take beyond its limit before that is seen, and what a start takes. */
const [MORE_SECONDS, MORE_MEGABYTES] = [8, 200];

const folder = mkdtempSync(join(tmpdir(), 'mendrel-hostile-'));
let mendrel: Mendrel;
let url: string;
beforeAll(async () => {
  mendrel = new Mendrel();
  url = await mendrel.start({ MENDREL_READING_SECONDS: String(SECONDS), MENDREL_READING_MEGABYTES: String(MEGABYTES) });
});
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await mendrel.remove();
});

/** The most memory that the reading process below another one has had so far, in MB. */
function peakBelow(pid: number, below = (args: string) => args.includes('reading.mjs')): number {
  let peak = 0;
  for (const each of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
    try {
      const status = readFileSync(`/proc/${each}/status`, 'utf8');
      if (!status.includes(`PPid:\t${pid}\n`) || !below(readFileSync(`/proc/${each}/cmdline`, 'utf8'))) continue;
      peak = Math.max(peak, Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
    } catch {
      // It has ended since it was listed.
    }
  }
  return peak;
}

interface Ending {
  answer: string;
  seconds: number;
  megabytes: number;
}

async function measured(work: () => Promise<string>, pid: () => number): Promise<Ending> {
  let megabytes = 0;
  const watch = setInterval(() => (megabytes = Math.max(megabytes, peakBelow(pid()))), 100);
  const begun = performance.now();
  try {
    const answer = await work();
    return { answer, seconds: (performance.now() - begun) / 1000, megabytes };
  } finally {
    clearInterval(watch);
  }
}

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

const throughCommand = (name: string, bytes: Buffer): Promise<Ending> => {
  const file = join(folder, name);
  writeFileSync(file, bytes);
  const [out, report] = [join(folder, 'design.json'), join(folder, 'report.json')];
  const limits = ['--seconds', String(SECONDS), '--megabytes', String(MEGABYTES)];
  const child = spawn(
    process.execPath,
    ['dist/mendrel.mjs', 'convert', file, '--out', out, '--report', report, ...limits],
    {
      stdio: ['ignore', 'pipe', 'pipe'],
    },
  );
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk: Buffer) => (said += chunk.toString()));
  return measured(
    () =>
      new Promise((resolve) =>
        child.on('close', (code) => {
          const read = code === 0 && existsSync(out);
          for (const each of [file, out, report]) rmSync(each, { force: true });
          // One line that names the file, or the two files that it was asked for.
          if (!read)
            expect([name, code, said.trim().split('\n').length, said.startsWith(`mendrel: ${file}`)]).toEqual([
              name,
              1,
              1,
              true,
            ]);
          resolve(read ? 'read' : said);
        }),
      ),
    () => child.pid!,
  );
};

const LIMIT = /takes longer than \d+ s|needs more than \d+ MB/;

function check({ name, answer }: HostileFile, ending: Ending): void {
  const fits =
    answer === 'any'
      ? /./.test(ending.answer)
      : answer === 'read'
        ? ending.answer === 'read'
        : answer.test(ending.answer);
  // What cannot be told apart from a large drawing is ended by the limits, whichever comes first on this machine.
  expect([name, fits || LIMIT.test(ending.answer) ? 'as expected' : ending.answer]).toEqual([name, 'as expected']);
  expect([name, ending.answer]).toEqual([
    name,
    expect.not.stringMatching(/should not happen|undefined|\bat .*:\d+:\d+/),
  ]);
  expect([name, ending.seconds]).toEqual([name, expect.any(Number)]);
  expect(ending.seconds).toBeLessThan(SECONDS + MORE_SECONDS);
  expect(ending.megabytes).toBeLessThan(MEGABYTES + MORE_MEGABYTES);
}

test.each(HOSTILE_FILES.map((file) => [file.name, file] as const))(
  '%s through server and command',
  async (name, file) => {
    const bytes = file.bytes();
    const [server, command] = await Promise.all([throughServer(name, bytes), throughCommand(name, bytes)]);
    if (process.env['MENDREL_TABLE'])
      process.stdout.write(
        `| ${name} | ${server.answer.slice(0, 90)} | ${server.seconds.toFixed(1)} | ${Math.round(server.megabytes)} | ${command.seconds.toFixed(1)} | ${Math.round(command.megabytes)} |\n`,
      );
    check(file, server);
    check(file, command);
  },
);

test('after all of them the server is the same process, small again, and nothing of theirs is kept', async () => {
  const { server } = mendrel.processes();
  expect(server).toHaveLength(1);
  expect(mendrel.said).not.toContain('started again');
  const resident = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server[0]}/status`, 'utf8'))?.[1]) / 1024;
  expect(resident).toBeLessThan(600);
  expect(await get(url, '/intake')).toHaveLength(5);
});

test('a typeface that comes while readings go on is known to the next one', async () => {
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
