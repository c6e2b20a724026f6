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
    const client = new pg.Client({ connectionString: cluster.url });
    await client.connect();
    await client.query(`create database ${FILLED}`);
    await client.end();
    const url = new URL(cluster.url);
    url.pathname = `/${FILLED}`;
    const env = { DATABASE_URL: url.href, PORT: String(await freePort()), DEMO: '1' };
    const server = await startServer({ env });
    await server.stop();
    return { ...cluster, template: FILLED };
  } catch (error) {
    await cluster.stop();
    throw error;
  }
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
