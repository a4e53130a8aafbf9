import { parentPort } from 'node:worker_threads';
import type { Typefaces } from '@mendrel/core';
import { readTypefaces } from '@mendrel/formats/typeface';
import { perform } from './perform';
import type { TaskKind, Tasks } from './tasks';

export type ToThread =
  | { fonts: ReadonlyMap<string, Uint8Array> }
  | { [K in TaskKind]: { id: number; kind: K; task: Tasks[K]['task'] } }[TaskKind];
export type FromThread = { id: number } & ({ result: Tasks[TaskKind]['result'] } | { failed: string });

// What the server sends to this thread of its own, one task after the other.
let typefaces: Typefaces = new Map();
parentPort?.on('message', (message: ToThread) => {
  if ('fonts' in message) {
    typefaces = readTypefaces(message.fonts);
    return;
  }
  const { id, kind, task } = message;
  let answer: FromThread;
  try {
    answer = { id, result: perform(kind, task, typefaces) };
  } catch (error) {
    answer = { id, failed: error instanceof Error ? (error.stack ?? error.message) : String(error) };
  }
  parentPort?.postMessage(answer);
});
