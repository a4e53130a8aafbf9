import { spawn } from 'node:child_process';
import { once } from 'node:events';

/**
 * Runs a program to its end; what it says goes to standard error.
 * @param {string} command
 * @param {string[]} args
 * @param {{ cwd?: string, signal?: AbortSignal, uid?: number, gid?: number, quiet?: boolean }} options `signal` ends it early
 * @returns {Promise<boolean>} whether it ended well
 */
export async function run(command, args, { signal, quiet = false, ...options } = {}) {
  const child = spawn(command, args, { ...options, stdio: ['ignore', quiet ? 'ignore' : 2, 2] });
  const stop = () => child.kill('SIGTERM');
  signal?.addEventListener('abort', stop);
  try {
    const [code] = await once(child, 'exit');
    return code === 0;
  } finally {
    signal?.removeEventListener('abort', stop);
  }
}
