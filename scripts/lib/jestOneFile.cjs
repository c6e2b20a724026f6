/**
 * Several files made into one for tests: Jest reads, wraps and runs every file anew for each file of tests.
 */
const { mkdirSync, renameSync, writeFileSync } = require('node:fs');
const path = require('node:path');
const { buildSync } = require('esbuild');

const ROOT = path.resolve(__dirname, '../..');
/** Where they are kept. */
const FOLDER = path.join(ROOT, 'node_modules', '.cache', 'jest-bundles');

/** One file as text, of what esbuild is asked for beside the form that Jest reads. */
function oneFile(options) {
  const { outputFiles } = buildSync({
    ...{ bundle: true, format: 'cjs', platform: 'node', target: 'es2022', logLevel: 'error' },
    ...{ absWorkingDir: ROOT, write: false },
    ...options,
  });
  return outputFiles[0].text;
}

/** What is asked of esbuild for entries that share parts: each is run when it is asked for, by the name that it is imported by. */
function entriesOf(names) {
  const loaders = names.map((name) => `'${name}': () => require('${name}'),`);
  return {
    stdin: { contents: `module.exports = {\n${loaders.join('\n')}\n};`, resolveDir: ROOT },
  };
}

/** A mapping as Jest wants it, of the names of entries to files of a line that each hand on one entry of a file. */
function doorsOf(names, file) {
  const door = (name) => {
    const at = `${file}.${name.replace(/\W+/g, '-')}.cjs`;
    write(at, `module.exports = require('./${path.basename(file)}')['${name}']();\n`);
    return at;
  };
  return Object.fromEntries(names.map((name) => [`^${name}$`, door(name)]));
}

/** Writes a file whole or not at all: another run may be making it too. */
function write(file, text) {
  mkdirSync(path.dirname(file), { recursive: true });
  writeFileSync(`${file}.${process.pid}`, text);
  renameSync(`${file}.${process.pid}`, file);
}

module.exports = { FOLDER, ROOT, doorsOf, entriesOf, oneFile, write };
