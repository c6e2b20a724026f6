import { runChaos } from './chaos/chaos.mjs';
import { checkFormat, checkLint, checkStructure, checkTypes } from './lib/checks.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { Stop, main, say } from './lib/console.mjs';
import { jest } from './lib/jest.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ensurePostgres } from './lib/postgres.mjs';
import { PAPER_WORKER_FILE, SERVER_FILE, ensureServerBuild } from './lib/serverBuild.mjs';
import { filledCluster } from './lib/throwAway.mjs';
import { together } from './lib/together.mjs';
import { WEB_FOLDER, ensureWebBuild } from './lib/webBuild.mjs';
import { ensureXmlTools } from './lib/xmlTools.mjs';

/** What `npm test` consists of; `npm test -- unit server legend` runs some parts, on files whose path matches the rest. */
const PARTS = ['checks', 'unit', 'server', 'browser', 'chaos'];
/** Projects of Jest that need neither a database nor a browser. */
const UNITS = ['core', 'contract', 'work', 'app'];

main(async () => {
  const { parts, patterns } = chosen(process.argv.slice(2));
  const results = [];
  let cluster;
  const stop = async () => {
    const running = cluster;
    cluster = undefined;
    await running?.stop();
  };
  const database = async () => {
    if (!cluster) say('Starting a throw-away database');
    cluster ??= await filledCluster();
    const { url, template } = cluster;
    const tests = { TEST_DATABASE_URL: url, TEST_DATABASE_TEMPLATE: template };
    return { ...process.env, ...tests, WEB_FOLDER, SERVER_FILE, PAPER_WORKER_FILE };
  };
  const run = {
    checks: async () => Promise.all([checkLint(), checkTypes(), checkFormat(), checkStructure()]),
    unit: async () => jest('Unit tests', UNITS, { patterns }),
    server: async () => jest('Server tests', ['server'], { patterns, env: await database() }),
    // In one go, so that no worker waits for the last file of the first part.
    both: async () =>
      jest('Unit and server tests', [...UNITS, 'server'], { patterns, env: await database() }),
    browser: async () => {
      await ensureServerBuild();
      return jest('Browser tests', ['e2e'], { patterns, env: await database(), workers: 3 });
    },
    chaos: async () => {
      say('Killing parts under load');
      return runChaos({ rounds: 3, writers: 100, targets: ['server', 'database', 'all'] });
    },
  };
  process.on('SIGINT', () => void stop().then(() => process.exit(130)));
  try {
    await together(ensureNpmPackages(), ensurePrograms(parts));
    const first = parts.includes('checks') ? run.checks() : [];
    const [checked] = await Promise.all([first, makeReady(parts, database)]);
    results.push(...checked);
    for (const part of inOneGo(parts)) results.push(...(await run[part]()));
  } finally {
    await stop();
  }
  const failed = results.filter((result) => !result.ok);
  for (const result of failed) console.log(`failed: ${result.name}`);
  if (failed.length > 0 || results.length === 0) process.exitCode = 1;
  say('Done');
  console.log(`${results.length - failed.length} passed, ${failed.length} failed`);
});

/** Whether one of some parts is asked for. */
function asks(parts, ...some) {
  return some.some((part) => parts.includes(part));
}

/** Debian's programs that the parts need: installed while the packages are. */
async function ensurePrograms(parts) {
  if (asks(parts, 'server', 'browser', 'chaos')) await ensurePostgres();
  if (asks(parts, 'unit')) await ensureXmlTools();
  if (asks(parts, 'browser')) await ensureChromium();
}

/** Makes ready what the parts need beside that. */
async function makeReady(parts, database) {
  await together(
    asks(parts, 'browser', 'chaos') ? ensureWebBuild() : undefined,
    asks(parts, 'server', 'browser') ? database() : undefined,
  );
}

/** What is run after the checks, one after the other. */
function inOneGo(parts) {
  const after = parts.filter((one) => one !== 'checks');
  if (!after.includes('unit') || !after.includes('server')) return after;
  return ['both', ...after.filter((one) => one !== 'unit' && one !== 'server')];
}

/** The parts and patterns asked for; a pattern alone looks through all tests. */
function chosen(words) {
  const unknown = words.filter((word) => word.startsWith('-'));
  if (unknown.length > 0)
    throw new Stop(
      `Unknown option ${unknown[0]}. Parts: ${PARTS.join(', ')}; other words are matched against paths.`,
    );
  const patterns = words.filter((word) => !PARTS.includes(word));
  const named = PARTS.filter((part) => words.includes(part));
  if (named.length > 0) return { parts: named, patterns };
  return { parts: patterns.length > 0 ? ['unit', 'server', 'browser'] : PARTS, patterns };
}
