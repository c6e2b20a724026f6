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
  LEGEND_SECONDS,
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
const CAREFUL = 'careful';
const OURS = 'our plan';
const WITH_HANDBOOK = 'our plan, handbook at hand';
const WAYS: Readonly<Record<string, Way>> = {
  sweep,
  'label first': labelFirst,
  [CAREFUL]: careful,
  [OURS]: (car, needs) => followPlan(car, needs).filled,
  [WITH_HANDBOOK]: (car, needs) => followPlan(car, needs).filled,
};

interface Tally {
  score: Score;
  /** Of the feeds that must hold through cranking. */
  held: Score;
  readonly efforts: Effort[];
}

const newTally = (): Tally => ({ score: NO_SCORE, held: NO_SCORE, efforts: [] });

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
  const all = new Map<string, Tally>();
  for (const cars of generators) {
    const pooled = new Map<string, Tally>();
    for (const instrument of ['meter', 'lamp'] as const)
      for (const needs of NEED_SETS) {
        line(`${CARS} cars, ${cars.name} legends, ${instrument}, ${needs.length} need(s)`, '');
        const tallies = compare({ cars, instrument, needs });
        for (const [way, tally] of tallies) {
          line(`  ${way}`, describe(tally));
          for (const into of [pooled, all]) add(into, way, tally);
        }
        line('  our plan against careful and sweep', ratios(tallies, OURS));
      }
    describePool(`${cars.name} legends`, pooled);
  }
  describePool('all of them', all);
}

function add(into: Map<string, Tally>, way: string, { score, held, efforts }: Tally): void {
  const tally = into.get(way) ?? newTally();
  into.set(way, tally);
  tally.score = addScores(tally.score, score);
  tally.held = addScores(tally.held, held);
  tally.efforts.push(...efforts);
}

/** Ways over all needs and instruments, with what the time is like once the legend is read, which takes everybody as long. */
function describePool(name: string, pooled: ReadonlyMap<string, Tally>): void {
  line(`${name}, meter and lamp, 1 to 3 needs pooled`, '');
  for (const way of [CAREFUL, OURS, WITH_HANDBOOK]) {
    const tally = pooled.get(way) ?? newTally();
    const held = ((100 * tally.held.right) / tally.held.needs).toFixed(1);
    line(`  ${way}`, `${describe(tally)}; holds through cranking ${held} %`);
    if (way !== CAREFUL) line('    against careful and sweep', ratios(pooled, way));
  }
}

function compare(trial: {
  readonly cars: Cars;
  readonly instrument: 'meter' | 'lamp';
  readonly needs: readonly Need[];
}): Map<string, Tally> {
  const tallies = new Map<string, Tally>(Object.keys(WAYS).map((way) => [way, newTally()]));
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
      const steady = trial.needs.filter(({ holdsCranking }) => holdsCranking === true);
      tally.held = addScores(tally.held, scoreOf(vehicle, steady, choice));
      tally.efforts.push(car.effort());
    }
  }
  return tallies;
}

/** The plan on cars whose model's log holds lies, and thinks as well of itself as it deserves. */
function logRow(lies: number): string {
  const needs = NEED_SETS.at(-1) ?? [];
  const tally = newTally();
  for (let seed = FIRST_SEED; seed < FIRST_SEED + CARS; seed += 1) {
    const vehicle = generateVehicle(seed, USUAL_LEGENDS);
    const log = logWithLies(vehicle, seed, { named: 0.35, lies, probability: 1 - lies });
    const car = trialCar(vehicle, { seed, instrument: 'meter', log });
    tally.score = addScores(tally.score, scoreOf(vehicle, needs, followPlan(car, needs).filled));
    tally.efforts.push(car.effort());
  }
  return describe(tally);
}

function describe({ score, efforts }: Pick<Tally, 'score' | 'efforts'>): string {
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

function ratios(tallies: ReadonlyMap<string, Tally>, ours: string): string {
  const ratio = (way: string, at: number, without = 0): string => {
    const [mine, theirs] = [ours, way].map(
      (one) => quantile(tallies.get(one)?.efforts ?? [], at) - without,
    );
    return ((mine ?? 0) / (theirs ?? 1)).toFixed(2);
  };
  return [
    `careful ${ratio(CAREFUL, 0.5)} median, ${ratio(CAREFUL, 0.9)} p90`,
    `once the legend is read ${ratio(CAREFUL, 0.5, LEGEND_SECONDS)}, ${ratio(CAREFUL, 0.9, LEGEND_SECONDS)}`,
    `sweep ${ratio('sweep', 0.5)} median`,
  ].join('; ');
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
  const all = { ours: [] as number[], hand: [] as number[] };
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
    all.ours.push(...(ours[0] ?? []));
    all.hand.push(...(hand[0] ?? []));
  }
  line('all of them: seconds ours, by hand, ratio of medians', triple(all.ours, all.hand));
}

function triple(ours: readonly number[] = [], hand: readonly number[] = []): string {
  const middle = (list: readonly number[]): number =>
    [...list].sort((left, right) => left - right)[Math.floor(list.length / 2)] ?? 0;
  return `${middle(ours)}, ${middle(hand)}, ${(middle(ours) / middle(hand)).toFixed(2)}`;
}
