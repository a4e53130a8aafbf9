import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { appendFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'mendrel-alone-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** A program that writes down when it begins and ends its work in a place. */
const working = (log: string, name: string, milliseconds: number) => {
  const script = `
    import { appendFileSync } from 'node:fs';
    import { setTimeout } from 'node:timers/promises';
    import { oneAtATime } from ${JSON.stringify(join(__dirname, '../scripts/oneAtATime.mjs'))};
    await oneAtATime(${JSON.stringify(folder)}, async () => {
      appendFileSync(${JSON.stringify(log)}, '${name} begins\\n');
      await setTimeout(${milliseconds});
      appendFileSync(${JSON.stringify(log)}, '${name} ends\\n');
    });`;
  return spawn(process.execPath, ['--input-type=module', '-e', script], { stdio: 'inherit' });
};

const lines = (log: string): string[] => readFileSync(log, 'utf8').trim().split('\n');
const begun = async (log: string): Promise<void> => {
  while (!lines(log).some((line) => line.endsWith('begins'))) await new Promise((done) => setTimeout(done, 20));
};

test('two programs in one place work one after the other', async () => {
  const log = join(folder, 'two.log');
  appendFileSync(log, '');
  const programs = ['one', 'two', 'three'].map((name) => working(log, name, 300));
  for (const code of await Promise.all(programs.map((program) => once(program, 'exit')))) expect(code[0]).toBe(0);
  const said = lines(log);
  expect(said).toHaveLength(6);
  for (let i = 0; i < 6; i += 2) expect(said[i + 1]).toBe(said[i]!.replace('begins', 'ends'));
});

test('one that was killed in the middle keeps nobody waiting', async () => {
  const log = join(folder, 'killed.log');
  appendFileSync(log, '');
  const killed = working(log, 'killed', 60_000);
  await begun(log);
  killed.kill('SIGKILL');
  await once(killed, 'exit');
  const [code] = await once(working(log, 'next', 0), 'exit');
  expect(code).toBe(0);
  expect(lines(log)).toEqual(['killed begins', 'next begins', 'next ends']);
});
