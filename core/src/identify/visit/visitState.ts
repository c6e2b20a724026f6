import { HYPOTHESES, isLive } from '../circuit/hypotheses';
import type { StitchPlace, VehicleState } from '../../vehicle';
import { stateAt } from '../../vehicle';
import { VISIT_ORDER } from './workCosts';

/** The state a place is visited in for slots: lamps are looked at with the key at run, where all variants burn. */
export function visitState(place: StitchPlace, from?: VehicleState): VehicleState {
  const state = place === 'lamps' ? { ...stateAt('run'), lamps: true } : stateAt(place);
  // With the key on the door does not matter: it stays as it is.
  return state.key === 'off' || from === undefined
    ? state
    : { ...state, driverDoor: from.driverDoor };
}

/** Whether each hypothesis is live at each place; prepared once. */
export const LIVE_AT: ReadonlyMap<StitchPlace, readonly boolean[]> = new Map(
  VISIT_ORDER.map((place) => [
    place,
    HYPOTHESES.map((hypothesis) => isLive(hypothesis, visitState(place))),
  ]),
);

/** Whether a hypothesis is live where a slot is visited for a place. */
export function isLiveAtVisit(index: number, place: StitchPlace): boolean | undefined {
  return LIVE_AT.get(place)?.[index];
}
