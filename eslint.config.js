const { defineConfig } = require('eslint/config');
const expo = require('eslint-config-expo/flat');
const prettier = require('eslint-config-prettier');
const globals = require('globals');
const fs = require('node:fs');
const path = require('node:path');

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

/** Folders of the app by layer, lowest first: a folder imports what stands below it, and a feature no other feature. */
const APP_LAYERS = [
  ['ui', 'meter'],
  ['store', 'workers'],
  ['work', 'sizing'],
  ['panel', 'instruments', 'shell', 'leads'],
  ['features'],
  ['rooms'],
];

function layer(folders, index) {
  const above = APP_LAYERS.slice(index + 1).flat();
  return folders.map((folder) => ({
    files: [`app/src/${folder}/**/*.{ts,tsx}`],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                ...FORBIDDEN.app.flatMap((name) => [`@lucky-thread/${name}`, `**/${name}/src/**`]),
                ...above.flatMap((name) => [`**/../${name}`, `**/../${name}/**`]),
              ],
              message: `${folder} lies below ${above.join(', ')}.`,
            },
          ],
        },
      ],
    },
  }));
}

const FEATURES = fs.readdirSync(path.join(__dirname, 'app/src/features'), { withFileTypes: true });

/** What two features share lies below both. */
function apart({ name }) {
  const others = FEATURES.filter((one) => one.isDirectory() && one.name !== name);
  return {
    files: [`app/src/features/${name}/**/*.{ts,tsx}`],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                ...FORBIDDEN.app.flatMap((one) => [`@lucky-thread/${one}`, `**/${one}/src/**`]),
                ...others.map((one) => `../${one.name}/**`),
                '**/features/**',
              ],
              message: 'A feature imports no other feature.',
            },
          ],
        },
      ],
    },
  };
}

/** Parts of the core that must not know one another: the simulated car is the independent witness, it and the identification share no code. */
const STRANGERS = { bench: ['identify'], identify: ['bench'] };

function pure(folder) {
  const strange = STRANGERS[folder] ?? [];
  return {
    files: [`core/src/${folder}/**/*.ts`],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            ...strange.map((name) => ({
              group: [`**/${name}`, `**/${name}/**`],
              message: `${folder} and ${name} share no code.`,
            })),
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

/** Every rule about React, switched off. */
const REACT_OFF = Object.fromEntries(
  expo
    .flatMap(({ rules = {} }) => Object.keys(rules))
    .filter((name) => /^react(-hooks)?\//.test(name))
    .map((name) => [name, 'off']),
);

module.exports = defineConfig([
  {
    ignores: ['**/dist/**', '**/.expo/**', '**/node_modules/**', 'server/drizzle/**', '.cache/**'],
  },
  expo,
  prettier,
  {
    // React is in the app alone; elsewhere its compiler would read every file for nothing.
    files: ['**/*.{ts,tsx,js,cjs,mjs}'],
    ignores: ['app/**'],
    rules: REACT_OFF,
  },
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
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'console', 'fetch'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'random is a parameter.' },
        { object: 'Date', property: 'now', message: 'now is a parameter.' },
        { object: 'performance', property: 'now', message: 'now is a parameter.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'now is a parameter.',
        },
      ],
    },
  },
  ...fs
    .readdirSync(path.join(__dirname, 'core/src'), { withFileTypes: true })
    .filter((one) => one.isDirectory())
    .map((one) => pure(one.name)),
  ...APP_LAYERS.flatMap(layer),
  ...FEATURES.filter((one) => one.isDirectory()).map(apart),
]);
