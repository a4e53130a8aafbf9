import type { FindingsTask } from './tasks';
import { WorkThread } from './workThread';

/** A thread that answers with what it was told so far; it ends, hangs or fails when it is asked for so many sheets. */
const SCRIPT = new URL(
  `data:text/javascript,${encodeURIComponent(`
    import { parentPort } from 'node:worker_threads';
    const told = [];
    parentPort.on('message', (message) => {
      if ('fonts' in message) return void told.push('fonts');
      const { id, task } = message;
      told.push(task.count);
      if (task.count === 404) throw new Error('out of memory');
      if (task.count === 500) return void parentPort.postMessage({ id, failed: 'no such design' });
      if (task.count === 999) for (;;);
      parentPort.postMessage({ id, result: [...told] });
    });`)}`,
);
const asking = (count: number): FindingsTask => ({ count }) as FindingsTask;

test('tasks are done in order, and typefaces are told once until one comes or goes', async () => {
  let fonts = new Map([['Old', new Uint8Array(1)]]);
  const thread = new WorkThread(SCRIPT, () => fonts);
  const both = await Promise.all([thread.work('findings', asking(1)), thread.work('findings', asking(2))]);
  expect(both).toEqual([
    ['fonts', 1],
    ['fonts', 1, 2],
  ]);
  fonts = new Map(fonts);
  expect(await thread.work('findings', asking(3))).toEqual(['fonts', 1, 2, 'fonts', 3]);
  await thread.close();
});

test('what somebody waits for goes before what nobody waits for, also between its tasks', async () => {
  const fonts = new Map<string, Uint8Array>();
  const thread = new WorkThread(SCRIPT, () => fonts);
  const others = [10, 11, 12].map((count) => thread.whenIdle('findings', asking(count)));
  // The first of them is under way; whoever waits comes next, and so does what they ask for with that answer.
  for (const count of [1, 2, 3]) await thread.work('findings', asking(count));
  await Promise.all(others);
  expect(await thread.work('findings', asking(4))).toEqual(['fonts', 10, 1, 2, 3, 11, 12, 4]);
  await thread.close();
});

test('what nobody waits for is not held back for ever', async () => {
  const fonts = new Map<string, Uint8Array>();
  const thread = new WorkThread(SCRIPT, () => fonts, { task: 60_000, held: -1 });
  const all = [thread.whenIdle('findings', asking(10)), thread.whenIdle('findings', asking(11))];
  expect(await thread.work('findings', asking(1))).toEqual(['fonts', 10, 11, 1]);
  await Promise.all(all);
  await thread.close();
});

test('a task that cannot be handed over fails, and keeps nobody waiting', async () => {
  const thread = new WorkThread(SCRIPT, () => new Map());
  const wrong = thread.work('findings', { count: 1, source: () => 1 } as unknown as FindingsTask);
  await expect(wrong).rejects.toThrow('could not be cloned');
  expect(await thread.work('findings', asking(2))).toContain(2);
  await thread.close();
});

test('a task that fails fails alone; a thread that ends fails what waits for it, and is started again', async () => {
  const thread = new WorkThread(SCRIPT, () => new Map());
  const failing = thread.work('findings', asking(500));
  const after = thread.work('findings', asking(1));
  await expect(failing).rejects.toThrow('no such design');
  expect(await after).toContain(1);
  const ending = [thread.work('findings', asking(404)), thread.work('findings', asking(2))];
  for (const each of ending) await expect(each).rejects.toThrow('out of memory');
  expect(await thread.work('findings', asking(3))).toEqual(['fonts', 3]);
  await thread.close();
});

test('work without end is given up, and so is what is under way when the server is stopped', async () => {
  const impatient = new WorkThread(SCRIPT, () => new Map(), { task: 300, held: 5000 });
  await expect(impatient.work('findings', asking(999))).rejects.toThrow('took too long');
  expect(await impatient.work('findings', asking(1))).toEqual(['fonts', 1]);
  await impatient.close();
  const thread = new WorkThread(SCRIPT, () => new Map());
  const left = thread.work('findings', asking(999));
  const closing = thread.close();
  await expect(left).rejects.toThrow('the server was stopped');
  await closing;
});
