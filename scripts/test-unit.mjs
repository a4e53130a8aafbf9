// The tests of all packages; those of the server have a PostgreSQL of their own, in a temporary folder on a port of its own.
import { spawnSync } from 'node:child_process';
import { startThrowawayCluster } from './cluster.mjs';
import { root } from './paths.mjs';

const cluster = await startThrowawayCluster('mendrel_test');
const vitest = ['node_modules/vitest/vitest.mjs', 'run', '--project', 'node', '--project', 'web'];
const done = spawnSync(process.execPath, [...vitest, ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, DATABASE_URL: cluster.url },
});
await cluster.stop();
process.exit(done.status ?? 1);
