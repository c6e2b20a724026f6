import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/** One example of a doc comment: statements, an expression, and the result that stands behind it. */
interface Example {
  readonly name: string;
  readonly file: string;
  readonly statements: string;
  readonly expression: string;
  readonly result: string;
}

const FILES = readdirSync(__dirname, { recursive: true, encoding: 'utf8' }).filter((file) =>
  /(?<!\.test|\.d)\.ts$/.test(file),
);

function examplesIn(file: string): Example[] {
  const comments = readFileSync(path.join(__dirname, file), 'utf8').matchAll(/\/\*\*[^]*?\*\//g);
  return [...comments]
    .flatMap(([comment]) => comment.split('@example').slice(1))
    .map((text) => {
      // An example ends with the comment, or where the next tag begins.
      const [code = ''] = text.replaceAll(/^ *\* ?/gm, '').split(/\*\/|\n@|^\/$/m);
      const [before = '', result = ''] = code.trim().split(/ \/\/ (?!.* \/\/ )/);
      const at = before.lastIndexOf(';\n') + 1;
      return {
        name: `${before.slice(at).trim()} gives ${result}`,
        file,
        statements: before.slice(0, at),
        expression: before.slice(at).trim(),
        result: result.trim(),
      };
    });
}

function run({ file, statements, expression, result }: Example): readonly [unknown, unknown] {
  const known = { ...jest.requireActual('./vehicle'), ...jest.requireActual('./units/awg') };
  const scope = { ...known, CHASSIS: 'chassis', ...jest.requireActual(`./${file}`) };
  const { outputText } = ts.transpileModule(`${statements}\nresult = [${expression}, ${result}];`, {
    compilerOptions: { target: ts.ScriptTarget.ES2022 },
  });
  const names = Object.keys(scope);
  const body = `let result; ${outputText}; return result;`;
  return new Function(...names, body)(...names.map((name) => scope[name]));
}

/** Half of the last digit that a number is printed with. */
function tolerance(printed: string): number {
  return 0.5 * 10 ** -(printed.split('.')[1]?.length ?? 0);
}

const EXAMPLES = FILES.flatMap(examplesIn);

describe('the examples in doc comments', () => {
  it('are found', () => {
    expect(EXAMPLES.length).toBeGreaterThanOrEqual(8);
  });

  it.each(EXAMPLES.map((example) => [example.name, example] as const))('%s', (_name, example) => {
    const [given, said] = run(example);
    if (typeof given === 'number')
      expect(Math.abs(given - Number(said))).toBeLessThanOrEqual(tolerance(example.result));
    else expect(given).toEqual(said);
  });
});
