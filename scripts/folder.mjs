// The folder in which a running Mendrel keeps its data: one process at a time has it.
import { spawnSync } from 'node:child_process';
import { closeSync, ftruncateSync, mkdirSync, openSync, readFileSync, writeSync } from 'node:fs';
import { join } from 'node:path';

/** What keeps a folder from being written to, in words. */
const REASONS = {
  EACCES: 'you may not write there',
  EPERM: 'you may not write there',
  EROFS: 'it lies on a disk that can only be read',
  ENOSPC: 'the disk is full',
  ENOTDIR: 'a part of its path is a file',
};

/** An error of the file system in words that name the place. */
export const inWords = (what, error) =>
  new Error(error.code in REASONS ? `${what}: ${REASONS[error.code]} (${error.code})` : `${what}: ${error.message}`, {
    cause: error,
  });

/**
 * Takes a folder for this process, making it when it is new. The system gives it back when the process ends, however it ends.
 * @param {string} folder
 * @returns {{ taken: true, tell: (about: { url: string }) => void } | { taken: false, by: { pid?: number, url?: string } }}
 *   `tell` writes down where this process can be reached, for whoever comes second
 */
export function takeFolder(folder) {
  const file = join(folder, 'running');
  let lock;
  try {
    mkdirSync(folder, { recursive: true });
    lock = openSync(file, 'a+', 0o644);
  } catch (error) {
    throw inWords(`the data folder ${folder} cannot be used`, error);
  }
  // The lock belongs to the open file, which this process keeps open after the command has ended.
  const asked = spawnSync('flock', ['--nonblock', '3'], { stdio: ['ignore', 'ignore', 'ignore', lock] });
  if (asked.error) throw new Error(`flock, of Debian's package util-linux, cannot be run: ${asked.error.message}`);
  if (asked.status !== 0) {
    closeSync(lock);
    return { taken: false, by: told(file) };
  }
  const write = (about) => {
    ftruncateSync(lock);
    writeSync(lock, JSON.stringify({ pid: process.pid, ...about }));
  };
  write({});
  return { taken: true, tell: write };
}

function told(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return {};
  }
}

/** The words for somebody who starts what runs already. */
export const runsAlready = ({ pid, url }) =>
  `Mendrel runs already in this folder${url ? `, at ${url}` : ''}${pid ? ` (process ${pid})` : ''}; end that one first, with Ctrl-C where it was started${pid ? ` or with kill ${pid}` : ''}`;
