/**
 * Libraries that come in hundreds of files, each made into one for tests: Jest reads, wraps and runs every file of them anew for
 * each file of tests.
 */
const { createHash } = require('node:crypto');
const { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } = require('node:fs');
const path = require('node:path');
const { buildSync } = require('esbuild');

const ROOT = path.resolve(__dirname, '../..');
const FOLDER = path.join(ROOT, 'node_modules', '.cache', 'jest-bundles');
/** What is made otherwise goes by another name. */
const RECIPE = createHash('sha256').update(readFileSync(__filename)).digest('hex').slice(0, 8);

/** A mapping of a library's name to itself in one file, as Jest wants it; `alone`: what it imports by name it still imports. */
function bundled(name, { alone = false } = {}) {
  return { [`^${name}$`]: bundleOf(name, alone) };
}

function bundleOf(name, alone) {
  const { version } = require(`${name}/package.json`);
  const file = path.join(FOLDER, `${name}-${version}-${RECIPE}.cjs`);
  if (existsSync(file)) return file;
  const { outputFiles } = buildSync({
    entryPoints: [require.resolve(name)],
    ...{ bundle: true, format: 'cjs', platform: 'node', target: 'es2022', logLevel: 'error' },
    write: false,
    ...(alone && { packages: 'external' }),
    // A picture is nothing to be seen in a test.
    loader: { '.png': 'empty' },
    // Only @IsPhoneNumber wants it, which nobody uses.
    alias: { 'libphonenumber-js/max': path.join(__dirname, 'jestNothing.cjs') },
  });
  // Whole or not at all: another run may be making it too.
  mkdirSync(FOLDER, { recursive: true });
  writeFileSync(`${file}.${process.pid}`, outputFiles[0].contents);
  renameSync(`${file}.${process.pid}`, file);
  return file;
}

module.exports = { bundled };
