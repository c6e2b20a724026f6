/** Jest’s own runner of a file of tests, whose two hundred files are one: it is loaded anew for each. */
const path = require('node:path');
const circus = require('jest-circus/runner');
const { fileOf } = require('./jestBundles.cjs');

const FRAMEWORK = path.join(
  path.dirname(require.resolve('jest-circus/package.json')),
  'build/legacy-code-todo-rewrite/jestAdapterInit.js',
);
const IN_ONE = fileOf('jest-circus', () => ({
  entryPoints: [FRAMEWORK],
  // Wanted for snapshots that are written into the code, of which there are none.
  external: ['@babel/*', 'prettier'],
}));

module.exports = (globalConfig, config, environment, runtime, ...rest) => {
  const asItIs = runtime.requireInternalModule.bind(runtime);
  runtime.requireInternalModule = (from, ...more) =>
    asItIs(from === FRAMEWORK ? IN_ONE : from, ...more);
  return circus(globalConfig, config, environment, runtime, ...rest);
};
