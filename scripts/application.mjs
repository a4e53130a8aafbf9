// Starts the built application with a database of its own on free ports, beside whatever else is running.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { buildServer, buildWeb } from './build.mjs';
import { startThrowawayCluster } from './cluster.mjs';
import { root } from './paths.mjs';

/** @returns {Promise<{ url: string, databaseUrl: string, stop: () => Promise<void> }>} */
export async function startApplication() {
  await buildServer();
  await buildWeb();
  const cluster = await startThrowawayCluster('mendrel');
  const server = spawn(process.execPath, [join(root, 'dist/server.mjs')], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: cluster.url, PORT: '0' },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  const url = await new Promise((resolve, reject) => {
    server.on('message', ({ ready }) => resolve(ready));
    server.once('exit', () => reject(new Error('the server ended before it was ready')));
  });
  return {
    url,
    databaseUrl: cluster.url,
    async stop() {
      if (server.exitCode === null) {
        const gone = once(server, 'exit');
        server.kill('SIGTERM');
        await gone;
      }
      await cluster.stop();
    },
  };
}
