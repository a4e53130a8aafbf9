import { Worker } from 'node:worker_threads';
import type { Conversion, IntakeProgress, TellProgress } from '@mendrel/core';
import type { ConvertLegacy } from '../http/dependencies';
import { Failure } from '../http/failure';
import type { TypefaceLibrary } from '../typefaces/typefaceLibrary';
import type { ReadResult } from './convert';

/** A drawing that takes longer than this to read is given up, in ms. */
const MOST_TIME = 60_000;
/** What a drawing may need besides what the server needs anyway, in MB: in script objects, and in all. */
const MEMORY_MB = 1280;
const MOST_MB = 1500;
const MB = 1024 * 1024;
/** How often memory is looked at, in ms; packed files unpack outside of what a thread's own limit counts. */
const LOOK = 200;
/** A thread without work is let go after this long, in ms. */
const IDLE = 30_000;

/** A failure in the words of a read result. */
export function conversionOf(result: ReadResult): Conversion {
  if ('conversion' in result) return result.conversion;
  throw new Failure('unreadable', result.unreadable, result.line === undefined ? undefined : `line ${result.line}`);
}

interface Thread {
  worker: Worker;
  fonts: unknown;
}

/**
 * Reads legacy drawings in a thread, one at a time; `script` is the bundled worker. The thread is kept while there is work,
 * and replaced when it was given up.
 */
export function readInWorker(script: URL, library: TypefaceLibrary): ConvertLegacy {
  let thread: Thread | undefined;
  let last: Promise<unknown> = Promise.resolve();
  let idle: NodeJS.Timeout | undefined;

  const letGo = (): void => {
    const gone = thread;
    thread = undefined;
    void gone?.worker.terminate();
  };
  const start = (): Worker => {
    // Typefaces that were uploaded since are read anew.
    if (thread && thread.fonts !== library.fontFiles) letGo();
    thread ??= {
      fonts: library.fontFiles,
      worker: new Worker(script, {
        workerData: { fonts: library.fontFiles },
        resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
      }),
    };
    return thread.worker;
  };
  const run = (task: object, signal?: AbortSignal, tell?: TellProgress): Promise<ReadResult> =>
    new Promise((resolve, reject) => {
      if (signal?.aborted) return reject(new Failure('stopped', 'the reading was stopped'));
      const worker = start();
      const before = process.memoryUsage.rss();
      const end = (act: () => void): void => {
        clearTimeout(timer);
        clearInterval(look);
        signal?.removeEventListener('abort', stop);
        worker.off('message', answered).off('error', failed).off('exit', ended);
        act();
      };
      const giveUp = (code: 'unreadable' | 'stopped', message: string): void =>
        end(() => {
          letGo();
          reject(new Failure(code, message));
        });
      const stop = (): void => giveUp('stopped', 'the reading was stopped');
      const tooMuch = (): void => giveUp('unreadable', 'the drawing needs more memory than intake may use');
      const timer = setTimeout(
        () =>
          giveUp('unreadable', 'the drawing takes too long to read; take out what does not belong to the title block'),
        MOST_TIME,
      );
      const look = setInterval(() => {
        if (process.memoryUsage.rss() - before > MOST_MB * MB) tooMuch();
      }, LOOK);
      signal?.addEventListener('abort', stop);
      const answered = (message: ReadResult | { progress: IntakeProgress }): void => {
        if ('progress' in message) tell?.(message.progress);
        else end(() => resolve(message));
      };
      const failed = (error: NodeJS.ErrnoException): void => {
        if (error.code === 'ERR_WORKER_OUT_OF_MEMORY') tooMuch();
        else
          end(() => {
            letGo();
            reject(error);
          });
      };
      const ended = (): void => giveUp('unreadable', 'reading the drawing ended without a result');
      worker.on('message', answered).on('error', failed).on('exit', ended);
      worker.postMessage(task);
    });
  return async (bytes, name, by, signal, tell) => {
    clearTimeout(idle);
    const turn = last.then(() => run({ bytes, name, by }, signal, tell));
    last = turn.catch(() => undefined);
    try {
      return conversionOf(await turn);
    } finally {
      clearTimeout(idle);
      idle = setTimeout(letGo, IDLE);
      idle.unref();
    }
  };
}
