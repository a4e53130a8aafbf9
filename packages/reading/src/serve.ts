import { Worker } from 'node:worker_threads';
import type { IntakeProgress, Typefaces } from '@mendrel/core';
import { readTypefaces } from '@mendrel/formats/typeface';
import { readFile } from './read';
import type { FromReader, ReadingResult, ReadingTask, ToReader } from './tasks';
import type { Watched } from './watch';

/** How often it is told how far the reading is, in ms. */
const TOLD_EVERY = 100;

/** Reads what the process that started this one sends, one file at a time. @param script the script of the watching thread */
export function serve(script: URL): void {
  const begun = new BigInt64Array(new SharedArrayBuffer(8));
  let typefaces: Typefaces = new Map();
  let told = 0;

  const send = (message: FromReader): void => void process.send?.(message);
  const tell = (progress: IntakeProgress): void => {
    const now = performance.now();
    if (now - told < TOLD_EVERY) return;
    told = now;
    send({ progress });
  };
  const work = async (task: ReadingTask): Promise<void> => {
    Atomics.store(begun, 0, BigInt(Date.now()));
    let result: ReadingResult;
    try {
      result = await readFile(task, typefaces, tell);
    } catch (error) {
      // What is thrown here is no fault of the file; the process that asked says so and logs it.
      result = { failed: error instanceof Error ? (error.stack ?? error.message) : String(error) };
    }
    Atomics.store(begun, 0, 0n);
    send({ result, memory: process.memoryUsage.rss() });
  };
  process.on('message', (message: ToReader) => {
    if ('task' in message) return void work(message.task);
    typefaces = readTypefaces(message.setup.fonts);
    const watched: Watched = { limits: message.setup.limits, begun, parent: process.ppid };
    new Worker(script, { workerData: watched }).unref();
  });
  process.on('disconnect', () => process.exit(0));
  // A terminal's Ctrl-C reaches this process as well; whoever started it ends it in order.
  for (const signal of ['SIGINT', 'SIGHUP'] as const) process.on(signal, () => undefined);
}
