import { generateVehicle, meterReading, seededRandom } from '@lucky-thread/core/bench';
import type { Reading, Source } from '@lucky-thread/core/identify';
import { advise } from '@lucky-thread/core/identify';
import { STITCH_PLACES, stateAt } from '@lucky-thread/core/vehicle';
import { line, measure } from './measure';
import { referenceAdvice } from './referencePosterior';

const SLOTS = 60;
const ROUNDS = 60;

/** Identify and next test for 60 slots read in every state, against a straightforward reference. */
export async function identifyBenchmark(): Promise<void> {
  const seed = seedWithSlots(SLOTS);
  const vehicle = generateVehicle(seed);
  const random = seededRandom(seed);
  const states = STITCH_PLACES.map(stateAt);
  const sources: Source[] = vehicle.slots.map((slot) => ({
    id: slot.id,
    name: slot.id,
    legend: slot.legend,
    fitted: true,
    tappable: true,
    logged: undefined,
  }));
  // Half of the states read: the plan still has something to look for.
  const readings = states.slice(0, 4).flatMap((state) =>
    vehicle.slots.map((slot): Reading => {
      const volts = meterReading(
        vehicle.truth,
        { slotId: slot.id, contact: undefined, state },
        random,
      );
      return {
        id: `${slot.id}${state.key}${String(state.asleep)}`,
        sourceId: slot.id,
        contact: undefined,
        state,
        value: { kind: 'volts', volts },
      };
    }),
  );
  const needs = [
    { id: 'memory', role: 'constant' as const },
    { id: 'switched', role: 'switched' as const },
  ];
  const ours = () => advise({ sources, readings, state: stateAt('off'), needs });
  const reference = () => referenceAdvice(sources, readings, states);
  const times = await measure(ROUNDS, { ours, reference });
  const a = times.ours;
  const b = times.reference;
  if (a === undefined || b === undefined) throw new Error('nothing was measured');
  const verdicts = ours().verdicts;
  const expected = reference().leading;
  const same = verdicts.filter((one) => one.leading === expected.get(one.sourceId)).length;
  line(
    `identify + next test, ${SLOTS} slots, ${readings.length} readings: median`,
    `${a.median.toFixed(2)} ms`,
  );
  line('  p95', `${a.p95.toFixed(2)} ms`);
  line('  straightforward reference: median', `${b.median.toFixed(2)} ms`);
  line('  ratio reference / ours', (b.median / a.median).toFixed(1));
  line('  slots with the same leading function', `${same} of ${SLOTS}`);
}

/** The first seed whose car has so many slots. */
function seedWithSlots(count: number): number {
  for (let seed = 1; seed < 10_000; seed += 1)
    if (generateVehicle(seed).slots.length === count) return seed;
  throw new Error(`no generated car has ${count} slots`);
}
