import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { oneAtATime } from './oneAtATime.mjs';
import { root } from './paths.mjs';
import { run } from './run.mjs';

/** Installs the npm packages of the lock file unless exactly those are there. Output goes to standard error. */
export async function install({ quiet = false, signal } = {}) {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const mark = join(root, 'node_modules', '.mendrel-installed');
  const there = () => existsSync(mark) && statSync(mark).isFile() && readFileSync(mark, 'utf8') === lock;
  if (there()) return;
  const place = join(root, 'node_modules');
  await oneAtATime(
    place,
    async () => {
      // Another start may have installed them meanwhile.
      if (there()) return;
      if (!quiet) console.log('Installing npm packages…');
      const done = await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, signal });
      if (!done) throw new Error('npm ci failed; what it said stands above');
      writeFileSync(mark, lock);
    },
    { signal },
  );
}
