import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { withLock } from './lock.mjs';
import { ROOT } from './run.mjs';
import { hashOf } from './sourceHash.mjs';

// As deep below `server` as its sources, so that what they name by relative address is found.
const FOLDER = path.join(ROOT, 'server', 'dist', 'node');
/** The built server. */
export const SERVER_FILE = path.join(FOLDER, 'main.mjs');
/** What its thread of papers does. */
export const PAPER_WORKER_FILE = path.join(FOLDER, 'papers', 'paperWorker.mjs');
const MARK = path.join(FOLDER, '.sources-hash');
const SOURCES = [
  'server/src',
  'core/src',
  'contract/src',
  'work/src',
  'package-lock.json',
  'scripts/lib/serverBuild.mjs',
];

/**
 * Builds the server with the packages that it uses, unless it was built from these very sources: hundreds of small files take it
 * three times as long to start. What it loads only when it is asked for stays in files of their own, named by what they hold: those
 * of the last build are left, since a server that runs may still ask for them.
 */
export async function ensureServerBuild() {
  const wanted = hashOf(SOURCES);
  const current = () => existsSync(MARK) && readFileSync(MARK, 'utf8') === wanted;
  if (current()) return;
  await withLock(path.join(ROOT, '.cache', 'server.lock'), 'building the server', async () => {
    if (current()) return;
    // The start command reads this file before it has installed the packages.
    const { build } = await import('esbuild');
    // Each by itself: files that both shared would be loaded in another order than their packages count on.
    for (const entry of ['main.ts', 'papers/paperWorker.ts'])
      await build({ ...OPTIONS, entryPoints: [path.join(ROOT, 'server/src', entry)] });
    writeFileSync(MARK, wanted);
  });
}

/** Only @IsPhoneNumber wants the numbering plans of all countries, and nothing here does. */
const withoutPhones = {
  name: 'without phones',
  setup({ onResolve, onLoad }) {
    onResolve({ filter: /^libphonenumber-js/ }, ({ path: name }) => ({
      path: name,
      namespace: 'without phones',
    }));
    onLoad({ filter: /.*/, namespace: 'without phones' }, () => ({
      contents: 'export default {}',
    }));
  },
};

const OPTIONS = {
  outdir: FOLDER,
  outbase: path.join(ROOT, 'server/src'),
  outExtension: { '.js': '.mjs' },
  tsconfig: path.join(ROOT, 'server/tsconfig.json'),
  ...{ bundle: true, splitting: true, platform: 'node', format: 'esm', target: 'node20' },
  sourcemap: true,
  // Packages of the older kind ask for Node's own modules this way.
  banner: {
    js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
  },
  // They read files that lie beside them; and a faster client that is not installed, for which the usual one is taken.
  external: ['pdfmake', 'connect-pg-simple', 'pg-native'],
  plugins: [withoutPhones],
  logLevel: 'error',
};
