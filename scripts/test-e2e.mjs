// The browser tests, against the real application in Debian's Chromium.
import { spawnSync } from 'node:child_process';
import { startApplication } from './application.mjs';
import { root } from './paths.mjs';

const application = await startApplication();
const done = spawnSync(process.execPath, ['node_modules/@playwright/test/cli.js', 'test', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, MENDREL_URL: application.url },
});
await application.stop();
process.exit(done.status ?? 1);
