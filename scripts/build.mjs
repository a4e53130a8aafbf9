// Builds what is older than its sources: the server, the command, and the interface.
import { utimesSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bundle, refuseClosedFolder, stale } from './bundle.mjs';
import { root } from './paths.mjs';
import { run } from './run.mjs';

const SHARED = ['core', 'formats', 'reading', 'fonts', 'contract'].map((room) => `packages/${room}/src`);

export async function buildServer() {
  if (stale(join(root, 'dist/server.mjs'), ['packages/server/src', ...SHARED]))
    await bundle(['server', 'reading', 'work']);
}

export async function buildWeb({ signal } = {}) {
  const page = join(root, 'dist/web/index.html');
  if (!stale(page, ['packages/web', ...SHARED])) return;
  refuseClosedFolder();
  const vite = join(root, 'node_modules/vite/bin/vite.js');
  const done = await run(process.execPath, [vite, 'build', 'packages/web', '--logLevel', 'warn'], {
    cwd: root,
    signal,
  });
  if (!done) throw new Error('the interface could not be built; what Vite said stands above');
  const now = new Date();
  utimesSync(page, now, now);
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) {
  await bundle(['mendrel']);
  await buildServer();
  await buildWeb();
}
