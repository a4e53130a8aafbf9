// `npm start`: installs what is missing, builds, starts a database of its own, and serves the application.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { install } from './install.mjs';
import { root } from './paths.mjs';

if (Number(process.versions.node.split('.')[0]) < 20) {
  console.error(`Mendrel needs Node 20 or newer; this is ${process.version}.`);
  process.exit(1);
}

let cluster;
let server;
let stopping = false;

async function stop(code) {
  if (stopping) return;
  stopping = true;
  if (server && server.exitCode === null) {
    const gone = once(server, 'exit');
    server.kill('SIGTERM');
    await gone;
  }
  await cluster?.stop();
  process.exit(code);
}
process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));

try {
  await install();
  const { buildServer, buildWeb } = await import('./build.mjs');
  await buildServer();
  buildWeb();
  let url = process.env.DATABASE_URL;
  if (!url) {
    const { startCluster } = await import('./cluster.mjs');
    cluster = await startCluster({ folder: join(root, '.mendrel'), database: 'mendrel', port: 4311 });
    url = cluster.url;
  }
  if (!stopping) {
    server = spawn(process.execPath, [join(root, 'dist/server.mjs')], {
      cwd: root,
      env: { ...process.env, DATABASE_URL: url },
      stdio: ['ignore', 'inherit', 'inherit'],
      detached: true,
    });
    const [code] = await once(server, 'exit');
    await stop(code ?? 1);
  }
} catch (error) {
  console.error(`Mendrel could not start: ${error.message}`);
  await stop(1);
}
