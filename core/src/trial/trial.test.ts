import { POOR_LEGENDS, USUAL_LEGENDS, generateHarness, generateVehicle } from '../bench';
import type { LegendQuality } from '../bench';
import type { Need } from '../identify';
import type { Effort } from './index';
import {
  NO_SCORE,
  addScores,
  careful,
  followHarnessPlan,
  followPlan,
  harnessByHand,
  harnessTrial,
  isFullyRight,
  labelFirst,
  scoreOf,
  sweep,
  trialCar,
} from './index';

/** Seeds that nothing was tuned on. */
const FIRST_SEED = 70_001;
const CARS = 16;
const NEEDS: readonly Need[] = [
  { id: 'memory', role: 'constant' },
  { id: 'supply', role: 'switched' },
];

function run(quality: LegendQuality, instrument: 'meter' | 'lamp') {
  let score = NO_SCORE;
  const ours: Effort[] = [];
  const byHand: Effort[] = [];
  const swept: Effort[] = [];
  for (let seed = FIRST_SEED; seed < FIRST_SEED + CARS; seed += 1) {
    const vehicle = generateVehicle(seed, quality);
    const car = trialCar(vehicle, { seed, instrument });
    score = addScores(score, scoreOf(vehicle, NEEDS, followPlan(car, NEEDS).filled));
    ours.push(car.effort());
    const hand = trialCar(vehicle, { seed, instrument });
    careful(hand, NEEDS);
    byHand.push(hand.effort());
    const all = trialCar(vehicle, { seed, instrument });
    sweep(all, NEEDS);
    swept.push(all.effort());
  }
  return { score, ours: median(ours), byHand: median(byHand), swept: median(swept) };
}

function median(efforts: readonly Effort[]): number {
  const seconds = efforts.map((one) => one.seconds).sort((left, right) => left - right);
  return seconds[Math.floor(seconds.length / 2)] ?? 0;
}

describe.each([
  ['usual legends, meter', USUAL_LEGENDS, 'meter', 0.985, 0.01, 0.85],
  // Where prints are doubtful more is read before one of them serves.
  ['poor legends, meter', POOR_LEGENDS, 'meter', 0.955, 0.035, 0.92],
  ['usual legends, lamp', USUAL_LEGENDS, 'lamp', 0.985, 0.01, 0.85],
] as const)('the plan on cars it has not seen: %s', (...row) => {
  const [_name, quality, instrument, met, critical, time] = row;
  const result = run(quality, instrument);
  const { score } = result;

  it('is never wrong and sure, and never takes a circuit whose legend names it critical', () => {
    console.info(
      `${_name}: ${score.needs} needs, ${score.right} right, ${score.wrong} wrong, ${score.critical} critical, ${score.gaveUp} gave up; seconds ${result.ours} ours, ${result.byHand} careful, ${result.swept} sweep`,
    );
    expect([score.wrong, score.named]).toEqual([0, 0]);
  });

  it('meets the needs, and seldom falls for a mislabelled critical circuit', () => {
    expect(score.right / score.needs).toBeGreaterThanOrEqual(met - 1 / score.needs);
    expect(score.critical / score.needs).toBeLessThanOrEqual(critical + 1 / score.needs);
  });

  it('takes less attended time than careful work by hand, and far less than a sweep', () => {
    expect(result.ours / result.byHand).toBeLessThanOrEqual(time);
    expect(result.ours / result.swept).toBeLessThanOrEqual(0.28);
  });
});

it('has by-hand ways that find something too', () => {
  const vehicle = generateVehicle(FIRST_SEED);
  for (const way of [sweep, labelFirst, careful]) {
    const car = trialCar(vehicle, { seed: FIRST_SEED, instrument: 'meter' });
    expect(Object.keys(way(car, NEEDS))).toEqual(expect.arrayContaining(['memory']));
  }
});

describe('the plan on cut harnesses it has not seen', () => {
  const BUNCHES = 10;
  let right = 0;
  let harm = 0;
  const ratios = { seconds: [] as number[], probes: [] as number[] };
  for (let seed = FIRST_SEED; seed < FIRST_SEED + BUNCHES; seed += 1) {
    const harness = generateHarness(seed);
    const trial = harnessTrial(harness, seed);
    const advice = followHarnessPlan(trial);
    const roles = Object.fromEntries(advice.wires.map((one) => [one.wireId, one.role]));
    if (isFullyRight(harness, { roles, pairs: advice.pairs })) right += 1;
    harm += trial.effort().harm;
    const hand = harnessTrial(harness, seed);
    harnessByHand(hand);
    ratios.seconds.push(trial.effort().seconds / hand.effort().seconds);
    ratios.probes.push(trial.effort().probes / hand.effort().probes);
  }
  const middle = (list: readonly number[]): number =>
    [...list].sort((left, right_) => left - right_)[Math.floor(list.length / 2)] ?? 1;

  it('never fires 9 V into a live or data wire', () => {
    expect(harm).toBe(0);
  });

  it('never pops the wires of a bunch behind an amplifier', () => {
    const amplified = Array.from({ length: 5 * BUNCHES }, (_, at) =>
      generateHarness(FIRST_SEED + at),
    )
      .filter((one) => Object.values(one.roles).some((truth) => truth.amplified))
      .slice(0, 4)
      .map((one, at) => followHarnessPlan(harnessTrial(one, at)));
    expect(amplified.length).toBeGreaterThan(0);
    for (const advice of amplified) expect(advice.pairs).toEqual([]);
  });

  it('tells nearly every bunch fully apart, in less time and with fewer probes than by hand', () => {
    console.info(
      `${BUNCHES} bunches: ${right} fully right; seconds ${middle(ratios.seconds).toFixed(2)}, probes ${middle(ratios.probes).toFixed(2)} of the order by hand`,
    );
    expect(right / BUNCHES).toBeGreaterThanOrEqual(0.95);
    expect(middle(ratios.seconds)).toBeLessThanOrEqual(0.65);
    expect(middle(ratios.probes)).toBeLessThanOrEqual(0.6);
  });
});
