import type { PreparedNeed } from '../need/needs';
import type { Verdict } from '../verdict/verdict';
import type { Checks, Given } from './checks';

/** By need and verdict, and then by what was given; both go when nobody holds them any more. */
const KEPT = new WeakMap<PreparedNeed, WeakMap<Verdict, Map<string, Checks>>>();

/**
 * Works the checks out once for each need, verdict and circumstances: after a reading a single verdict is another one, and
 * the car comes back to where it stood before.
 */
export function keptChecks(
  wanted: PreparedNeed,
  given: Given,
  workOut: (wanted: PreparedNeed, verdict: Verdict, given: Given) => Checks,
): (verdict: Verdict) => Checks {
  const { state, cannot, lamp, evenUnsettled = false, until } = given;
  const key = JSON.stringify([state, cannot, lamp, evenUnsettled, until]);
  const byVerdict = KEPT.get(wanted) ?? new WeakMap<Verdict, Map<string, Checks>>();
  KEPT.set(wanted, byVerdict);
  return (verdict) => {
    const known = byVerdict.get(verdict) ?? new Map<string, Checks>();
    byVerdict.set(verdict, known);
    const checks = known.get(key) ?? workOut(wanted, verdict, given);
    known.set(key, checks);
    return checks;
  };
}
