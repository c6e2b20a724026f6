import fc from 'fast-check';
import { PARKED, STITCH_PLACES, placeOf, stateAt } from '../../vehicle';
import type { StitchPlace } from '../../vehicle';
import { HYPOTHESES } from '../circuit/hypotheses';
import { judgeSource } from '../judgeSource';
import { isOpen, doubtOf, passingChances, remove } from '../need/doubt';
import { fillsFor, isSeen } from '../need/fills';
import type { FindScope } from '../need/findScope';
import { findScopeOf } from '../need/findScope';
import type { Need, PreparedNeed } from '../need/needs';
import type { Reading } from '../reading/reading';
import type { ProbeSource } from '../reading/source';
import { visitState } from '../visit/visitState';
import { isSettled } from '../verdict/settled';
import { VISIT_ORDER, WORK_SECONDS, changeSeconds } from '../visit/workCosts';
import { allot } from './allot';
import { WAITS, nextVisit } from './nextVisit';
import { cheapestOrder } from './orderOfVisits';
import type { Pursuit } from './pursuit';
import { pursuitsFor } from './pursuit';

const MEMORY: Need = { id: 'memory', role: 'constant' };
const SUPPLY: Need = { id: 'supply', role: 'switched' };
const STEADY: Need = { id: 'steady', role: 'switched', holdsCranking: true };
const NOW = { state: PARKED, cannot: [], lamp: false };
const LEGENDS = ['BAT', 'ACC', 'CIG', 'IGN', 'METER', undefined, 'RADIO', 'HORN', 'XQZ'] as const;

const SOURCES: readonly ProbeSource[] = LEGENDS.map((legend, index) => ({
  ...{ id: `F${index + 1}`, name: `F${index + 1}`, legend, fitted: true, tappable: true },
  logged: undefined,
}));

/** What somebody may have read so far: a few touches, live or dead, each place of a slot once. */
const READ = fc
  .uniqueArray(
    fc.record({
      slot: fc.integer({ min: 1, max: LEGENDS.length }),
      place: fc.constantFrom<StitchPlace>('off', 'acc', 'run', 'crank', 'engine', 'asleep'),
      volts: fc.constantFrom(0.02, 12.4),
    }),
    { maxLength: 30, selector: ({ slot, place }) => `${slot} ${place}` },
  )
  .map((rows) =>
    rows.map(({ slot, place, volts }): Reading => ({
      ...{ id: `${slot}-${place}`, sourceId: `F${slot}`, contact: undefined },
      state: stateAt(place),
      value: { kind: 'volts', volts },
    })),
  );

function scopeOf(
  readings: readonly Reading[],
  needs: readonly Need[],
  until: FindScope['until'] = 'role',
): FindScope {
  const verdicts = SOURCES.map((source) =>
    judgeSource(
      source,
      readings.filter(({ sourceId }) => sourceId === source.id),
    ),
  );
  return findScopeOf(SOURCES, verdicts, { needs, until });
}

/** Every source followed for one need, whatever was read. */
function everyPursuit(check: (one: Pursuit, all: readonly Pursuit[]) => void): void {
  const need = fc.constantFrom(MEMORY, SUPPLY, STEADY);
  fc.assert(
    fc.property(READ, need, (readings, wanted) => {
      const [prepared] = scopeOf(readings, [wanted]).needs as [PreparedNeed];
      const all = pursuitsFor(prepared, scopeOf(readings, [wanted]), NOW);
      for (const one of all) check(one, all);
    }),
    { numRuns: 15 },
  );
}

/** Whether a circuit would come out as all of the checks hope. */
function passes(index: number, { checks }: Pick<Pursuit, 'checks'>): boolean {
  return checks.every(({ place, expectLive }) => {
    const stand = HYPOTHESES[index]?.stand(visitState(place)) ?? '';
    const inBetween = ['part', 'pulse', 'half', 'bus', 'five', 'pulled'].includes(stand);
    return inBetween ? false : (stand === 'battery') === expectLive;
  });
}

