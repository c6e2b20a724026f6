import path from 'node:path';
import { Stop, main, say } from './lib/console.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT, run } from './lib/run.mjs';
import { withThrowAwayDemo } from './lib/throwAway.mjs';

/** Sends malformed requests to the application: `npm run fuzz -- 30000 1` for so many from a seed. */
main(async () => {
  const [requests = '30000', seed = '1'] = process.argv.slice(2);
  await ensureNpmPackages();
  await withThrowAwayDemo(async ({ base, databaseUrl, serverPid }) => {
    say('Sending malformed requests');
    const args = ['--import', 'tsx', 'src/fuzzMain.ts', base, databaseUrl, String(serverPid)];
    const { code } = await run(process.execPath, [...args, requests, seed], {
      cwd: path.join(ROOT, 'e2e'),
    });
    if (code !== 0) throw new Stop('something broke; it stands above.');
  });
});
