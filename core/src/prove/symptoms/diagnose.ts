import type { CauseId } from './causes';
import type { FaultCheckId } from './checks';
import type { FaultCheck } from './faultCheck';
import { FAULT_CHECKS } from './checks';
import type { Symptom, SymptomId } from './symptoms';
import { SYMPTOMS } from './symptoms';

/** A cause, or something that is not on the list. */
export type Suspect = CauseId | 'something else';

/** What was looked at, with the place of what it showed among its outcomes. */
export interface CheckDone {
  readonly check: FaultCheckId;
  /** What it showed: place in the check's list of outcomes, from 0. */
  readonly outcome: number;
}

/** Checks done as they stand in an address, e.g. `farPair-2.source-0`. */
export function writeChecks(done: readonly CheckDone[]): string {
  return done.map(({ check, outcome }) => `${check}-${outcome}`).join('.');
}

/** Checks done as an address has them; what is no check of the symptom, or none of its outcomes, is passed over. */
export function readChecks(text: string, symptom: SymptomId): CheckDone[] {
  const known: readonly string[] = SYMPTOMS[symptom].checks;
  return text.split('.').flatMap((part): CheckDone[] => {
    const [check = '', outcome = ''] = part.split('-');
    if (!known.includes(check) || !/^\d$/.test(outcome)) return [];
    const id = check as FaultCheckId;
    const at = Number(outcome);
    return at < FAULT_CHECKS[id].outcomes.length ? [{ check: id, outcome: at }] : [];
  });
}

/** How a search for a fault stands. */
export interface Diagnosis {
  /** Every suspect with its probability, likeliest first. */
  readonly suspects: readonly { readonly suspect: Suspect; readonly probability: number }[];
  /** Sure enough to name it: the likeliest is a cause, of at least {@link SURE_FAULT}. */
  readonly sure: boolean;
  /** What to look at next; undefined once it is sure, or when nothing tells more. */
  readonly next: FaultCheckId | undefined;
}

/**
 * From this on a cause is named: mending the wrong thing and trying again costs ten minutes, one more check under one, so that a
 * check is worth it below 1 − 50 s/600 s. Our own estimates of both.
 */
export const SURE_FAULT = 0.92;
/** How often a check does not show what its cause should: slips, doubles of causes, poor light. Our own choice. */
const SLIP = 0.03;
/** How often it shows something where nothing is: a defect is overlooked more often than seen where there is none. Our own choice. */
const GHOST = 0.01;
/** A check that promises less than this is not worth the way, bit. */
const WORTH_BIT = 0.02;

/**
 * What is wrong, by Bayes’ rule over the causes of a symptom, and which check tells most per second. A cause that nobody thought of
 * gives every outcome alike.
 *
 * @param factors how much likelier causes are by what is on record of the lead; 1 where left out
 */
export function diagnose(
  symptomId: SymptomId,
  done: readonly CheckDone[],
  factors: Readonly<Record<string, number>> = {},
): Diagnosis {
  const symptom: Symptom = SYMPTOMS[symptomId];
  const beliefs = beliefsAfter(symptom, done, factors);
  const suspects = [...beliefs]
    .map(([suspect, probability]) => ({ suspect, probability }))
    .sort((a, b) => b.probability - a.probability || a.suspect.localeCompare(b.suspect));
  const [first] = suspects;
  return {
    suspects,
    sure: isSure(beliefs) && first?.suspect !== 'something else',
    next: nextCheck(symptom, beliefs, done),
  };
}

/** Chances of all suspects after some checks. */
function beliefsAfter(
  symptom: Symptom,
  done: readonly CheckDone[],
  factors: Readonly<Record<string, number>>,
): Beliefs {
  const prior = Object.entries(symptom.causes) as [CauseId, number][];
  const rest = 100 - prior.reduce((sum, [, share]) => sum + share, 0);
  const all: [Suspect, number][] = [...prior, ['something else', rest]];
  const weighed = all.map(([suspect, share]): [Suspect, number] => [
    suspect,
    done.reduce(
      (weight, { check, outcome }) => weight * chance(check, outcome, suspect),
      share * (factors[suspect] ?? 1),
    ),
  ]);
  const total = weighed.reduce((sum, [, weight]) => sum + weight, 0);
  return new Map(weighed.map(([suspect, weight]) => [suspect, weight / total]));
}

