import fc from 'fast-check';
import { FADED_HARNESS, USUAL_HARNESS, generateHarness } from '../bench';
import type { HarnessAdvice, HarnessLimit } from '../identify/harness';
import { adviseHarness } from '../identify/harness';
import type { HarnessTrial } from './index';
import { followHarnessPlan, harnessByHand, harnessTrial, isFullyRight } from './index';

/** Bunches that the figures of the other tests do not use. */
const seeds = fc.integer({ min: 40_001, max: 49_000 });
const qualities = fc.constantFrom(USUAL_HARNESS, FADED_HARNESS);
const limits = fc.subarray<HarnessLimit>(['pop', 'ohmmeter', 'lamp', 'parkingBrake', 'acc']);
const MOST_ACTIONS = 150;

function ask(trial: HarnessTrial, cannot: readonly HarnessLimit[]): HarnessAdvice {
  return adviseHarness({
    wires: trial.wires,
    readings: trial.readings,
    state: trial.state(),
    clip: trial.clip(),
    cannot,
  });
}

/** Follows the plan with some things not at hand; gives every action it asked for, and its last word. */
function followWithout(trial: HarnessTrial, cannot: readonly HarnessLimit[]) {
  const actions: HarnessAdvice['next'][] = [];
  let advice = ask(trial, cannot);
  while (advice.next.kind !== 'done' && advice.next.kind !== 'help') {
    const { next } = advice;
    actions.push(next);
    if (actions.length > MOST_ACTIONS) throw new Error('The plan has not come to an end');
    if (next.kind === 'pop') trial.pop(next.plusId, next.minusId);
    else if (next.kind === 'pairOhms') measurePair(trial, next.oneId, next.otherId);
    else {
      trial.go(next.state);
      trial.clipTo(next.clip, advice.wires.find((one) => one.role === 'constant')?.wireId);
      for (const id of next.wireIds) trial.probe(id, next.instrument);
    }
    advice = ask(trial, cannot);
  }
  return { actions, last: advice };
}

/** No continuity between any two wires: the worst case, in which every pair has to be given up. */
function measurePair(trial: HarnessTrial, sourceId: string, otherId: string): void {
  trial.readings.push({
    id: `r${trial.readings.length}`,
    sourceId,
    otherId,
    contact: undefined,
    state: trial.state(),
    value: { kind: 'ohms', ohm: null },
  });
}

describe('a session on a bunch of cut wires', () => {
  it('never harms a wire, proves what is left over dead, and gives no wire two mates', () => {
    fc.assert(
      fc.property(seeds, qualities, (seed, quality) => {
        const trial = harnessTrial(generateHarness(seed, quality), seed);
        const { pairs, unproved } = followHarnessPlan(trial);
        // 9 V on a live, data, sensor or amplifier wire.
        expect(trial.effort().harm).toBe(0);
        expect(unproved).toEqual([]);
        const ends = pairs.flatMap(({ plusId, minusId }) => [plusId, minusId]);
        expect(new Set(ends).size).toBe(ends.length);
      }),
      { numRuns: 5 },
    );
  });

  it('says that every wire is told apart only when each is, and names those that are not', () => {
    fc.assert(
      fc.property(seeds, qualities, limits, (seed, quality, cannot) => {
        const trial = harnessTrial(generateHarness(seed, quality), seed);
        const { last } = followWithout(trial, cannot);
        if (last.next.kind !== 'done') return;
        const paired = new Set(last.pairs.flatMap(({ plusId, minusId }) => [plusId, minusId]));
        const open = last.wires.filter((one) => !one.told && !paired.has(one.wireId));
        if (open.length > 0)
          expect(last.next.instruction).not.toContain('Every wire is told apart.');
        for (const { wireId } of open) {
          const name = trial.wires.find(({ id }) => id === wireId)?.name ?? wireId;
          expect(last.next.instruction).toContain(name);
        }
      }),
      { numRuns: 5 },
    );
  });

  it('comes to an end whatever is not at hand, and does not ask for it', () => {
    fc.assert(
      fc.property(seeds, qualities, limits, (seed, quality, cannot) => {
        const trial = harnessTrial(generateHarness(seed, quality), seed);
        const { actions } = followWithout(trial, cannot);
        for (const action of actions) {
          if (cannot.includes('pop')) expect(action.kind).not.toBe('pop');
          if (action.kind !== 'probe') continue;
          if (cannot.includes('ohmmeter')) expect(action.instrument).not.toBe('ohmmeter');
          if (cannot.includes('lamp')) expect(action.instrument).not.toBe('lamp');
          if (cannot.includes('acc')) expect(action.state.key).not.toBe('acc');
        }
        expect(trial.effort().harm).toBe(0);
      }),
      { numRuns: 5 },
    );
  });

  it('says the same whatever order the readings were taken in', () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 40 }), (seed, turn) => {
        const trial = harnessTrial(generateHarness(seed), seed);
        const whole = followHarnessPlan(trial);
        const turned = [...trial.readings.slice(turn), ...trial.readings.slice(0, turn)];
        const again = adviseHarness({
          wires: trial.wires,
          readings: turned,
          state: trial.state(),
          clip: trial.clip(),
        });
        expect(again.wires.map((one) => one.role)).toEqual(whole.wires.map((one) => one.role));
      }),
      { numRuns: 5 },
    );
  });
});

describe('the order of work by hand', () => {
  it('tells many bunches apart too, with more probes', () => {
    let right = 0;
    let probes = 0;
    let planned = 0;
    for (let seed = 40_001; seed <= 40_008; seed += 1) {
      const harness = generateHarness(seed);
      const hand = harnessTrial(harness, seed);
      if (isFullyRight(harness, harnessByHand(hand))) right += 1;
      probes += hand.effort().probes;
      const plan = harnessTrial(harness, seed);
      followHarnessPlan(plan);
      planned += plan.effort().probes;
    }
    expect(right).toBeGreaterThan(0);
    expect(planned).toBeLessThan(probes);
  });
});
