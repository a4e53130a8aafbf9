import type { TellProgress, Typefaces } from '@mendrel/core';
import { convertSpaces, IntakeError, STARTING_STANDARD } from '@mendrel/core';
import { DxfError } from '@mendrel/formats/dxf';
import { LegacyFileError, readLegacyFile } from '@mendrel/formats/legacy';
import { FontFileError } from '@mendrel/formats/typeface';
import { readSource } from './readSource';
import type { ReadingResult, ReadingTask } from './tasks';

/** Does a task in the process that calls it. Errors that lie in the file are results; others are thrown. */
export async function readFile(task: ReadingTask, typefaces: Typefaces, tell?: TellProgress): Promise<ReadingResult> {
  try {
    if (task.kind === 'typeface') {
      // It writes a PDF, for which no drawing that is read has to wait.
      const { soundTypeface } = await import('./soundTypeface');
      return { typeface: await soundTypeface(task.bytes) };
    }
    if (task.kind === 'source') return { spaces: await readSource(task.bytes, tell) };
    const { bytes, name, by } = task;
    const spaces = await readLegacyFile(bytes, (part) => tell?.({ step: 'read', part }));
    return {
      conversion: convertSpaces(spaces, name, {
        standard: STARTING_STANDARD,
        ...by,
        typefaces,
        ...(tell ? { tell } : {}),
      }),
    };
  } catch (error) {
    if (error instanceof DxfError) return { unreadable: error.message, line: error.line };
    if (error instanceof IntakeError || error instanceof LegacyFileError || error instanceof FontFileError)
      return { unreadable: error.message };
    throw error;
  }
}
