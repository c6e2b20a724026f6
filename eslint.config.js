const { defineConfig } = require('eslint/config');
const expo = require('eslint-config-expo/flat');
const prettier = require('eslint-config-prettier');
const globals = require('globals');

/** Packages of ours that each part must not know: imports run downwards only. */
const FORBIDDEN = {
  core: ['contract', 'work', 'server', 'app', 'e2e', 'benchmarks'],
  contract: ['work', 'server', 'app', 'e2e', 'benchmarks'],
  work: ['server', 'app', 'e2e', 'benchmarks'],
  server: ['app', 'e2e', 'benchmarks'],
  app: ['server', 'e2e', 'benchmarks'],
};

function direction(part) {
  const names = FORBIDDEN[part];
  return {
    files: [`${part}/**/*.{ts,tsx}`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: names.flatMap((name) => [
                `@lucky-thread/${name}`,
                `@lucky-thread/${name}/*`,
                `**/${name}/src/**`,
              ]),
              message: `${part} imports nothing of ${names.join(', ')}.`,
            },
          ],
        },
      ],
    },
  };
}

/** The simulated car is the independent witness: it and the identification share no code. */
function strangers(left, right) {
  return {
    files: [`core/src/${left}/**/*.ts`],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [`**/${right}`, `**/${right}/**`],
              message: `${left} and ${right} share no code.`,
            },
            {
              group: ['@lucky-thread/*', 'react', 'react-native', 'express', 'node:*'],
              message: 'core imports nothing of ours and no framework.',
            },
          ],
        },
      ],
    },
  };
}

module.exports = defineConfig([
  {
    ignores: ['**/dist/**', '**/.expo/**', '**/node_modules/**', 'server/drizzle/**', '.cache/**'],
  },
  expo,
  prettier,
  {
    rules: {
      'import/namespace': 'off',
      'import/no-named-as-default': 'off',
      'import/no-named-as-default-member': 'off',
      // These follow every import into node_modules: minutes, for what the type checker says anyway.
      'import/no-unresolved': 'off',
      'import/export': 'off',
      'import/no-duplicates': 'off',
      'import/named': 'off',
      eqeqeq: 'error',
      'no-console': 'off',
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  {
    files: ['**/*.test.{ts,tsx}', 'scripts/lib/jest*.cjs'],
    languageOptions: { globals: globals.jest },
  },
  {
    files: ['scripts/**', 'benchmarks/**', 'e2e/**', '*.js', '**/*.cjs'],
    languageOptions: { globals: globals.node },
  },
  ...Object.keys(FORBIDDEN).map(direction),
  {
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/bench/**', 'core/src/identify/**', '**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['@lucky-thread/*', 'react', 'react-native', 'express', 'node:*'],
              message: 'core imports nothing of ours and no framework.',
            },
          ],
        },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'console', 'fetch'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'random is a parameter.' },
        { object: 'Date', property: 'now', message: 'now is a parameter.' },
      ],
    },
  },
  strangers('bench', 'identify'),
  strangers('identify', 'bench'),
]);
