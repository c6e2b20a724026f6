import { mayHaveMissed } from '../belief/missedTouch';
import type { StitchPlace } from '../../vehicle';
import { placeOf } from '../../vehicle';
import { isPlain } from '../reading/reading';
import type { Verdict } from '../verdict/verdict';
import type { Field, Until } from './field';
import type { Meeting, Need } from './needs';
import { meetingOf, meetsByReadings, meetsProbability, sureOf } from './needs';
import { isTooRisky, priceOf, wantsLookUp } from './price';

/** Seconds of price at which a source counts for a third when needs are compared by what could serve them. */
const PRICE_SPAN_SECONDS = 60;

/** Whether a verdict fills a need: sure enough, also without its legend, and nothing in dispute. */
export function fills(need: Need | Meeting, verdict: Verdict, until: Until = 'role'): boolean {
  const meeting = 'serving' in need ? need : meetingOf(need);
  if (verdict.status === 'unread' || verdict.status === 'contradicted') return false;
  if (until === 'function' && verdict.status !== 'resolved') return false;
  const sure = sureOf(meeting.need);
  return (
    meetsProbability(meeting, verdict.posterior) >= sure.believed &&
    meeting.mustSee.every(
      (place) => isSeen(place, meeting, verdict) || (verdict.confirmsLog && place === 'asleep'),
    ) &&
    (verdict.confirmsLog || meetsByReadings(meeting, verdict.posterior) >= sure.byReadings)
  );
}

/** Whether a source was read at a place, against ground and by its voltage or by a lamp. */
export function isRead(place: StitchPlace, verdict: Verdict): boolean {
  return verdict.posterior.evidence.some(
    (one) => placeOf(one.state) === place && one.readings.some(isPlain),
  );
}

/**
 * Whether a source was seen at a place as a need wants it: read, and where it must be dead not by a single touch that
 * may have missed.
 */
export function isSeen(place: StitchPlace, meeting: Meeting, verdict: Verdict): boolean {
  if (!isRead(place, verdict)) return false;
  const want = meeting.requirements.find((one) => one.place === place)?.want;
  return want !== 'dead' || verdict.confirmsLog || !mayHaveMissed(place, verdict.posterior);
}

/** Whether a source may serve a need at all, by what the caller knows of it. */
export function maySupply(meeting: Meeting, sourceId: string): boolean {
  return meeting.need.excluded?.includes(sourceId) !== true;
}

/** The sources that fill a need, most welcome first. */
export function fillsFor(meeting: Meeting, field: Field): readonly Verdict[] {
  return field.candidates
    .filter(({ sourceId }) => maySupply(meeting, sourceId))
    .filter((verdict) => fills(meeting, verdict, field.until))
    .filter(({ sourceId, posterior }) => !isTooRisky(sourceId, posterior.critical, field))
    .filter(({ sourceId, posterior }) => !wantsLookUp(sourceId, posterior.critical, field))
    .map((verdict) => ({
      verdict,
      price: priceOf(verdict.sourceId, verdict.posterior.critical, field),
    }))
    .sort((left, right) => left.price - right.price)
    .map(({ verdict }) => verdict);
}

/** Needs with the fewest sources in sight first: what serves them is not given to a need that has the choice. */
export function byScarcity(field: Field): readonly Meeting[] {
  if (field.needs.length < 2) return field.needs;
  const supply = new Map(
    field.needs.map((meeting) => [
      meeting,
      field.candidates.reduce((sum, verdict) => sum + supplyOf(verdict, meeting, field), 0),
    ]),
  );
  return [...field.needs].sort((left, right) => (supply.get(left) ?? 0) - (supply.get(right) ?? 0));
}

/** How much a source adds to what could serve a need: its chance, less by its price. */
function supplyOf(verdict: Verdict, meeting: Meeting, field: Field): number {
  if (!maySupply(meeting, verdict.sourceId)) return 0;
  const price = priceOf(verdict.sourceId, verdict.posterior.critical, field);
  return meetsProbability(meeting, verdict.posterior) * Math.exp(-price / PRICE_SPAN_SECONDS);
}
