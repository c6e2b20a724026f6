import type { StitchPlace, VehicleState } from '../vehicle';
import { PARKED, nextState, placeOf, stateAt, stateId } from '../vehicle';
import type { Contender } from './field';
import { chanceLive, worthOfReading } from './information';
import type { Need } from './needs';
import { meetingHypotheses, meetsProbability } from './needs';
import type { Source } from './source';
import type { Verdict } from './verdict';
import { WORK_SECONDS, changeSeconds } from './workCosts';

/** One visit to a vehicle state and the probes worth making in it. */
export interface Visit {
  readonly state: VehicleState;
  readonly place: StitchPlace;
  readonly sourceIds: readonly string[];
  /** Seconds of work, change of state included. */
  readonly seconds: number;
  /** Bits about the needs per second of work. */
  readonly rate: number;
}

/** A need with the sources in play for it. */
export interface Contest {
  readonly need: Need;
  readonly contenders: readonly Contender[];
}

/** Weight of learning the function of a likely source against learning whether it meets the need. */
const FUNCTION_WEIGHT = 0.25;
/** Bits credited to a look-alike that must be seen although little doubt is left. */
const REQUIRED_BITS = 0.02;
/** Bits credited to confirming a logged tap point: it saves all the other tests. */
const CONFIRM_BITS = 0.5;
/** A disputed state is read again until so many readings are there. */
const DISPUTE_READINGS = 3;

/** The state the car would be in at a place, coming from where it is. */
export function reach(from: VehicleState, place: StitchPlace): VehicleState {
  if (placeOf(from) === place) return from;
  if (place !== 'lamps') return stateAt(place);
  const base = from.key === 'crank' || from.asleep ? PARKED : from;
  return nextState(base, { kind: 'lamps', to: true });
}

/**
 * The probes worth making at one place, and their bits per second; undefined when nothing is to be learnt there.
 * As many sources go into the visit as raise the bits per second.
 */
export function planVisit(
  place: StitchPlace,
  contests: readonly Contest[],
  given: { readonly state: VehicleState; readonly sources: ReadonlyMap<string, Source> },
): Visit | undefined {
  const state = reach(given.state, place);
  const change = changeSeconds(given.state, state);
  let bits = 0;
  let best = { rate: 0, count: 0 };
  const worths = worthPerSource(contests, state, given.sources);
  worths.forEach((worth, index) => {
    bits += worth.bits;
    const rate = bits / (change + (index + 1) * WORK_SECONDS.probe);
    if (rate > best.rate) best = { rate, count: index + 1 };
  });
  if (best.count === 0) return undefined;
  return {
    state,
    place,
    sourceIds: worths.slice(0, best.count).map((worth) => worth.sourceId),
    seconds: change + best.count * WORK_SECONDS.probe,
    rate: best.rate,
  };
}

function worthPerSource(
  contests: readonly Contest[],
  state: VehicleState,
  sources: ReadonlyMap<string, Source>,
): { sourceId: string; bits: number }[] {
  const worths = new Map<string, number>();
  for (const { need, contenders } of contests) {
    const meeting = meetingHypotheses(need);
    for (const { verdict, welcome } of contenders) {
      const logged = sources.get(verdict.sourceId)?.logged !== undefined;
      // Weighed by welcome, so that harmless legends are read first and cautious ones only as a reserve.
      const bits = welcome * bitsOf({ verdict, need, meeting, logged }, state);
      worths.set(verdict.sourceId, Math.max(bits, worths.get(verdict.sourceId) ?? 0));
    }
  }
  return [...worths]
    .map(([sourceId, bits]) => ({ sourceId, bits }))
    .filter((worth) => worth.bits > 0)
    .sort((left, right) => right.bits - left.bits);
}

/** Bits that reading a source in a state is worth for a need; 0 when it was read there and nothing disagrees. */
function bitsOf(
  asked: { verdict: Verdict; need: Need; meeting: readonly boolean[]; logged: boolean },
  state: VehicleState,
): number {
  const { verdict } = asked;
  const place = placeOf(state);
  const disputed = verdict.contradictions.some((one) => one.place === place);
  const id = stateId(state);
  const seen = verdict.posterior.evidence.find((one) => one.id === id);
  if (seen !== undefined && !(disputed && seen.readings.length < DISPUTE_READINGS)) return 0;

  const worth = worthOfReading(verdict.posterior, asked.meeting, state);
  const chance = meetsProbability(asked.need, verdict.posterior);
  let bits = worth.aboutNeed + FUNCTION_WEIGHT * chance * worth.aboutFunction;
  if (disputed || verdict.missing.some((one) => one.place === place))
    bits += REQUIRED_BITS * chance;
  const unconfirmed = asked.logged && verdict.status === 'unread';
  if (unconfirmed && chanceLive(verdict.posterior, state) > 0.5) bits += CONFIRM_BITS * chance;
  return bits;
}
