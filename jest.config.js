const transform = {
  '^.+\\.m?(t|j)sx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        target: 'es2022',
        transform: { react: { runtime: 'automatic' } },
      },
      module: { type: 'commonjs' },
    },
  ],
};
const common = {
  transform,
  // Looked up in a test's own world, each of these takes a hundred times as long as what is done with it.
  sandboxInjectedGlobals: [
    'Math',
    'Number',
    'Object',
    'Array',
    'Map',
    'Set',
    'String',
    'JSON',
    'Infinity',
    'Float64Array',
    'Uint8Array',
    'DataView',
    'Error',
    'Symbol',
    'RegExp',
    'Reflect',
    'WeakMap',
    'Boolean',
    'Promise',
  ],
  // Parts that ship as ES modules only have to be transformed too, since Jest runs CommonJS here.
  transformIgnorePatterns: [
    '/node_modules/(?!(flatbush|flatqueue|jsep|polylabel|tinyqueue|@cityssm|yoga-layout|harfbuzzjs|uqr|d3-[a-z]+)/)',
  ],
  moduleNameMapper: {
    '^@mendrel/formats/(.*)$': '<rootDir>/packages/formats/src/$1/index.ts',
    '^@mendrel/fonts/files$': '<rootDir>/packages/fonts/src/files.ts',
    '^@mendrel/reading/read$': '<rootDir>/packages/reading/src/read.ts',
    '^@mendrel/(core|formats|reading|fonts|contract)$': '<rootDir>/packages/$1/src/index.ts',
  },
  rootDir: import.meta.dirname,
};
const node = (name) => ({
  ...common,
  displayName: name,
  testEnvironment: 'node',
  testMatch: [`<rootDir>/packages/${name}/src/**/*.test.ts`],
});

export default {
  // Generous: a machine that is shared may stand still for seconds while a test starts its database.
  testTimeout: 120_000,
  projects: [
    node('core'),
    node('formats'),
    node('reading'),
    node('cli'),
    node('server'),
    { ...node('legacy'), testMatch: ['<rootDir>/legacy/**/*.test.ts'] },
    {
      ...node('system'),
      testMatch: ['<rootDir>/system/**/*.test.ts'],
      globalSetup: '<rootDir>/system/firstStart.ts',
      globalTeardown: '<rootDir>/system/removeFirstStart.ts',
    },
    {
      ...common,
      displayName: 'web',
      testEnvironment: '<rootDir>/scripts/browserEnvironment.mjs',
      setupFilesAfterEnv: ['<rootDir>/packages/web/src/testing/patience.ts'],
      // Zooming ships as .mjs, which Jest never transforms, and under this condition as a script.
      testEnvironmentOptions: { customExportConditions: ['browser', 'umd'] },
      testMatch: ['<rootDir>/packages/web/src/**/*.test.{ts,tsx}'],
    },
  ],
};
