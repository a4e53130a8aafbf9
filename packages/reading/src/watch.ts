import { workerData } from 'node:worker_threads';
import type { ReadingLimits } from './limits';

/** Signals by which the process that asked knows what was too much. Neither is used by Node itself. */
export const LIMIT_SIGNALS = { seconds: 'SIGVTALRM', megabytes: 'SIGUSR2' } as const;

/** How often limits are looked at, in ms. */
const LOOK = 50;
const MB = 1024 * 1024;

export interface Watched {
  limits: ReadingLimits;
  /** When the task began that is being done, in ms of the wall clock; 0 while there is none. */
  begun: BigInt64Array;
  parent: number;
}

/**
 * Watches over the process from a thread of its own, which runs on while the reading itself keeps the process busy: whatever
 * takes too long or too much memory ends the process, and so does the end of the process that asked.
 */
export function watch(): void {
  const { limits, begun, parent } = workerData as Watched;
  setInterval(() => {
    const since = Number(Atomics.load(begun, 0));
    if (process.ppid !== parent) process.kill(process.pid, 'SIGKILL');
    if (since === 0) return;
    if (process.memoryUsage.rss() > limits.megabytes * MB) process.kill(process.pid, LIMIT_SIGNALS.megabytes);
    if (Date.now() - since > limits.seconds * 1000) process.kill(process.pid, LIMIT_SIGNALS.seconds);
  }, LOOK);
}
