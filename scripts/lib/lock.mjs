import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { say } from './console.mjs';

const POLL_MS = 500;

/** Takes a lock held by a live process, or tells who has it; a dead holder's lock is taken over. */
export function tryLock(file) {
  mkdirSync(path.dirname(file), { recursive: true });
  const mine = JSON.stringify({ pid: process.pid, started: startOf(process.pid) });
  try {
    writeFileSync(file, mine, { flag: 'wx' });
    return { taken: true, release: () => rmSync(file, { force: true }) };
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
  }
  const holder = holderOf(file);
  if (holder !== undefined) return { taken: false, holder };
  rmSync(file, { force: true });
  return tryLock(file);
}

/** The live process that wrote a lock. A process of the same number that started at another time is another one. */
function holderOf(file) {
  const { pid, started } = contentOf(file);
  if (!Number.isInteger(pid) || pid <= 0) return undefined;
  try {
    process.kill(pid, 0);
  } catch (error) {
    // EPERM: alive, but somebody else's.
    if (error.code !== 'EPERM') return undefined;
  }
  const now = startOf(pid);
  return started === undefined || now === undefined || now === started ? pid : undefined;
}

function contentOf(file) {
  try {
    const content = JSON.parse(readFileSync(file, 'utf8'));
    // A lock from before the start time was noted is a bare number.
    return typeof content === 'number' ? { pid: content } : content;
  } catch {
    // Released just now, or cut short by a crash: nobody's.
    return {};
  }
}

/** When a process started, in the kernel's ticks; undefined where that can't be told. See proc(5), field 22 of stat. */
export function startOf(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The name in brackets may hold anything, spaces and brackets too.
    return stat
      .slice(stat.lastIndexOf(')') + 2)
      .split(' ')
      .at(19);
  } catch {
    return undefined;
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
