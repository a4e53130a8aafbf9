import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { HOSTILE_FILES } from '../packages/reading/src/testing/hostileFiles';
import type { Ending } from './hostile';
import { check, measured, MEGABYTES, SECONDS } from './hostile';

const folder = mkdtempSync(join(tmpdir(), 'mendrel-hostile-'));
afterAll(() => rmSync(folder, { recursive: true }));

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

test.each(HOSTILE_FILES.map((file) => [file.name, file] as const))('%s through the command', async (name, file) => {
  check(file, await throughCommand(name, file.bytes()));
});
