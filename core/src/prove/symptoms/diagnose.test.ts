import type { LeadSpot, StitchPlace } from '../../vehicle';
import { stateAt } from '../../vehicle';
import type { CheckDone, LeadRecord, SymptomId } from './index';
import {
  CAUSES,
  FAULT_CHECKS,
  SURE_FAULT,
  SYMPTOMS,
  bitsOf,
  causeFactors,
  diagnose,
  readChecks,
  searchFrom,
  writeChecks,
} from './index';

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
          const [first] = suspects;
          expect(sure).toBe(
            first?.suspect !== 'something else' && (first?.probability ?? 0) >= SURE_FAULT,
          );
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
    // Shown in 97 of 100 where it is, in 1 of 100 where it is not: H(0.49) − ½ H(0.03) − ½ H(0.01) = 0.862 bit (Shannon 1948, computed).
    expect(bitsOf('crankDrop', even)).toBeCloseTo(0.862, 3);
    expect(bitsOf('crankDrop', new Map([['badCrimp', 1]] as const))).toBeCloseTo(0, 9);
  });

  it('asks first what names a cause soonest, not what tells most bits for its seconds', () => {
    // Blows: rating against plan 30 s tells one cause of three; the lamp in the fuse’s place 60 s tells all three apart.
    expect(diagnose('blows', []).next).toBe('lampForFuse');
    // Sure of it, it asks no more.
    const done: CheckDone[] = [
      { check: 'lampForFuse', outcome: 2 },
      { check: 'ohmsBody', outcome: 1 },
    ];
    expect(diagnose('blows', done)).toMatchObject({ sure: true, next: undefined });
    expect(diagnose('blows', done).suspects[0]?.suspect).toBe('chafed');
  });

  it('says of every cause what is done about it', () => {
    for (const { name, mend } of Object.values(CAUSES)) {
      expect(name.length).toBeGreaterThan(8);
      expect(mend).toMatch(/\.$/);
    }
  });

  it('follows Bayes’ rule: two causes of 55 and 22, one of them shown but for slips (computed by hand)', () => {
    // 55·0.97 against 22·0.015, whose own outcome is another, and the rest, which show nothing: 0.01 over two. A third for the unknown.
    const { suspects, sure } = diagnose('cranking', [{ check: 'crankSource', outcome: 2 }]);
    const weights = [55 * 0.97, 22 * 0.015 + (10 + 4 + 5) * 0.005, 4 / 3];
    expect(suspects[0]).toMatchObject({ suspect: 'dropsAtCrank' });
    expect(suspects[0]?.probability).toBeCloseTo(
      (weights[0] ?? 0) / weights.reduce((sum, one) => sum + one, 0),
      9,
    );
    expect(sure).toBe(true);
  });
});

