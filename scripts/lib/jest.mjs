import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { say } from './console.mjs';
import { ROOT, bin, run } from './run.mjs';

/** Runs Jest on some of the projects, on files whose path matches `patterns`; one result per test, and one for every file that could not run. */
export async function jest(name, projects, { env = process.env, patterns = [], workers = 2 } = {}) {
  say(name);
  const folder = mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-results-'));
  const file = path.join(folder, 'results.json');
  const args = [
    '--selectProjects',
    ...projects,
    `--maxWorkers=${workers}`,
    '--json',
    `--outputFile=${file}`,
    '--passWithNoTests',
    // Few files run in Jest’s own process, where a timer of the app that tries again for ever would hold it up.
    '--forceExit',
    `--reporters=${path.join(ROOT, 'scripts/lib/jestProgress.cjs')}`,
    '--',
    ...patterns,
  ];
  const { code, output } = await run(process.execPath, [bin('jest', 'bin/jest.js'), ...args], {
    quiet: true,
    through: (line) => line.startsWith('…') && say(`${name} ${line}`),
    env: { ...env, CI: '1' },
  });
  if (!existsSync(file)) {
    console.log(output.slice(-5000));
    return [{ name, ok: false }];
  }
  const report = JSON.parse(readFileSync(file, 'utf8'));
  const results = report.testResults.flatMap(resultsOf);
  // Output worth reading even when all is well, such as the shares of the identification.
  for (const line of output.split('\n')) if (/\d+ cars, /.test(line)) console.log(line.trim());
  if (code !== 0 && results.every((one) => one.ok))
    results.push({ name: `${name} ended with ${code}`, ok: false });
  return results;
}

function resultsOf(suite) {
  if (suite.assertionResults.length === 0)
    return [{ name: `${suite.name}: ${suite.message.slice(0, 2000)}`, ok: false }];
  return suite.assertionResults.map((one) => {
    const ok = one.status === 'passed';
    if (!ok) console.log(`✕ ${one.fullName}\n${one.failureMessages.join('\n').slice(0, 3000)}`);
    return { name: one.fullName, ok };
  });
}
