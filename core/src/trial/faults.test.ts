import { seededRandom } from '../bench';
import type { CheckDone, FaultCheckId, SymptomId } from '../prove/symptoms';
import { FAULT_CHECKS, SYMPTOMS, diagnose } from '../prove/symptoms';
import type { FaultSearch, SetFault } from './faultTrial';
import { BENCH_FAULTS, searchFault, setFault } from './faultTrial';

const IDS = Object.keys(SYMPTOMS) as SymptomId[];

describe('faults set in the bench', () => {
  // Seeds 1 to 500 and 700000 to 702999 of this generator showed where signatures, slips and the limit of being sure were wrong; these
  // were looked at for the first time here.
  let searches: { fault: SetFault; ours: FaultSearch; listed: FaultSearch }[];
  beforeAll(() => {
    searches = Array.from({ length: 500 }, (_, index) => {
      const seed = 31_001 + index;
      const fault = setFault(seededRandom(seed));
      return {
        fault,
        ours: searchFault(fault, seededRandom(seed + 7), 'by information'),
        listed: searchFault(fault, seededRandom(seed + 7), 'in the order of the list'),
      };
    });
  });

  it('are named right in at least 97 of 100', () => {
    const right = searches.filter(({ ours }) => ours.right).length;
    console.log(
      `${searches.length} cars, faults right ${((100 * right) / searches.length).toFixed(1)} %`,
    );
    expect(right / searches.length).toBeGreaterThanOrEqual(0.97);
  });

  it('take fewer seconds than in the order of the list, and no fault many more', () => {
    const sum = (of: 'ours' | 'listed'): number =>
      searches.reduce((total, one) => total + one[of].seconds, 0);
    const ratio = sum('ours') / sum('listed');
    console.log(`seconds ${ratio.toFixed(3)} of the list’s`);
    expect(ratio).toBeLessThanOrEqual(0.6);
    for (const { ours, listed } of searches) expect(ours.seconds).toBeLessThan(2 * listed.seconds);
  });

  it('cover every symptom that a meter can tell, and every cause of theirs', () => {
    for (const [symptom, causes] of Object.entries(BENCH_FAULTS))
      for (const cause of causes) {
        expect(Object.keys(SYMPTOMS[symptom as SymptomId].causes)).toContain(cause);
        expect(
          searches.some(({ fault }) => fault.symptom === symptom && fault.cause === cause),
        ).toBe(true);
      }
  });
});

/** Expected seconds until nothing more is asked, with the best check at every turn: the exhaustive reference. */
function bestSeconds(
  symptom: SymptomId,
  done: readonly CheckDone[],
  rule: 'best' | 'ours',
): number {
  const { suspects, next } = diagnose(symptom, done);
  if (next === undefined) return 0;
  const beliefs = new Map(suspects.map((one) => [one.suspect, one.probability]));
  const open = SYMPTOMS[symptom].checks.filter((check) => !done.some((one) => one.check === check));
  const costOf = (check: FaultCheckId): number =>
    FAULT_CHECKS[check].outcomes.reduce((sum, _name, outcome) => {
      const after = [...done, { check, outcome }];
      const share = shareOf(check, outcome, beliefs);
      return share < 1e-6 ? sum : sum + share * bestSeconds(symptom, after, rule);
    }, FAULT_CHECKS[check].seconds);
  return rule === 'ours' ? costOf(next) : Math.min(...open.map(costOf));
}

/** Chance of an outcome, told apart from the code under test: what it gives, a slip now and then, anything for the unknown. */
function shareOf(
  check: FaultCheckId,
  outcome: number,
  beliefs: ReadonlyMap<string, number>,
): number {
  const { outcomes, gives } = FAULT_CHECKS[check];
  return [...beliefs].reduce((sum, [suspect, belief]) => {
    if (suspect === 'something else') return sum + belief / outcomes.length;
    const own = (gives as Record<string, number>)[suspect] ?? 0;
    return sum + belief * chanceOf(own, outcome, outcomes.length);
  }, 0);
}

/** Missed 3 times in 100, seen where nothing is once. */
function chanceOf(own: number, outcome: number, outcomes: number): number {
  const slip = own === 0 ? 0.01 : 0.03;
  return own === outcome ? 1 - slip : slip / (outcomes - 1);
}

describe('the order of checks', () => {
  it.each(IDS.filter((id) => SYMPTOMS[id].checks.length <= 4))(
    '%s: is within a fifth of the best order there is (every order tried)',
    (symptom) => {
      const [best, ours] = [bestSeconds(symptom, [], 'best'), bestSeconds(symptom, [], 'ours')];
      expect(best).toBeGreaterThan(0);
      expect(ours / best).toBeLessThanOrEqual(1.2);
    },
  );
});
