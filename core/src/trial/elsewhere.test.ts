import {
  POOR_ELSEWHERE,
  USUAL_ELSEWHERE,
  benchCar,
  harnessElsewhere,
  vehicleElsewhere,
} from '../bench';
import type { PrintsElsewhere } from '../bench';
import type { Need } from '../identify';
import {
  NO_SCORE,
  addScores,
  followHarnessPlan,
  followPlan,
  harnessTrial,
  isFullyRight,
  scoreOf,
  trialCar,
} from './index';

const FIRST_SEED = 80_001;
const NEEDS: readonly Need[] = [
  { id: 'memory', role: 'constant' },
  { id: 'supply', role: 'switched', liveInAcc: true },
  { id: 'steady', role: 'switched', holdsCranking: true },
];

function run(
  prints: PrintsElsewhere,
  by: { readonly instrument: 'meter' | 'lamp'; readonly handbook: boolean },
) {
  let score = NO_SCORE;
  for (let seed = FIRST_SEED; seed < FIRST_SEED + 9; seed += 1) {
    const vehicle = vehicleElsewhere(seed, prints);
    const car = trialCar(vehicle, { seed, ...by, car: benchCar(vehicle.truth), elsewhere: true });
    score = addScores(score, scoreOf(vehicle, NEEDS, followPlan(car, NEEDS).filled));
  }
  return score;
}

// Nothing was tuned on these seeds; the bars are wide, for a dozen cars are few. The figures stand in docs/benchmarks.md.
describe.each([
  ['usual prints, meter', USUAL_ELSEWHERE, 'meter', false, 0.95, 0.035],
  ['usual prints, lamp', USUAL_ELSEWHERE, 'lamp', false, 0.95, 0.035],
  ['poor prints, meter and handbook', POOR_ELSEWHERE, 'meter', true, 0.9, 0.06],
] as const)('cars by other assumptions: %s', (name, prints, instrument, handbook, met, danger) => {
  it('are served, seldom by a dangerous circuit, hardly ever by a wrong one', () => {
    const score = run(prints, { instrument, handbook });
    console.info(
      `${name}: ${score.needs} needs, ${score.right} right, ${score.wrong} wrong, ${score.critical} critical, ${score.gaveUp} gave up`,
    );
    expect(score.right / score.needs).toBeGreaterThanOrEqual(met);
    expect(score.critical / score.needs).toBeLessThanOrEqual(danger);
    expect(score.wrong).toBeLessThanOrEqual(1);
  });
});

describe.each([
  ['a meter', 'meter', 0, 0.92],
  ['a meter, ghosts about', 'meter', 0.3, 0.92],
  ['a lamp, an ohmmeter and 9 V, ghosts about', 'lamp', 0.3, 0.9],
] as const)('bunches by other assumptions, with %s', (name, by, ghosts, least) => {
  it('are told fully apart, never popped into harm, and never called told when they are not', () => {
    const BUNCHES = 6;
    let right = 0;
    for (let seed = FIRST_SEED; seed < FIRST_SEED + BUNCHES; seed += 1) {
      const harness = harnessElsewhere(seed, { ghosts });
      const trial = harnessTrial(harness, seed, by);
      const advice = followHarnessPlan(trial);
      const roles = Object.fromEntries(advice.wires.map((one) => [one.wireId, one.role]));
      if (isFullyRight(harness, { roles, pairs: advice.pairs }, by)) right += 1;
      expect(trial.effort().harm).toBe(0);
    }
    console.info(`${name}: ${right} of ${BUNCHES} bunches fully right`);
    expect(right / BUNCHES).toBeGreaterThanOrEqual(least);
  });
});
