import type { Applicability, CircuitFunction, StitchPlace, VehicleFacts } from '../vehicle';
import { applies } from '../vehicle';
import type { LoggedClaim, Reading } from '../identify';
import { senseOf } from '../identify';

/** How sure an entry is by its source, best first. */
export const EVIDENCE_GRADES = ['probed', 'probedByOther', 'legend', 'forum', 'asserted'] as const;
/** One grade of evidence. */
export type EvidenceGrade = (typeof EVIDENCE_GRADES)[number];

/** What a later job said about a logged tap point. */
export type ObservationKind = 'confirmed' | 'contradicted';

/** A logged tap point, as far as its claim can be weighed. */
export interface TapClaim {
  readonly id: string;
  readonly slotId: string;
  readonly function: CircuitFunction;
  readonly grade: EvidenceGrade;
  readonly applicability: Applicability;
  readonly seen: readonly StitchPlace[];
  readonly confirmed: number;
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
  slotId: string,
  claims: readonly TapClaim[],
  car: VehicleFacts,
): LoggedClaim | undefined {
  let best: LoggedClaim | undefined;
  for (const claim of claims) {
    if (claim.slotId !== slotId) continue;
    const probability = claimProbability(claim, car);
    if (probability === 0 || probability <= (best?.probability ?? 0)) continue;
    best = { tapPointId: claim.id, function: claim.function, probability, seen: claim.seen };
  }
  return best;
}

/** Where each function is live for certain; places that differ between cars are left out. */
const EXPECTED: Partial<Record<CircuitFunction, Partial<Record<StitchPlace, 'live' | 'dead'>>>> = {
  constant: {
    off: 'live',
    acc: 'live',
    run: 'live',
    engine: 'live',
    crank: 'live',
    asleep: 'live',
    justOff: 'live',
  },
  timedConstant: { off: 'live', run: 'live', engine: 'live', asleep: 'dead' },
  accessory: {
    off: 'dead',
    acc: 'live',
    run: 'live',
    engine: 'live',
    asleep: 'dead',
    justOff: 'dead',
  },
  retainedAccessory: { off: 'dead', run: 'live', engine: 'live', justOff: 'live', asleep: 'dead' },
  ignitionRun: {
    off: 'dead',
    acc: 'dead',
    run: 'live',
    engine: 'live',
    crank: 'dead',
    asleep: 'dead',
  },
  ignitionRunCrank: {
    off: 'dead',
    acc: 'dead',
    run: 'live',
    engine: 'live',
    crank: 'live',
    asleep: 'dead',
  },
  lamps: { lamps: 'live', off: 'dead', run: 'dead', asleep: 'dead' },
  starter: { crank: 'live', run: 'dead', off: 'dead' },
};

/** Whether a reading agrees with a logged function, contradicts it, or says nothing about it. */
export function compareWithClaim(
  of: CircuitFunction,
  reading: Pick<Reading, 'state' | 'value' | 'contact'>,
  place: StitchPlace,
): 'agrees' | 'contradicts' | 'silent' {
  const expected = EXPECTED[of]?.[place];
  const sense = senseOf(reading);
  if (reading.contact !== undefined || expected === undefined || sense === 'part') return 'silent';
  return sense === expected ? 'agrees' : 'contradicts';
}
