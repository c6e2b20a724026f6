import type { Applicability, CircuitFunction, StitchPlace, VehicleFacts } from '../vehicle';
import { applies } from '../vehicle';
import type { LoggedClaim, LoggedLead, Reading } from '../identify';
import { sharesOf } from '../identify/circuit/hypotheses';
import { senseOf } from '../identify/reading';
import type { EvidenceGrade } from './grades';

/** What a later job said about a logged tap point. */
export type ObservationKind = 'confirmed' | 'contradicted';

/** A logged tap point, as far as its claim can be weighed. */
export interface TapClaim {
  readonly id: string;
  readonly sourceId: string;
  /** What it says the slot is. */
  readonly function: CircuitFunction;
  /** Where it comes from. */
  readonly grade: EvidenceGrade;
  /** Cars that it was said of. */
  readonly applicability: Applicability;
  /** Places in which the source was read for it. */
  readonly seen: readonly StitchPlace[];
  /** Of a speaker's lead: which it was; left out: not told. */
  readonly lead?: LoggedLead | undefined;
  /** Jobs that agreed, 0 or more. */
  readonly confirmed: number;
  /** Jobs that disagreed, 0 or more. */
  readonly contradicted: number;
}

/** What the log may claim: `reported` until someone else confirmed it, `disputed` once someone contradicted it. */
export type ClaimStatus = 'reported' | 'verified' | 'disputed';

/**
 * Odds that a fresh claim of each grade is right, as pseudo-counts right and wrong. Common practice, not counted. What
 * the shop probed itself was read in every state that look-alikes differ in and proved before the trim went back.
 */
const GRADE_COUNTS: Record<EvidenceGrade, readonly [number, number]> = {
  probed: [49, 1],
  probedByOther: [12, 1],
  legend: [3, 2],
  forum: [2, 2],
  asserted: [1, 2],
};
/** A note that only nearly applies counts so much less. */
const NEAR_SHARE = 0.8;
/** A contradiction weighs more than a confirmation: one counter-example means that a revision differs. */
const CONTRADICTION_WEIGHT = 8;

/** How probable a logged claim is for a car, 0 to 1: pseudo-counts of grade and observations, less where it only nearly applies. */
export function claimProbability(claim: TapClaim, car: VehicleFacts): number {
  const { match } = applies(claim.applicability, car);
  if (match === 'none') return 0;
  const [right, wrong] = GRADE_COUNTS[claim.grade];
  const confirmed = right + claim.confirmed;
  const against = wrong + CONTRADICTION_WEIGHT * claim.contradicted;
  return (confirmed / (confirmed + against)) * (match === 'near' ? NEAR_SHARE : 1);
}

/** What a claim may be called. */
export function claimStatus(
  claim: Pick<TapClaim, 'confirmed' | 'contradicted' | 'grade'>,
): ClaimStatus {
  if (claim.contradicted > 0) return 'disputed';
  return claim.confirmed > 0 || claim.grade === 'probed' ? 'verified' : 'reported';
}

/** The claim on a slot that weighs most for a car, as the identification takes it; undefined without any. */
export function loggedClaim(
  sourceId: string,
  claims: readonly TapClaim[],
  car: VehicleFacts,
): LoggedClaim | undefined {
  let best: LoggedClaim | undefined;
  for (const claim of claims) {
    if (claim.sourceId !== sourceId) continue;
    const probability = claimProbability(claim, car);
    if (probability === 0 || probability <= (best?.probability ?? 0)) continue;
    const { id: tapPointId, function: of, seen, lead } = claim;
    best = { tapPointId, function: of, probability, seen, ...(lead === undefined ? {} : { lead }) };
  }
  return best;
}

/** From this share of the ways in which cars build a function on, a reading that fits them speaks for it. */
const MOST_CARS = 0.9;

/**
 * Whether a reading agrees with a logged function, contradicts it, or says nothing about it: it agrees with what nearly all
 * cars do in that state, and contradicts what all of them do. What some cars do and others don't is no counter-example.
 */
export function compareWithClaim(
  of: CircuitFunction,
  reading: Pick<Reading, 'state' | 'value' | 'contact'>,
): 'agrees' | 'contradicts' | 'silent' {
  // Whatever speaker answers 9 V, its wire is a speaker's lead.
  if (of === 'speaker' && reading.value.kind === 'pop' && reading.value.cone !== 'none')
    return 'agrees';
  const sense = senseOf(reading);
  if (reading.contact !== undefined || sense === 'part') return 'silent';
  const shares = sharesOf(of, reading.state);
  const other = sense === 'live' ? 'dead' : 'live';
  if (shares[sense] >= MOST_CARS) return 'agrees';
  return shares[sense] === 0 && shares[other] >= MOST_CARS ? 'contradicts' : 'silent';
}
