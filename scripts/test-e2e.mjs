// The browser tests, against the real application in Debian's Chromium: one application for each of the two workers.
import { spawnSync } from 'node:child_process';
import { startApplication } from './application.mjs';
import { buildServer, buildWeb } from './build.mjs';
import { root } from './paths.mjs';

await buildServer();
await buildWeb();
const applications = await Promise.all([startApplication(), startApplication()]);
const done = spawnSync(process.execPath, ['node_modules/@playwright/test/cli.js', 'test', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, MENDREL_URLS: applications.map(({ url }) => url).join(' ') },
});
await Promise.all(applications.map((application) => application.stop()));
process.exit(done.status ?? 1);
