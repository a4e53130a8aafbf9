import type { Conversion, TellProgress } from '@mendrel/core';
import type { ReadBy, ReadingResult, ReadingTask } from '@mendrel/reading';
import { ReadingLimitError, ReadingStoppedError } from '@mendrel/reading';
import type { ReadFile } from '../http/dependencies';
import { Failure } from '../http/failure';
import { Turns } from '../http/turns';

/** Files that may wait to be read. */
const MOST_WAITING = 50;

/** Reads one file after another, as they come; whoever leaves gives its turn back. */
export function readInTurn(read: ReadFile): ReadFile {
  const turns = new Turns(1, MOST_WAITING, 'the reading');
  return (task, signal, tell) => turns.take(() => read(task, signal, tell), signal);
}

/** Does a task of reading. @throws Failure in words for what lies in the file, or in how long or how much it takes */
export async function resultOf(
  read: ReadFile,
  task: ReadingTask,
  signal?: AbortSignal,
  tell?: TellProgress,
): Promise<Exclude<ReadingResult, { unreadable: string } | { failed: string }>> {
  let result: ReadingResult;
  try {
    result = await read(task, signal, tell);
  } catch (error) {
    if (error instanceof ReadingLimitError) throw new Failure('unreadable', error.message);
    if (error instanceof ReadingStoppedError) throw new Failure('stopped', error.message);
    throw error;
  }
  if ('unreadable' in result)
    throw new Failure('unreadable', result.unreadable, result.line === undefined ? undefined : `line ${result.line}`);
  if ('failed' in result) throw new Error(`reading failed: ${result.failed}`);
  return result;
}

/** Reads a legacy drawing and recognises it. @throws Failure */
export type ConvertLegacy = (
  bytes: Uint8Array,
  name: string,
  by: ReadBy,
  /** Gives the reading up. */
  signal?: AbortSignal,
  tell?: TellProgress,
) => Promise<Conversion>;

export const converter =
  (read: ReadFile): ConvertLegacy =>
  async (bytes, name, by, signal, tell) => {
    const result = await resultOf(read, { kind: 'drawing', bytes, name, by }, signal, tell);
    if ('conversion' in result) return result.conversion;
    throw new Error('a drawing was asked for, and a typeface was answered');
  };
