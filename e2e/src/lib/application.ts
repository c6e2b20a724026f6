import type { ChildProcess } from 'node:child_process';
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createServer } from 'node:net';
import pg from 'pg';

/** The real application on a database of its own: server process, built web app, demo data. */
export interface Application {
  readonly base: string;
  readonly databaseUrl: string;
  /** The server's process. */
  readonly serverPid: number;
  /** Kills the server outright, as a power cut would. */
  readonly kill: () => Promise<void>;
  /** Starts it again on the same port and database. */
  readonly start: () => Promise<void>;
  /** Ends the server; the database goes with the test cluster. */
  readonly stop: () => Promise<void>;
}

/** Starts the application; the test command says where database and web app are. */
export async function startApplication(): Promise<Application> {
  const cluster = process.env.TEST_DATABASE_URL;
  const webFolder = process.env.WEB_FOLDER;
  const program = process.env.SERVER_FILE;
  if (cluster === undefined || webFolder === undefined || program === undefined)
    throw new Error(
      'TEST_DATABASE_URL, WEB_FOLDER and SERVER_FILE are not set: run these tests with npm test',
    );
  const url = new URL(cluster);
  const name = `browser_${randomUUID().replaceAll('-', '')}`;
  await makeDatabase(cluster, name);
  url.pathname = `/${name}`;
  const port = await freePort();
  const env = {
    ...process.env,
    DATABASE_URL: url.href,
    PORT: String(port),
    WEB_FOLDER: webFolder,
    SESSION_SECRET: 'kept over restarts',
    DEMO: '1',
    // The same readings each time; a run with another seed tries other ones.
    NOISE_SEED: process.env.NOISE_SEED ?? '1',
  };
  let child = await launch(program, env);
  return {
    base: `http://127.0.0.1:${port}`,
    databaseUrl: url.href,
    get serverPid() {
      return child.pid ?? 0;
    },
    kill: () => end(child, 'SIGKILL'),
    start: async () => {
      child = await launch(program, env);
    },
    stop: () => end(child, 'SIGTERM'),
  };
}

function launch(program: string, env: NodeJS.ProcessEnv): Promise<ChildProcess> {
  const child = spawn(process.execPath, [program], {
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    child.stdout.on('data', (chunk) => {
      if (String(chunk).includes('listening on')) resolve(child);
    });
    child.once('exit', (code) => reject(new Error(`the server ended with ${String(code)}`)));
  });
}

function end(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  return new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) return resolve();
    child.once('exit', () => resolve());
    child.kill(signal);
  });
}

async function makeDatabase(cluster: string, name: string): Promise<void> {
  const client = new pg.Client({ connectionString: cluster });
  await client.connect();
  // Copied from one that is set up and filled already, where the test command has made one.
  const template = process.env.TEST_DATABASE_TEMPLATE;
  await client.query(
    `create database ${name}${template === undefined ? '' : ` template ${template}`}`,
  );
  await client.end();
}

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() =>
        resolve(typeof address === 'object' && address !== null ? address.port : 0),
      );
    });
  });
}
