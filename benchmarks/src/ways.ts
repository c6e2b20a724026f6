import {
  FADED_HARNESS,
  POOR_ELSEWHERE,
  POOR_LEGENDS,
  USUAL_ELSEWHERE,
  USUAL_HARNESS,
  USUAL_LEGENDS,
  benchCar,
  generateHarness,
  generateVehicle,
  harnessElsewhere,
  vehicleElsewhere,
} from '@lucky-thread/core/bench';
import type { GeneratedHarness, GeneratedVehicle } from '@lucky-thread/core/bench';
import type { Need } from '@lucky-thread/core/identify';
import type { Choice, Effort, Score, TrialCar } from '@lucky-thread/core/trial';
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
  logWithLies,
  scoreOf,
  sweep,
  trialCar,
} from '@lucky-thread/core/trial';
import { line } from './measure';

/** Cars the plan was not tuned on: tuning used seeds below 1000. */
const FIRST_SEED = 10_001;
const CARS = 500;
const BUNCHES = 200;

const MEMORY: Need = { id: 'memory', role: 'constant' };
const SUPPLY: Need = { id: 'supply', role: 'switched' };
const STEADY: Need = { id: 'steady', role: 'switched', holdsCranking: true };
const NEED_SETS: readonly (readonly Need[])[] = [
  [SUPPLY],
  [MEMORY, SUPPLY],
  [MEMORY, { ...SUPPLY, liveInAcc: true }, STEADY],
];

type Way = (car: TrialCar, needs: readonly Need[]) => Choice;
const WITH_HANDBOOK = 'our plan, handbook at hand';
const WAYS: Readonly<Record<string, Way>> = {
  sweep,
  'label first': labelFirst,
  careful,
  'our plan': (car, needs) => followPlan(car, needs).filled,
  [WITH_HANDBOOK]: (car, needs) => followPlan(car, needs).filled,
};

interface Tally {
  score: Score;
  readonly efforts: Effort[];
}

/** Cars of one generator with legends of one quality. */
interface Cars {
  readonly name: string;
  readonly make: (seed: number) => GeneratedVehicle;
  /** By other assumptions than those that tuned the plan, read with other instruments. */
  readonly elsewhere: boolean;
}

const OUR_CARS: readonly Cars[] = [
  { name: 'usual', make: (seed) => generateVehicle(seed, USUAL_LEGENDS), elsewhere: false },
  { name: 'poor', make: (seed) => generateVehicle(seed, POOR_LEGENDS), elsewhere: false },
];
const OTHER_CARS: readonly Cars[] = [
  { name: 'usual', make: (seed) => vehicleElsewhere(seed, USUAL_ELSEWHERE), elsewhere: true },
  { name: 'poor', make: (seed) => vehicleElsewhere(seed, POOR_ELSEWHERE), elsewhere: true },
];

/** Sweep, label first, careful and our plan side by side, over the same cars with the same costs. */
export function waysBenchmark(): void {
  line('cars of the generator that the plan was tuned on, other seeds', '');
  waysOn(OUR_CARS);
  for (const lies of [0.02, 0.05, 0.2])
    line(`with a log, ${100 * lies} % of it lies`, logRow(lies));
  line('cars by other assumptions, which nothing was tuned on', '');
  waysOn(OTHER_CARS);
}

function waysOn(generators: readonly Cars[]): void {
  const pooled = new Map<string, Effort[]>();
  const scores = new Map<string, Score>();
  for (const cars of generators)
    for (const instrument of ['meter', 'lamp'] as const)
      for (const needs of NEED_SETS) {
        const { name } = cars;
        line(`${CARS} cars, ${name} legends, ${instrument}, ${needs.length} need(s)`, '');
        const tallies = compare({ cars, instrument, needs });
        for (const [way, tally] of tallies) {
          line(`  ${way}`, describe(tally));
          pooled.set(way, [...(pooled.get(way) ?? []), ...tally.efforts]);
        }
        line('  our plan against careful and sweep', ratios(tallies));
        for (const way of ['careful', 'our plan', 'our plan, handbook at hand']) {
          const key = `${way}, all with ${name} legends`;
          const score = tallies.get(way)?.score ?? NO_SCORE;
          scores.set(key, addScores(scores.get(key) ?? NO_SCORE, score));
        }
      }
  for (const [key, score] of scores) line(key, outcome(score));
  line('all of them pooled', '');
  for (const [way, efforts] of pooled)
    line(`  ${way}`, `${quantile(efforts, 0.5)} s median, ${quantile(efforts, 0.9)} s p90`);
  const part = (way: string, at: number): number => quantile(pooled.get(way) ?? [], at);
  line(
    '  our plan against careful',
    `${(part('our plan', 0.5) / part('careful', 0.5)).toFixed(2)} median, ${(part('our plan', 0.9) / part('careful', 0.9)).toFixed(2)} p90; sweep ${(part('our plan', 0.5) / part('sweep', 0.5)).toFixed(2)}`,
  );
}

function compare(trial: {
  readonly cars: Cars;
  readonly instrument: 'meter' | 'lamp';
  readonly needs: readonly Need[];
}): Map<string, Tally> {
  const tallies = new Map<string, Tally>(
    Object.keys(WAYS).map((way) => [way, { score: NO_SCORE, efforts: [] }]),
  );
  for (let seed = FIRST_SEED; seed < FIRST_SEED + CARS; seed += 1) {
    const vehicle = trial.cars.make(seed);
    const solved = benchCar(vehicle.truth);
    for (const [way, follow] of Object.entries(WAYS)) {
      const car = trialCar(vehicle, {
        seed,
        instrument: trial.instrument,
        car: solved,
        elsewhere: trial.cars.elsewhere,
        handbook: way === WITH_HANDBOOK,
      });
      const choice = follow(car, trial.needs);
      const tally = tallies.get(way);
      if (tally === undefined) continue;
      tally.score = addScores(tally.score, scoreOf(vehicle, trial.needs, choice));
      tally.efforts.push(car.effort());
    }
  }
  return tallies;
}

