import fc from 'fast-check';
import { PARKED, stateAt } from '../vehicle';
import type { StitchPlace } from '../vehicle';
import { advise } from './advise';
import type { FindSession } from './advise';
import { readLabel, readWritten } from './legend/readLabel';
import type { Reading } from './reading/reading';
import type { ProbeSource } from './reading/source';
import { judgeSource as judge } from './judgeSource';

const SUPPLY = { id: 'supply', role: 'switched' } as const;

function slot(id: string, legend: string | undefined, handbook?: string | null): ProbeSource {
  return { id, name: id, legend, handbook, fitted: true, tappable: true, logged: undefined };
}

function volts(sourceId: string, rows: readonly (readonly [StitchPlace, number])[]): Reading[] {
  return rows.map(([place, shown]) => ({
    id: `${sourceId} ${place}`,
    sourceId,
    contact: undefined,
    state: stateAt(place),
    value: { kind: 'volts', volts: shown },
  }));
}

const SWITCHED: readonly (readonly [StitchPlace, number])[] = [
  ['off', 0.01],
  ['acc', 0.02],
  ['run', 12.2],
  ['crank', 0.03],
];

function session(sources: readonly ProbeSource[], handbook: boolean): FindSession {
  const readings = sources.flatMap(({ id }) => volts(id, SWITCHED));
  return { sources, readings, state: stateAt('run'), needs: [SUPPLY], handbook };
}

describe('what the handbook says', () => {
  it('is read before the print, and trusted more', () => {
    const print = readLabel('RADIO');
    const entry = readWritten({ legend: 'X7', handbook: 'Radio' });
    expect(entry).toMatchObject({ safety: 'free', lookedUp: true, meaning: print.meaning });
    expect(entry.prior.accessory).toBeGreaterThan(print.prior.accessory);
    expect(Object.values(entry.prior).reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
  });

  it('makes a slot dangerous that prints nothing, and one that prints something harmless', () => {
    expect(readWritten({ legend: undefined, handbook: 'Airbag control unit' }).safety).toBe(
      'block',
    );
    expect(readWritten({ legend: 'RADIO', handbook: 'Airbag control unit' }).safety).toBe('block');
  });

  it('does not make a print harmless that names danger plainly', () => {
    for (const legend of ['A/BAG', 'ECU-B', 'STOP'])
      expect(readWritten({ legend, handbook: 'Radio' })).toMatchObject({
        safety: 'block',
        lookedUp: false,
      });
  });

  it('changes nothing when it lists nothing or can’t be read', () => {
    for (const handbook of [null, undefined, 'Zqxv'])
      expect(readWritten({ legend: 'WIPER', handbook })).toEqual(readLabel('WIPER'));
  });

  it('never makes danger smaller than a plain print of it does, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 24 }), (handbook) => {
        expect(readWritten({ legend: 'SRS AIRBAG', handbook }).safety).toBe('block');
      }),
    );
  });

  it('counts for the chance of danger in a verdict', () => {
    const readings = volts('F1', SWITCHED);
    const chance = (handbook: string | null | undefined) =>
      judge(slot('F1', undefined, handbook), readings).posterior.critical;
    expect(chance('Heated seats')).toBeLessThan(0.1 * chance(null));
    expect(chance(null)).toBe(chance(undefined));
  });
});

