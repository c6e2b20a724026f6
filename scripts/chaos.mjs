import { runChaos } from './chaos/chaos.mjs';
import { main } from './lib/console.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ensurePostgres } from './lib/postgres.mjs';
import { ensureWebBuild } from './lib/webBuild.mjs';

/** Kills parts of the running application under load: `npm run chaos -- 50 100` for 50 rounds and 100 writers. */
main(async () => {
  const [rounds = 50, writers = 100] = process.argv.slice(2).map(Number);
  await ensureNpmPackages();
  await ensurePostgres();
  await ensureWebBuild();
  const results = await runChaos({ rounds, writers });
  const failed = results.filter((one) => !one.ok);
  for (const one of failed) console.log(`failed: ${one.name}`);
  console.log(`${results.length - failed.length} passed, ${failed.length} failed`);
  if (failed.length > 0) process.exitCode = 1;
});
