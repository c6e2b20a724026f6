import type { BenchWire } from '../bench';
import { benchCar, generateHarness, meterShows, seededRandom } from '../bench';
import type { FindAdvice, Need, ProbeSource, Reading, ReadingValue } from '../identify';
import { advise, soughtBy } from '../identify';
import type { VehicleState } from '../vehicle';
import { PARKED } from '../vehicle';

/** Signals beside the wires of a bunch, and what they are looked for as. */
const SIGNALS = [
  { role: 'reverse', supply: 'reverseSwitch' },
  { role: 'brake', supply: 'brakeSwitch' },
  { role: 'starter', supply: 'starterContact' },
] as const;
const BATTERY = { restV: 12.6, internalOhm: 0.009, crankingA: 180, chargingV: 14.2 };
/** More visits than any search needs. */
const MOST_VISITS = 60;
const CARS = 40;

/** A bunch with one wire of a signal in it, or with none. */
function bunchWith(supply: (typeof SIGNALS)[number]['supply'] | undefined, seed: number) {
  const others = (generateHarness(seed).truth.wires ?? []).filter(
    ({ behind }) => behind.is !== 'feed' || behind.supply !== supply,
  );
  const own: BenchWire[] =
    supply === undefined
      ? []
      : [{ id: 'signal', behind: { is: 'feed', supply, loadOhm: seed % 2 === 0 ? 15 : 1e6 } }];
  return [...others, ...own];
}

function search(wires: readonly BenchWire[], need: Need, seed: number) {
  const car = benchCar({ battery: BATTERY, circuits: [], wires });
  const random = seededRandom(seed);
  const sources = wires.map(({ id }): ProbeSource => ({
    ...{ kind: 'wire', id, name: id, legend: undefined },
    ...{ fitted: true, tappable: true, logged: undefined, sought: soughtBy([need]) },
  }));
  const readings: Reading[] = [];
  const states: VehicleState[] = [];
  let state: VehicleState = PARKED;
  let advice: FindAdvice = advise({ sources, readings, state, needs: [need] });
  for (let visit = 0; visit < MOST_VISITS && advice.next.kind === 'visit'; visit += 1) {
    ({ state } = advice.next.visit);
    states.push(state);
    for (const sourceId of advice.next.visit.sourceIds) {
      const shows = meterShows(car, { pointId: sourceId, state }, random);
      const value: ReadingValue = shows;
      readings.push({ id: `r${readings.length}`, sourceId, contact: undefined, state, value });
    }
    advice = advise({ sources, readings, state, needs: [need] });
  }
  return { advice, readings, states };
}

describe.each(SIGNALS)('a $role wire in a bunch', ({ role, supply }) => {
  const need: Need = { id: 'signal', role };

  it('is found, and never another for it', () => {
    let found = 0;
    for (let seed = 1; seed <= CARS; seed += 1) {
      const { advice } = search(bunchWith(supply, seed), need, seed);
      const is = advice.filled.signal;
      if (is !== undefined) expect(is).toBe('signal');
      // What fills a need has its name as well: the log takes nothing less.
      const verdict = advice.verdicts.find((one) => one.sourceId === 'signal');
      if (is !== undefined) expect(verdict?.status).toBe('resolved');
      if (is === 'signal') found += 1;
    }
    expect(found).toBeGreaterThanOrEqual(0.985 * CARS);
  });

  it('is not found where there is none', () => {
    for (let seed = 1; seed <= CARS; seed += 1) {
      const without = bunchWith(undefined, seed).filter(
        ({ behind }) => behind.is !== 'feed' || behind.supply !== supply,
      );
      expect(search(without, need, seed).advice.filled).toEqual({});
    }
  });
});

it('sends nobody to pedals and gears who looks for a supply', () => {
  const { states } = search(bunchWith('brakeSwitch', 3), { id: 's', role: 'switched' }, 3);
  expect(states.length).toBeGreaterThan(0);
  expect(states.filter((state) => state.brake === true || state.reverse === true)).toEqual([]);
});
