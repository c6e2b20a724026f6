import { spawn } from 'node:child_process';
import path from 'node:path';
import { createInterface } from 'node:readline';
import { fileURLToPath } from 'node:url';

/** The checkout. */
export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/** Runs a command to its end; its output goes through unless `quiet`, which keeps it. `through` hears each line as it comes. */
export function run(command, args, options = {}) {
  const { quiet = false, through, ...rest } = options;
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
      ...rest,
    });
    let output = '';
    child.stdout?.on('data', (chunk) => (output += chunk));
    child.stderr?.on('data', (chunk) => (output += chunk));
    if (through) createInterface({ input: child.stderr }).on('line', through);
    child.on('error', reject);
    child.on('close', (code) => resolve({ code, output }));
  });
}

/** A program of the installed packages, as arguments for this Node.js. */
export function bin(packageName, file) {
  return path.join(ROOT, 'node_modules', packageName, file);
}
