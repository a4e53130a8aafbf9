import { basename, extname } from 'node:path';
import type { ReadingResult } from '@mendrel/reading';
import { READING_LIMITS, ReadingLimitError } from '@mendrel/reading';
import { CommandError, countOf, needed, oneFile, readArguments } from '../arguments';
import { readBytes, refuseSameFile, writeFile } from '../files';
import type { Command } from './command';

/** Converts a legacy drawing to a design and the report of how it was read. */
export const convert: Command = async (words, { read: readDrawing }) => {
  const read = readArguments(words, { options: ['out', 'report', 'seconds', 'megabytes'], flags: [] });
  const file = oneFile(read, 'the drawing');
  const out = needed(read, 'out');
  const report = needed(read, 'report');
  const limits = {
    seconds: countOf(read, 'seconds', READING_LIMITS.seconds),
    megabytes: countOf(read, 'megabytes', READING_LIMITS.megabytes),
  };
  refuseSameFile([file], [out, report]);
  const bytes = readBytes(file);
  const name = basename(file, extname(file));
  let result: ReadingResult;
  try {
    result = await readDrawing({ kind: 'drawing', bytes, name, by: {} }, limits);
  } catch (error) {
    throw error instanceof ReadingLimitError
      ? new CommandError(`${file}: ${error.message}; --${error.limit} sets another limit`)
      : error;
  }
  if ('unreadable' in result)
    // What is told of a line begins with it.
    throw new CommandError(`${file}${result.line === undefined ? ': ' : ', '}${result.unreadable}`);
  if (!('conversion' in result))
    throw new Error('failed' in result ? result.failed : 'a drawing was asked for, and something else was answered');
  writeFile(out, `${JSON.stringify(result.conversion.design, null, 2)}\n`);
  writeFile(report, `${JSON.stringify(result.conversion.report, null, 2)}\n`);
};
