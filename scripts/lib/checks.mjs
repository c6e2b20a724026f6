import path from 'node:path';
import { say } from './console.mjs';
import { ROOT, bin, run } from './run.mjs';

async function check(name, args) {
  const { code, output } = await run(process.execPath, args, { quiet: true });
  say(`${name}: ${code === 0 ? 'holds' : 'fails'}`);
  if (code !== 0) console.log(output);
  return { name, ok: code === 0 };
}

/** Whether every file is formatted. */
export function checkFormat() {
  return check('Format', [bin('oxfmt', 'bin/oxfmt'), '--check']);
}

/** Whether the linter, with the rule for the direction of imports, is content. It looks at each file by itself: no rule that follows imports is on. */
export function checkLint() {
  return check('Lint', [bin('oxlint', 'bin/oxlint'), '-c', path.join(ROOT, 'oxlint.config.mjs')]);
}

/** Whether the house stands without circles; its figures are printed. A process of its own, since it needs packages that may not be there yet. */
export async function checkStructure() {
  const script = path.join(ROOT, 'scripts/structure.mjs');
  const { code, output } = await run(process.execPath, [script], { quiet: true });
  for (const line of output.trimEnd().split('\n')) say(line);
  return { name: 'Structure', ok: code === 0 };
}

/**
 * Whether the types of every package hold: one build, in which a package sees of another what it exports. The compiler that is a
 * program of its own does it in a quarter of the time; the look at the structure and the editor want the one before it, which is a library.
 */
export function checkTypes() {
  return check('Types', [bin('typescript-native', 'bin/tsc'), '--build']);
}
