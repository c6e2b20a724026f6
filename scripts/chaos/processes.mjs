import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { SERVER_FILE } from '../lib/serverBuild.mjs';

/** The processes of a running start command, by what they are. */
export function processesOf(startPid, dataFolder) {
  const data = path.join(dataFolder, 'demo', 'cluster');
  const database = Number(lineOf(path.join(data, 'postmaster.pid')));
  const server = childrenOf(startPid).find((pid) => commandOf(pid).includes(SERVER_FILE));
  const clients = childrenOf(database).filter((pid) => commandOf(pid).includes('127.0.0.1'));
  return { start: startPid, server, database: database || undefined, client: clients[0] };
}

/** Ends a process as a power cut would; one that is gone already is none the worse. */
export function kill(pid) {
  if (pid === undefined) return;
  try {
    process.kill(pid, 'SIGKILL');
  } catch (error) {
    if (error.code !== 'ESRCH') throw error;
  }
}

function childrenOf(pid) {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name) && parentOf(name) === pid)
    .map(Number);
}

function parentOf(pid) {
  const stat = textOf(`/proc/${pid}/stat`);
  return Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1]);
}

function commandOf(pid) {
  return textOf(`/proc/${pid}/cmdline`);
}

function lineOf(file) {
  return textOf(file).split('\n')[0];
}

function textOf(file) {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    // The process, or the file it keeps, is gone.
    return '';
  }
}
