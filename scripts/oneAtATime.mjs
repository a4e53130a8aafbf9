import { createHash } from 'node:crypto';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';

/** How often it is looked whether the other one has ended, in ms. */
const LOOK = 200;

const running = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    // A process of somebody else runs, too.
    return error.code === 'EPERM';
  }
};

/**
 * Does something that two programs must not do in one place at once: whoever comes second waits. One that was killed leaves
 * nobody waiting.
 * @param {string} place
 * @param {() => Promise<void>} work
 * @param {{ signal?: AbortSignal }} options `signal` ends the waiting
 */
export async function oneAtATime(place, work, { signal } = {}) {
  const mark = join(tmpdir(), `mendrel-${createHash('sha256').update(place).digest('hex').slice(0, 16)}.pid`);
  for (;;) {
    try {
      writeFileSync(mark, String(process.pid), { flag: 'wx' });
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    let pid = 0;
    try {
      pid = Number(readFileSync(mark, 'utf8'));
    } catch (error) {
      if (error.code !== 'ENOENT') throw error;
      continue;
    }
    // A mark without a number is just being written.
    if (pid > 0 && !running(pid)) rmSync(mark, { force: true });
    else await wait(LOOK, undefined, { signal });
  }
  try {
    await work();
  } finally {
    rmSync(mark, { force: true });
  }
}
