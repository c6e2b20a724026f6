import path from 'node:path';
import { ensureChromium } from './lib/chromium.mjs';
import { Stop, main, say } from './lib/console.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT, run } from './lib/run.mjs';
import { withThrowAwayDemo } from './lib/throwAway.mjs';

/** Takes the README's pictures anew from fresh demo data. */
main(async () => {
  await ensureNpmPackages();
  await ensureChromium();
  await withThrowAwayDemo(async ({ base }) => {
    say('Taking pictures');
    const folder = path.join(ROOT, 'docs/screenshots');
    const { code } = await run(
      process.execPath,
      ['--import', 'tsx', 'src/shotsMain.ts', base, folder],
      {
        cwd: path.join(ROOT, 'e2e'),
      },
    );
    if (code !== 0) throw new Stop('the pictures could not be taken; the message stands above.');
  });
});