/** How likely an outcome is with a suspect. */
function chance(checkId: FaultCheckId, outcome: number, suspect: Suspect): number {
  const check: FaultCheck = FAULT_CHECKS[checkId];
  const { outcomes, gives } = check;
  if (suspect === 'something else') return 1 / outcomes.length;
  const own = gives[suspect] ?? 0;
  const slip = own === 0 ? GHOST : SLIP;
  return own === outcome ? 1 - slip : slip / (outcomes.length - 1);
}

/** So many checks are looked ahead where more than that are open: more change the order no further and take longer. */
const AHEAD = 2;

function nextCheck(
  symptom: Symptom,
  beliefs: Beliefs,
  done: readonly CheckDone[],
): FaultCheckId | undefined {
  const open = symptom.checks.filter((check) => !done.some((one) => one.check === check));
  return cheapest(beliefs, open, AHEAD).check;
}

/** Chances of all suspects. */
type Beliefs = ReadonlyMap<Suspect, number>;

/**
 * The check after which a cause is expected to be named soonest, and the seconds until then: every order of the next few checks is
 * weighed by the chance of what each shows, and what is still open after them by the seconds that a bit costs here.
 */
function cheapest(
  beliefs: Beliefs,
  open: readonly FaultCheckId[],
  ahead: number,
): { readonly check: FaultCheckId | undefined; readonly seconds: number } {
  const worth = open
    .map((check) => ({ check, bits: bitsOf(check, beliefs) }))
    .filter(({ bits }) => bits >= WORTH_BIT);
  const secondsPerBit = Math.min(
    ...worth.map(({ check, bits }) => FAULT_CHECKS[check].seconds / bits),
  );
  if (worth.length === 0 || isSure(beliefs)) return { check: undefined, seconds: 0 };
  if (ahead === 0)
    return { check: undefined, seconds: secondsPerBit * entropy([...beliefs.values()]) };
  return worth
    .map(({ check }) => {
      const left = open.filter((one) => one !== check);
      const seconds = outcomesOf(check, beliefs).reduce(
        (sum, { share, after }) => sum + share * cheapest(after, left, ahead - 1).seconds,
        FAULT_CHECKS[check].seconds,
      );
      return { check, seconds };
    })
    .reduce((best, one) => (one.seconds < best.seconds ? one : best));
}

function isSure(beliefs: Beliefs): boolean {
  return Math.max(...beliefs.values()) >= SURE_FAULT;
}

/** What a check may show, with the chance of each and what is believed after it. */
function outcomesOf(
  check: FaultCheckId,
  beliefs: Beliefs,
): readonly { readonly share: number; readonly after: Beliefs }[] {
  return FAULT_CHECKS[check].outcomes.flatMap((_name, outcome) => {
    const joint = [...beliefs].map(
      ([suspect, belief]) => [suspect, belief * chance(check, outcome, suspect)] as const,
    );
    const share = joint.reduce((sum, [, weight]) => sum + weight, 0);
    if (share === 0) return [];
    return [{ share, after: new Map(joint.map(([suspect, weight]) => [suspect, weight / share])) }];
  });
}

/** How much a check is expected to tell, bit (Shannon 1948: mutual information of outcome and cause). */
export function bitsOf(check: FaultCheckId, beliefs: Beliefs): number {
  const before = entropy([...beliefs.values()]);
  const after = outcomesOf(check, beliefs).reduce(
    (sum, one) => sum + one.share * entropy([...one.after.values()]),
    0,
  );
  return before - after;
}

function entropy(shares: readonly number[]): number {
  return -shares.reduce((sum, one) => (one > 0 ? sum + one * Math.log2(one) : sum), 0);
}
