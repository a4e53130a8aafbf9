import type {
  Conversion,
  Corrections,
  Dropped,
  IntakeProgress,
  Lessons,
  OfficeStandard,
  SourceSummary,
} from '@mendrel/core';
import type { ReadingLimits } from './limits';

/** By what a legacy drawing is read, besides the typefaces. */
export interface ReadBy {
  /** The one that an office starts with where none is said. */
  standard?: OfficeStandard;
  corrections?: Corrections;
  lessons?: Lessons;
}

/** A file that somebody brought, and what is to be made of it. */
export type ReadingTask =
  | { kind: 'drawing'; bytes: Uint8Array; name: string; by: ReadBy }
  /** A drawing that views are to show. */
  | { kind: 'source'; bytes: Uint8Array }
  /** Whether all letters of a font file can be measured and embedded. */
  | { kind: 'typeface'; bytes: Uint8Array };

/** The model, a layout or a page of a drawing that views are to show. */
export interface ReadSpace {
  name: string;
  summary: SourceSummary;
  /** Its linework as `packedSpace` packs it. */
  packed: Uint8Array;
  /** Millimetres for each of its units, as far as the file says it. */
  unit?: number;
  /** What was left out, and why. */
  dropped: Dropped[];
}

/** What a task ends in: errors that lie in the file are results; others are failures of the program. */
export type ReadingResult =
  | { conversion: Conversion }
  | { spaces: ReadSpace[] }
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
