import type { BenchSupply, BenchWire } from '../bench';
import { benchCar, meterShows, seededRandom } from '../bench';
import type { FindAdvice, Need, NeedRole, ProbeSource, Reading } from '../identify';
import { newAdviser, soughtBy } from '../identify';
import type { VehicleState } from '../vehicle';
import { PARKED } from '../vehicle';

/** Signals that a bunch is searched for, and what feeds such a wire in the simulated car. */
export const SIGNALS = [
  { role: 'reverse', supply: 'reverseSwitch' },
  { role: 'brake', supply: 'brakeSwitch' },
  { role: 'starter', supply: 'starterContact' },
] as const satisfies readonly { readonly role: NeedRole; readonly supply: BenchSupply }[];
/** One of them. */
export type Signal = (typeof SIGNALS)[number];

const BATTERY = { restV: 12.6, internalOhm: 0.009, crankingA: 180, chargingV: 14.2 };
/** More visits than any search needs. */
const MOST_VISITS = 60;
/** What hangs on a signal’s wire: a lamp, or an input. */
const LAMP_OHM = 15;
const INPUT_OHM = 1e6;

/** A bunch without any wire of a signal, and with one that is called `signal` where it is wanted. */
export function bunchOf(
  wires: readonly BenchWire[],
  { supply }: Signal,
  given: { readonly there: boolean; readonly seed: number },
): BenchWire[] {
  const others = wires.filter(({ behind }) => behind.is !== 'feed' || behind.supply !== supply);
  const loadOhm = given.seed % 2 === 0 ? LAMP_OHM : INPUT_OHM;
  return given.there
    ? [...others, { id: 'signal', behind: { is: 'feed', supply, loadOhm } }]
    : others;
}

/** Follows the plan through a bunch with a meter until it ends; answers its last advice and the states it went to. */
export function searchBunch(
  wires: readonly BenchWire[],
  need: Need,
  seed: number,
): { readonly advice: FindAdvice; readonly states: readonly VehicleState[] } {
  const car = benchCar({ battery: BATTERY, circuits: [], wires });
  const random = seededRandom(seed);
  const sources = wires.map(({ id }): ProbeSource => ({
    ...{ kind: 'wire', id, name: id, legend: undefined },
    ...{ fitted: true, tappable: true, logged: undefined, sought: soughtBy([need]) },
  }));
  const readings: Reading[] = [];
  const states: VehicleState[] = [];
  let state: VehicleState = PARKED;
  const adviseOn = newAdviser();
  let advice = adviseOn({ sources, readings, state, needs: [need] });
  for (let visit = 0; visit < MOST_VISITS && advice.next.kind === 'visit'; visit += 1) {
    ({ state } = advice.next.visit);
    states.push(state);
    for (const sourceId of advice.next.visit.sourceIds)
      readings.push({
        id: `r${readings.length}`,
        sourceId,
        contact: undefined,
        state,
        value: meterShows(car, { pointId: sourceId, state }, random),
      });
    advice = adviseOn({ sources, readings, state, needs: [need] });
  }
  return { advice, states };
}
