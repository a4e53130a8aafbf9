// `npm start`: installs what is missing, builds, starts a database of its own, and serves the application until it is stopped.
import { join } from 'node:path';
import { install } from './install.mjs';
import { runsAlready, takeFolder } from './folder.mjs';
import { root } from './paths.mjs';
import { Supervisor } from './supervisor.mjs';

// A terminal that was closed takes no more words; ending in order matters more.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);

if (Number(process.versions.node.split('.')[0]) < 20) {
  console.error(`Mendrel needs Node 20 or newer; this is ${process.version}.`);
  process.exit(1);
}

const stopping = new AbortController();
let supervisor;
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => {
    stopping.abort();
    void supervisor?.stop();
  });
}

let code = 0;
try {
  const folder = process.env.MENDREL_DATA || join(root, '.mendrel');
  const held = takeFolder(folder);
  if (!held.taken) throw new Error(runsAlready(held.by));
  await install({ signal: stopping.signal });
  const { buildServer, buildWeb } = await import('./build.mjs');
  if (!stopping.signal.aborted) await buildServer();
  if (!stopping.signal.aborted) await buildWeb({ signal: stopping.signal });
  if (!stopping.signal.aborted) {
    supervisor = new Supervisor({ folder, databaseUrl: process.env.DATABASE_URL, ready: (url) => held.tell({ url }) });
    code = await supervisor.run();
  }
} catch (error) {
  if (!stopping.signal.aborted) {
    console.error(`Mendrel could not start: ${error.message}`);
    code = 1;
  }
}
process.exit(code);
