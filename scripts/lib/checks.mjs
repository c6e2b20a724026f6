import { say } from './console.mjs';
import { bin, run } from './run.mjs';

/** Packages whose types are checked. */
const TYPED = ['core', 'contract', 'work', 'server', 'app', 'e2e', 'benchmarks'];

async function check(name, args) {
  say(name);
  const { code, output } = await run(process.execPath, args, { quiet: true });
  if (code !== 0) console.log(output);
  return { name, ok: code === 0 };
}

/** Whether every file is formatted. */
export async function checkFormat() {
  return [await check('Format', [bin('prettier', 'bin/prettier.cjs'), '--check', '.'])];
}

/** Whether the linter, with the rule for the direction of imports, is content. */
export async function checkLint() {
  return [await check('Lint', [bin('eslint', 'bin/eslint.js'), '.', '--max-warnings', '0'])];
}

/** Whether the types of every package hold. */
export async function checkTypes() {
  const results = [];
  for (const name of TYPED)
    results.push(await check(`Types of ${name}`, [bin('typescript', 'bin/tsc'), '-p', name]));
  return results;
}
