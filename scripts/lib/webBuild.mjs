import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Stop, say } from './console.mjs';
import { withLock } from './lock.mjs';
import { ROOT, run } from './run.mjs';
import { hashOf } from './sourceHash.mjs';

/** Where the built web app lies. */
export const WEB_FOLDER = path.join(ROOT, 'app', 'dist');
const MARK = path.join(WEB_FOLDER, '.sources-hash');
const SOURCES = [
  'app/src',
  'app/public',
  'app/app.json',
  'app/metro.config.js',
  'app/minifier.cjs',
  'app/transformer.cjs',
  'app/usedChecks.cjs',
  'core/package.json',
  'app/babel.config.js',
  'core/src',
  'contract/src',
  'work/src',
  'package-lock.json',
];

/** Builds the web app unless it was built from these very sources. */
export async function ensureWebBuild() {
  const wanted = hashOf(SOURCES);
  const current = () => existsSync(MARK) && readFileSync(MARK, 'utf8') === wanted;
  if (current()) return;
  await withLock(path.join(ROOT, '.cache', 'build.lock'), 'building the web app', async () => {
    if (current()) return;
    say('Building the web app (a minute or two the first time)');
    await exportWeb(path.join(ROOT, 'app'));
    writeFileSync(MARK, wanted);
  });
}

/** Exports an Expo app for the web into its `dist`. */
export async function exportWeb(folder) {
  const env = {
    ...process.env,
    EXPO_OFFLINE: '1',
    EXPO_NO_TELEMETRY: '1',
    CI: '1',
    NODE_ENV: 'production',
  };
  const cli = path.join(ROOT, 'node_modules/expo/bin/cli');
  const args = [cli, 'export', '--platform', 'web', '--max-workers', '2'];
  const { code, output } = await run(process.execPath, args, { cwd: folder, env, quiet: true });
  if (code !== 0) throw new Stop(`the web app could not be built:\n${output.slice(-3000)}`);
}
