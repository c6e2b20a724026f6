import type { StitchPlace, VehicleState } from '../vehicle';
import { placeOf } from '../vehicle';
import { passingChances, visitState } from './doubt';
import type { Pursuit } from './pursuit';
import { VISIT_ORDER, WORK_SECONDS, changeSeconds } from './workCosts';

/** Where to go next, and which of the sources followed up to read there. */
export interface NextVisit {
  readonly place: StitchPlace;
  readonly pursuits: readonly Pursuit[];
}

/** Waiting comes last: one wait then serves whatever is left. */
const WAITS: readonly StitchPlace[] = ['waited', 'asleep'];
/** Plans closer than this are the same, s. */
const SAME_SECONDS = 0.01;

/**
 * The first visit of the order of visits with the least expected work.
 *
 * Each source is to be read at all places of its checks. When one fails, another takes its place with the same checks:
 * the probes were wasted, and places already left must be visited again. At the place where the car stands, some
 * sources may be read now and the others when the car comes back.
 */
export function nextVisit(
  pursuits: readonly Pursuit[],
  from: { readonly state: VehicleState; readonly allowed: (place: StitchPlace) => boolean },
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
    ...cheapestOrder(candidates, { places, state: from.state, standing, share }),
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

/** A source as far as the order of visits goes. Sets of places are bit masks. */
interface Candidate {
  readonly wanted: number;
  /** By set of places: chance that the source has come out as hoped at all of them. */
  readonly passing: Float64Array;
}

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

/**
 * The cheapest order of the places, and where it begins. What has passed depends on which places were visited, not on
 * their order: dynamic programming over sets of places (Held and Karp 1962).
 */
function cheapestOrder(
  candidates: readonly Candidate[],
  given: {
    readonly places: readonly StitchPlace[];
    readonly state: VehicleState;
    /** Index of the place where the car stands, and who is read there before it leaves. */
    readonly standing: number;
    readonly share: ReadonlySet<number>;
  },
): { readonly seconds: number; readonly first: number } {
  const { places, share } = given;
  const standing = given.standing < 0 ? 0 : 1 << given.standing;
  const begun = candidates.map((_, index) => (share.has(index) ? standing : 0));
  const left = candidates.reduce(
    (all, { wanted }, index) => all | (wanted & ~(begun[index] ?? 0)),
    0,
  );
  const wasteAt = (visited: number, place: number): number =>
    candidates.reduce(
      (sum, one, index) =>
        sum + waste(one, (visited & one.wanted) | (begun[index] ?? 0), { place, places }),
      0,
    );
  const now = candidates.reduce(
    (sum, one, index) =>
      share.has(index) ? sum + waste(one, 0, { place: given.standing, places }) : sum,
    0,
  );
  const memo = new Map<number, number>();
  const rest = (visited: number, last: number): number => {
    if (visited === left) return 0;
    const key = visited * places.length + last;
    const known = memo.get(key);
    if (known !== undefined) return known;
    let least = Infinity;
    for (let next = 0; next < places.length; next += 1) {
      if (((left & ~visited) >> next) % 2 === 0) continue;
      const seconds =
        changeBetween(places[last], places[next]) +
        wasteAt(visited, next) +
        rest(visited | (1 << next), next);
      if (seconds < least) least = seconds;
    }
    memo.set(key, least);
    return least;
  };
  let first = given.standing;
  let least = left === 0 ? 0 : Infinity;
  for (let next = 0; next < places.length; next += 1) {
    if ((left >> next) % 2 === 0) continue;
    const place = places[next] as StitchPlace;
    const entering =
      next === given.standing ? 0 : changeSeconds(given.state, visitState(place, given.state));
    const seconds = entering + wasteAt(0, next) + rest(1 << next, next);
    if (seconds >= least - SAME_SECONDS) continue;
    least = seconds;
    if (share.size === 0) first = next;
  }
  return { seconds: now + least, first };
}

/** What is lost on average when a source fails at a place: its probes so far, and the way back to where it was read. */
function waste(
  candidate: Candidate,
  passed: number,
  at: { readonly place: number; readonly places: readonly StitchPlace[] },
): number {
  const bit = 1 << at.place;
  if ((candidate.wanted & bit) === 0 || (passed & bit) !== 0) return 0;
  const { passing } = candidate;
  const failing = (passing[passed] ?? 0) - (passing[passed | bit] ?? 0);
  let lost: number = WORK_SECONDS.probe;
  at.places.forEach((place, index) => {
    if ((passed >> index) % 2 === 1)
      lost += WORK_SECONDS.probe + changeBetween(at.places[at.place], place);
  });
  return failing * lost;
}

function changeBetween(from: StitchPlace | undefined, to: StitchPlace | undefined): number {
  return (from && to && CHANGES.get(from)?.get(to)) ?? 0;
}

const CHANGES: ReadonlyMap<StitchPlace, ReadonlyMap<StitchPlace, number>> = new Map(
  VISIT_ORDER.map((from) => [
    from,
    new Map(VISIT_ORDER.map((to) => [to, changeSeconds(visitState(from), visitState(to))])),
  ]),
);

function at(pursuits: readonly Pursuit[], place: StitchPlace): readonly Pursuit[] {
  return pursuits.filter((one) => isWanted(one, place));
}

function isWanted(pursuit: Pursuit, place: StitchPlace): boolean {
  return pursuit.checks.some((check) => check.place === place);
}
