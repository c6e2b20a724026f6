import type { CauseId } from './causes';
import type { FaultCheck, FaultCheckId } from './checks';
import { FAULT_CHECKS } from './checks';
import type { Symptom, SymptomId } from './symptoms';
import { SYMPTOMS } from './symptoms';

/** A cause, or something that is not on the list. */
export type Suspect = CauseId | 'something else';

/** What was looked at, with the place of what it showed among its outcomes. */
export interface CheckDone {
  readonly check: FaultCheckId;
  readonly outcome: number;
}

/** How a search for a fault stands. */
export interface Diagnosis {
  /** Every suspect with its probability, likeliest first. */
  readonly suspects: readonly { readonly suspect: Suspect; readonly probability: number }[];
  /** Sure enough to say so: the likeliest is at least {@link SURE_FAULT}. */
  readonly sure: boolean;
  /** What to look at next; undefined once it is sure, or when nothing tells more. */
  readonly next: FaultCheckId | undefined;
}

/** From this on a cause is named. Our own choice. */
export const SURE_FAULT = 0.95;
/** How often a check shows something else than its cause should: slips, doubles of causes, poor light. Our own choice. */
const SLIP = 0.03;
/** A check that promises less than this is not worth the way, bit. */
const WORTH_BIT = 0.02;

/**
 * What is wrong, by Bayes’ rule over the causes of a symptom, and which check tells most per second. A cause that nobody thought of
 * gives every outcome alike.
 */
export function diagnose(symptomId: SymptomId, done: readonly CheckDone[]): Diagnosis {
  const symptom: Symptom = SYMPTOMS[symptomId];
  const beliefs = beliefsAfter(symptom, done);
  const suspects = [...beliefs]
    .map(([suspect, probability]) => ({ suspect, probability }))
    .sort((a, b) => b.probability - a.probability || a.suspect.localeCompare(b.suspect));
  const sure = (suspects[0]?.probability ?? 0) >= SURE_FAULT;
  return { suspects, sure, next: sure ? undefined : nextCheck(symptom, beliefs, done) };
}

/** Chances of all suspects after some checks. */
function beliefsAfter(symptom: Symptom, done: readonly CheckDone[]): ReadonlyMap<Suspect, number> {
  const prior = Object.entries(symptom.causes) as [CauseId, number][];
  const rest = 100 - prior.reduce((sum, [, share]) => sum + share, 0);
  const all: [Suspect, number][] = [...prior, ['something else', rest]];
  const weighed = all.map(([suspect, share]): [Suspect, number] => [
    suspect,
    done.reduce((weight, { check, outcome }) => weight * chance(check, outcome, suspect), share),
  ]);
  const total = weighed.reduce((sum, [, weight]) => sum + weight, 0);
  return new Map(weighed.map(([suspect, weight]) => [suspect, weight / total]));
}

/** How likely an outcome is with a suspect. */
function chance(checkId: FaultCheckId, outcome: number, suspect: Suspect): number {
  const check: FaultCheck = FAULT_CHECKS[checkId];
  const { outcomes, gives } = check;
  if (suspect === 'something else') return 1 / outcomes.length;
  return (gives[suspect] ?? 0) === outcome ? 1 - SLIP : SLIP / (outcomes.length - 1);
}

function nextCheck(
  symptom: Symptom,
  beliefs: ReadonlyMap<Suspect, number>,
  done: readonly CheckDone[],
): FaultCheckId | undefined {
  const open = symptom.checks.filter((check) => !done.some((one) => one.check === check));
  const worth = open
    .map((check) => ({ check, bits: bitsOf(check, beliefs) }))
    .filter(({ bits }) => bits >= WORTH_BIT)
    .map(({ check, bits }) => ({ check, perSecond: bits / FAULT_CHECKS[check].seconds }));
  return worth.reduce<(typeof worth)[number] | undefined>(
    (best, one) => (one.perSecond > (best?.perSecond ?? 0) ? one : best),
    undefined,
  )?.check;
}

/** How much a check is expected to tell, bit (Shannon 1948: mutual information of outcome and cause). */
export function bitsOf(check: FaultCheckId, beliefs: ReadonlyMap<Suspect, number>): number {
  const before = entropy([...beliefs.values()]);
  const outcomes = FAULT_CHECKS[check].outcomes.map((_name, outcome) =>
    [...beliefs].map(([suspect, belief]) => belief * chance(check, outcome, suspect)),
  );
  const after = outcomes.reduce((sum, joint) => {
    const share = joint.reduce((total, one) => total + one, 0);
    return share === 0 ? sum : sum + share * entropy(joint.map((one) => one / share));
  }, 0);
  return before - after;
}

function entropy(shares: readonly number[]): number {
  return -shares.reduce((sum, one) => (one > 0 ? sum + one * Math.log2(one) : sum), 0);
}
