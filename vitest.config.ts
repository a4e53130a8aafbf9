import { defineConfig } from 'vitest/config';

const root = import.meta.dirname;
/** Our own packages are taken from their sources. */
const alias = [
  { find: /^@mendrel\/formats\/(.*)$/, replacement: `${root}/packages/formats/src/$1/index.ts` },
  { find: '@mendrel/fonts/files', replacement: `${root}/packages/fonts/src/files.ts` },
  { find: /^@mendrel\/reading\/(read|source)$/, replacement: `${root}/packages/reading/src/$1.ts` },
  { find: /^@mendrel\/(core|formats|reading|fonts|contract)$/, replacement: `${root}/packages/$1/src/index.ts` },
  // Calls itself an ES module, and its main file is none.
  { find: 'maxrects-packer', replacement: `${root}/node_modules/maxrects-packer/dist/maxrects-packer.mjs` },
];
const common = {
  root,
  globals: true,
  // Files share what they import: reading it anew for each of them takes longer than what they test.
  isolate: false,
  restoreMocks: true,
  unstubGlobals: true,
  // Generous: a machine that is shared may stand still for seconds while a test starts its database.
  testTimeout: 120_000,
  hookTimeout: 120_000,
};

export default defineConfig({
  test: {
    maxWorkers: 2,
    projects: [
      {
        resolve: { alias },
        test: {
          ...common,
          name: 'node',
          include: ['packages/{core,formats,reading,cli,server}/src/**/*.test.ts', 'legacy/**/*.test.ts'],
        },
      },
      {
        resolve: { alias },
        test: {
          ...common,
          name: 'web',
          include: ['packages/web/src/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
          setupFiles: ['packages/web/src/testing/eachFile.ts'],
        },
      },
      {
        resolve: { alias },
        test: {
          ...common,
          name: 'system',
          include: ['system/**/*.test.ts'],
          globalSetup: ['system/firstStart.ts'],
        },
      },
    ],
  },
});
