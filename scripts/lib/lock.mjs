import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { say } from './console.mjs';

const POLL_MS = 500;

/** Takes a lock held by a live process, or tells who has it; a dead holder's lock is taken over. */
export function tryLock(file) {
  mkdirSync(path.dirname(file), { recursive: true });
  try {
    writeFileSync(file, String(process.pid), { flag: 'wx' });
    return { taken: true, release: () => rmSync(file, { force: true }) };
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
  }
  const holder = holderOf(file);
  if (holder !== undefined) return { taken: false, holder };
  rmSync(file, { force: true });
  return tryLock(file);
}

function holderOf(file) {
  try {
    const pid = Number(readFileSync(file, 'utf8'));
    if (!Number.isInteger(pid) || pid <= 0) return undefined;
    process.kill(pid, 0);
    return pid;
  } catch (error) {
    // EPERM: alive, but somebody else's. ENOENT: released just now.
    return error.code === 'EPERM' ? -1 : undefined;
  }
}

/** Runs `work` while holding a lock, waiting for whoever has it. */
export async function withLock(file, what, work) {
  let lock = tryLock(file);
  if (!lock.taken) say(`Waiting for another process that is busy with ${what}`);
  while (!lock.taken) {
    await wait(POLL_MS);
    lock = tryLock(file);
  }
  try {
    return await work();
  } finally {
    lock.release();
  }
}
