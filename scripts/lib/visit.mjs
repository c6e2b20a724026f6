import path from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { Stop, say } from './console.mjs';
import { ensureNpmPackages } from './packages.mjs';
import { ROOT, run } from './run.mjs';
import { withThrowAwayDemo } from './throwAway.mjs';

/** The server's settings name the contract's sources, whose decorators are not the language's own. */
const ENV = { ...process.env, TSX_TSCONFIG_PATH: path.join(ROOT, 'server/tsconfig.json') };

/** Runs a program of the browser tests' folder against a fresh demo; it is given the demo's address first. */
export async function visitDemo({ doing, program, args = [], failed }) {
  await ensureNpmPackages();
  await ensureChromium();
  await withThrowAwayDemo(async ({ base }) => {
    say(doing);
    const all = ['--import', 'tsx', `src/${program}`, base, ...args];
    const { code } = await run(process.execPath, all, { cwd: path.join(ROOT, 'e2e'), env: ENV });
    if (code !== 0) throw new Stop(failed);
  });
}
