import { FAULT_CHECKS, SYMPTOMS, diagnose } from '@lucky-thread/core/prove/symptoms';
import type { FaultPractice } from './faultPractice';
import { faultReport, look, secondsOf, startFault, suspectsOf } from './faultPractice';

/** Looks as the plan says, until it has nothing more to say. */
function byPlan(seed: number): FaultPractice {
  let practice = startFault(seed);
  for (;;) {
    const { next } = diagnose(practice.fault.symptom, practice.done);
    if (next === undefined) return practice;
    practice = look(practice, next);
  }
}

describe('practice on a set fault', () => {
  it('is the same fault for the same number, and another for another', () => {
    const faults = Array.from({ length: 40 }, (_, index) => startFault(index + 1).fault);
    expect(startFault(7).fault).toEqual(startFault(7).fault);
    expect(new Set(faults.map(({ cause }) => cause)).size).toBeGreaterThan(8);
  });

  it('shows what the fault makes of every check that its complaint has, and counts the seconds', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      let practice = startFault(seed);
      const { checks } = SYMPTOMS[practice.fault.symptom];
      for (const check of checks) practice = look(practice, check);
      for (const { check, outcome } of practice.done)
        expect(FAULT_CHECKS[check].outcomes[outcome]).toBeDefined();
      const seconds = checks.reduce((sum, check) => sum + FAULT_CHECKS[check].seconds, 0);
      expect(secondsOf(practice)).toBe(seconds);
    }
  });

  it('takes no second look at the same thing', () => {
    const [check = 'tug'] = SYMPTOMS[startFault(2).fault.symptom].checks;
    const once = look(startFault(2), check);
    expect(look(once, check)).toBe(once);
  });

  it('has the fault among what may be named, and praises who named it after looking', () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const practice = byPlan(seed);
      expect(suspectsOf(practice)).toContain(practice.fault.cause);
      const lines = faultReport({ ...practice, named: practice.fault.cause });
      expect(lines.map(({ good }) => good)).toEqual([true]);
    }
  });

  it('says what it was to who named something else, guessed, or looked for nothing', () => {
    const practice = startFault(3);
    const guess = faultReport({ ...practice, named: 'something else' });
    expect(guess.map(({ text }) => text).join()).toMatch(
      /^You said something else. It is: .*that was a guess/,
    );
    let idle = byPlan(3);
    for (const check of SYMPTOMS[idle.fault.symptom].checks) idle = look(idle, check);
    const told = faultReport({ ...idle, named: idle.fault.cause });
    expect(told[0]?.good).toBe(true);
    expect(told.slice(1).every(({ text }) => text.startsWith('Told nothing new'))).toBe(true);
    expect(told.length).toBeGreaterThan(1);
  });
});
