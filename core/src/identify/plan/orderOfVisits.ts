import type { StitchPlace, VehicleState } from '../../vehicle';
import { VISIT_ORDER, WORK_SECONDS, changeSeconds } from '../visit/workCosts';
import { visitState } from '../visit/visitState';

/** Plans closer than this are the same, s. */
export const SAME_SECONDS = 0.01;

/** A source as far as the order of visits goes. Sets of places are bit masks. */
export interface Candidate {
  /** Places at which it must be read. */
  readonly wanted: number;
  /** By set of places: chance that the source has come out as hoped at all of them. */
  readonly passing: Float64Array;
}

/** The places that may be visited, and where the car stands. */
export interface Round {
  /** Bits of the sets stand for them, in this order. */
  readonly places: readonly StitchPlace[];
  /** Where the car stands now. */
  readonly state: VehicleState;
  /** Index of the place where the car stands, -1 when it is none of them, and who is read there before it leaves. */
  readonly standing: number;
  readonly share: ReadonlySet<number>;
}

/** What a round of visits costs in expected seconds at best, and which place it begins with. */
export type OrderOfVisits = (
  candidates: readonly Candidate[],
  round: Round,
) => { readonly seconds: number; readonly first: number };

/**
 * The cheapest order of the places, and where it begins. What has passed depends on which places were visited, not on
 * their order: dynamic programming over sets of places (Held and Karp 1962).
 */
export function cheapestOrder(
  candidates: readonly Candidate[],
  given: Round,
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
export function waste(
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

/** Seconds of work to bring the car from one place to another; 0 from or to nowhere. */
export function changeBetween(from: StitchPlace | undefined, to: StitchPlace | undefined): number {
  return (from && to && CHANGES.get(from)?.get(to)) ?? 0;
}

const CHANGES: ReadonlyMap<StitchPlace, ReadonlyMap<StitchPlace, number>> = new Map(
  VISIT_ORDER.map((from) => [
    from,
    new Map(VISIT_ORDER.map((to) => [to, changeSeconds(visitState(from), visitState(to))])),
  ]),
);
