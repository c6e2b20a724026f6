/**
 * Libraries that come in hundreds of files, each made into one for tests: Jest reads, wraps and runs every file anew for each file of
 * tests, and that took longer than most of the tests.
 */
const { existsSync } = require('node:fs');
const path = require('node:path');
const { buildSync } = require('esbuild');

const ROOT = path.resolve(__dirname, '../..');
const FOLDER = path.join(ROOT, 'node_modules', '.cache', 'jest-bundles');

/** A mapping of a library's name to itself in one file, as Jest wants it; `alone`: what it imports by name it still imports. */
function bundled(name, { alone = false } = {}) {
  return { [`^${name}$`]: bundleOf(name, alone) };
}

function bundleOf(name, alone) {
  const { version } = require(`${name}/package.json`);
  const outfile = path.join(FOLDER, `${name}-${version}.cjs`);
  if (!existsSync(outfile))
    buildSync({
      entryPoints: [require.resolve(name)],
      outfile,
      ...(alone && { packages: 'external' }),
      ...{ bundle: true, format: 'cjs', platform: 'node', target: 'es2022', logLevel: 'error' },
      // A picture is nothing to be seen in a test.
      loader: { '.png': 'empty' },
      // Only @IsPhoneNumber wants it, which nobody uses.
      alias: { 'libphonenumber-js/max': path.join(__dirname, 'jestNothing.cjs') },
    });
  return outfile;
}

module.exports = { bundled };
