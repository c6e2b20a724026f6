import type { StitchPlace, VehicleState } from '../../vehicle';
import { placeOf } from '../../vehicle';
import { passingChances } from '../need/doubt';
import type { Candidate, OrderOfVisits } from './orderOfVisits';
import { SAME_SECONDS } from './orderOfVisits';
import type { Pursuit } from './pursuit';
import { VISIT_ORDER } from '../visit/workCosts';
import { visitState } from '../visit/visitState';

/** Where to go next, and which of the sources followed up to read there. */
export interface NextVisit {
  /** Where the car goes next. */
  readonly place: StitchPlace;
  /** Whose sources are touched there. */
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
  const round = { candidates: pursuits.map((one) => candidateOf(one, places)), places, ...from };
  const standing = places.indexOf(here);
  const shares = standing < 0 ? [] : sharesOf(round.candidates, standing);
  const best = bestOf([...shares, NOBODY], { ...round, standing });
  const place = places[best.first];
  if (place === undefined) return undefined;
  const isNow = place === here && best.share.size > 0;
  // Whoever is worth reading on arrival is decided as it will be there: the sentence holds when the car is.
  const share = isNow
    ? best.share
    : bestOf(sharesOf(round.candidates, best.first), {
        ...round,
        standing: best.first,
        state: visitState(place, from.state),
      }).share;
  return { place, pursuits: pursuits.filter((_, index) => share.has(index)) };
}

/** The cheapest of several ways to share out who is read where the car stands. */
function bestOf(
  shares: readonly ReadonlySet<number>[],
  round: {
    readonly candidates: readonly Candidate[];
    readonly places: readonly StitchPlace[];
    readonly state: VehicleState;
    readonly standing: number;
    readonly order: OrderOfVisits;
  },
): { readonly share: ReadonlySet<number>; readonly seconds: number; readonly first: number } {
  let best = { share: NOBODY, seconds: Infinity, first: -1 };
  for (const share of shares) {
    const { seconds, first } = round.order(round.candidates, { ...round, share });
    if (seconds < best.seconds - SAME_SECONDS) best = { share, seconds, first };
  }
  return best;
}

const NOBODY: ReadonlySet<number> = new Set();

function candidateOf(pursuit: Pursuit, places: readonly StitchPlace[]): Candidate {
  let wanted = 0;
  places.forEach((place, index) => {
    if (isWanted(pursuit, place)) wanted |= 1 << index;
  });
  return { wanted, passing: passingChances(pursuit, places) };
}

/** Who may be read before the car leaves a place: all, or fewer and fewer of those most likely to stay in the race. */
function sharesOf(candidates: readonly Candidate[], standing: number): ReadonlySet<number>[] {
  const bit = 1 << standing;
  const byChance = candidates
    .map(({ wanted, passing }, index) => ({ index, wanted, chance: passing[wanted] ?? 0 }))
    .filter(({ wanted }) => (wanted & bit) !== 0)
    .sort((left, right) => right.chance - left.chance)
    .map(({ index }) => index);
  return byChance.map((_, count) => new Set(byChance.slice(0, byChance.length - count)));
}

function at(pursuits: readonly Pursuit[], place: StitchPlace): readonly Pursuit[] {
  return pursuits.filter((one) => isWanted(one, place));
}

function isWanted(pursuit: Pursuit, place: StitchPlace): boolean {
  return pursuit.checks.some((check) => check.place === place);
}
