import type { ChildProcess } from 'node:child_process';
import { fork } from 'node:child_process';
import type { TellProgress } from '@mendrel/core';
import type { ReadingLimits } from './limits';
import { READING_LIMITS, ReadingLimitError, ReadingStoppedError } from './limits';
import type { FromReader, ReadingResult, ReadingTask, ToReader } from './tasks';
import { LIMIT_SIGNALS } from './watch';

/** A process without work is let go after this long, in ms. */
const IDLE = 30_000;
/** A process that holds more than this part of its memory after a reading is let go. */
const KEPT_PART = 0.4;
const MB = 1024 * 1024;
/** Part of the memory that script objects may take, before the process itself is at its limit. */
const HEAP_PART = 0.8;
/** Room for objects that have just been made, in MB: most of those of a reading are gone before it is full. */
const YOUNG_MEGABYTES = 64;

export interface ReadingProcessOptions {
  /** The bundled script of the process. */
  script: URL;
  /** Typefaces by name, as they are when a reading begins. */
  fonts: () => ReadonlyMap<string, Uint8Array>;
  limits?: ReadingLimits;
}

interface Running {
  child: ChildProcess;
  /** The typefaces that it was given. */
  fonts: ReadonlyMap<string, Uint8Array>;
}

/**
 * Reads files of others in a process of its own, so that whatever one holds, this process stays responsive and all memory
 * comes back. One file at a time; the process is kept for the next one and replaced when it was ended.
 */
export class ReadingProcess {
  private running: Running | undefined;
  private idle: NodeJS.Timeout | undefined;
  private readonly limits: ReadingLimits;

  constructor(private readonly options: ReadingProcessOptions) {
    this.limits = options.limits ?? READING_LIMITS;
  }

  /**
   * Does a task; only one at a time may be given.
   * @throws ReadingLimitError, ReadingStoppedError, or Error when the process ended for another reason
   */
  run(task: ReadingTask, signal?: AbortSignal, tell?: TellProgress): Promise<ReadingResult> {
    clearTimeout(this.idle);
    if (signal?.aborted) return Promise.reject(new ReadingStoppedError());
    const { child } = this.start();
    return new Promise<ReadingResult>((resolve, reject) => {
      const end = (act: () => void): void => {
        signal?.removeEventListener('abort', stop);
        child.off('message', answered).off('error', failed).off('exit', ended);
        act();
      };
      const stop = (): void =>
        end(() => {
          this.close();
          reject(new ReadingStoppedError());
        });
      const failed = (error: Error): void =>
        end(() => {
          this.close();
          reject(error);
        });
      const ended = (code: number | null, by: NodeJS.Signals | null): void => {
        // Ended from here, as when the server is stopped: that says nothing about the file.
        if (this.running?.child !== child) return end(() => reject(new ReadingStoppedError()));
        if (by === LIMIT_SIGNALS.seconds) failed(new ReadingLimitError('seconds', this.limits));
        // SIGABRT is how the script engine ends when its heap is full, and SIGKILL how the system does when its memory is.
        else if (by === LIMIT_SIGNALS.megabytes || by === 'SIGABRT' || by === 'SIGKILL')
          failed(new ReadingLimitError('megabytes', this.limits));
        else failed(new Error(`the process that reads ended with ${by ?? code ?? 'nothing'}`));
      };
      const answered = (message: FromReader): void => {
        if ('progress' in message) tell?.(message.progress);
        else
          end(() => {
            // What a large drawing took is not kept for the small ones after it.
            if (message.memory > KEPT_PART * this.limits.megabytes * MB) this.close();
            resolve(message.result);
          });
      };
      signal?.addEventListener('abort', stop);
      child.on('message', answered).on('error', failed).on('exit', ended);
      const message: ToReader = { task };
      child.send(message);
    }).finally(() => this.letGoLater());
  }

  /** Starts the process where none is there, for a file is on its way: it is ready when the file is here. */
  prepare(): void {
    if (this.running) return;
    this.start();
    this.letGoLater();
  }

  private letGoLater(): void {
    clearTimeout(this.idle);
    this.idle = setTimeout(() => this.close(), IDLE);
    this.idle.unref();
  }

  /** Ends the process, and a reading that it is at; the next task starts another one. */
  close(): void {
    clearTimeout(this.idle);
    const { running } = this;
    this.running = undefined;
    running?.child.kill('SIGKILL');
  }

  private start(): Running {
    const fonts = this.options.fonts();
    const { running } = this;
    if (running && running.fonts === fonts && running.child.connected && running.child.exitCode === null)
      return running;
    // Typefaces that were uploaded since are read anew.
    this.close();
    const child = fork(this.options.script, [], {
      serialization: 'advanced',
      execArgv: [
        `--max-old-space-size=${Math.round(this.limits.megabytes * HEAP_PART)}`,
        `--max-semi-space-size=${YOUNG_MEGABYTES}`,
      ],
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      // Nothing of this process's surroundings, such as the way into the database, is known to the one that reads.
      env: {},
    });
    child.on('error', () => undefined);
    const message: ToReader = { setup: { fonts, limits: this.limits } };
    child.send(message);
    this.running = { child, fonts };
    return this.running;
  }
}
