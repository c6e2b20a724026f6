import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { runChaos } from './chaos/chaos.mjs';
import { checkFormat, checkLint, checkTypes } from './lib/checks.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { main, say } from './lib/console.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { bin, run } from './lib/run.mjs';
import { throwAwayCluster } from './lib/throwAway.mjs';
import { WEB_FOLDER, ensureWebBuild } from './lib/webBuild.mjs';

main(async () => {
  const results = [];
  let cluster;
  const stop = async () => {
    const running = cluster;
    cluster = undefined;
    await running?.stop();
  };
  process.on('SIGINT', () => void stop().then(() => process.exit(130)));
  try {
    await ensureNpmPackages();
    await ensureChromium();
    results.push(...(await checkFormat()), ...(await checkLint()), ...(await checkTypes()));
    results.push(...(await jest('Unit tests', ['core', 'contract', 'work', 'app'])));
    say('Starting a throw-away database');
    cluster = await throwAwayCluster();
    const env = { ...process.env, TEST_DATABASE_URL: cluster.url, WEB_FOLDER };
    results.push(...(await jest('Server tests', ['server'], env)));
    await ensureWebBuild();
    results.push(...(await jest('Browser tests', ['e2e'], env)));
    say('Killing parts under load');
    results.push(
      ...(await runChaos({ rounds: 3, writers: 100, targets: ['server', 'database', 'all'] })),
    );
  } finally {
    await stop();
  }
  const failed = results.filter((result) => !result.ok);
  for (const result of failed) console.log(`failed: ${result.name}`);
  if (failed.length > 0) process.exitCode = 1;
  say('Done');
  console.log(`${results.length - failed.length} passed, ${failed.length} failed`);
});

/** Runs Jest on some of the projects; one result per test, and one for every file that could not run. */
async function jest(name, projects, env = process.env) {
  say(name);
  const folder = mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-results-'));
  const file = path.join(folder, 'results.json');
  const args = [
    '--selectProjects',
    ...projects,
    '--maxWorkers=2',
    '--json',
    `--outputFile=${file}`,
  ];
  const { code, output } = await run(process.execPath, [bin('jest', 'bin/jest.js'), ...args], {
    quiet: true,
    env: { ...env, CI: '1' },
  });
  if (!existsSync(file)) {
    console.log(output.slice(-5000));
    return [{ name, ok: false }];
  }
  const report = JSON.parse(readFileSync(file, 'utf8'));
  const results = report.testResults.flatMap((suite) => {
    if (suite.assertionResults.length === 0)
      return [{ name: `${suite.name}: ${suite.message.slice(0, 2000)}`, ok: false }];
    return suite.assertionResults.map((one) => {
      const ok = one.status === 'passed';
      if (!ok) console.log(`✕ ${one.fullName}\n${one.failureMessages.join('\n').slice(0, 3000)}`);
      return { name: one.fullName, ok };
    });
  });
  // Output worth reading even when all is well, such as the shares of the identification.
  for (const line of output.split('\n')) if (/\d+ cars, /.test(line)) console.log(line.trim());
  if (code !== 0 && results.every((one) => one.ok))
    results.push({ name: `${name} ended with ${code}`, ok: false });
  return results;
}
