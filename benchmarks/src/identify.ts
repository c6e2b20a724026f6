import { benchCar, generateVehicle, meterReading, seededRandom } from '@lucky-thread/core/bench';
import type { FunctionPrior, Reading } from '@lucky-thread/core/identify';
import { advise, sourcePrior } from '@lucky-thread/core/identify';
import { plainPosterior } from '@lucky-thread/core/identify/model';
import { sourcesOf } from '@lucky-thread/core/trial';
import { STITCH_PLACES, nextState, stateAt } from '@lucky-thread/core/vehicle';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { line, measure } from './measure';
import { plainAdvice } from './plainAdvice';

const SLOTS = 60;
const STATES = 24;
const ROUNDS = 300;
/** The straightforward way takes seconds. */
const PLAIN_ROUNDS = 3;

/** Identify and next plan for 60 slots read in 24 states, against a straightforward reference. */
export async function identifyBenchmark(): Promise<void> {
  const seed = seedWithSlots(SLOTS);
  const vehicle = generateVehicle(seed);
  const car = benchCar(vehicle.truth);
  const random = seededRandom(seed);
  const states = manyStates();
  const sources = sourcesOf(vehicle);
  const readings = states.flatMap((state, at) =>
    sources.map((source): Reading => ({
      id: `${source.id}-${at}`,
      sourceId: source.id,
      contact: undefined,
      state,
      value: { kind: 'volts', volts: meterReading(car, { pointId: source.id, state }, random) },
    })),
  );
  const needs = [
    { id: 'memory', role: 'constant' as const },
    { id: 'supply', role: 'switched' as const, liveInAcc: true },
    { id: 'steady', role: 'switched' as const, holdsCranking: true },
  ];
  const ours = () => advise({ sources, readings, state: stateAt('off'), needs });
  const plain = () => plainAdvice(sources, readings, states);
  const verdictsOnly = () =>
    sources.map((source) =>
      plainPosterior(
        sourcePrior(source),
        readings.filter((one) => one.sourceId === source.id),
      ),
    );
  const { ours: fast } = await measure(ROUNDS, { ours });
  const times = await measure(PLAIN_ROUNDS, { ours, verdictsOnly, plain });
  const [beside, verdicts, slow] = [times.ours, times.verdictsOnly, times.plain];
  if (!fast || !beside || !verdicts || !slow) throw new Error('nothing was measured');
  const expected = plain().functions;
  const apart = ours().verdicts.flatMap(({ sourceId, posterior }) =>
    Object.entries(expected.get(sourceId) ?? {}).map(([name, chance]) =>
      Math.abs(posterior.functions[name as keyof FunctionPrior] - chance),
    ),
  );
  line(
    `identify + next plan, ${SLOTS} slots, ${states.length} states, ${readings.length} readings: median`,
    `${fast.median.toFixed(2)} ms`,
  );
  line('  p95', `${fast.p95.toFixed(2)} ms`);
  line('  straightforward reference: median', `${slow.median.toFixed(0)} ms`);
  line('  ratio reference / ours', (slow.median / beside.median).toFixed(0));
  line(
    '  ratio of the verdicts alone / ours with its plan',
    (verdicts.median / beside.median).toFixed(1),
  );
  line('  greatest difference of any chance', Math.max(...apart).toExponential(1));
}

/** The places of a stitch, and keys together with lamps or brake. */
function manyStates(): VehicleState[] {
  const keys = (['acc', 'run', 'crank', 'engine'] as const).flatMap((key) => [
    nextState(stateAt(key), { kind: 'lamps', to: true }),
    nextState(stateAt(key), { kind: 'toggle', which: 'brake', to: true }),
  ]);
  return [...STITCH_PLACES.map(stateAt), ...keys].slice(0, STATES);
}

/** The first seed whose car has so many slots. */
function seedWithSlots(count: number): number {
  for (let seed = 1; seed < 10_000; seed += 1)
    if (generateVehicle(seed).slots.length === count) return seed;
  throw new Error(`no generated car has ${count} slots`);
}
