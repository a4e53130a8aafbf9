import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { STARTING_STANDARD } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import type { ReadingLimits, ReadingTask } from '@mendrel/reading';
import { READING_LIMITS, ReadingProcess } from '@mendrel/reading';
import { HOSTILE_FILES } from '../packages/reading/src/testing/hostileFiles';

const fonts = shippedFontFiles();
const script = pathToFileURL(join(process.cwd(), 'dist/reading.mjs'));
let current: ReadingProcess | undefined;
const readingWith = (limits: Partial<ReadingLimits> = {}): ReadingProcess =>
  (current = new ReadingProcess({ script, fonts: () => fonts, limits: { ...READING_LIMITS, ...limits } }));
afterEach(() => current?.close());

const task = (name: string): ReadingTask => ({
  kind: 'drawing',
  bytes: new Uint8Array(HOSTILE_FILES.find((file) => file.name === name)!.bytes()),
  name,
  by: { standard: STARTING_STANDARD },
});
const ENDLESS = 'saved-states.pdf';

test('a reading that takes too long is ended, and the next one is read', async () => {
  const reading = readingWith({ seconds: 1 });
  await expect(reading.run(task(ENDLESS))).rejects.toMatchObject({
    limit: 'seconds',
    message: expect.stringContaining('takes longer than 1 s'),
  });
  expect(await reading.run(task('utf16.dxf'))).toHaveProperty('conversion');
});

test('a reading that takes too much memory is ended as such, whatever takes it', async () => {
  for (const name of ['bomb.pdf', 'operators.pdf'])
    await expect(readingWith({ megabytes: 200 }).run(task(name))).rejects.toMatchObject({ limit: 'megabytes' });
});

test('ended from here, be it by whoever asked or with the whole program, it is stopped and says nothing of the file', async () => {
  const reading = readingWith();
  const leaving = new AbortController();
  const left = reading.run(task(ENDLESS), leaving.signal);
  leaving.abort();
  await expect(left).rejects.toMatchObject({ name: 'ReadingStoppedError' });
  const closed = reading.run(task(ENDLESS));
  reading.close();
  await expect(closed).rejects.toMatchObject({ name: 'ReadingStoppedError' });
  expect(await reading.run(task('utf16.dxf'))).toHaveProperty('conversion');
});

test('what was made ready beforehand reads the file, and stays with it while others are expected', async () => {
  const reading = readingWith();
  reading.prepare();
  const first = reading.run(task('utf16.dxf'));
  // Another file is on its way: the reading goes on.
  reading.prepare();
  expect(await first).toHaveProperty('conversion');
  reading.close();
  reading.prepare();
  expect(await reading.run(task('utf16.dxf'))).toHaveProperty('conversion');
});

test('it tells how far it is', async () => {
  const told: string[] = [];
  await readingWith().run(task('texts.dxf'), undefined, ({ step }) => told.push(step));
  expect(told.length).toBeGreaterThan(0);
});
