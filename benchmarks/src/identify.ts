import { benchCar, generateVehicle, meterReading, seededRandom } from '@lucky-thread/core/bench';
import type { Reading } from '@lucky-thread/core/identify';
import { advise } from '@lucky-thread/core/identify';
import { sourcesOf } from '@lucky-thread/core/trial';
import { STITCH_PLACES, nextState, stateAt } from '@lucky-thread/core/vehicle';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { line, measure } from './measure';
import { referenceAdvice } from './referencePosterior';

const SLOTS = 60;
const STATES = 24;
const ROUNDS = 80;

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
  const reference = () => referenceAdvice(sources, readings, states);
  for (let warming = 0; warming < ROUNDS; warming += 1) ours();
  const times = await measure(ROUNDS, { ours, reference });
  const [a, b] = [times.ours, times.reference];
  if (a === undefined || b === undefined) throw new Error('nothing was measured');
  const expected = reference().leading;
  const same = ours().verdicts.filter((one) => one.leading === expected.get(one.sourceId)).length;
  line(
    `identify + next plan, ${SLOTS} slots, ${states.length} states, ${readings.length} readings: median`,
    `${a.median.toFixed(2)} ms`,
  );
  line('  p95', `${a.p95.toFixed(2)} ms`);
  line('  straightforward reference: median', `${b.median.toFixed(2)} ms`);
  line('  ratio reference / ours', (b.median / a.median).toFixed(1));
  line('  slots with the same leading function', `${same} of ${SLOTS}`);
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
