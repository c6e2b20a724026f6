import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Stop, say } from './console.mjs';
import { withLock } from './lock.mjs';
import { ROOT, run } from './run.mjs';

/** Where the built web app lies. */
export const WEB_FOLDER = path.join(ROOT, 'app', 'dist');
const MARK = path.join(WEB_FOLDER, '.sources-hash');
const SOURCES = [
  'app/src',
  'app/public',
  'app/app.json',
  'app/metro.config.js',
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
  const wanted = hashOf(SOURCES.map((one) => path.join(ROOT, one)));
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

function hashOf(places) {
  const hash = createHash('sha256');
  for (const place of places)
    for (const file of filesBelow(place)) {
      hash.update(path.relative(ROOT, file)).update('\0').update(readFileSync(file)).update('\0');
    }
  return hash.digest('hex');
}

function filesBelow(place) {
  if (!existsSync(place)) return [];
  if (!statSync(place).isDirectory()) return [place];
  return readdirSync(place)
    .filter((name) => !/\.test\.tsx?$/.test(name))
    .sort()
    .flatMap((name) => filesBelow(path.join(place, name)));
}
