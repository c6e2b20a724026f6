import type { Hypothesis } from '../circuit/hypotheses';
import { HYPOTHESES } from '../circuit/hypotheses';
import type { StitchPlace, VehicleState } from '../../vehicle';
import { stateAt } from '../../vehicle';
import { VISIT_ORDER } from './workCosts';

/** With the key at run, the rest as it stands then. */
const WITH_KEY = { key: 'run', doorOpenedSinceKeyOff: false } as const;

/** The state a place is visited in for slots: lamps are looked at with the key at run, where all variants burn. */
export function visitState(place: StitchPlace, from?: VehicleState): VehicleState {
  const isLit = place === 'lamps' || place === 'dimmed';
  // In reverse the parking brake holds the car, as the step's caution says: its own wire is worked as well.
  const held = place === 'reverse' ? { parkingBrake: true } : {};
  const state = { ...stateAt(place), ...(isLit ? WITH_KEY : {}), ...held };
  // With the key on the door does not matter: it stays as it is.
  return state.key === 'off' || from === undefined
    ? state
    : { ...state, driverDoor: from.driverDoor };
}

/** Levels that are neither live nor dead; a pull-up feeds nothing. */
const IN_BETWEEN: readonly string[] = ['part', 'pulse', 'half', 'bus', 'five', 'pulled'];

/** Whether each hypothesis is live at each place, or undefined where it is neither live nor dead; prepared once. */
export const LIVE_AT: ReadonlyMap<StitchPlace, readonly (boolean | undefined)[]> = new Map(
  VISIT_ORDER.map((place) => [
    place,
    HYPOTHESES.map((hypothesis) => liveOrDead(hypothesis, visitState(place))),
  ]),
);

function liveOrDead(hypothesis: Hypothesis, state: VehicleState): boolean | undefined {
  const stand = hypothesis.stand(state);
  if (stand === 'battery') return true;
  return IN_BETWEEN.includes(stand) ? undefined : false;
}

/** Whether a hypothesis is live where a slot is visited for a place. */
export function isLiveAtVisit(index: number, place: StitchPlace): boolean | undefined {
  return LIVE_AT.get(place)?.[index];
}
