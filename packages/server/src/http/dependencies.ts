import type { Conversion, Corrections, Lessons, OfficeStandard, TellProgress } from '@mendrel/core';
import type { Knex } from 'knex';
import type { Logger } from 'pino';
import type { TypefaceLibrary } from '../typefaces/typefaceLibrary';

/** Reads a legacy drawing and recognises it, wherever that runs. @throws Failure */
export type ConvertLegacy = (
  bytes: Uint8Array,
  name: string,
  by: { standard: OfficeStandard; corrections: Corrections; lessons: Lessons },
  /** Gives the reading up. */
  signal?: AbortSignal,
  tell?: TellProgress,
) => Promise<Conversion>;

/** What the routes work with; tests hand in their own. */
export interface Dependencies {
  database: Knex;
  log: Logger;
  library: TypefaceLibrary;
  convert: ConvertLegacy;
}
