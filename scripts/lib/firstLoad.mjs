import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { ROOT } from './run.mjs';

/** Our own source, before it is pressed, that may come with the first screen. */
const MOST_KB = 420;
const ROUTES = path.join(ROOT, 'app/src/app');
const ENDS = ['', '.ts', '.tsx', '/index.ts'];

/**
 * How much of our own source comes with the first screen: what the routes import without waiting for it. One import of a
 * whole package from the store is enough to bring the core along, which no test would notice.
 */
export function firstLoad() {
  const seen = new Set();
  const left = readdirSync(ROUTES, { recursive: true })
    .filter((file) => file.endsWith('.tsx'))
    .map((file) => path.join(ROUTES, file));
  while (left.length > 0) {
    const file = left.pop();
    if (seen.has(file)) continue;
    seen.add(file);
    left.push(...valuesFrom(file));
  }
  const kb = [...seen].reduce((sum, file) => sum + statSync(file).size, 0) / 1024;
  return {
    line: `first load: ${seen.size} files of our own, ${kb.toFixed(0)} KB`,
    problems:
      kb > MOST_KB
        ? [`${kb.toFixed(0)} KB of our own come with the first screen, at most ${MOST_KB} may`]
        : [],
  };
}

/** Files of ours that a file imports for more than their types. */
function valuesFrom(file) {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest);
  return source.statements.flatMap((one) => {
    if (!ts.isImportDeclaration(one) && !ts.isExportDeclaration(one)) return [];
    if (one.moduleSpecifier === undefined || isTypeOnly(one)) return [];
    return fileOf(file, one.moduleSpecifier.text) ?? [];
  });
}

function isTypeOnly(one) {
  if (ts.isExportDeclaration(one)) return one.isTypeOnly;
  return one.importClause?.phaseModifier === ts.SyntaxKind.TypeKeyword;
}

function fileOf(from, name) {
  const own = /^@lucky-thread\/(\w+)(\/.*)?$/.exec(name);
  if (own === null && !name.startsWith('.')) return undefined;
  const stem = own === null ? path.resolve(path.dirname(from), name) : exported(own[1], own[2]);
  const file = ENDS.map((end) => stem + end).find(
    (one) => existsSync(one) && statSync(one).isFile(),
  );
  if (file === undefined) throw new Error(`${from} imports ${name}, which leads to no file`);
  return file;
}

function exported(name, subpath = '') {
  const { exports } = JSON.parse(readFileSync(path.join(ROOT, name, 'package.json'), 'utf8'));
  return path.join(ROOT, name, exports[`.${subpath}`]);
}
