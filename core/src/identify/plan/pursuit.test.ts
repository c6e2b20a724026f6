import fc from 'fast-check';
import { PARKED, STITCH_PLACES, stateAt } from '../../vehicle';
import type { StitchPlace } from '../../vehicle';
import { allot } from './allot';
import type { FindScope } from '../need/findScope';
import { findScopeOf } from '../need/findScope';
import type { Need } from '../need/needs';
import { pursuitsFor } from './pursuit';
import type { Reading } from '../reading/reading';
import type { LoggedClaim, ProbeSource } from '../reading/source';
import { judgeSource as judge } from '../judgeSource';

const MEMORY: Need = { id: 'memory', role: 'constant' };
const SUPPLY: Need = { id: 'supply', role: 'switched' };
const STEADY: Need = { id: 'steady', role: 'switched', holdsCranking: true };
const DIM: Need = { id: 'dim', role: 'illumination' };
const PARKED_NOW = { state: PARKED, cannot: [], lamp: false };

function sourcesOf(legends: readonly (string | undefined)[]): ProbeSource[] {
  return legends.map((legend, index) => ({
    id: `F${index + 1}`,
    name: `F${index + 1}`,
    legend,
    fitted: true,
    tappable: true,
    logged: undefined,
  }));
}

function fieldFor(
  legends: readonly (string | undefined)[],
  needs: readonly Need[],
  readings: readonly Reading[] = [],
): FindScope {
  const sources = sourcesOf(legends);
  return findScopeOf(
    sources,
    sources.map((source) => judge(source, readings)),
    { needs, until: 'role' },
  );
}

function volts(sourceId: string, place: StitchPlace, value: number): Reading {
  return {
    id: `${sourceId}-${place}`,
    sourceId,
    contact: undefined,
    state: stateAt(place),
    value: { kind: 'volts', volts: value },
  };
}

/** Ids of the sources followed for the first need, best first. */
function followed(scope: FindScope): string[] {
  const [wanted] = scope.needs;
  if (wanted === undefined) throw new Error('no need was asked for');
  return pursuitsFor(wanted, scope, PARKED_NOW).map(({ verdict }) => verdict.sourceId);
}

describe('the sources that are followed for a need', () => {
  it('begin with the legend that fits it', () => {
    expect(followed(fieldFor(['WIPER', 'ACC', 'BAT'], [SUPPLY]))[0]).toBe('F2');
    expect(followed(fieldFor(['WIPER', 'ACC', 'BAT'], [MEMORY]))[0]).toBe('F3');
  });

  // Instruments hold through cranking, radios do not: common practice.
  it('take a likely cautious legend before an unlikely harmless one', () => {
    const order = followed(fieldFor(['RADIO', 'METER'], [STEADY]));
    expect(order[0]).toBe('F2');
  });

  it('take a harmless legend before a cautious one that is as likely', () => {
    expect(followed(fieldFor(['HORN', 'MEMORY'], [MEMORY]))).toEqual(['F2', 'F1']);
  });

  it('leave a slot without a legend for last', () => {
    expect(followed(fieldFor([undefined, 'ACC', 'CIG'], [SUPPLY])).at(-1)).toBe('F1');
  });

  it('never hold a blocked legend, or a source that the caller excludes', () => {
    const scope = fieldFor(['A/BAG', 'ACC', 'CIG'], [{ ...SUPPLY, excluded: ['F2'] }]);
    expect(followed(scope)).toEqual(['F3']);
  });

  it('drop a source as soon as a reading speaks against it', () => {
    const off = [volts('F1', 'off', 12.4)];
    expect(followed(fieldFor(['ACC', 'CIG'], [SUPPLY], off))).not.toContain('F1');
  });

  it('have checks whose expected outcomes settle them, and a danger no greater than is borne', () => {
    const scope = fieldFor(['ACC', 'CIG', 'IGN', 'METER', undefined, 'RADIO'], [STEADY]);
    const [wanted] = scope.needs;
    for (const pursuit of wanted === undefined ? [] : pursuitsFor(wanted, scope, PARKED_NOW)) {
      expect(pursuit.checks.map(({ place }) => place)).toContain('crank');
      expect(pursuit.danger).toBeLessThanOrEqual(0.45);
      expect(pursuit.seconds).toBeGreaterThan(0);
    }
  });
});

