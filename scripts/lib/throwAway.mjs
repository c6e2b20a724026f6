import { randomBytes, scryptSync } from 'node:crypto';
import { chmodSync, mkdtempSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { freePort } from './ports.mjs';
import { ensurePostgres, startCluster } from './postgres.mjs';
import { startServer } from './server.mjs';
import { WEB_FOLDER, ensureWebBuild } from './webBuild.mjs';

/** A database cluster in a temporary folder; `stop` leaves nothing behind. */
export async function throwAwayCluster() {
  await ensurePostgres();
  const folder = mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-cluster-'));
  // PostgreSQL's own user has to get through the folder.
  chmodSync(folder, 0o755);
  const cluster = await startCluster(folder, { throwAway: true });
  return {
    url: cluster.url,
    stop: async () => {
      await cluster.stop();
      cluster.remove();
    },
  };
}

/** Name of the database that tests copy theirs from. */
const FILLED = 'filled';

/**
 * A throw-away cluster with a database that the server has set up and filled with the demo once: a test's own is a copy of it,
 * in a tenth of the time.
 */
export async function filledCluster() {
  const cluster = await throwAwayCluster();
  try {
    // Only now: the packages may have been installed by this very command.
    const { default: pg } = await import('pg');
    await query(pg, cluster.url, `create database ${FILLED}`);
    const url = new URL(cluster.url);
    url.pathname = `/${FILLED}`;
    const env = { DATABASE_URL: url.href, PORT: String(await freePort()), DEMO: '1' };
    const server = await startServer({ env });
    await server.stop();
    for (const [login, password] of Object.entries(PASSWORDS))
      await query(pg, url.href, 'update users set password_hash = $1 where login = $2', [
        cheapHash(password),
        login,
      ]);
    return { ...cluster, template: FILLED };
  } catch (error) {
    await cluster.stop();
    throw error;
  }
}

/** Passwords of the demo accounts, as the README gives them. */
const PASSWORDS = { installer: 'pull-the-right-thread', lead: 'prove-it-once' };

/** A hash says what it cost: hundreds of tests sign in, and a real one keeps a core busy for a third of a second. */
function cheapHash(password) {
  const [logN, r, p, bytes] = [4, 8, 1, 32];
  const salt = randomBytes(16);
  const key = scryptSync(password, salt, bytes, { N: 2 ** logN, r, p });
  return ['scrypt', logN, r, p, salt.toString('base64url'), key.toString('base64url')].join('$');
}

async function query(pg, connectionString, statement, values = []) {
  const client = new pg.Client({ connectionString });
  await client.connect();
  await client.query(statement, values);
  await client.end();
}

/** Runs `work` against the whole demo on a throw-away database. */
export async function withThrowAwayDemo(work) {
  await ensureWebBuild();
  const cluster = await throwAwayCluster();
  try {
    const port = await freePort();
    const server = await startServer({
      env: { DATABASE_URL: cluster.url, PORT: String(port), WEB_FOLDER, DEMO: '1' },
    });
    try {
      return await work({
        base: `http://127.0.0.1:${port}`,
        databaseUrl: cluster.url,
        serverPid: server.pid,
      });
    } finally {
      await server.stop();
    }
  } finally {
    await cluster.stop();
  }
}