describe('what is worked out of a source that is followed', () => {
  it('leaves no doubt once every check has come out as hoped, and no check could be spared', () => {
    everyPursuit(({ wanted, verdict, checks }) => {
      const doubtWithout = (spared?: StitchPlace) => {
        const doubt = doubtOf(wanted, verdict);
        for (const { place, expectLive } of checks)
          if (place !== spared && expectLive !== undefined) remove(doubt, place, expectLive);
        return isOpen(doubt);
      };
      expect(doubtWithout()).toBe(false);
      const disputed = verdict.contradictions.map(({ place }) => place);
      for (const { place } of checks)
        if (!wanted.mustSee.includes(place) && !disputed.includes(place))
          expect(doubtWithout(place)).toBe(true);
    });
  });

  it('is followed only where its checks can take all doubt away, unless even those are asked for that can’t', () => {
    const vague = fc.record({
      place: fc.constantFrom<StitchPlace>('off', 'acc', 'run', 'crank', 'engine', 'asleep'),
      // Seven volts, or a ghost: nothing that either speaks for it or drops it.
      volts: fc.constantFrom(0.02, 12.4, 7, 3),
    });
    const rows = fc.uniqueArray(vague, { maxLength: 6, selector: ({ place }) => place });
    let [followed, left] = [0, 0];
    fc.assert(
      fc.property(rows, fc.constantFrom(MEMORY, SUPPLY, STEADY), (read, need) => {
        const readings = read.map(({ place, volts }): Reading => ({
          ...{ id: place, sourceId: 'F4', contact: undefined, state: stateAt(place) },
          value: { kind: 'volts', volts },
        }));
        const scope = scopeOf(readings, [need]);
        const [prepared] = scope.needs as [PreparedNeed];
        const settling = pursuitsFor(prepared, scope, NOW).map(({ verdict }) => verdict.sourceId);
        for (const { verdict, checks } of pursuitsFor(prepared, scope, {
          ...NOW,
          evenUnsettled: true,
        })) {
          const doubt = doubtOf(prepared, verdict);
          for (const { place, expectLive } of checks)
            if (expectLive !== undefined) remove(doubt, place, expectLive);
          if (verdict.sourceId !== 'F4') continue;
          expect(settling.includes(verdict.sourceId)).toBe(!isOpen(doubt));
          if (isOpen(doubt)) left += 1;
          else followed += 1;
        }
      }),
      { numRuns: 120 },
    );
    expect(Math.min(followed, left)).toBeGreaterThan(0);
  });

  it('goes to every place that must be seen, whatever little doubt is left of it', () => {
    everyPursuit(({ wanted, verdict, checks }) => {
      const visited = checks.map(({ place }) => place);
      const open = wanted.mustSee.filter((place) => !isSeen(place, wanted, verdict));
      expect(visited).toEqual(expect.arrayContaining(open));
    });
  });

  it('is also looked at where look-alikes of its name differ, where a name is wanted, and nowhere twice', () => {
    fc.assert(
      fc.property(READ, fc.constantFrom(MEMORY, SUPPLY, STEADY), (readings, need) => {
        const scope = scopeOf(readings, [need], 'function');
        const [prepared] = scope.needs as [PreparedNeed];
        for (const { verdict, checks } of pursuitsFor(prepared, scope, NOW)) {
          const visited = checks.map(({ place }) => place);
          expect(new Set(visited).size).toBe(visited.length);
          const open = verdict.missing
            .map(({ place }) => place)
            .filter((place) => VISIT_ORDER.includes(place) && !isSettled(place, verdict, false));
          expect(visited).toEqual(expect.arrayContaining(open));
        }
      }),
      { numRuns: 15 },
    );
  });

  it('has the danger of what serves and comes out as hoped, by the weights themselves', () => {
    everyPursuit((one) => {
      const { hypotheses, criticalBy } = one.verdict.posterior;
      const serving = one.wanted.serving(one.verdict.posterior);
      let [critical, whole] = [0, 0];
      hypotheses.forEach((weight, index) => {
        if (!passes(index, one)) return;
        critical += (serving[index] ?? 0) * (criticalBy[index] ?? 0);
        whole += (serving[index] ?? 0) * weight;
      });
      expect(one.danger).toBeCloseTo(whole > 0 ? critical / whole : 0, 9);
    });
  });

  it('takes no less than its first check and no more than all of them, each touched twice', () => {
    everyPursuit(({ checks, seconds }) => {
      const ways = (most: boolean): number[] => {
        let state = PARKED;
        return checks.map(({ place }) => {
          const to = visitState(place, state);
          const change = placeOf(state) === place ? 0 : changeSeconds(state, to);
          state = to;
          // A wait is no work: eight seconds at the most.
          return Math.min(change, 8) + WORK_SECONDS.probe * (most ? 2 : 1);
        });
      };
      const [first = 0] = ways(false);
      expect(seconds).toBeGreaterThanOrEqual(Math.max(1, first) - 1e-9);
      expect(seconds).toBeLessThanOrEqual(ways(true).reduce((sum, part) => sum + part, 0) + 1e-9);
    });
  });

  it('is ordered by what one would give for another source instead', () => {
    const worth = ({ seconds, chance, price }: Pursuit): number => seconds / chance + price;
    everyPursuit((one, all) => {
      const after = all.slice(all.indexOf(one) + 1);
      for (const later of after) expect(worth(later)).toBeGreaterThanOrEqual(worth(one) - 1e-9);
      expect(one.chance).toBeGreaterThanOrEqual(0.02);
      expect(one.chance).toBeLessThanOrEqual(1);
    });
  });

  it('is read where it was not settled yet', () => {
    everyPursuit(({ verdict, checks }) => {
      const disputed = verdict.contradictions.map(({ place }) => place);
      for (const { place, gain } of checks) {
        expect(STITCH_PLACES).toContain(place);
        expect(gain).toBeGreaterThan(0);
        const twice = verdict.posterior.evidence.filter(
          ({ state, readings }) =>
            placeOf(state) === place &&
            readings.some(({ value }) => value.kind === 'volts' && value.volts > 10),
        );
        if (!disputed.includes(place)) expect(twice).toEqual([]);
      }
      expect(new Set(checks.map(({ place }) => place)).size).toBe(checks.length);
    });
  });
});

