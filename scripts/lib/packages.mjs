import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Stop, say } from './console.mjs';
import { withLock } from './lock.mjs';
import { ROOT, run } from './run.mjs';

const MARK = path.join(ROOT, 'node_modules', '.lucky-thread-lock-hash');

/** Installs the npm packages of the lock file unless they are there. */
export async function ensureNpmPackages() {
  const wanted = createHash('sha256')
    .update(readFileSync(path.join(ROOT, 'package-lock.json')))
    .digest('hex');
  const current = () => existsSync(MARK) && readFileSync(MARK, 'utf8') === wanted;
  if (current()) return;
  await withLock(path.join(ROOT, '.cache', 'npm.lock'), 'installing packages', async () => {
    if (current()) return;
    say('Installing npm packages (some minutes the first time)');
    const { code } = await run('npm', ['ci', '--no-fund', '--no-audit', '--loglevel=error']);
    if (code !== 0) throw new Stop('npm ci failed; its own message stands above.');
    writeFileSync(MARK, wanted);
  });
}
