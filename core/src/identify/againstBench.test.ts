import { generateVehicle, isClosed, meterReading, lampReading, seededRandom } from '../bench';
import type { BenchSupply, GeneratedVehicle } from '../bench';
import { PARKED } from '../vehicle';
import type { VehicleState } from '../vehicle';
import type { FindAdvice, Need, Reading, Source } from './index';
import { advise, requirementsOf } from './index';

const NEEDS: readonly Need[] = [
  { id: 'memory', role: 'constant' },
  { id: 'switched', role: 'switched', liveInAcc: true },
];
const VEHICLES = 220;
/** More actions than any session needs; reaching it is a failure. */
const MOST_ACTIONS = 80;

interface Outcome {
  readonly right: number;
  readonly wrong: number;
  readonly unresolved: number;
  readonly critical: number;
}

function sourcesOf(vehicle: GeneratedVehicle): Source[] {
  return vehicle.slots.map((slot) => ({
    id: slot.id,
    name: slot.id,
    legend: slot.legend,
    fitted: true,
    tappable: true,
    logged: undefined,
  }));
}

function runSession(vehicle: GeneratedVehicle, seed: number, lampOnly: boolean): FindAdvice {
  const random = seededRandom(seed + 99_991);
  const sources = sourcesOf(vehicle);
  const readings: Reading[] = [];
  let state: VehicleState = PARKED;
  for (let action = 0; action < MOST_ACTIONS; action += 1) {
    const advice = advise({ sources, readings, state, needs: NEEDS });
    if (advice.next.kind !== 'visit') return advice;
    state = advice.next.visit.state;
    for (const slotId of advice.next.visit.sourceIds) {
      const touch = { slotId, contact: undefined, state };
      readings.push({
        id: `r${readings.length}`,
        sourceId: slotId,
        contact: undefined,
        state,
        value: lampOnly
          ? { kind: 'glow', glow: lampReading(vehicle.truth, touch) }
          : { kind: 'volts', volts: meterReading(vehicle.truth, touch, random) },
      });
    }
  }
  throw new Error(`No end after ${MOST_ACTIONS} visits for seed ${seed}`);
}

function trulyMeets(supply: BenchSupply, need: Need): boolean {
  return requirementsOf(need).every(
    ({ state, want }) => isClosed(supply, state) === (want === 'live'),
  );
}

function score(vehicle: GeneratedVehicle, advice: FindAdvice): Outcome {
  let right = 0;
  let wrong = 0;
  let critical = 0;
  for (const need of NEEDS) {
    const slotId = advice.filled[need.id];
    if (slotId === undefined) continue;
    const circuit = vehicle.truth.circuits.find((one) => one.slotId === slotId);
    if (circuit !== undefined && trulyMeets(circuit.supply, need)) right += 1;
    else wrong += 1;
    if (vehicle.slots.find((slot) => slot.id === slotId)?.namedCritical === true) critical += 1;
  }
  return { right, wrong, critical, unresolved: NEEDS.length - right - wrong };
}

describe.each([
  ['a meter', false],
  ['a test lamp', true],
])('identification against generated cars, with %s', (_name, lampOnly) => {
  const outcomes = Array.from({ length: VEHICLES }, (_, seed) => {
    const vehicle = generateVehicle(seed + 1);
    return score(vehicle, runSession(vehicle, seed + 1, lampOnly));
  });
  const total = outcomes.reduce((sum, one) => ({
    right: sum.right + one.right,
    wrong: sum.wrong + one.wrong,
    unresolved: sum.unresolved + one.unresolved,
    critical: sum.critical + one.critical,
  }));
  const needs = VEHICLES * NEEDS.length;

  it('is never wrong and sure in more than 0.5 % of needs', () => {
    console.info(
      `${VEHICLES} cars, ${needs} needs: ${total.right} right, ${total.wrong} wrong, ${total.unresolved} unresolved`,
    );
    expect(total.wrong / needs).toBeLessThanOrEqual(0.005);
  });

  it('fills most needs', () => {
    expect(total.right / needs).toBeGreaterThan(0.9);
  });

  it('never recommends a circuit whose legend is blocked', () => {
    expect(total.critical).toBe(0);
  });
});