/** What one need has to choose from, whoever else wants it. */
interface Choice {
  readonly id: string;
  readonly fills: ReturnType<typeof fillsFor>;
  readonly pursuits: readonly Pursuit[];
}

/** What every need gets in one order, and the expected work: each takes the best that is left, and 300 s where nothing is. */
function inOrder(order: readonly Choice[]) {
  const given = new Map<string, string>();
  const taken = new Set<string>();
  let work = 0;
  for (const { id, fills, pursuits } of order) {
    const fill = fills.find(({ sourceId }) => !taken.has(sourceId));
    const wary = fill !== undefined && fill.posterior.critical > 0.1;
    const open = pursuits
      .filter(({ verdict }) => !taken.has(verdict.sourceId))
      .filter(({ danger, chance }) => !wary || (danger < 0.1 && chance >= 0.03));
    const follows = fill === undefined || wary ? open : [];
    const chosen = follows[0]?.verdict.sourceId ?? fill?.sourceId;
    if (chosen !== undefined) {
      taken.add(chosen);
      given.set(id, chosen);
    }
    let failing = 1;
    for (const one of follows) {
      work += failing * (one.seconds + one.chance * one.price);
      failing *= 1 - one.chance;
    }
    if (fill === undefined) work += failing * 300;
  }
  return { given, work };
}

function orders<T>(of: readonly T[]): T[][] {
  if (of.length === 0) return [[]];
  return of.flatMap((first) =>
    orders(of.filter((one) => one !== first)).map((rest) => [first, ...rest]),
  );
}

