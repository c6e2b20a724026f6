import { USUAL_LEGENDS, generateHarness } from '@lucky-thread/core/bench';
import { roleOfTruth } from '@lucky-thread/core/trial';
import { stateAt } from '@lucky-thread/core/vehicle';
import { parseRow } from '../../panel/legendGrid';
import { harnessReport } from './harnessPractice';
import { LEVELS } from './levels';
import { choose, fit, goTo, pull, startPanel, touch, undo } from './panelPractice';
import { reportOf } from './panelReport';

const NEEDS = [
  { id: 'memory', role: 'constant' as const },
  { id: 'steady', role: 'switched' as const, holdsCranking: true },
];
const start = () => startPanel(11, { quality: USUAL_LEGENDS, needs: NEEDS });

function slotBy(supply: string): string {
  const circuit = start().car.truth.circuits.find((one) => one.supply === supply);
  return circuit?.slotId ?? '';
}

describe('practice on a panel', () => {
  it('reads the solved car and counts the work', () => {
    const before = start();
    const after = touch(goTo(before, stateAt('run')), {
      slotId: slotBy('battery'),
      contact: undefined,
      with: 'lamp',
    });
    expect(after.readings[0]?.value).toEqual({ kind: 'glow', glow: 'lit' });
    // A turn of the key is 4 s and a probe 5 s.
    expect(after.seconds - before.seconds).toBe(9);
    expect(undo(after).readings).toHaveLength(0);
  });

  it('tells the supply side of an empty slot', () => {
    const slotId = slotBy('battery');
    const truth = start().car.truth.circuits.find((one) => one.slotId === slotId);
    const out = pull(start(), slotId, true);
    const at = (contact: 'a' | 'b') =>
      touch(out, { slotId, contact, with: 'lamp' }).readings[0]?.value;
    const supply = truth?.supplyContact ?? 'a';
    expect(at(supply)).toEqual({ kind: 'glow', glow: 'lit' });
  });

  it('names the constant nobody saw asleep, and the crank nobody tried', () => {
    const slotId = slotBy('battery');
    const lines = reportOf(choose(start(), 'memory', slotId)).map((line) => line.text);
    expect(lines.join()).toMatch(/never read asleep/);
    expect(lines.join()).toMatch(/Steady.*nothing chosen/);
  });

  it('tells a reversed tap from a right one', () => {
    const slotId = slotBy('battery');
    const truth = start().car.truth.circuits.find((one) => one.slotId === slotId);
    const right = truth?.supplyContact ?? 'a';
    const report = (at: 'a' | 'b') => reportOf(fit(pull(start(), slotId, true), slotId, at)).at(-1);
    expect(report(right)).toMatchObject({ good: true });
    expect(report(right === 'a' ? 'b' : 'a')?.text).toMatch(/reversed/);
  });

  it('lets go of a slot that is chosen again', () => {
    const once = choose(start(), 'memory', 'F1');
    expect(once.choice).toEqual({ memory: 'F1' });
    expect(choose(once, 'memory', 'F1').choice).toEqual({});
    expect(choose(once, 'steady', 'F1').choice).toEqual({ steady: 'F1' });
  });
});

it('judges a bunch by what every wire was named', () => {
  const harness = generateHarness(5);
  const named = Object.fromEntries(
    Object.entries(harness.roles).map(([id, truth]) => [id, roleOfTruth(truth)]),
  );
  const effort = { seconds: 0, probes: 0, pops: 0, harm: 1 };
  const lines = harnessReport(harness, named, { effort, readings: [] });
  expect(lines[0]).toMatchObject({ good: true });
  expect(lines.map((line) => line.text).join()).toMatch(/9 V met.*Never read with everything on/);
});

it('has levels from a labelled panel over cut wires and a remote starter to a fault', () => {
  expect([...new Set(LEVELS.map((level) => level.kind))]).toEqual([
    ...['panel', 'harness', 'signals', 'fault'],
  ]);
  expect(new Set(LEVELS.map(({ id }) => id)).size).toBe(LEVELS.length);
  expect(LEVELS.at(-1)?.id).toBe('fault');
});

describe('a row of ratings', () => {
  it('takes numbers, blanks and what was not looked at', () => {
    expect(parseRow('10 7.5 - ?')).toEqual([10, 7.5, null, undefined]);
  });
  it.each(['ten', '0', '500', '-5'])('refuses %s', (text) => {
    expect(() => parseRow(text)).toThrow(/no fuse rating/);
  });
});
