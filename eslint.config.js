import tseslint from 'typescript-eslint';
import hooks from 'eslint-plugin-react-hooks';

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

const importRule = Object.entries(rooms).map(([room, allowed]) => ({
  files: [`packages/${room}/src/**/*.{ts,tsx}`],
  ignores: ['**/*.test.ts', '**/*.test.tsx', '**/testing/**'],
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

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.mendrel/**', 'coverage/**'] },
  ...tseslint.configs.recommendedTypeChecked.map((config) => ({ ...config, files: ['**/*.{ts,tsx}'] })),
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { project: './tsconfig.json', tsconfigRootDir: import.meta.dirname } },
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      eqeqeq: 'error',
    },
  },
  ...importRule,
  {
    files: ['**/*.test.{ts,tsx}', 'e2e/**', 'system/**', 'bench/**'],
    rules: {
      // Responses and reference libraries in tests come untyped; the assertions themselves check their shapes.
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
);
