import type { CheckDone, SymptomId } from './index';
import { CAUSES, FAULT_CHECKS, SURE_FAULT, SYMPTOMS, bitsOf, diagnose } from './index';

const IDS = Object.keys(SYMPTOMS) as SymptomId[];

describe('a diagnosis', () => {
  it.each(IDS)(
    '%s: begins with the commonest cause, and every cause can be told in the end',
    (symptom) => {
      const causes = Object.entries(SYMPTOMS[symptom].causes).sort(([, a], [, b]) => b - a);
      expect(diagnose(symptom, []).suspects[0]?.suspect).toBe(causes[0]?.[0]);
      expect(causes.reduce((sum, [, share]) => sum + share, 0)).toBeLessThan(100);
      const told = causes.filter(([cause]) => {
        const done = SYMPTOMS[symptom].checks.map((check): CheckDone => ({
          check,
          outcome: (FAULT_CHECKS[check].gives as Record<string, number>)[cause] ?? 0,
        }));
        return diagnose(symptom, done).suspects[0]?.suspect === cause;
      });
      // What no check points to stays what is left when everything else is ruled out.
      expect(told.length).toBeGreaterThanOrEqual(causes.length - 1);
    },
  );

  it('adds up to one, whatever was seen', () => {
    for (const symptom of IDS)
      for (const check of SYMPTOMS[symptom].checks)
        for (const outcome of FAULT_CHECKS[check].outcomes.keys()) {
          const { suspects } = diagnose(symptom, [{ check, outcome }]);
          expect(suspects.reduce((sum, one) => sum + one.probability, 0)).toBeCloseTo(1, 9);
        }
  });

  it('names nothing while what was seen contradicts itself', () => {
    const { sure } = diagnose('originalDead', [
      { check: 'seeOriginal', outcome: 1 },
      { check: 'bothSides', outcome: 0 },
      { check: 'reseat', outcome: 1 },
    ]);
    expect(sure).toBe(false);
  });

  it('asks nothing more once it is sure, and never the same twice', () => {
    for (const symptom of IDS) {
      const done: CheckDone[] = [];
      for (;;) {
        const { next, sure, suspects } = diagnose(symptom, done);
        if (next === undefined) {
          expect(sure).toBe((suspects[0]?.probability ?? 0) >= SURE_FAULT);
          break;
        }
        expect(done.map(({ check }) => check)).not.toContain(next);
        done.push({ check: next, outcome: 0 });
      }
    }
  });

  it('values a check by the bits it is expected to tell: an even question one, a foregone one none', () => {
    const even = new Map([
      ['dropsAtCrank', 0.5],
      ['badCrimp', 0.5],
    ] as const);
    // One of two alike, but for slips of 3 %: 1 − H(0.03) = 0.806 bit (Shannon 1948, computed).
    expect(bitsOf('crankDrop', even)).toBeCloseTo(0.806, 3);
    expect(bitsOf('crankDrop', new Map([['badCrimp', 1]] as const))).toBeCloseTo(0, 9);
  });

  it('says of every cause what is done about it', () => {
    for (const { name, mend } of Object.values(CAUSES)) {
      expect(name.length).toBeGreaterThan(8);
      expect(mend).toMatch(/\.$/);
    }
  });

  it('follows Bayes’ rule: two causes of 55 and 22, one of them shown but for slips (computed by hand)', () => {
    // 55·0.97 against 22·0.015 and the rest: 0.97 for its own outcome, 0.03 over the two others, a third for the unknown.
    const { suspects, sure } = diagnose('cranking', [{ check: 'crankSource', outcome: 2 }]);
    const weights = [55 * 0.97, (22 + 10 + 4 + 5) * 0.015, 4 / 3];
    expect(suspects[0]).toMatchObject({ suspect: 'dropsAtCrank' });
    expect(suspects[0]?.probability).toBeCloseTo(
      (weights[0] ?? 0) / weights.reduce((sum, one) => sum + one, 0),
      9,
    );
    expect(sure).toBe(true);
  });
});
