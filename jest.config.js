const { bundled } = require('./scripts/lib/jestBundles.cjs');

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
/** The contract stands on it, and with the contract nearly everything. */
const checks = bundled('class-validator');
/** What a sandbox looks up slowly, and loops ask for at every turn: each module gets it as a variable of its own. */
const sandboxInjectedGlobals = [
  ...['Array', 'Boolean', 'Error', 'Infinity', 'JSON', 'Map', 'Math', 'Number', 'Object', 'Set'],
  ...['String', 'TypeError', 'WeakMap'],
];
module.exports = {
  projects: [
    {
      displayName: 'core',
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
      rootDir: 'contract',
      preset: 'jest-expo/node',
      moduleNameMapper: checks,
      transform,
      setupFilesAfterEnv: patience,
    },
    {
      displayName: 'work',
      rootDir: 'work',
      sandboxInjectedGlobals,
      preset: 'jest-expo/node',
      moduleNameMapper: checks,
      transform,
      setupFilesAfterEnv: patience,
    },
    {
      displayName: 'app',
      rootDir: 'app',
      preset: 'jest-expo',
      transform,
      setupFiles: ['<rootDir>/src/testing/setup.ts'],
      setupFilesAfterEnv: [...patience, '<rootDir>/src/testing/patience.ts'],
      moduleNameMapper: {
        ...checks,
        ...bundled('react-native-paper', { alone: true }),
        '^react-native-vector-icons.*|^@expo/vector-icons.*': '<rootDir>/src/testing/IconStub.tsx',
      },
      transformIgnorePatterns: [
        'node_modules/(?!(.pnpm|((jest-)?react-native|@react-native(-community)?)|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|react-native-svg|react-redux|@reduxjs|immer|idb-keyval|comlink|uuid|@lucky-thread))',
      ],
    },
    {
      displayName: 'server',
      rootDir: 'server',
      testEnvironment: 'node',
      moduleNameMapper: { ...checks, ...bundled('express') },
      transform: serverTransform,
      sandboxInjectedGlobals,
      transformIgnorePatterns: ['node_modules/(?!(uuid|@lucky-thread)/)'],
      setupFiles: ['<rootDir>/src/testing/setup.ts'],
      setupFilesAfterEnv: patience,
    },
    {
      displayName: 'e2e',
      rootDir: 'e2e',
      testEnvironment: 'node',
      transform: serverTransform,
      setupFilesAfterEnv: ['<rootDir>/src/lib/patience.ts'],
    },
  ],
};
