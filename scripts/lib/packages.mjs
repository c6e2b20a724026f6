import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Stop, say } from './console.mjs';
import { withLock } from './lock.mjs';
import { ROOT, run } from './run.mjs';

/** Installs the npm packages of a folder's lock file unless they are there. */
export async function ensureNpmPackages(folder = ROOT) {
  const mark = path.join(folder, 'node_modules', '.lucky-thread-lock-hash');
  const wanted = createHash('sha256')
    .update(readFileSync(path.join(folder, 'package-lock.json')))
    .digest('hex');
  const current = () => existsSync(mark) && readFileSync(mark, 'utf8') === wanted;
  if (current()) return;
  await withLock(path.join(ROOT, '.cache', 'npm.lock'), 'installing packages', async () => {
    if (current()) return;
    say('Installing npm packages (some minutes the first time)');
    const args = ['ci', '--no-fund', '--no-audit', '--loglevel=error'];
    const { code } = await run('npm', args, { cwd: folder });
    if (code !== 0) throw new Stop('npm ci failed; its own message stands above.');
    writeFileSync(mark, wanted);
  });
}
