import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

const LIB = path.resolve(__dirname, '../../scripts/lib');

/** What a module of the scripts answers; they are plain modules of Node's own, run by it. */
function answerOf(module: string, expression: string): unknown {
  const source = `import * as m from ${JSON.stringify(path.join(LIB, module))};
    const answer = await (${expression});
    console.log(JSON.stringify(answer === undefined ? null : answer));
    process.exit(0);`;
  const printed = execFileSync(process.execPath, ['--input-type=module', '-e', source]);
  return JSON.parse(printed.toString());
}

describe('the lock of the start command', () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-lock-'));
  const taken = (name: string, content: string): unknown => {
    const file = path.join(folder, name);
    writeFileSync(file, content);
    return answerOf('lock.mjs', `m.tryLock(${JSON.stringify(file)})`);
  };

  it('is held by the process that took it', () => {
    const started = answerOf('lock.mjs', `m.startOf(${process.pid})`);
    expect(taken('held', JSON.stringify({ pid: process.pid, started }))).toEqual({
      taken: false,
      holder: process.pid,
    });
  });

  it.each([
    ['of another process with the same number', JSON.stringify({ pid: process.pid, started: '1' })],
    ['of a dead process', JSON.stringify({ pid: 2 ** 22 + 1, started: '1' })],
    ['that was cut short', '{"pid":'],
    ['that is empty', ''],
  ])('%s is taken over', (what, content) => {
    expect(taken(what, content)).toEqual({ taken: true });
  });
});

it.each([
  ['4280', null],
  ['4190', 'browsers refuse to open port 4190'],
  ['6000', 'browsers refuse to open port 6000'],
  ['80', 'PORT=80 is no port from 1024 to 65535'],
  ['x', 'PORT=x is no port from 1024 to 65535'],
])('PORT=%s: %p', (port, problem) => {
  expect(answerOf('ports.mjs', `m.portProblem(${JSON.stringify(port)})`)).toBe(problem);
});

describe('a part that is kept running', () => {
  it('is started again whenever it ends, also when a start fails, until it is stopped', () => {
    const expression = `(async () => {
      const starts = [];
      const part = await m.keepRunning('part', async () => {
        starts.push(Date.now());
        if (starts.length === 2) throw new Error('no');
        return { ended: starts.length < 4 ? Promise.resolve(1) : new Promise(() => undefined), stop: async () => undefined };
      });
      while (starts.length < 4) await new Promise((resolve) => setTimeout(resolve, 20));
      const gaps = starts.slice(1).map((at, index) => at - starts[index]);
      return gaps.every((gap, index) => index === 0 || gap > gaps[index - 1]) && gaps[0] >= 190;
    })()`;
    const source = `const said = console.log; console.log = () => undefined;
      import(${JSON.stringify(path.join(LIB, 'keepRunning.mjs'))}).then(async (m) => {
        const answer = await ${expression}; said(JSON.stringify(answer)); process.exit(0); });`;
    const printed = execFileSync(process.execPath, ['-e', source]);
    expect(JSON.parse(printed.toString())).toBe(true);
  });
});
