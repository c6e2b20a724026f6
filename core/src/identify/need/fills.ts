import { mayHaveMissed } from '../belief/missedTouch';
import type { StitchPlace } from '../../vehicle';
import { placeOf } from '../../vehicle';
import { isPlain } from '../reading/reading';
import type { Verdict } from '../verdict/verdict';
import type { FindScope, Until } from './findScope';
import type { PreparedNeed, Need } from './needs';
import { preparedNeedOf, meetsByReadings, meetsProbability, sureOf } from './needs';
import { isTooRisky, priceOf, wantsLookUp } from './price';

/** Seconds of price at which a source counts for a third when needs are compared by what could serve them. */
const PRICE_SPAN_SECONDS = 60;

/** Whether a verdict fills a need: sure enough, also without its legend, and nothing in dispute. */
export function fills(need: Need | PreparedNeed, verdict: Verdict, until: Until = 'role'): boolean {
  const wanted = 'serving' in need ? need : preparedNeedOf(need);
  if (verdict.status === 'unread' || verdict.status === 'contradicted') return false;
  if (wantsName(wanted, until) && verdict.status !== 'resolved') return false;
  const sure = sureOf(wanted.need);
  return (
    meetsProbability(wanted, verdict.posterior) >= sure.believed &&
    wanted.mustSee.every(
      (place) => isSeen(place, wanted, verdict) || (verdict.confirmsLog && place === 'asleep'),
    ) &&
    (verdict.confirmsLog || meetsByReadings(wanted, verdict.posterior) >= sure.byReadings)
  );
}

/** Whether a source must have its function named for a need: what is live until a door opens has it by that alone. */
export function wantsName({ need }: PreparedNeed, until: Until): boolean {
  return until === 'function' && need.role !== 'retained';
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
export function isSeen(place: StitchPlace, wanted: PreparedNeed, verdict: Verdict): boolean {
  if (!isRead(place, verdict)) return false;
  const want = wanted.requirements.find((one) => one.place === place)?.want;
  return want !== 'dead' || verdict.confirmsLog || !mayHaveMissed(place, verdict.posterior);
}

/** Whether a source may serve a need at all, by what the caller knows of it. */
export function maySupply(wanted: PreparedNeed, sourceId: string): boolean {
  return wanted.need.excluded?.includes(sourceId) !== true;
}

/** The sources that fill a need, most welcome first. */
export function fillsFor(wanted: PreparedNeed, scope: FindScope): readonly Verdict[] {
  return scope.candidates
    .filter(({ sourceId }) => maySupply(wanted, sourceId))
    .filter((verdict) => fills(wanted, verdict, scope.until))
    .filter(({ sourceId, posterior }) => !isTooRisky(sourceId, posterior.critical, scope))
    .filter(({ sourceId, posterior }) => !wantsLookUp(sourceId, posterior.critical, scope))
    .map((verdict) => ({
      verdict,
      price: priceOf(verdict.sourceId, verdict.posterior.critical, scope),
    }))
    .sort((left, right) => left.price - right.price)
    .map(({ verdict }) => verdict);
}

/** Needs with the fewest sources in sight first: what serves them is not given to a need that has the choice. */
export function byScarcity(scope: FindScope): readonly PreparedNeed[] {
  if (scope.needs.length < 2) return scope.needs;
  const supply = new Map(
    scope.needs.map((wanted) => [
      wanted,
      scope.candidates.reduce((sum, verdict) => sum + supplyOf(verdict, wanted, scope), 0),
    ]),
  );
  return [...scope.needs].sort((left, right) => (supply.get(left) ?? 0) - (supply.get(right) ?? 0));
}

/** How much a source adds to what could serve a need: its chance, less by its price. */
function supplyOf(verdict: Verdict, wanted: PreparedNeed, scope: FindScope): number {
  if (!maySupply(wanted, verdict.sourceId)) return 0;
  const price = priceOf(verdict.sourceId, verdict.posterior.critical, scope);
  return meetsProbability(wanted, verdict.posterior) * Math.exp(-price / PRICE_SPAN_SECONDS);
}
