import type { StitchPlace, VehicleState } from '../vehicle';
import { placeOf } from '../vehicle';
import { passingChances } from './doubt';
import type { Candidate, OrderOfVisits } from './orderOfVisits';
import { SAME_SECONDS } from './orderOfVisits';
import type { Pursuit } from './pursuit';
import { VISIT_ORDER } from './workCosts';

/** Where to go next, and which of the sources followed up to read there. */
export interface NextVisit {
  readonly place: StitchPlace;
  readonly pursuits: readonly Pursuit[];
}

/** Waiting comes last: one wait then serves whatever is left. */
export const WAITS: readonly StitchPlace[] = ['waited', 'asleep'];

/**
 * The first visit of the order of visits with the least expected work.
 *
 * Each source is to be read at all places of its checks. When one fails, another takes its place with the same checks:
 * the probes were wasted, and places already left must be visited again. At the place where the car stands, some
 * sources may be read now and the others when the car comes back.
 */
export function nextVisit(
  pursuits: readonly Pursuit[],
  from: {
    readonly state: VehicleState;
    readonly allowed: (place: StitchPlace) => boolean;
    readonly order: OrderOfVisits;
  },
): NextVisit | undefined {
  const here = placeOf(from.state);
  const wanted = VISIT_ORDER.filter(
    (place) => from.allowed(place) && pursuits.some((one) => isWanted(one, place)),
  );
  const places = wanted.filter((place) => place === here || !WAITS.includes(place));
  if (places.length === 0)
    return wanted[0] && { place: wanted[0], pursuits: at(pursuits, wanted[0]) };
  const candidates = pursuits.map((one) => candidateOf(one, places));
  const standing = places.indexOf(here);
  const orders = (standing < 0 ? [NOBODY] : sharesOf(candidates, standing)).map((share) => ({
    share,
    ...from.order(candidates, { places, state: from.state, standing, share }),
  }));
  let best = orders[0];
  for (const one of orders)
    if (best === undefined || one.seconds < best.seconds - SAME_SECONDS) best = one;
  const place = places[best?.first ?? 0];
  if (best === undefined || place === undefined) return undefined;
  const { share } = best;
  const isNow = place === here && share.size > 0;
  return {
    place,
    pursuits: isNow ? pursuits.filter((_, index) => share.has(index)) : at(pursuits, place),
  };
}

const NOBODY: ReadonlySet<number> = new Set();

function candidateOf(pursuit: Pursuit, places: readonly StitchPlace[]): Candidate {
  let wanted = 0;
  places.forEach((place, index) => {
    if (isWanted(pursuit, place)) wanted |= 1 << index;
  });
  return { wanted, passing: passingChances(pursuit, places) };
}

/** Who is read before the car leaves where it stands: nobody, those most likely to stay in the race, or all. */
function sharesOf(candidates: readonly Candidate[], standing: number): ReadonlySet<number>[] {
  const bit = 1 << standing;
  const byChance = candidates
    .map(({ wanted, passing }, index) => ({ index, wanted, chance: passing[wanted] ?? 0 }))
    .filter(({ wanted }) => (wanted & bit) !== 0)
    .sort((left, right) => right.chance - left.chance)
    .map(({ index }) => index);
  return [
    ...byChance.map((_, count) => new Set(byChance.slice(0, byChance.length - count))),
    NOBODY,
  ];
}

function at(pursuits: readonly Pursuit[], place: StitchPlace): readonly Pursuit[] {
  return pursuits.filter((one) => isWanted(one, place));
}

function isWanted(pursuit: Pursuit, place: StitchPlace): boolean {
  return pursuit.checks.some((check) => check.place === place);
}
