import { seededRandom } from '../bench';
import type { SymptomId } from '../prove/symptoms';
import { SYMPTOMS } from '../prove/symptoms';
import type { FaultSearch, SetFault } from './faultTrial';
import { BENCH_FAULTS, searchFault, setFault } from './faultTrial';

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