describe('what a job has on record', () => {
  const record: LeadRecord = { spliced: false, passed: [], drainGood: undefined };
  const first = (symptom: SymptomId, of: LeadRecord): string | undefined =>
    diagnose(symptom, [], causeFactors(of)).suspects[0]?.suspect;

  const PASSED: readonly [LeadSpot, StitchPlace, readonly string[]][] = [
    ['end', 'run', ['groundOpen', 'leadOpen', 'noSupply', 'thinLead']],
    ['end', 'crank', ['dropsAtCrank', 'groundOpen', 'leadOpen', 'noSupply', 'thinLead']],
    ['end', 'off', ['takenConstant']],
    ['end', 'asleep', ['takenConstant']],
    ['endOriginalOut', 'run', ['turned']],
    ['original', 'run', ['notHome', 'originalFuse']],
    ['ground', 'run', ['groundOpen', 'poorGround']],
    ['endAddedOut', 'off', []],
  ];
  it.each(PASSED)('%s in %s, passed, makes rarer what it has shown good', (spot, place, rarer) => {
    const factors = causeFactors({ ...record, passed: [{ spot, place }] });
    expect(Object.keys(factors).sort()).toEqual(rarer);
    for (const factor of Object.values(factors)) {
      expect(factor).toBeGreaterThan(0);
      expect(factor).toBeLessThan(1);
    }
  });

  it('counts what two proofs say of one cause together, and one proof once', () => {
    const live = { spot: 'end', place: 'run' } as const;
    const once = causeFactors({ ...record, passed: [live] });
    expect(causeFactors({ ...record, passed: [live, { spot: 'end', place: 'acc' }] })).toEqual(
      once,
    );
    const both = causeFactors({ ...record, passed: [live, { spot: 'ground', place: 'run' }] });
    const ground = causeFactors({ ...record, passed: [{ spot: 'ground', place: 'run' }] });
    expect(both.groundOpen).toBeCloseTo((once.groundOpen ?? 1) * (ground.groundOpen ?? 1), 9);
  });

  it('knows a splice, and a parked current that was good or was not', () => {
    expect(Object.keys(causeFactors({ ...record, spliced: true })).sort()).toEqual([
      'notHome',
      'turned',
    ]);
    expect(Object.keys(causeFactors({ ...record, drainGood: true })).sort()).toEqual([
      'deviceStandby',
      'staysAwake',
      'takenConstant',
    ]);
    expect(causeFactors({ ...record, drainGood: false })).toEqual({});
  });

  it('changes nothing where nothing was read', () => {
    expect(causeFactors(record)).toEqual({});
    for (const symptom of IDS)
      expect(diagnose(symptom, [], causeFactors(record))).toEqual(diagnose(symptom, []));
  });

  it('begins with the battery where the source was read live while cranking', () => {
    expect(first('cranking', record)).toBe('dropsAtCrank');
    expect(first('cranking', { ...record, passed: [{ spot: 'end', place: 'crank' }] })).toBe(
      'weakBattery',
    );
  });

  it('does not look for a turned tap in a splice, nor for a constant where it was read dead with the key off', () => {
    const chance = (symptom: SymptomId, cause: string, of: LeadRecord, constant = false): number =>
      diagnose(symptom, [], causeFactors(of, constant)).suspects.find(
        ({ suspect }) => suspect === cause,
      )?.probability ?? 0;
    expect(chance('dead', 'turned', { ...record, spliced: true })).toBeLessThan(0.001);
    const dead: LeadRecord = { ...record, passed: [{ spot: 'end', place: 'off' }] };
    expect(chance('drains', 'takenConstant', dead)).toBeLessThan(0.03);
    // A constant read live with the key off says nothing of that kind.
    expect(chance('drains', 'takenConstant', dead, true)).toBeCloseTo(
      chance('drains', 'takenConstant', record),
      9,
    );
    const measured = { ...record, drainGood: true };
    expect(first('drains', measured)).toBe('ownDrain');
  });

  it('never rules a cause out for good: the check that shows it still names it', () => {
    const passed = (['end', 'endOriginalOut', 'original', 'ground'] as const).map((spot) => ({
      spot,
      place: 'run' as const,
    }));
    const { suspects } = diagnose(
      'dead',
      [
        { check: 'farPlus', outcome: 2 },
        { check: 'behindFuse', outcome: 0 },
        { check: 'tug', outcome: 1 },
      ],
      causeFactors({ ...record, passed }),
    );
    expect(suspects[0]?.suspect).toBe('leadOpen');
  });
});

describe('a search that begins with a proof', () => {
  const at = (
    spot: LeadSpot,
    place: StitchPlace,
    arrives: boolean,
    leastV: number | undefined = 11,
  ) => searchFrom({ spot, state: stateAt(place), leastV }, arrives);

  it.each([
    ['end', 'run', false, 'dead', 'farPair-2'],
    ['end', 'run', true, 'weak', 'farPair-1'],
    ['ground', 'run', true, 'weak', 'groundDrop-1'],
    ['endOriginalOut', 'run', false, 'dead', 'originalOut-1'],
    ['endOriginalOut', 'run', true, 'weak', 'farPair-1'],
    ['end', 'crank', false, 'cranking', ''],
    ['end', 'engine', false, 'engineOff', ''],
    ['original', 'run', false, 'originalDead', ''],
    ['output', 'run', true, 'weak', ''],
    ['output', 'run', false, 'dead', ''],
  ] as const)('at %s in %s, something arriving %s: %s', (spot, place, arrives, symptom, seen) => {
    const begun = at(spot, place, arrives);
    expect(begun.symptom).toBe(symptom);
    expect(writeChecks(begun.done)).toBe(seen);
  });

  it('takes what is live where it must be dead for another kind of source', () => {
    const begun = searchFrom({ spot: 'end', state: stateAt('off'), leastV: undefined }, true);
    expect(begun).toEqual({ symptom: 'drains', done: [] });
  });

  it('stands in an address and comes back from it, without what is no check of the symptom', () => {
    const { symptom, done } = at('end', 'run', false);
    expect(readChecks(writeChecks(done), symptom)).toEqual(done);
    // farPair shows one of four things, 0 to 3.
    for (const slip of ['farPair-4', 'farPair-12', 'farPair-1x', 'farPair-', 'pop-1', 'x', ''])
      expect(readChecks(slip, symptom)).toEqual([]);
    expect(readChecks('farPair-3', symptom)).toHaveLength(1);
  });
});
