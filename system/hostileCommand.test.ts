import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { HOSTILE_FILES } from '../packages/reading/src/testing/hostileFiles';
import type { Ending } from './hostile';
import { check, measured, MEGABYTES, SECONDS } from './hostile';

const folder = mkdtempSync(join(tmpdir(), 'mendrel-hostile-'));
afterAll(() => rmSync(folder, { recursive: true }));

const throughCommand = (
  name: string,
  bytes: Buffer,
  { seconds, megabytes } = { seconds: SECONDS, megabytes: MEGABYTES },
): Promise<Ending> => {
  const file = join(folder, name);
  writeFileSync(file, bytes);
  const [out, report] = [join(folder, 'design.json'), join(folder, 'report.json')];
  const limits = ['--seconds', String(seconds), '--megabytes', String(megabytes)];
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

/**
 * The server reads all of them, in the same process that the command starts. What the command adds is its limits and its
 * words: files that are read, refused at a line or as a whole, locked, or ended by what is unpacked or by time.
 */
const THROUGH_COMMAND = [
  'nothing.dxf',
  'utf16.dxf',
  'cut.dxf',
  'sound-page.pdf',
  'locked.pdf',
  'bomb.pdf',
  'saved-states.pdf',
  'cut.svg',
  'entities.svg',
  'subpaths.svg',
];
const files = THROUGH_COMMAND.map((name) => HOSTILE_FILES.find((file) => file.name === name)!);

test.each(files.map((file) => [file.name, file] as const))('%s through the command', async (name, file) => {
  check(file, await throughCommand(name, file.bytes()));
});

test('a limit that was asked for is named by its option', async () => {
  const [greedy] = HOSTILE_FILES.filter(({ name }) => name === 'operators.pdf');
  // Time enough, so that it is memory that runs out first however fast the machine is.
  const { answer } = await throughCommand(greedy!.name, greedy!.bytes(), { seconds: 60, megabytes: 200 });
  expect(answer).toMatch(/needs more than 200 MB of memory .*; --megabytes sets another limit/);
});