/** The plan on cars whose model's log holds lies, and thinks as well of itself as it deserves. */
function logRow(lies: number): string {
  const needs = NEED_SETS.at(-1) ?? [];
  const tally: Tally = { score: NO_SCORE, efforts: [] };
  for (let seed = FIRST_SEED; seed < FIRST_SEED + CARS; seed += 1) {
    const vehicle = generateVehicle(seed, USUAL_LEGENDS);
    const log = logWithLies(vehicle, seed, { named: 0.35, lies, probability: 1 - lies });
    const car = trialCar(vehicle, { seed, instrument: 'meter', log });
    tally.score = addScores(tally.score, scoreOf(vehicle, needs, followPlan(car, needs).filled));
    tally.efforts.push(car.effort());
  }
  return describe(tally);
}

function describe({ score, efforts }: Tally): string {
  const mean = (of: (effort: Effort) => number): string =>
    (efforts.reduce((sum, one) => sum + of(one), 0) / efforts.length).toFixed(1);
  return [
    `${quantile(efforts, 0.5)} s, p90 ${quantile(efforts, 0.9)} s`,
    `${mean((one) => one.probes)} probes, ${mean((one) => one.changes)} changes`,
    outcome(score),
  ].join('; ');
}

function outcome(score: Score): string {
  const share = (count: number): string => `${((100 * count) / score.needs).toFixed(2)} %`;
  return [
    `right ${share(score.right)}, wrong ${share(score.wrong)}`,
    `critical ${share(score.critical)} (named ${score.named}), gave up ${share(score.gaveUp)}`,
  ].join('; ');
}

function ratios(tallies: ReadonlyMap<string, Tally>): string {
  const of = (way: string, at: number): number => quantile(tallies.get(way)?.efforts ?? [], at);
  const ratio = (way: string, at: number): string => (of('our plan', at) / of(way, at)).toFixed(2);
  return `careful ${ratio('careful', 0.5)} median, ${ratio('careful', 0.9)} p90; sweep ${ratio('sweep', 0.5)} median`;
}

function quantile(efforts: readonly Effort[], at: number): number {
  const seconds = efforts.map((one) => one.seconds).sort((left, right) => left - right);
  return seconds[Math.min(seconds.length - 1, Math.floor(at * seconds.length))] ?? 0;
}

/** Bunches of one generator, and what is in hand. */
const BUNCH_ROWS: readonly (readonly [
  name: string,
  make: (seed: number) => GeneratedHarness,
  by: 'meter' | 'lamp',
])[] = [
  ['usual colours, meter', (seed) => generateHarness(seed, USUAL_HARNESS), 'meter'],
  ['faded colours, meter', (seed) => generateHarness(seed, FADED_HARNESS), 'meter'],
  ['faded colours, lamp, ohms, 9 V', (seed) => generateHarness(seed, FADED_HARNESS), 'lamp'],
  ['by other assumptions, meter', (seed) => harnessElsewhere(seed), 'meter'],
  ['by other assumptions, ghosts', (seed) => harnessElsewhere(seed, { ghosts: 0.3 }), 'meter'],
  ['by other assumptions, lamp', (seed) => harnessElsewhere(seed, { ghosts: 0.3 }), 'lamp'],
];

/** Cut harnesses by the plan and by hand. */
export function harnessBenchmark(): void {
  for (const [name, make, by] of BUNCH_ROWS) {
    let right = 0;
    let rightByHand = 0;
    let harm = 0;
    const ours: number[][] = [[], []];
    const hand: number[][] = [[], []];
    for (let seed = FIRST_SEED; seed < FIRST_SEED + BUNCHES; seed += 1) {
      const harness = make(seed);
      const trial = harnessTrial(harness, seed, by);
      const advice = followHarnessPlan(trial);
      const roles = Object.fromEntries(advice.wires.map((one) => [one.wireId, one.role]));
      if (isFullyRight(harness, { roles, pairs: advice.pairs }, by)) right += 1;
      harm += trial.effort().harm;
      const byHand = harnessTrial(harness, seed, by);
      if (isFullyRight(harness, harnessByHand(byHand), by)) rightByHand += 1;
      ours[0]?.push(trial.effort().seconds);
      ours[1]?.push(trial.effort().probes);
      hand[0]?.push(byHand.effort().seconds);
      hand[1]?.push(byHand.effort().probes);
    }
    const share = (count: number): string => `${((100 * count) / BUNCHES).toFixed(1)} %`;
    line(
      `${BUNCHES} cut harnesses, ${name}: fully right, by hand`,
      `${share(right)}, ${share(rightByHand)}`,
    );
    line('  seconds ours, by hand, ratio of medians', triple(ours[0], hand[0]));
    line('  probes ours, by hand, ratio of medians', triple(ours[1], hand[1]));
    line('  9 V into a live or data wire', String(harm));
  }
}

function triple(ours: readonly number[] = [], hand: readonly number[] = []): string {
  const middle = (list: readonly number[]): number =>
    [...list].sort((left, right) => left - right)[Math.floor(list.length / 2)] ?? 0;
  return `${middle(ours)}, ${middle(hand)}, ${(middle(ours) / middle(hand)).toFixed(2)}`;
}
