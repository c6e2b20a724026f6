/** Libraries that come in hundreds of files, each made into one for tests, once. */
const { createHash } = require('node:crypto');
const { existsSync, readFileSync } = require('node:fs');
const path = require('node:path');
const { FOLDER: ALL, ROOT, doorsOf, entriesOf, oneFile, write } = require('./jestOneFile.cjs');

/** Jest leaves what lies in a folder of this name out of the traces that it shows. */
const FOLDER = path.join(ALL, 'build');
/** What is made otherwise goes by another name. */
const RECIPE = createHash('sha256')
  .update(readFileSync(__filename))
  .update(readFileSync(path.join(__dirname, 'jestOneFile.cjs')))
  .digest('hex')
  .slice(0, 8);

/** A mapping of some libraries' names to each of them in one file, as Jest wants it. */
function bundled(...names) {
  return mapped(names, {});
}

/** The same of libraries that still import by name what they import by name. */
function bundledAlone(...names) {
  return mapped(names, { packages: 'external' });
}

function mapped(names, more) {
  const fileFor = (name) =>
    fileOf(name, () => ({
      entryPoints: [require.resolve(name)],
      // A picture is nothing to be seen in a test.
      loader: { '.png': 'empty' },
      // Only @IsPhoneNumber wants it, which nobody uses.
      alias: { 'libphonenumber-js/max': path.join(__dirname, 'jestNothing.cjs') },
      ...more,
    }));
  return Object.fromEntries(names.map((name) => [`^${name}$`, fileFor(name)]));
}

/** The same of one library with several entries that share parts; `outside`: what it still imports. */
function bundledEntries(name, { entries, outside }) {
  const names = entries.map((entry) => path.posix.join(name, entry));
  const file = fileOf(name, () => ({ ...entriesOf(names), external: outside }));
  return doorsOf(names, file);
}

/** The file of a library or of one of its entries, made where it is not there yet. */
function fileOf(name, options) {
  const [library] = /^(@[^/]+\/)?[^/]+/.exec(name);
  const { version } = JSON.parse(
    readFileSync(path.join(ROOT, 'node_modules', library, 'package.json'), 'utf8'),
  );
  const file = path.join(FOLDER, `${name.replaceAll('/', '-')}-${version}-${RECIPE}.cjs`);
  if (!existsSync(file)) write(file, oneFile(options()));
  return file;
}

module.exports = { bundled, bundledAlone, bundledEntries, fileOf };
