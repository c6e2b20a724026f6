import { spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { say } from '../lib/console.mjs';
import { freePort } from '../lib/ports.mjs';
import { ROOT } from '../lib/run.mjs';
import { kill, processesOf } from './processes.mjs';
import { differences, openWriters } from './writers.mjs';

/** What is killed, in turn. */
export const TARGETS = ['server', 'client', 'database', 'start', 'all'];
/** It must serve again by itself within this, ms. */
export const LIMIT_MS = 10_000;
/** Time between two kills, ms: not in step with anything. */
const CALM_MS = [400, 1300];
const POLL_MS = 50;

/**
 * Kills parts of the real application, round by round, while people write; then holds what is stored against what was
 * acknowledged.
 *
 * @param rounds how many kills
 * @param writers how many write
 * @param targets what is killed, in turn
 * @returns one result per round and one for what is stored, `{ name, ok }`
 */
export async function runChaos({ rounds, writers: count, targets = TARGETS }) {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-chaos-'));
  // PostgreSQL's own user has to get through the folder.
  chmodSync(folder, 0o755);
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const env = { ...process.env, LUCKY_THREAD_DATA: folder, PORT: String(port), DEMO: '1' };
  let start = startCommand(env);
  const results = [];
  try {
    await serves(base, 90_000);
    const writers = await openWriters(base, count);
    for (let round = 0; round < rounds; round += 1) {
      const target = targets[round % targets.length];
      await wait(CALM_MS[0] + ((round * 377) % (CALM_MS[1] - CALM_MS[0])));
      const parts = processesOf(start.pid, folder);
      const before = writers.acknowledged.size;
      const killed = target === 'all' ? ['start', 'server', 'database'] : [target];
      for (const part of killed) kill(parts[part]);
      // Nobody but a person, or whatever watches over services, can start the start command again.
      if (killed.includes('start')) start = startCommand(env);
      const began = Date.now();
      await wait(POLL_MS);
      await serves(base, 30_000);
      await grows(writers.acknowledged, before, 30_000);
      const tookMs = Date.now() - began;
      say(
        `Round ${round + 1}: ${target} killed, serving after ${tookMs} ms, ${before} acknowledged before`,
      );
      results.push({
        name: `round ${round + 1}, ${target} killed: serving after ${tookMs} ms`,
        ok: tookMs <= LIMIT_MS && killed.every((part) => parts[part] !== undefined),
      });
    }
    await writers.stop();
    const { lost, changed } = differences(writers.acknowledged, await writers.stored());
    const name = `of ${writers.acknowledged.size} acknowledged readings ${lost} lost, ${changed} changed, 0 doubled`;
    say(name);
    results.push({ name, ok: lost === 0 && changed === 0 && writers.acknowledged.size > 0 });
  } finally {
    await end(start);
    rmSync(folder, { recursive: true, force: true });
  }
  return results;
}

function startCommand(env) {
  return spawn(process.execPath, [path.join(ROOT, 'scripts/start.mjs')], {
    cwd: ROOT,
    env,
    stdio: 'ignore',
  });
}

async function end(child) {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
}

/** Waits until the server and its database answer. */
async function serves(base, patienceMs) {
  const until = Date.now() + patienceMs;
  for (;;) {
    const answer = await fetch(`${base}/api/health`, { signal: AbortSignal.timeout(2000) }).catch(
      () => undefined,
    );
    if (answer?.status === 200) return;
    if (Date.now() > until) throw new Error(`nothing answers at ${base}`);
    await wait(POLL_MS);
  }
}

/** Waits until a reading is acknowledged that was not before. */
async function grows(acknowledged, before, patienceMs) {
  const until = Date.now() + patienceMs;
  while (acknowledged.size === before) {
    if (Date.now() > until) throw new Error('no reading is acknowledged any more');
    await wait(POLL_MS);
  }
}
