import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = path.dirname(fileURLToPath(import.meta.url));

/** Packages of ours that each part must not know: imports run downwards only. */
const FORBIDDEN = {
  core: ['contract', 'work', 'server', 'app', 'e2e', 'benchmarks'],
  contract: ['work', 'server', 'app', 'e2e', 'benchmarks'],
  work: ['server', 'app', 'e2e', 'benchmarks'],
  server: ['app', 'e2e', 'benchmarks'],
  app: ['server', 'e2e', 'benchmarks'],
};

/** Keeps files of a folder, but for its tests where they may, from importing some others. */
function apartFrom(files, patterns, excludeFiles = ['**/*.test.{ts,tsx}']) {
  const rules = { 'no-restricted-imports': ['error', { patterns }] };
  return { files: [files], excludeFiles, rules };
}

/** A package of ours, by its name or by where it lies. */
const packagesOf = (names) =>
  names.flatMap((name) => [
    `@lucky-thread/${name}`,
    `@lucky-thread/${name}/*`,
    `**/${name}/src/**`,
  ]);

function direction(part) {
  const names = FORBIDDEN[part];
  const message = `${part} imports nothing of ${names.join(', ')}.`;
  return apartFrom(`${part}/**/*.{ts,tsx}`, [{ group: packagesOf(names), message }], []);
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
  const group = [
    ...packagesOf(FORBIDDEN.app),
    ...above.flatMap((name) => [`**/../${name}`, `**/../${name}/**`]),
  ];
  return folders.map((folder) =>
    apartFrom(`app/src/${folder}/**/*.{ts,tsx}`, [
      { group, message: `${folder} lies below ${above.join(', ')}.` },
    ]),
  );
}

const FEATURES = fs.readdirSync(path.join(ROOT, 'app/src/features'), { withFileTypes: true });

/** What two features share lies below both. */
function apart({ name }) {
  const others = FEATURES.filter((one) => one.isDirectory() && one.name !== name);
  const group = [
    ...packagesOf(FORBIDDEN.app),
    ...others.map((one) => `../${one.name}/**`),
    '**/features/**',
    '**/rooms/**',
  ];
  const message = 'A feature imports no other feature, and no room.';
  return apartFrom(`app/src/features/${name}/**/*.{ts,tsx}`, [{ group, message }]);
}

/** Parts of the core that must not know one another: the simulated car is the independent witness, it and the identification share no code. */
const STRANGERS = { bench: ['identify'], identify: ['bench'] };

function pure(folder) {
  return apartFrom(`core/src/${folder}/**/*.ts`, [
    ...(STRANGERS[folder] ?? []).map((name) => ({
      group: [`**/${name}`, `**/${name}/**`],
      message: `${folder} and ${name} share no code.`,
    })),
    {
      group: ['@lucky-thread/*', 'react', 'react-native', 'express', 'node:*'],
      message: 'core imports nothing of ours and no framework.',
    },
  ]);
}

/** Rules of React's own compiler: what it could not make quicker, it says. */
const COMPILER = [
  'error-boundaries',
  'globals',
  'immutability',
  'incompatible-library',
  'preserve-manual-memoization',
  'purity',
  'refs',
  'set-state-in-effect',
  'set-state-in-render',
  'static-components',
  'unsupported-syntax',
  'use-memo',
];

export default {
  plugins: ['typescript', 'oxc', 'import', 'react', 'jest'],
  categories: { correctness: 'error' },
  options: { denyWarnings: true, reportUnusedDisableDirectives: 'error' },
  ignorePatterns: ['**/dist/**', '**/.expo/**', 'server/drizzle/**', '.cache/**'],
  rules: {
    eqeqeq: 'error',
    'no-var': 'error',
    'no-redeclare': 'error',
    'no-unreachable': 'error',
    'import/first': 'error',
    'typescript/array-type': 'error',
    'typescript/consistent-type-assertions': 'error',
    'typescript/consistent-type-imports': 'error',
    'typescript/no-explicit-any': 'error',
    'typescript/no-empty-object-type': 'error',
    'no-useless-constructor': 'error',
    // They are what is looked for, or taken out.
    'no-control-regex': 'off',
    // A rule that must always hold is told once per case, and often by a function that several tests share.
    'jest/expect-expect': 'off',
    'jest/no-conditional-expect': 'off',
    'jest/no-standalone-expect': 'off',
  },
  overrides: [
    {
      files: ['app/**/*.{ts,tsx}'],
      rules: {
        'react/display-name': 'error',
        'react/exhaustive-deps': 'error',
        'react/jsx-no-comment-textnodes': 'error',
        'react/no-unescaped-entities': 'error',
        'react/no-unknown-property': 'error',
        'react/rules-of-hooks': 'error',
        ...Object.fromEntries(COMPILER.map((rule) => [`react/${rule}`, 'error'])),
      },
    },
    {
      files: ['**/*.{ts,tsx}'],
      excludeFiles: ['**/*.test.{ts,tsx}'],
      rules: { 'typescript/no-require-imports': 'error' },
    },
    ...Object.keys(FORBIDDEN).map(direction),
    {
      files: ['core/src/**/*.ts'],
      excludeFiles: ['**/*.test.ts'],
      rules: {
        // Now and chance are parameters.
        'no-restricted-globals': [
          'error',
          ...['window', 'document', 'process', 'console', 'fetch', 'Date', 'performance'],
        ],
        'no-restricted-properties': [
          'error',
          { object: 'Math', property: 'random', message: 'random is a parameter.' },
        ],
      },
    },
    ...fs
      .readdirSync(path.join(ROOT, 'core/src'), { withFileTypes: true })
      .filter((one) => one.isDirectory())
      .map((one) => pure(one.name)),
    ...APP_LAYERS.flatMap(layer),
    ...FEATURES.filter((one) => one.isDirectory()).map(apart),
  ],
};
