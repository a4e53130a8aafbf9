// Measures Mendrel against named peers in one run and prints ratios.
import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { startApplication } from './application.mjs';
import { install } from './install.mjs';
import { root } from './paths.mjs';

await install();
const application = await startApplication();
process.env.MENDREL_URL = application.url;
process.env.MENDREL_DATABASE_URL = application.databaseUrl;
process.chdir(root);
const folder = mkdtempSync(join(root, 'dist/bench-'));
try {
  const { build } = await import('esbuild');
  await build({
    absWorkingDir: root,
    entryPoints: ['bench/main.ts', 'bench/sheetWorker.ts'],
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    // maxrects-packer calls itself an ES module, and its main file is none.
    mainFields: ['module', 'main'],
    logLevel: 'warning',
    plugins: [
      {
        name: 'ours-inside',
        setup(builder) {
          builder.onResolve({ filter: /^[^./]/ }, (args) =>
            args.kind === 'entry-point' || /^(@mendrel\/|dxf-parser|maxrects-packer)/.test(args.path)
              ? undefined
              : { path: args.path, external: true },
          );
        },
      },
    ],
  });
  await import(pathToFileURL(join(folder, 'main.mjs')).href);
} finally {
  await application.stop();
  rmSync(folder, { recursive: true, force: true });
}
