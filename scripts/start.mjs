import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { Stop, main, say } from './lib/console.mjs';
import { dataFolder } from './lib/dataFolder.mjs';
import { tryLock } from './lib/lock.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { keepRunning } from './lib/keepRunning.mjs';
import { isFree, portProblem } from './lib/ports.mjs';
import { ensurePostgres, startCluster } from './lib/postgres.mjs';
import { startServer } from './lib/server.mjs';
import { together } from './lib/together.mjs';
import { WEB_FOLDER, ensureWebBuild } from './lib/webBuild.mjs';

const DEFAULT_PORT = 4180;
/** A server whose start command was killed ends by itself; its port is waited for so long, ms. */
const PORT_WAIT_MS = 6000;

main(async () => {
  const empty = process.argv.includes('--empty');
  const port = portOf(process.env.PORT ?? String(DEFAULT_PORT));
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
  const asked = new Promise((resolve) => {
    process.once('SIGINT', resolve);
    process.once('SIGTERM', resolve);
  });
  void asked.then(stop);
  try {
    if (!(await becomesFree(port)))
      throw new Stop(
        `port ${port} is taken: close what uses it, or choose another with PORT=4280 npm start`,
      );
    await together(ensureNpmPackages(), ensurePostgres());
    await ensureWebBuild();
    if (stopping) return;
    say('Starting the database');
    let url;
    let server;
    const database = await keepRunning('database', async () => {
      const cluster = await startCluster(folder, url === undefined ? {} : { port: portIn(url) });
      // With another address the server has to be started anew; with the same it finds back by itself.
      const moved = url !== undefined && url !== cluster.url;
      url = cluster.url;
      if (moved) void server?.current?.stop();
      return cluster;
    });
    releases.push(database.stop);
    say('Starting the server');
    server = await keepRunning('server', () =>
      startServer({
        env: {
          DATABASE_URL: url,
          PORT: String(port),
          SESSION_SECRET: sessionSecret(folder),
          WEB_FOLDER,
          // A quicker start than with a year of work in it: DEMO=1.
          DEMO: empty ? '0' : (process.env.DEMO ?? 'week'),
          NODE_ENV: 'production',
        },
      }),
    );
    releases.push(server.stop);
    say(`Ready: http://127.0.0.1:${port}   (Ctrl-C stops everything)`);
    await asked;
  } finally {
    await stop();
  }
});

async function becomesFree(port) {
  const until = Date.now() + PORT_WAIT_MS;
  while (!(await isFree(port))) {
    if (Date.now() > until) return false;
    await wait(100);
  }
  return true;
}

function portOf(text) {
  const problem = portProblem(text);
  if (problem !== undefined)
    throw new Stop(`${problem}: choose another, for instance PORT=4280 npm start`);
  return Number(text);
}

function portIn(url) {
  return Number(new URL(url).port);
}

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
