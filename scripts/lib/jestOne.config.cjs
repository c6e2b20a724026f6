/** One of the projects by itself, for tools that take no list of them; `JEST_PROJECT` names it, `JEST_TESTS` its test files by their folders. */
const path = require('node:path');
const { projects } = require('../../jest.config.js');

// The tool that changes the code knows no runner but Jest's own.
const {
  displayName,
  testRunner: _ours,
  ...project
} = projects.find((one) => one.displayName === process.env.JEST_PROJECT);
module.exports = {
  ...project,
  rootDir: path.resolve(__dirname, '../..', displayName),
  // Whole sessions on simulated cars take too long to be run for each change; the tests beside the code must notice it.
  ...(process.env.JEST_TESTS && {
    testMatch: process.env.JEST_TESTS.split('|').map((part) => `**/*${part}*/**/*.test.ts?(x)`),
  }),
  testPathIgnorePatterns: ['/node_modules/', '/src/trial/'],
};
