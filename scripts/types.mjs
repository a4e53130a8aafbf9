// Checks the types of every room with its own settings, and of the tests with all of them. The compiler in native code takes a
// quarter of the time; the other one stays for the linter, which works on its tree.
import { spawnSync } from 'node:child_process';
import { root } from './paths.mjs';

const projects = ['core', 'formats', 'reading', 'fonts', 'contract', 'server', 'web', 'cli'].map(
  (room) => `packages/${room}`,
);
let failed = false;
for (const project of [...projects, '.']) {
  const done = spawnSync(process.execPath, ['node_modules/typescript-native/bin/tsc', '-p', project], {
    cwd: root,
    stdio: 'inherit',
  });
  if (done.status !== 0) failed = true;
}
process.exit(failed ? 1 : 0);
