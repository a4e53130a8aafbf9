import { Worker } from 'node:worker_threads';
import type { Conversion } from '@mendrel/core';
import type { ConvertLegacy } from '../http/dependencies';
import { Failure } from '../http/failure';
import type { TypefaceLibrary } from '../typefaces/typefaceLibrary';
import type { ReadResult } from './convert';

/** A drawing that takes longer than this to read is given up, in ms. */
const MOST_TIME = 60_000;
const MEMORY_MB = 2048;

/** A failure in the words of a read result. */
export function conversionOf(result: ReadResult): Conversion {
  if ('conversion' in result) return result.conversion;
  throw new Failure('unreadable', result.unreadable, result.line === undefined ? undefined : `line ${result.line}`);
}

/** Reads legacy drawings in threads, one at a time; `script` is the bundled worker. */
export function readInWorker(script: URL, library: TypefaceLibrary): ConvertLegacy {
  let last: Promise<unknown> = Promise.resolve();
  const run = (bytes: Uint8Array, name: string, standard: unknown, corrections: unknown): Promise<ReadResult> =>
    new Promise((resolve, reject) => {
      const worker = new Worker(script, {
        workerData: { bytes, name, standard, corrections, fonts: library.fontFiles },
        resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
      });
      const timer = setTimeout(() => {
        reject(
          new Failure(
            'unreadable',
            'the drawing takes too long to read; take out what does not belong to the title block',
          ),
        );
        void worker.terminate();
      }, MOST_TIME);
      worker.once('message', (result: ReadResult) => {
        clearTimeout(timer);
        resolve(result);
        void worker.terminate();
      });
      worker.once('error', (error: NodeJS.ErrnoException) => {
        clearTimeout(timer);
        reject(
          error.code === 'ERR_WORKER_OUT_OF_MEMORY'
            ? new Failure('unreadable', 'the drawing needs more memory than intake may use')
            : error,
        );
      });
      worker.once('exit', () => {
        clearTimeout(timer);
        reject(new Failure('unreadable', 'reading the drawing ended without a result'));
      });
    });
  return async (bytes, name, standard, corrections) => {
    const turn = last.then(() => run(bytes, name, standard, corrections));
    last = turn.catch(() => undefined);
    return conversionOf(await turn);
  };
}