describe('which need may choose first', () => {
  it('costs no more expected work than any other order would', () => {
    fc.assert(
      fc.property(READ, (readings) => {
        const scope = scopeOf(readings, [MEMORY, SUPPLY, STEADY]);
        const made = allot(scope, NOW);
        const given = new Map([
          ...made.filled,
          ...made.leaders.map((one) => [one.wanted.need.id, one.verdict.sourceId] as const),
        ]);
        const choices = scope.needs.map((wanted) => ({
          id: wanted.need.id,
          fills: fillsFor(wanted, scope),
          pursuits: pursuitsFor(wanted, scope, NOW),
        }));
        const every = orders(choices).map(inOrder);
        const least = Math.min(...every.map(({ work }) => work));
        // What is given here is what one of the orders that cost the least gives.
        const best = every.filter(({ work }) => work <= least + 0.02);
        expect(best.map((one) => [...one.given].sort())).toContainEqual([...given].sort());
      }),
      { numRuns: 60 },
    );
  });
});

describe('where the car goes next', () => {
  const PLACES: readonly StitchPlace[] = ['off', 'acc', 'run', 'crank', 'engine', 'asleep'];
  const visits = (check: (one: Visited) => void): void =>
    fc.assert(
      fc.property(
        READ,
        fc.constantFrom(...PLACES),
        fc.subarray([...PLACES], { minLength: 3 }),
        (readings, at, allowed) => {
          const { leaders } = allot(scopeOf(readings, [MEMORY, SUPPLY, STEADY]), NOW);
          const wanted = [
            ...new Set(leaders.flatMap((one) => one.checks.map(({ place }) => place))),
          ];
          const made = nextVisit(leaders, {
            ...{ state: stateAt(at), order: cheapestOrder },
            allowed: (place) => allowed.includes(place),
          });
          check({ leaders, at, open: wanted.filter((place) => allowed.includes(place)), made });
        },
      ),
      { numRuns: 30 },
    );

  it('is a place that is allowed and that somebody wants, and nowhere where there is none', () => {
    visits(({ open, made }) => {
      if (made === undefined) return expect(open).toEqual([]);
      expect(open).toContain(made.place);
      expect(made.pursuits.length).toBeGreaterThan(0);
      for (const { checks } of made.pursuits)
        expect(checks.map(({ place }) => place)).toContain(made.place);
    });
  });

  it('waits only where it stands waiting already, or where nothing else is left', () => {
    visits(({ open, at, made }) => {
      if (made === undefined || !WAITS.includes(made.place)) return;
      const others = open.filter((place) => !WAITS.includes(place));
      expect(made.place === at || others.length === 0).toBe(true);
    });
  });

  it('touches those that are most likely to stay in the race, and everybody where only a wait is left', () => {
    visits(({ leaders, open, at, made }) => {
      if (made === undefined) return;
      const here = leaders.filter((one) => one.checks.some(({ place }) => place === made.place));
      if (WAITS.includes(made.place) && made.place !== at)
        return expect(made.pursuits).toEqual(here);
      const places = open.filter((place) => place === at || !WAITS.includes(place));
      const chance = (one: Pursuit): number => {
        const wanted = places.map((place) => one.checks.some((check) => check.place === place));
        const mask = wanted.reduce((bits, is, bit) => (is ? bits | (1 << bit) : bits), 0);
        return passingChances(one, places)[mask] ?? 0;
      };
      const least = Math.min(...made.pursuits.map(chance));
      for (const one of here)
        if (!made.pursuits.includes(one)) expect(chance(one)).toBeLessThanOrEqual(least + 1e-9);
    });
  });
});

/** A visit with what led to it. */
interface Visited {
  readonly leaders: readonly Pursuit[];
  /** Where the car stands. */
  readonly at: StitchPlace;
  /** Places that somebody wants and that are allowed. */
  readonly open: readonly StitchPlace[];
  readonly made: ReturnType<typeof nextVisit>;
}
