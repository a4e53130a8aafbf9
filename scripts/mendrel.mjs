// The `mendrel` command: installs and bundles when needed, then runs in the caller's folder.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { install } from './install.mjs';
import { bundle, stale } from './bundle.mjs';
import { root } from './paths.mjs';

const built = join(root, 'dist', 'mendrel.mjs');
try {
  if (!existsSync(join(root, 'node_modules', 'esbuild'))) await install({ quiet: true });
  if (
    stale(built, [
      'packages/cli/src',
      'packages/core/src',
      'packages/formats/src',
      'packages/reading/src',
      'packages/fonts/src',
    ])
  )
    await bundle(['mendrel', 'reading']);
} catch (error) {
  console.error(`mendrel: ${error.message}`);
  process.exit(1);
}
// npm runs this in the checkout; the files that are named lie where npm was called.
process.env.MENDREL_ROOT = root;
if (process.env.INIT_CWD) process.chdir(process.env.INIT_CWD);
await import(pathToFileURL(built).href);
