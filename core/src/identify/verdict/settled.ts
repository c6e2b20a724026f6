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
