/**
 * Libraries that come in hundreds of files, each made into one for tests: Jest reads, wraps and runs every file anew for each file of
 * tests, and that took longer than most of the tests.
 */
const { existsSync } = require('node:fs');
const path = require('node:path');
const { buildSync } = require('esbuild');

const ROOT = path.resolve(__dirname, '../..');
const FOLDER = path.join(ROOT, 'node_modules', '.cache', 'jest-bundles');

/** A mapping of names to modules, as Jest wants it, of libraries each in one file; made where it is not there yet. */
function bundled(...names) {
  return Object.fromEntries(names.map((name) => [`^${name}$`, bundleOf(name)]));
}

function bundleOf(name) {
  const { version } = require(`${name}/package.json`);
  const outfile = path.join(FOLDER, `${name}-${version}.cjs`);
  if (!existsSync(outfile))
    buildSync({
      entryPoints: [require.resolve(name)],
      outfile,
      ...{ bundle: true, format: 'cjs', platform: 'node', target: 'es2022', logLevel: 'error' },
      // Only @IsPhoneNumber wants it, which nobody uses.
      alias: { 'libphonenumber-js/max': path.join(__dirname, 'jestNothing.cjs') },
    });
  return outfile;
}

module.exports = { bundled };
