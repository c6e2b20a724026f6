import { say } from './console.mjs';
import { bin, run } from './run.mjs';

/** Where tools keep what they know of files that have not changed. */
const CACHE = 'node_modules/.cache';

async function check(name, args) {
  const { code, output } = await run(process.execPath, args, { quiet: true });
  say(`${name}: ${code === 0 ? 'holds' : 'fails'}`);
  if (code !== 0) console.log(output);
  return { name, ok: code === 0 };
}

/** Whether every file is formatted. */
export function checkFormat() {
  const cache = [
    '--cache',
    '--cache-strategy',
    'content',
    '--cache-location',
    `${CACHE}/prettier-files`,
  ];
  return check('Format', [
    bin('prettier', 'bin/prettier.cjs'),
    '--log-level=warn',
    ...cache,
    '--check',
    '.',
  ]);
}

/** Whether the linter, with the rule for the direction of imports, is content. No cache: circles go through files that did not change. */
export function checkLint() {
  return check('Lint', [bin('eslint', 'bin/eslint.js'), '.', '--max-warnings', '0']);
}

/** Whether the types of every package hold: one build, in which a package sees of another what it exports. */
export function checkTypes() {
  return check('Types', [bin('typescript', 'bin/tsc'), '--build']);
}