describe('the plan with a handbook at hand', () => {
  it('asks it about a slot that prints nothing before that slot serves, and says what it takes', () => {
    const advice = advise(session([slot('F1', undefined)], true));
    expect(advice.filled).toEqual({});
    expect(advice.next).toMatchObject({ kind: 'handbook', sourceId: 'F1', seconds: 40 });
    if (advice.next.kind !== 'handbook') throw new Error('nothing was asked');
    expect(advice.next.because).toMatch(/can’t be read.*\d+ %/);
  });

  it('takes the slot once the book calls it harmless, and leaves it when the book names danger', () => {
    const harmless = advise(session([slot('F1', undefined, 'Heated seats')], true));
    expect(harmless.filled).toEqual({ supply: 'F1' });
    const dangerous = advise(session([slot('F1', undefined, 'ABS pump')], true));
    expect(dangerous.filled).toEqual({});
    expect(dangerous.next.kind).toBe('exhausted');
  });

  it('falls back to the readings when the book lists nothing, and asks only once', () => {
    const { next, filled } = advise(session([slot('F1', undefined, null)], true));
    expect([next.kind, filled]).toEqual(['filled', { supply: 'F1' }]);
  });

  it('does not ask about a slot that prints something harmless, nor where there is no book', () => {
    expect(advise(session([slot('F1', 'WIPER')], true)).next.kind).toBe('filled');
    expect(advise(session([slot('F1', undefined)], false)).next.kind).toBe('filled');
  });

  it('reads on where that is cheap before it asks', () => {
    const { next } = advise({
      sources: [slot('F1', undefined)],
      readings: volts('F1', [['off', 0.01]]),
      state: PARKED,
      needs: [SUPPLY],
      handbook: true,
    });
    expect(next.kind).toBe('visit');
  });
});

describe('a slot whose readings speak against its print', () => {
  /** A clock or radio memory that is dead with the key off and holds through cranking: another circuit's print. */
  const HELD: readonly (readonly [StitchPlace, number])[] = [
    ['off', 0.01],
    ['acc', 0.02],
    ['run', 12.2],
    ['crank', 10.4],
    ['engine', 14.1],
  ];
  const held = (source: ProbeSource, handbook = false) => {
    const readings = volts(source.id, HELD);
    const needs = [{ ...SUPPLY, holdsCranking: true }];
    return advise({ sources: [source], readings, state: stateAt('run'), needs, handbook });
  };

  it('does not serve by what it prints, though one that prints nothing and is no safer may', () => {
    const printed = held(slot('F1', 'RADIO'));
    const silent = advise(session([slot('F1', undefined)], false));
    const danger = (advice: typeof printed): number => advice.verdicts[0]?.posterior.critical ?? 0;
    expect(danger(printed)).toBeGreaterThan(0.15);
    expect(danger(printed)).toBeLessThan(0.42);
    expect(printed.filled).toEqual({});
    expect(printed.next.kind).toBe('exhausted');
    expect(danger(silent)).toBeGreaterThan(0.1);
    expect(silent.filled).toEqual({ supply: 'F1' });
  });

  // A lighter behind the ignition is rare, but there are some; that it wants a reason is in `screen.test`.
  it('still serves where its readings are only unlikely for its print', () => {
    const { verdicts, filled } = held(slot('F1', 'CIG LTR'));
    expect(verdicts[0]?.posterior.critical).toBeGreaterThan(0.1);
    expect(filled).toEqual({ supply: 'F1' });
  });

  it('serves once the handbook has cleared it, which is asked for', () => {
    const asked = held(slot('F1', 'CIG LTR'), true);
    expect(asked.next).toMatchObject({ kind: 'handbook', sourceId: 'F1' });
    const cleared = held(slot('F1', 'CIG LTR', 'Instrument cluster'), true);
    expect(cleared.filled).toEqual({ supply: 'F1' });
  });

  it('is all the same where its print fits', () => {
    expect(held(slot('F1', 'METER')).filled).toEqual({ supply: 'F1' });
  });
});

it('begins anew with what the handbook has named, rather than go on with a print that is one touch ahead', () => {
  const ahead = (handbook: string | undefined) =>
    advise({
      sources: [slot('F1', 'BATT'), slot('F2', 'BATT', handbook)],
      readings: volts('F1', [['off', 12.4]]),
      state: stateAt('off'),
      needs: [{ id: 'memory', role: 'constant' }],
    }).tentative;
  expect(ahead(undefined)).toEqual({ memory: 'F1' });
  expect(ahead('Battery feed')).toEqual({ memory: 'F2' });
});
