import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Stop, main, say } from './lib/console.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT, run } from './lib/run.mjs';
import { filledCluster } from './lib/throwAway.mjs';

/** What changes the code, with packages of its own. */
const STRYKER = path.join(ROOT, 'scripts', 'mutation');
/** Share of the changes that tests must notice. */
const WANTED_PERCENT = 80;
/** Packages whose code can be changed, with what their tests need. */
const PACKAGES = ['core', 'server'];

/**
 * `npm run mutate -- core/src/size/battery/crank.ts …`: changes the code of the files bit by bit, runs the tests that touch it,
 * and names each change that no test noticed. Minutes to hours, so it is no part of `npm test`. With `--tests size choose` only
 * test files in folders whose names hold one of these words are run: quicker, and what they notice is the least that all would.
 * With `--every 8` only what stands within every eighth line is changed: a sample, for many files at once. `--quick` leaves out what
 * is worked out once when a file is loaded, such as tables: each change there needs all tests anew.
 */
main(async () => {
  const { files, tests, every, quick } = asked(process.argv.slice(2));
  if (files.length === 0) throw new Stop('Name the files to change, such as core/src/size/**/*.ts');
  const name = PACKAGES.find((one) => files.every((file) => file.startsWith(`${one}/`)));
  if (name === undefined) throw new Stop(`All files must lie in one of ${PACKAGES.join(', ')}.`);
  await ensureNpmPackages();
  await ensureNpmPackages(STRYKER);
  const cluster = name === 'server' ? await filledCluster() : undefined;
  const folder = mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-mutation-'));
  try {
    const config = path.join(folder, 'stryker.config.json');
    const report = path.join(folder, 'report.json');
    writeFileSync(
      config,
      JSON.stringify({ ...settings(linesOf(files, every), report), ignoreStatic: quick }),
    );
    say(`Changing ${files.join(', ')}`);
    const { code } = await run(
      process.execPath,
      [path.join(STRYKER, 'node_modules/@stryker-mutator/core/bin/stryker.js'), 'run', config],
      {
        env: {
          ...process.env,
          JEST_PROJECT: name,
          JEST_TESTS: tests.join('|'),
          ...(cluster && {
            TEST_DATABASE_URL: cluster.url,
            TEST_DATABASE_TEMPLATE: cluster.template,
          }),
        },
      },
    );
    if (code !== 0) throw new Stop(`the mutation run ended with ${code}`);
    if (tell(JSON.parse(readFileSync(report, 'utf8'))) < WANTED_PERCENT) process.exitCode = 1;
  } finally {
    await cluster?.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});

function asked(words) {
  const lists = { files: [], '--tests': [], '--every': [] };
  let into = lists.files;
  for (const word of words.filter((one) => one !== '--quick'))
    if (word in lists && word !== 'files') into = lists[word];
    else into.push(word);
  const every = Number(lists['--every'][0] ?? 1);
  if (!Number.isInteger(every) || every < 1)
    throw new Stop('--every wants a whole number from 1 on');
  return { files: lists.files, tests: lists['--tests'], every, quick: words.includes('--quick') };
}

/** What Stryker is to change: whole files, or every so many lines of each, begun at another line in each file. */
function linesOf(files, every) {
  if (every === 1) return files;
  return files.flatMap((file, index) => {
    const lines = readFileSync(file, 'utf8').split('\n').length;
    const first = 1 + (index % every);
    const count = Math.max(0, Math.ceil((lines - first + 1) / every));
    return Array.from({ length: count }, (_, at) => first + at * every).map(
      (line) => `${file}:${line}-${line}`,
    );
  });
}

function settings(files, report) {
  return {
    mutate: files,
    testRunner: 'jest',
    plugins: ['@stryker-mutator/jest-runner'],
    jest: { projectType: 'custom', configFile: 'scripts/lib/jestOne.config.cjs' },
    coverageAnalysis: 'perTest',
    // A property that is broken is looked into for a while before it is reported.
    timeoutMS: 60_000,
    concurrency: 2,
    tempDirName: '.cache/mutation',
    ignorePatterns: ['dist', '.cache', 'docs'],
    reporters: ['json', 'progress-append-only'],
    jsonReporter: { fileName: report },
    logLevel: 'warn',
    cleanTempDir: 'always',
  };
}

/** Names what no test noticed; answers the share that was noticed, per cent. */
function tell({ files }) {
  let [noticed, all] = [0, 0];
  for (const [file, { mutants, source }] of Object.entries(files)) {
    const lines = source.split('\n');
    const counted = mutants.filter(({ status }) => !['Ignored', 'CompileError'].includes(status));
    const missed = counted.filter(({ status }) => ['Survived', 'NoCoverage'].includes(status));
    all += counted.length;
    noticed += counted.length - missed.length;
    for (const { location, replacement, status, mutatorName } of missed) {
      const was = lines[location.start.line - 1]?.trim() ?? '';
      const untouched = status === 'NoCoverage' ? ' (no test comes here)' : '';
      console.log(
        `${file}:${location.start.line} ${mutatorName}${untouched}: ${was} -> ${replacement ?? ''}`,
      );
    }
    console.log(`${file}: ${share(counted.length - missed.length, counted.length)} noticed`);
  }
  console.log(`${all} changes, ${share(noticed, all)} noticed`);
  return all === 0 ? 0 : (100 * noticed) / all;
}

function share(part, whole) {
  return whole === 0 ? 'none' : `${((100 * part) / whole).toFixed(1)} %`;
}
