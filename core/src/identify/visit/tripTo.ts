import type { StitchPlace, VehicleState } from '../../vehicle';
import { changeSeconds } from './workCosts';
import { visitState } from './visitState';

/** The way from where the car stands to a place. */
export interface Trip {
  /** State that it is in there. */
  readonly state: VehicleState;
  /** Seconds of work to bring it there, waits included. */
  readonly seconds: number;
}

/** By where the car stands; what is reached on one trip is the same object each time, so that the next one is known as well. */
const KNOWN = new WeakMap<VehicleState, Map<StitchPlace, Trip>>();

/** The way to a place, worked out once for each state: a plan weighs the same few trips for every source. */
export function tripTo(place: StitchPlace, from: VehicleState): Trip {
  const trips = KNOWN.get(from) ?? new Map<StitchPlace, Trip>();
  KNOWN.set(from, trips);
  const known = trips.get(place);
  if (known !== undefined) return known;
  const state = reached(visitState(place, from));
  const trip = { state, seconds: changeSeconds(from, state) };
  trips.set(place, trip);
  return trip;
}

const REACHED = new Map<string, VehicleState>();

/** One object for all states that are the same; there are two for each place, by its door. */
function reached(state: VehicleState): VehicleState {
  const key = JSON.stringify(state);
  const known = REACHED.get(key) ?? state;
  REACHED.set(key, known);
  return known;
}
