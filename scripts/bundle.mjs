// Bundles the Node parts (command and server) into dist/, with what they need inside: to find packages of plain script in
// many files, and to open them, takes longer than to run them.
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

/** Left where npm put them: they bring native code, or find files of their own beside themselves. */
const LEFT_OUT = ['pdfjs-dist', 'pdfkit', 'sharp'];
/** Other databases, and a native driver of this one: named by packages, not installed, never asked for. */
const OTHERS_DRIVERS = [
  'better-sqlite3',
  'mariadb',
  'mysql',
  'mysql2',
  'oracledb',
  'pg-native',
  'pg-query-stream',
  'sqlite3',
  'tedious',
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
    external: [...LEFT_OUT, ...OTHERS_DRIVERS],
    // Packages that were written for `require` go on asking for parts of Node by it.
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module';\nconst require = requireFrom(import.meta.url);",
    },
    minifyWhitespace: true,
    // Where an error happened is told by its line.
    lineLimit: 160,
    alias: { 'brotli/decompress.js': join(root, 'packages/formats/src/typeface/noWoff2.ts') },
  });
}
