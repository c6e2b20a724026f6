import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { withLock } from './lock.mjs';
import { ROOT } from './run.mjs';
import { hashOf } from './sourceHash.mjs';

// As deep below `server` as its sources, so that what they name by relative address is found.
const FOLDER = path.join(ROOT, 'server', 'dist', 'node');
/** The built server. */
export const SERVER_FILE = path.join(FOLDER, 'main.mjs');
const MARK = path.join(FOLDER, '.sources-hash');
const SOURCES = ['server/src', 'core/src', 'contract/src', 'work/src', 'package-lock.json'];

/** Builds the server into one file unless it was built from these very sources: it starts in half the time. */
export async function ensureServerBuild() {
  const wanted = hashOf(SOURCES);
  const current = () => existsSync(MARK) && readFileSync(MARK, 'utf8') === wanted;
  if (current()) return;
  await withLock(path.join(ROOT, '.cache', 'server.lock'), 'building the server', async () => {
    if (current()) return;
    // The start command reads this file before it has installed the packages.
    const { build } = await import('esbuild');
    await build({
      entryPoints: [path.join(ROOT, 'server/src/main.ts')],
      outfile: SERVER_FILE,
      tsconfig: path.join(ROOT, 'server/tsconfig.json'),
      ...{ bundle: true, platform: 'node', format: 'esm', target: 'node20', sourcemap: true },
      plugins: [ownPackagesOnly],
      logLevel: 'error',
    });
    writeFileSync(MARK, wanted);
  });
}

/** Packages from outside are loaded where they lie. */
const ownPackagesOnly = {
  name: 'own packages only',
  setup({ onResolve }) {
    onResolve({ filter: /^[^./]/ }, ({ kind, path: name }) =>
      kind === 'entry-point' || name.startsWith('@lucky-thread/')
        ? undefined
        : { path: name, external: true },
    );
  },
};
