// Tests of Mendrel as it is started, killed, backed up and attacked: with processes, ports and data folders of their own.
import { spawnSync } from 'node:child_process';
import { buildServer, buildWeb } from './build.mjs';
import { bundle } from './bundle.mjs';
import { root } from './paths.mjs';

await bundle(['mendrel', 'reading']);
await buildServer();
await buildWeb();
const vitest = ['node_modules/vitest/vitest.mjs', 'run', '--project', 'system', ...process.argv.slice(2)];
const done = spawnSync(process.execPath, vitest, { cwd: root, stdio: 'inherit' });
process.exit(done.status ?? 1);
