import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Stop, main, say } from './lib/console.mjs';
import { dataFolder } from './lib/dataFolder.mjs';
import { tryLock } from './lib/lock.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { isFree } from './lib/ports.mjs';
import { ensurePostgres, startCluster } from './lib/postgres.mjs';
import { startServer } from './lib/server.mjs';
import { WEB_FOLDER, ensureWebBuild } from './lib/webBuild.mjs';

const DEFAULT_PORT = 4180;

main(async () => {
  const empty = process.argv.includes('--empty');
  const port = Number(process.env.PORT ?? DEFAULT_PORT);
  // A shop without demo data is another database: neither overwrites the other.
  const folder = path.join(dataFolder(), empty ? 'empty' : 'demo');
  makeFolder(folder);
  const lock = tryLock(path.join(folder, 'running.lock'));
  if (!lock.taken)
    throw new Stop(
      `it is running already (process ${lock.holder}); its address stands in its own window.`,
    );
  const releases = [lock.release];
  let stopping;
  const stop = () => (stopping ??= releaseAll(releases));
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
  try {
    if (!(await isFree(port)))
      throw new Stop(
        `port ${port} is taken: close what uses it, or choose another with PORT=4190 npm start`,
      );
    await ensureNpmPackages();
    await ensurePostgres();
    await ensureWebBuild();
    if (stopping) return;
    say('Starting the database');
    const cluster = await startCluster(folder);
    releases.push(cluster.stop);
    say('Starting the server');
    const server = await startServer({
      env: {
        DATABASE_URL: cluster.url,
        PORT: String(port),
        SESSION_SECRET: sessionSecret(folder),
        WEB_FOLDER,
        DEMO: empty ? '0' : '1',
        NODE_ENV: 'production',
      },
    });
    releases.push(server.stop);
    say(`Ready: http://127.0.0.1:${port}   (Ctrl-C stops everything)`);
    const code = await server.ended;
    if (!stopping && code !== 0)
      throw new Stop(`the server ended with code ${code}; its message stands above.`);
  } finally {
    await stop();
  }
});

/** Undoes what was started, newest first. */
async function releaseAll(releases) {
  say('Stopping');
  for (const release of [...releases].reverse()) await release();
}

function makeFolder(folder) {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o755 });
  } catch (error) {
    throw new Stop(
      `the data folder ${folder} cannot be made (${error.code}); name another with LUCKY_THREAD_DATA.`,
    );
  }
}

/** Kept beside the database, so that sessions outlive a restart. */
function sessionSecret(folder) {
  const file = path.join(folder, 'session-secret');
  if (!existsSync(file))
    writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600 });
  return readFileSync(file, 'utf8');
}
