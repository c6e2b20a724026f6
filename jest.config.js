const { bundled, bundledAlone, bundledEntries } = require('./scripts/lib/jestBundles.cjs');
const { ownPackages } = require('./scripts/lib/jestOwnPackages.cjs');

/** Core and contract run as plain logic, the app with Expo's preset, the server in plain Node. */
const patience = ['<rootDir>/../scripts/lib/jestPatience.cjs'];
const serverTransform = { '^.+\\.tsx?$': '<rootDir>/../scripts/lib/jestEsbuild.cjs' };
/** Each by the quickest that reads it: nothing is left for Babel. */
const transform = {
  '/contract/src/.+\\.tsx?$': '<rootDir>/../scripts/lib/jestEsbuild.cjs',
  '/node_modules/(react-native|@react-native|expo[^/]*)/.+\\.[jt]sx?$':
    '<rootDir>/../scripts/lib/jestSwc.cjs',
  '/(core|work|app)/src/.+\\.tsx?$': '<rootDir>/../scripts/lib/jestSucrase.cjs',
  '/node_modules/(?!react-native/|@react-native/|@lucky|expo).+\\.[jt]sx?$':
    '<rootDir>/../scripts/lib/jestSucrase.cjs',
};
/** The contract stands on them, and with the contract nearly everything. */
const checks = bundled('class-validator', 'class-transformer');
const ofServer = {
  ...bundled('express', 'rate-limiter-flexible', 'image-size', 'uuid'),
  ...bundledEntries('drizzle-orm', {
    entries: ['', 'pg-core', 'node-postgres', 'node-postgres/migrator'],
    outside: ['pg'],
  }),
};
const ofApp = {
  ...bundled('uuid', 'lodash/merge'),
  ...bundledAlone('react-native-paper', 'react-native-svg', '@testing-library/react-native'),
};
/** For the tests of whoever uses them. */
const own = ownPackages('core', 'contract', 'work');
/** What a sandbox looks up slowly, and loops ask for at every turn: each module gets it as a variable of its own. */
const sandboxInjectedGlobals = [
  ...['Array', 'Boolean', 'Error', 'Infinity', 'JSON', 'Map', 'Math', 'Number', 'Object', 'Set'],
  ...['String', 'TypeError', 'WeakMap'],
];
const testRunner = require.resolve('./scripts/lib/jestRunner.cjs');
module.exports = {
  projects: [
    {
      displayName: 'core',
      testRunner,
      rootDir: 'core',
      sandboxInjectedGlobals,
      preset: 'jest-expo/node',
      transform,
      // Modules of the language’s own kind, which the preset leaves as they are.
      transformIgnorePatterns: [
        'node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|svg-element-attributes|@lucky-thread))',
      ],
      setupFilesAfterEnv: patience,
    },
    {
      displayName: 'contract',
      testRunner,
      rootDir: 'contract',
      preset: 'jest-expo/node',
      moduleNameMapper: checks,
      transform,
      setupFilesAfterEnv: patience,
    },
    {
      displayName: 'work',
      testRunner,
      rootDir: 'work',
      sandboxInjectedGlobals,
      preset: 'jest-expo/node',
      moduleNameMapper: { ...checks, ...ownPackages('core', 'contract') },
      transform,
      setupFilesAfterEnv: patience,
    },
    {
      displayName: 'app',
      testRunner,
      rootDir: 'app',
      preset: 'jest-expo',
      transform,
      setupFiles: ['<rootDir>/src/testing/setup.ts'],
      setupFilesAfterEnv: [...patience, '<rootDir>/src/testing/patience.ts'],
      moduleNameMapper: {
        ...checks,
        ...own,
        ...ofApp,
        '^react-native-vector-icons.*|^@expo/vector-icons.*': '<rootDir>/src/testing/IconStub.tsx',
      },
      transformIgnorePatterns: [
        'node_modules/(?!(.pnpm|((jest-)?react-native|@react-native(-community)?)|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|react-native-svg|react-redux|@reduxjs|immer|idb-keyval|comlink|uuid|@lucky-thread))',
      ],
    },
    {
      displayName: 'server',
      testRunner,
      rootDir: 'server',
      testEnvironment: 'node',
      moduleNameMapper: { ...checks, ...own, ...ofServer },
      transform: serverTransform,
      sandboxInjectedGlobals,
      transformIgnorePatterns: ['node_modules/(?!(uuid|@lucky-thread)/)'],
      setupFiles: ['<rootDir>/src/testing/setup.ts'],
      setupFilesAfterEnv: patience,
    },
    {
      displayName: 'e2e',
      testRunner,
      rootDir: 'e2e',
      testEnvironment: 'node',
      moduleNameMapper: { ...checks, ...own, ...bundled('uuid', 'jszip') },
      transform: serverTransform,
      setupFilesAfterEnv: ['<rootDir>/src/lib/patience.ts'],
    },
  ],
};
