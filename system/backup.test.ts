import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { get, Mendrel, send } from './mendrel';

let mendrel: Mendrel;
const folder = mkdtempSync(join(tmpdir(), 'mendrel-backup-'));
const file = join(folder, 'office.backup');
beforeAll(() => {
  mendrel = new Mendrel();
});
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await mendrel.remove();
});

const npm = (script: 'backup' | 'restore', ...words: string[]) => {
  const { status, stdout, stderr } = spawnSync('npm', ['run', '--silent', script, '--', ...words], {
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: '', MENDREL_DATA: mendrel.data },
  });
  return { status, said: stdout + stderr };
};
const names = async (url: string): Promise<string[]> =>
  (await get(url, '/projects')).map(({ name }: { name: string }) => name);

test('before the first start there is nothing to back up', () => {
  expect(npm('backup', file)).toMatchObject({ status: 1, said: expect.stringContaining('there is no data') });
  expect(existsSync(file)).toBe(false);
});

test('what was backed up while Mendrel ran comes back, all of it, and what was there before is kept', async () => {
  const url = await mendrel.start();
  const [{ id }] = await get(url, '/intake');
  const before = [await names(url), await get(url, '/standard'), await get(url, '/designs')];
  expect(npm('backup', file)).toMatchObject({ status: 0, said: expect.stringContaining('holds all data') });
  expect(statSync(file).mode & 0o077).toBe(0);
  // A backup that is there is not written over.
  expect(npm('backup', file)).toMatchObject({ status: 1, said: expect.stringContaining('is there already') });
  await send(url, 'POST', '/projects', { name: 'Later', designId: null });
  await send(url, 'DELETE', `/intake/${id}`);
  expect(npm('restore', file)).toMatchObject({ status: 1, said: expect.stringContaining('Mendrel is running') });
  await mendrel.end();

  expect(npm('restore', file).said).toMatch(/The data of .* is in place; what there was before lies in/);
  const again = await mendrel.start();
  expect([await names(again), await get(again, '/standard'), await get(again, '/designs')]).toEqual(before);
  expect(await get(again, '/intake')).toContainEqual(expect.objectContaining({ id }));
  await mendrel.end();

  const kept = readdirSync(mendrel.data).find((name) => name.endsWith('.backup'))!;
  expect(npm('restore', join(mendrel.data, kept)).status).toBe(0);
  expect(await names(await mendrel.start())).toContain('Later');
  await mendrel.end();
});

test.each([
  ['no file at all', undefined],
  ['a file of something else', 'these are words'],
  ['half a backup', 'half'],
])('%s changes nothing', async (_what, content) => {
  const other = join(folder, 'other.backup');
  rmSync(other, { force: true });
  if (content === 'half') {
    const whole = readFileSync(file);
    writeFileSync(other, whole.subarray(0, Math.floor(whole.length * 0.6)));
  } else if (content !== undefined) writeFileSync(other, content);
  const { status, said } = npm('restore', other);
  expect([status, said]).toEqual([1, expect.stringContaining('Nothing was restored')]);
  expect(await names(await mendrel.start())).toContain('Later');
  await mendrel.end();
});
