import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';

const ROOT = path.join(__dirname, '../..');
const used = createRequire(__filename)(path.join(ROOT, 'app/usedChecks.cjs')) as {
  readonly rules: readonly string[];
  readonly checks: readonly string[];
};
const DECORATORS = path.join(ROOT, 'node_modules/class-validator/cjs/decorator');

/** Rules that the contract takes from class-validator. */
function rulesOfContract(): string[] {
  const folder = path.join(ROOT, 'contract/src');
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' });
  const imports = files
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map((file) => readFileSync(path.join(folder, file), 'utf8'))
    .flatMap((text) => [...text.matchAll(/import \{([^}]*)\} from 'class-validator'/g)])
    .flatMap((match) => (match[1] ?? '').split(','));
  return [...new Set(imports.map((name) => name.trim()).filter((name) => name !== ''))];
}

/** The library's file of a rule; undefined for what is no rule, such as a type. */
function fileOf(rule: string): string | undefined {
  return readdirSync(DECORATORS)
    .map((kind) => path.join(DECORATORS, kind, `${rule}.js`))
    .find((one) => existsSync(one));
}

/** Checks of the text library that a rule stands on. */
function checksOf(rule: string): string[] {
  const file = fileOf(rule);
  if (file === undefined) return [];
  return [...readFileSync(file, 'utf8').matchAll(/require\("validator\/lib\/(\w+)"\)/g)].map(
    (match) => match[1] ?? '',
  );
}

it('the web build keeps the rules of the contract and the checks that they stand on, and no others', () => {
  const rules = rulesOfContract();
  expect(rules).toContain('IsUUID');
  expect(rules.filter((rule) => fileOf(rule) !== undefined).sort()).toEqual([...used.rules].sort());
  expect([...new Set(rules.flatMap(checksOf))].sort()).toEqual([...used.checks].sort());
});
