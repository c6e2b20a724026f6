import type { StitchPlace } from '../../vehicle';
import { placeOf } from '../../vehicle';
import { mayHaveMissed } from '../belief/missedTouch';
import type { Reading } from '../reading/reading';
import { senseOf } from '../reading/reading';
import type { Verdict } from './verdict';

/** A disputed state is read again until so many readings are there. */
const DISPUTE_READINGS = 3;

/** Whether a meter showed neither live nor dead at a place where no lamp was tried: on an open wire that is a ghost. */
export function hasGhost(place: StitchPlace, verdict: Verdict): boolean {
  const readings = readingsAt(place, verdict);
  return (
    readings.some((one) => one.value.kind === 'volts' && senseOf(one) === 'part') &&
    readings.every((one) => one.value.kind !== 'glow')
  );
}

/** From this chance on what a meter showed at battery voltage may be a pulse at rest, behind its module's pull-up. */
const PULLED = 0.004;
/** A filament goes on no wire that is likelier than this to be a data or sensor line. */
const FENCED = 0.001;

/**
 * Whether a meter showed battery voltage at a place where no lamp was tried, and it may be a pull-up that feeds nothing: a lamp
 * tells, and what stands at battery voltage is no data or sensor line.
 */
export function isPulledUpAt(place: StitchPlace, verdict: Verdict): boolean {
  if (!mayBePulledUp(verdict) || !mayTakeLamp(verdict)) return false;
  const readings = readingsAt(place, verdict);
  return (
    readings.some((one) => one.value.kind === 'volts' && senseOf(one) === 'live') &&
    readings.every((one) => one.value.kind !== 'glow')
  );
}

/**
 * Where a lamp is wanted before a source is taken for a supply, where the car stands rather than elsewhere; none where it was
 * tried, or must not go on it.
 */
export function lampWantedAt(verdict: Verdict, here?: StitchPlace): StitchPlace | undefined {
  if (!mayBePulledUp(verdict)) return undefined;
  const read = verdict.posterior.evidence.map(({ state }) => placeOf(state));
  const places = here === undefined ? read : [here, ...read];
  return places.find((place) => isPulledUpAt(place, verdict));
}

/** Whether what was read of a source may be a pulse at rest, which only its module pulls up. */
export function mayBePulledUp({ posterior: { functions } }: Verdict): boolean {
  return functions.speedPulse + functions.tachPulse > PULLED;
}

/** Whether a filament may go on a wire, by all that was read at it. */
export function mayTakeLamp({ posterior: { functions } }: Verdict): boolean {
  return functions.dataBus + functions.sensor < FENCED;
}

function readingsAt(place: StitchPlace, verdict: Verdict): readonly Reading[] {
  return verdict.posterior.evidence.flatMap((one) =>
    placeOf(one.state) === place ? one.readings : [],
  );
}

/**
 * Read already, and not in dispute; a ghost is settled by a lamp, where there is one, and a dead reading that may have
 * missed by another touch.
 */
export function isSettled(place: StitchPlace, verdict: Verdict, lamp: boolean): boolean {
  const seen = readingsAt(place, verdict);
  if (seen.length === 0) return false;
  if (lamp && hasGhost(place, verdict)) return false;
  if (mayHaveMissed(place, verdict.posterior)) return false;
  const disputed = verdict.contradictions.some((one) => one.place === place);
  return !disputed || seen.length >= DISPUTE_READINGS;
}
