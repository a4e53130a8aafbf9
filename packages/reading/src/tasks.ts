import type { Conversion, Corrections, IntakeProgress, Lessons, OfficeStandard } from '@mendrel/core';
import type { ReadingLimits } from './limits';

/** By what a legacy drawing is read, besides the typefaces. */
export interface ReadBy {
  standard: OfficeStandard;
  corrections?: Corrections;
  lessons?: Lessons;
}

/** A file that somebody brought, and what is to be made of it. */
export type ReadingTask =
  | { kind: 'drawing'; bytes: Uint8Array; name: string; by: ReadBy }
  /** Whether all letters of a font file can be measured and embedded. */
  | { kind: 'typeface'; bytes: Uint8Array };

/** What a task ends in: errors that lie in the file are results; others are failures of the program. */
export type ReadingResult =
  | { conversion: Conversion }
  | { typeface: string }
  | { unreadable: string; line?: number }
  | { failed: string };

/** What the process that reads is told first: typefaces by name, and what one reading may take. */
export interface ReadingSetup {
  fonts: ReadonlyMap<string, Uint8Array>;
  limits: ReadingLimits;
}

export type ToReader = { setup: ReadingSetup } | { task: ReadingTask };
/** With a result comes the memory that the process holds, in bytes. */
export type FromReader = { progress: IntakeProgress } | { result: ReadingResult; memory: number };
