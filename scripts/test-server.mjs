// The server's tests against a PostgreSQL of their own, in a temporary folder on a port of its own.
import { spawnSync } from 'node:child_process';
import { startThrowawayCluster } from './cluster.mjs';
import { root } from './paths.mjs';

const cluster = await startThrowawayCluster('mendrel_test');
const done = spawnSync(
  process.execPath,
  [
    '--max-old-space-size=4096',
    'node_modules/jest/bin/jest.js',
    '--selectProjects',
    'server',
    '--maxWorkers=2',
    ...process.argv.slice(2),
  ],
  { cwd: root, stdio: 'inherit', env: { ...process.env, DATABASE_URL: cluster.url } },
);
await cluster.stop();
process.exit(done.status ?? 1);
