// Builds what is older than its sources: the server, the command, and the interface.
import { spawnSync } from 'node:child_process';
import { mkdirSync, utimesSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bundle, stale } from './bundle.mjs';
import { root } from './paths.mjs';

const SHARED = ['packages/core/src', 'packages/formats/src', 'packages/fonts/src', 'packages/contract/src'];

export async function buildServer() {
  if (stale(join(root, 'dist/server.mjs'), ['packages/server/src', ...SHARED]))
    await bundle(['server', 'intake-worker']);
}

export function buildWeb() {
  const page = join(root, 'dist/web/index.html');
  if (!stale(page, ['packages/web', ...SHARED])) return;
  mkdirSync(join(root, 'dist'), { recursive: true });
  const done = spawnSync(
    process.execPath,
    [join(root, 'node_modules/vite/bin/vite.js'), 'build', 'packages/web', '--logLevel', 'warn'],
    {
      cwd: root,
      stdio: ['ignore', 2, 2],
    },
  );
  if (done.status !== 0) throw new Error('the interface could not be built; what Vite said stands above');
  const now = new Date();
  utimesSync(page, now, now);
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) {
  await bundle(['mendrel']);
  await buildServer();
  buildWeb();
}
