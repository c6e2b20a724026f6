import { readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/** The code blocks of the README, in order. */
const BLOCKS = [
  ...readFileSync(path.join(__dirname, '../README.md'), 'utf8').matchAll(/```ts\n([^]*?)```/g),
].map((match) => match[1] ?? '');

/** Runs a block as it stands and gives what it exports. */
function run(block: string): Record<string, unknown> {
  const { outputText } = ts.transpileModule(block, {
    compilerOptions: { module: ts.ModuleKind.CommonJS, target: ts.ScriptTarget.ES2022 },
  });
  const exported: Record<string, unknown> = {};
  new Function('require', 'exports', outputText)(require, exported);
  return exported;
}

describe('the examples of core/README.md', () => {
  it('drive a whole session on fuse slots', () => {
    const { filled, verdicts, steps } = run(BLOCKS[0] ?? '');
    expect(filled).toEqual({ memory: 'F3', supply: 'F2' });
    expect(steps).toEqual(
      expect.arrayContaining(['Touch F2.', 'Key to accessory, then touch F2.']),
    );
    expect(verdicts).toHaveLength(4);
  });

  it('tell a bunch of cut wires apart', () => {
    const { roles, pairs } = run(BLOCKS[1] ?? '');
    expect(roles).toEqual({
      YE: 'constant',
      RD: 'switched',
      BK: 'ground',
      WH: 'speaker',
      'WH/BK': 'speaker',
    });
    expect(pairs).toMatchObject([{ plusId: 'WH', minusId: 'WH/BK', speaker: 'front left' }]);
  });

  it('choose a slot and size its feed', () => {
    const { sets, rankings, size } = run(BLOCKS[2] ?? '');
    expect(sets).toMatchObject([{ slots: { memory: 'dash/F2' } }]);
    expect(JSON.stringify(rankings)).toMatch(/airbag/i);
    expect(size).toMatchObject({ ok: true, fuseA: 4, awg: 18 });
  });
});
