// Bundles the Node parts (command and server) into dist/, our own packages inside, everything else left to node_modules.
import { accessSync, constants, existsSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { inWords } from './folder.mjs';
import { root } from './paths.mjs';

const ENTRIES = {
  mendrel: 'packages/cli/src/main.ts',
  server: 'packages/server/src/main.ts',
  reading: 'packages/reading/src/child.ts',
  work: 'packages/server/src/work/thread.ts',
};

/** Packages of plain script in many files: a third of the command's start went into opening them. */
const TAKEN_IN = [
  'flatbush',
  'fontkit',
  'jsbarcode',
  'jsep',
  'linebreak',
  'polylabel',
  'saxes',
  'svgpath',
  'uqr',
  'zod',
];

/** The newest change below some folders, in ms. */
export function newest(folders) {
  let time = 0;
  for (const folder of folders) {
    if (!existsSync(folder)) continue;
    for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true })) {
      if (entry.isFile()) time = Math.max(time, statSync(join(entry.parentPath ?? entry.path, entry.name)).mtimeMs);
    }
  }
  return time;
}

/** Whether what was built is older than what it is built from. */
export function stale(output, folders) {
  return !existsSync(output) || statSync(output).mtimeMs < newest(folders.map((folder) => join(root, folder)));
}

/** Refuses in words to build where nothing can be written. */
export function refuseClosedFolder() {
  const folder = join(root, 'dist');
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.W_OK);
  } catch (error) {
    throw inWords(`Mendrel cannot be built into ${folder}`, error);
  }
}

export async function bundle(names) {
  refuseClosedFolder();
  const { build } = await import('esbuild');
  await build({
    absWorkingDir: root,
    entryPoints: Object.fromEntries(names.map((name) => [name, ENTRIES[name]])),
    outdir: 'dist',
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    splitting: true,
    chunkNames: 'chunks/[name]-[hash]',
    logLevel: 'warning',
    plugins: [
      {
        name: 'ours-inside',
        setup(build) {
          // Packages by name are left to node_modules, unless they are ours or take longer to find there than to run.
          build.onResolve({ filter: /^[^./]/ }, (args) =>
            args.kind === 'entry-point' ||
            args.path.startsWith('@mendrel/') ||
            TAKEN_IN.includes(args.path) ||
            /[\\/]node_modules[\\/]/.test(args.importer)
              ? undefined
              : { path: args.path, external: true },
          );
        },
      },
    ],
  });
}
