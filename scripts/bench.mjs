import path from 'node:path';
import { Stop, main, say } from './lib/console.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT, run } from './lib/run.mjs';
import { withThrowAwayDemo } from './lib/throwAway.mjs';
import { WEB_FOLDER, exportWeb } from './lib/webBuild.mjs';

const BARE = path.join(ROOT, 'benchmarks', 'bare');

/** Prints ratios of one run: identification, a tap-sheet call, first load; `npm run bench -- month ways` only those. */
main(async () => {
  await ensureNpmPackages();
  say('Building the bare app to compare with');
  await exportWeb(BARE);
  await withThrowAwayDemo(async ({ base, databaseUrl }) => {
    say('Measuring');
    const args = [
      '--import',
      'tsx',
      'src/main.ts',
      base,
      databaseUrl,
      WEB_FOLDER,
      path.join(BARE, 'dist'),
      ...process.argv.slice(2),
    ];
    const { code } = await run(process.execPath, args, { cwd: path.join(ROOT, 'benchmarks') });
    if (code !== 0) throw new Stop('the benchmark failed; its message stands above.');
  });
});
