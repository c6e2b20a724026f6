import type { LeadSpot, StitchPlace } from '../../vehicle';
import type { CauseId } from './causes';

/** What the record of a job says of an added lead that does not work. */
export interface LeadRecord {
  /** It is joined to a wire: there is no tap that could be turned. */
  readonly spliced: boolean;
  /** Readings of its proofs that passed, by where the probe was and in which state. */
  readonly passed: readonly { readonly spot: LeadSpot; readonly place: StitchPlace }[];
  /** The parked current was measured and is good, or too much is drawn; undefined while nobody measured. */
  readonly drainGood: boolean | undefined;
}

/** How much likelier causes are by a record: factors on how often each is it. */
export type CauseFactors = Partial<Record<CauseId, number>>;

/**
 * What each thing on record takes from a cause. What a reading has ruled out comes back only where the work was touched again, and
 * what held once may have come loose. Our own estimates.
 */
const SPLICED: CauseFactors = { turned: 0.01, notHome: 0.05 };
const DRAIN_GOOD: CauseFactors = { deviceStandby: 0.2, staysAwake: 0.2, takenConstant: 0.2 };
const END_LIVE: CauseFactors = { leadOpen: 0.4, thinLead: 0.1, noSupply: 0.4, groundOpen: 0.5 };
const END_AT_CRANK: CauseFactors = { dropsAtCrank: 0.05 };
const END_DEAD: CauseFactors = { takenConstant: 0.05 };
const TURNED_OUT: CauseFactors = { turned: 0.03 };
const ORIGINAL_LIVE: CauseFactors = { notHome: 0.5, originalFuse: 0.7 };
const GROUND_GOOD: CauseFactors = { poorGround: 0.4, groundOpen: 0.4 };

const DEAD_PLACES: readonly StitchPlace[] = ['off', 'asleep'];

/**
 * Factors on the causes of a symptom by what the job has on record: each proof counts once.
 *
 * @example causeFactors({ spliced: true, passed: [], drainGood: undefined }).turned // 0.01
 */
export function causeFactors(
  record: LeadRecord,
  constant = false,
): Readonly<Record<string, number>> {
  const at = (...spots: readonly LeadSpot[]): LeadRecord['passed'] =>
    record.passed.filter(({ spot }) => spots.includes(spot));
  const ends = at('end').map(({ place }) => place);
  const dead = constant ? [] : ends.filter((place) => DEAD_PLACES.includes(place));
  const live = ends.filter((place) => !dead.includes(place));
  const facts: readonly (readonly [boolean, CauseFactors])[] = [
    [record.spliced, SPLICED],
    [record.drainGood === true, DRAIN_GOOD],
    [live.length > 0, END_LIVE],
    [live.includes('crank'), END_AT_CRANK],
    [dead.length > 0, END_DEAD],
    [at('endOriginalOut').length > 0, TURNED_OUT],
    [at('original').length > 0, ORIGINAL_LIVE],
    [at('ground').length > 0, GROUND_GOOD],
  ];
  const factors = new Map<string, number>();
  for (const [holds, by] of facts)
    if (holds)
      for (const [cause, factor] of Object.entries(by))
        factors.set(cause, (factors.get(cause) ?? 1) * factor);
  return Object.fromEntries(factors);
}
