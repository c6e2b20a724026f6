/** Our own packages made into one file for the tests of those who use them, whenever Jest starts: no test meets yesterday’s. */
const { createHash } = require('node:crypto');
const { readFileSync, readdirSync, rmSync, statSync } = require('node:fs');
const path = require('node:path');
const { FOLDER, ROOT, doorsOf, entriesOf, oneFile, write } = require('./jestOneFile.cjs');

/** What holds state that others share with it, so that all must speak of the same one; and what is large and seldom wanted. */
const OUTSIDE = ['class-validator', 'class-transformer', 'reflect-metadata', 'elkjs'];
/** How long a file is kept after another has taken its place, ms: a run that began with it still reads it. */
const KEPT_MS = 60 * 60 * 1000;

/** A mapping of every entry of some of our packages, as Jest wants it; whoever watches for changes is left with the sources. */
function ownPackages(...packages) {
  if (process.argv.some((word) => word.startsWith('--watch'))) return {};
  const names = packages.flatMap(entryNames);
  const text = oneFile({
    ...entriesOf(names),
    external: OUTSIDE.flatMap((name) => [name, `${name}/*`]),
    tsconfig: path.join(ROOT, 'tsconfig.base.json'),
  });
  const series = `own-${packages.join('-')}-`;
  const hash = createHash('sha256').update(text).digest('hex').slice(0, 16);
  const file = path.join(FOLDER, `${series}${hash}.cjs`);
  // Also where it is there already: what is read last is swept away last.
  write(file, text);
  sweep(series);
  return doorsOf(names, file);
}

/** The names by which a package's entries are imported. */
function entryNames(name) {
  const { exports } = JSON.parse(readFileSync(path.join(ROOT, name, 'package.json'), 'utf8'));
  return Object.keys(exports).map((entry) => path.posix.join('@lucky-thread', name, entry));
}

/** Clears away the files of a series that nobody reads any more. */
function sweep(series) {
  for (const name of readdirSync(FOLDER).filter((one) => one.startsWith(series))) {
    const file = path.join(FOLDER, name);
    if (Date.now() - statSync(file).mtimeMs > KEPT_MS) rmSync(file, { force: true });
  }
}

module.exports = { ownPackages };
