/** The rooms in order: each may import the ones named here and nothing else of ours. */
const rooms = {
  core: [],
  formats: ['core'],
  reading: ['core', 'formats'],
  fonts: [],
  contract: ['core'],
  server: ['core', 'formats', 'reading', 'fonts', 'contract'],
  web: ['core', 'formats', 'fonts', 'contract'],
  cli: ['core', 'formats', 'reading', 'fonts'],
};
const TESTS = ['**/*.test.ts', '**/*.test.tsx', '**/testing/**'];

const imports = Object.entries(rooms).map(([room, allowed]) => ({
  files: [`packages/${room}/src/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: Object.keys(rooms)
              .filter((other) => other !== room && !allowed.includes(other))
              .flatMap((other) => [`@mendrel/${other}`, `@mendrel/${other}/*`]),
            message: `packages/${room} may import only: ${allowed.join(', ') || 'nothing of ours'}.`,
          },
          ...(room === 'core'
            ? [
                {
                  group: ['node:*', 'fs', 'path', 'react', 'react-*', 'express'],
                  message: 'The core has no I/O and no interface.',
                },
              ]
            : []),
        ],
      },
    ],
  },
}));

const errors = (names) => Object.fromEntries(names.map((name) => [name, 'error']));

const LANGUAGE = ['eqeqeq', 'no-var', 'prefer-const', 'prefer-rest-params', 'prefer-spread'];

const TYPES = [
  'await-thenable',
  'ban-ts-comment',
  'consistent-type-imports',
  'no-array-delete',
  'no-base-to-string',
  'no-duplicate-enum-values',
  'no-duplicate-type-constituents',
  'no-empty-object-type',
  'no-explicit-any',
  'no-extra-non-null-assertion',
  'no-floating-promises',
  'no-for-in-array',
  'no-implied-eval',
  'no-misused-new',
  'no-misused-promises',
  'no-namespace',
  'no-non-null-asserted-optional-chain',
  'no-redundant-type-constituents',
  'no-require-imports',
  'no-this-alias',
  'no-unnecessary-type-assertion',
  'no-unnecessary-type-constraint',
  'no-unsafe-argument',
  'no-unsafe-assignment',
  'no-unsafe-call',
  'no-unsafe-declaration-merging',
  'no-unsafe-enum-comparison',
  'no-unsafe-function-type',
  'no-unsafe-member-access',
  'no-unsafe-return',
  'no-unsafe-unary-minus',
  'no-wrapper-object-types',
  'only-throw-error',
  'prefer-as-const',
  'prefer-namespace-keyword',
  'prefer-promise-reject-errors',
  'require-await',
  'restrict-plus-operands',
  'restrict-template-expressions',
  'triple-slash-reference',
  'unbound-method',
];

/** The rules of hooks, and those of React's compiler. */
const REACT = [
  'error-boundaries',
  'exhaustive-deps',
  'globals',
  'hooks',
  'immutability',
  'incompatible-library',
  'preserve-manual-memoization',
  'purity',
  'refs',
  'rules-of-hooks',
  'set-state-in-effect',
  'set-state-in-render',
  'static-components',
  'unsupported-syntax',
  'use-memo',
  'void-use-memo',
];

/** Responses and reference libraries in tests come untyped; the assertions themselves check their shapes. */
const UNTYPED_IN_TESTS = [
  'no-unsafe-argument',
  'no-unsafe-assignment',
  'no-unsafe-call',
  'no-unsafe-member-access',
  'no-unsafe-return',
];

export default {
  plugins: ['typescript', 'oxc', 'react', 'import'],
  options: { typeAware: true, typeCheck: true, reportUnusedDisableDirectives: 'error' },
  categories: { correctness: 'error' },
  ignorePatterns: ['**/dist/**', '.mendrel/**', 'coverage/**', '**/*.mjs', '**/*.js'],
  rules: {
    ...errors(LANGUAGE),
    ...errors(TYPES.map((name) => `typescript/${name}`)),
    // Types count too: files that know each other's types cannot be understood one after the other.
    'import/no-cycle': ['error', { ignoreTypes: false }],
    'no-array-constructor': 'error',
    'no-unused-expressions': 'error',
    'no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
    // What cannot stand in a file is told from what can by control characters, and by nothing plainer.
    'no-control-regex': 'off',
    // Letters of the alphabet and plain results are spread; neither holds what a spread could lose.
    'typescript/no-misused-spread': 'off',
    // Statuses of one length are sorted only to compare what two answers were.
    'typescript/require-array-sort-compare': 'off',
  },
  overrides: [
    {
      files: ['packages/web/**/*.{ts,tsx}'],
      rules: errors(REACT.map((name) => `react/${name}`)),
    },
    ...imports,
    {
      files: [...TESTS, 'e2e/**', 'legacy/**', 'system/**', 'bench/**'],
      rules: Object.fromEntries(UNTYPED_IN_TESTS.map((name) => [`typescript/${name}`, 'off'])),
    },
    { files: TESTS, rules: { 'no-restricted-imports': 'off' } },
  ],
};