describe('the allotment', () => {
  it('gives the only source that can serve a need to that need', () => {
    const { leaders } = allot(fieldFor(['CIG', 'METER'], [SUPPLY, STEADY]), PARKED_NOW);
    const of = (needId: string) =>
      leaders.find(({ wanted }) => wanted.need.id === needId)?.verdict.sourceId;
    expect([of('supply'), of('steady')]).toEqual(['F1', 'F2']);
  });

  it('leaves a need without a source when there are fewer sources than needs', () => {
    const { leaders, filled } = allot(fieldFor(['ACC'], [SUPPLY, STEADY]), PARKED_NOW);
    expect(leaders.length + filled.size).toBe(1);
  });

  it('follows more needs than it tries the orders of', () => {
    const needs = [1, 2, 3, 4, 5, 6].map((id): Need => ({ ...SUPPLY, id: `supply${id}` }));
    const scope = fieldFor(['ACC', 'CIG', 'RADIO', 'WIPER', 'P/WDW', 'SUNROOF', 'ACC 2'], needs);
    expect(allot(scope, PARKED_NOW).leaders).toHaveLength(needs.length);
  });

  it('never gives one source to two needs, whatever was read', () => {
    const legends = ['BAT', 'ACC', 'CIG', 'IGN', 'METER', 'TAIL', undefined, 'RADIO'];
    const rows = fc.array(
      fc.tuple(
        fc.integer({ min: 1, max: legends.length }),
        fc.constantFrom(...STITCH_PLACES),
        fc.constantFrom(0, 12.4),
      ),
      { maxLength: 16 },
    );
    fc.assert(
      fc.property(rows, (read) => {
        const readings = read.map(([slot, place, value], index) => ({
          ...volts(`F${slot}`, place, value),
          id: `r${index}`,
        }));
        const { filled, leaders } = allot(
          fieldFor(legends, [MEMORY, SUPPLY, STEADY, DIM], readings),
          PARKED_NOW,
        );
        const given = [...filled.values(), ...leaders.map(({ verdict }) => verdict.sourceId)];
        expect(new Set(given).size).toBe(given.length);
      }),
      { numRuns: 60 },
    );
  });
});

describe('a source that the log names', () => {
  const claim = (of: LoggedClaim['function'], probability = 0.99): LoggedClaim => ({
    ...{ tapPointId: 't', function: of, probability, seen: [] },
  });
  const checks = (
    need: Need,
    logged: LoggedClaim | undefined,
    more: { readings?: readonly Reading[]; at?: StitchPlace } = {},
  ) => {
    const source: ProbeSource = {
      ...{ id: 'F1', name: 'F1', legend: undefined, fitted: true, tappable: true, logged },
    };
    const scope = findScopeOf([source], [judge(source, more.readings ?? [])], {
      ...{ needs: [need], until: 'role' },
    });
    const [wanted] = scope.needs;
    if (wanted === undefined) throw new Error('no need was asked for');
    const state = stateAt(more.at ?? 'off');
    const [pursuit] = pursuitsFor(wanted, scope, { ...PARKED_NOW, state });
    return pursuit;
  };
  const places = (...of: Parameters<typeof checks>): string =>
    (checks(...of)?.checks ?? [])
      .map(({ place, expectLive }) => `${place} ${expectLive === true ? 'live' : 'dead'}`)
      .join(', ');

  it('wants one live reading on this car, where that is cheapest', () => {
    expect(places(MEMORY, claim('constant'))).toBe('off live');
    expect(places(MEMORY, claim('constant'), { at: 'run' })).toBe('run live');
    expect(checks(MEMORY, claim('constant'))).toMatchObject({ danger: 0, seconds: 5 });
    expect(checks(MEMORY, claim('constant'))?.checks[0]?.gain).toBe(0.99);
  });

  it('is also looked at where a switched feed must be dead', () => {
    expect(places(SUPPLY, claim('accessory'))).toBe('off dead, run live');
    expect(checks(SUPPLY, claim('accessory'))?.seconds).toBe(5 + 4 + 5);
    const read = [volts('F1', 'run', 12.4)];
    expect(places(SUPPLY, claim('accessory'), { readings: read })).toBe('off dead');
  });

  it('wants no other live reading where one of its own places is live', () => {
    expect(places(STEADY, claim('ignitionRunCrank'))).toBe('off dead, crank live');
  });

  it('is read like any other where the log can’t be trusted, or names something else', () => {
    expect(places(SUPPLY, claim('accessory', 0.97))).toBe('off dead, run live');
    const plain = checks(SUPPLY, claim('accessory', 0.96));
    // What is not trusted is in doubt: a gain is a share of the doubt then.
    for (const { gain } of plain?.checks ?? []) expect(gain).not.toBe(0.96);
    expect(checks(MEMORY, claim('accessory'))).toBeUndefined();
  });
});
