import type { TellProgress } from '@mendrel/core';
import type { ReadingResult, ReadingTask } from '@mendrel/reading';
import type { FindingsKeeper } from '../findings/findingsKeeper';
import type { Work } from '../work/tasks';
import type { Knex } from 'knex';
import type { Logger } from 'pino';
import type { TypefaceLibrary } from '../typefaces/typefaceLibrary';

/** Reads a file that somebody brought, wherever that runs; files are read in turn. */
export type ReadFile = (task: ReadingTask, signal?: AbortSignal, tell?: TellProgress) => Promise<ReadingResult>;

/** What the routes work with; tests hand in their own. */
export interface Dependencies {
  database: Knex;
  log: Logger;
  library: TypefaceLibrary;
  read: ReadFile;
  /** Is told that a file is on its way which will be read. */
  readSoon: () => void;
  /** Has heavy work done where it keeps nobody waiting. */
  work: Work;
  findings: FindingsKeeper;
  /** Is told whenever something was saved. */
  changed: () => void;
  /** Names besides its own by which the server is called, when something in front of it passes requests on. */
  hosts: readonly string[];
}
