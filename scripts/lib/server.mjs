import { spawn } from 'node:child_process';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { Stop } from './console.mjs';
import { ROOT } from './run.mjs';
import { SERVER_FILE, ensureServerBuild } from './serverBuild.mjs';

/** A small nursery for short-lived objects: requests make many, and what it grows to is not given back. */
const MEMORY = ['--max-semi-space-size=4'];

/** A server that does not end by itself is ended after this, ms. */
const PATIENCE_MS = 8000;

/** Starts the API server and waits until it listens; while one works on it, straight from its sources. */
export async function startServer({ env, watch = false }) {
  if (!watch) await ensureServerBuild();
  const program = watch
    ? ['--watch', ...MEMORY, '--import', 'tsx', 'src/main.ts']
    : [...MEMORY, '--enable-source-maps', SERVER_FILE];
  const child = spawn(process.execPath, program, {
    cwd: path.join(ROOT, 'server'),
    // With an arena for every thread freed memory of compression and hashes is not given back (mallopt(3)).
    env: { MALLOC_ARENA_MAX: '2', ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'inherit', 'ipc'],
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  return new Promise((resolve, reject) => {
    child.stdout.on('data', (chunk) => {
      const text = String(chunk);
      for (const line of text.split('\n')) {
        if (line.startsWith('First account')) console.log(line);
        // Under --watch the message channel belongs to the watcher, so the line counts as well.
        if (line.startsWith('listening on')) resolve(handle());
      }
    });
    child.once('exit', (code) =>
      reject(new Stop(`the server ended with code ${code} before it was ready.`)),
    );
  });

  function handle() {
    return {
      pid: child.pid,
      ended,
      stop: async () => {
        if (child.exitCode === null) child.kill('SIGTERM');
        const inTime = ended.then(() => true);
        if (!(await Promise.race([inTime, wait(PATIENCE_MS, false, { ref: false })])))
          child.kill('SIGKILL');
        await ended;
      },
    };
  }
}
