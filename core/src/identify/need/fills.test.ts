import type { StitchPlace } from '../../vehicle';
import { stateAt } from '../../vehicle';
import { newBeliefCache } from '../belief/beliefCache';
import { posterior } from '../belief/posterior';
import { readWritten } from '../legend/readLabel';
import type { Reading, ReadingValue } from '../reading/reading';
import type { LoggedClaim, ProbeSource } from '../reading/source';
import { judge } from '../verdict/judge';
import type { Verdict } from '../verdict/verdict';
import { doubtOf, doubtTaken, expectation, isOpen, passingChances, remove } from './doubt';
import { byScarcity, fills, fillsFor, isRead, isSeen, maySupply, wantsName } from './fills';
import { findScopeOf } from './findScope';
import type { Need } from './needs';
import { preparedNeedOf } from './needs';
import { servingLead } from './speakerLead';

const source = (
  id: string,
  legend: string | undefined,
  more: Partial<ProbeSource> = {},
): ProbeSource => ({
  ...{ id, name: id, legend, fitted: true, tappable: true, logged: undefined, ...more },
});
let count = 0;
const read = (place: StitchPlace, value: ReadingValue, more: Partial<Reading> = {}): Reading => {
  count += 1;
  const state = stateAt(place);
  return { id: `r${count}`, sourceId: 's', contact: undefined, state, value, ...more };
};
const volts = (place: StitchPlace, value: number, more: Partial<Reading> = {}) =>
  read(place, { kind: 'volts', volts: value }, more);
const cache = newBeliefCache();
const verdictOf = (of: ProbeSource, readings: readonly Reading[]): Verdict =>
  judge(
    of,
    readings.map((one) => ({ ...one, sourceId: of.id })),
    {
      read: readWritten,
      posterior: (prior, own) => posterior(prior, own, cache),
    },
  );
const need = (of: Omit<Need, 'id'>) => preparedNeedOf({ id: 'n', ...of });
const CONSTANT = need({ role: 'constant' });
const SWITCHED = need({ role: 'switched' });
const BAT = source('s', 'BAT');
/** A constant, read where look-alikes pass for it. */
const SEEN = (['off', 'run', 'asleep', 'crank', 'waited'] as const).map((place) =>
  volts(place, place === 'crank' ? 10.8 : 12.5),
);
const without = (...gone: StitchPlace[]): Reading[] =>
  SEEN.filter(
    ({ state }) => !gone.some((place) => JSON.stringify(state) === JSON.stringify(stateAt(place))),
  );

describe('whether a source fills a need', () => {
  it('wants what was read to be sure, and seen where it must be', () => {
    expect(fills(CONSTANT, verdictOf(BAT, SEEN))).toBe(true);
    expect(fills(CONSTANT.need, verdictOf(BAT, SEEN))).toBe(true);
    expect(fills(CONSTANT, verdictOf(BAT, []))).toBe(false);
    expect(fills(CONSTANT, verdictOf(BAT, without('asleep')))).toBe(false);
    expect(fills(SWITCHED, verdictOf(BAT, SEEN))).toBe(false);
    // Readings that disagree fill nothing.
    expect(fills(CONSTANT, verdictOf(BAT, [...SEEN, volts('run', 0)]))).toBe(false);
  });

  it('wants the function named where the log is to have it, but of what lives until a door opens', () => {
    const switched = [
      volts('off', 0),
      volts('off', 0),
      volts('run', 12.4),
      volts('engine', 14),
      volts('asleep', 0),
    ];
    const acc = verdictOf(source('s', 'ACC'), switched);
    expect([fills(SWITCHED, acc), fills(SWITCHED, acc, 'function')]).toEqual([true, false]);
    expect(acc.status).not.toBe('resolved');
    expect(wantsName(SWITCHED, 'function')).toBe(true);
    expect(wantsName(SWITCHED, 'role')).toBe(false);
    expect(wantsName(need({ role: 'retained' }), 'function')).toBe(false);
    const named = verdictOf(BAT, SEEN);
    expect([named.status, fills(CONSTANT, named, 'function')]).toEqual(['resolved', true]);
  });

  it('believes a log that a reading confirms: asleep need not be seen again', () => {
    const logged: LoggedClaim = {
      ...{ tapPointId: 't', function: 'constant', probability: 0.99 },
      seen: ['off', 'asleep', 'crank'],
    };
    const of = source('s', 'BAT', { logged });
    const confirmed = verdictOf(of, [volts('off', 12.5)]);
    expect(confirmed.confirmsLog).toBe(true);
    expect(fills(CONSTANT, confirmed)).toBe(true);
    expect(verdictOf(of, []).confirmsLog).toBe(false);
    // A dead reading, ohms, or one at a contact of the empty slot confirms nothing.
    expect(verdictOf(of, [volts('off', 0)]).confirmsLog).toBe(false);
    expect(verdictOf(of, [volts('off', 12.5, { contact: 'a' })]).confirmsLog).toBe(false);
    // Whatever the log says, what was read otherwise here serves nothing.
    const dead = [volts('run', 0), volts('run', 0), volts('asleep', 0)];
    expect(fills(CONSTANT, verdictOf(of, [volts('off', 12.5), ...dead]))).toBe(false);
    const weak = source('s', 'BAT', { logged: { ...logged, probability: 0.96 } });
    expect(verdictOf(weak, [volts('off', 12.5)]).confirmsLog).toBe(false);
    const other = source('s', 'BAT', { logged: { ...logged, function: 'lamps' } });
    expect(verdictOf(other, SEEN).confirmsLog).toBe(false);
  });

  it('sees a place by a plain reading there, and where it must be dead not by a single touch that may have missed', () => {
    const one = verdictOf(source('s', undefined), [volts('off', 12.5), volts('run', 12.5)]);
    expect([isRead('off', one), isRead('acc', one)]).toEqual([true, false]);
    const atContact = verdictOf(BAT, [volts('off', 12.5, { contact: 'b' })]);
    expect(isRead('off', atContact)).toBe(false);
    expect(isSeen('off', CONSTANT, one)).toBe(true);
    expect(isSeen('acc', CONSTANT, one)).toBe(false);
    const once = verdictOf(BAT, [volts('off', 0), volts('run', 12.4)]);
    const twice = verdictOf(BAT, [volts('off', 0), volts('off', 0), volts('run', 12.4)]);
    expect([isSeen('off', SWITCHED, once), isSeen('off', SWITCHED, twice)]).toEqual([false, true]);
    // Where it must be live nothing was missed.
    expect(isSeen('run', SWITCHED, once)).toBe(true);
  });
});

describe('sources for a need', () => {
  const sources = [
    source('a', 'BAT'),
    source('b', 'BATT'),
    source('c', 'HORN'),
    source('d', undefined),
  ];
  const scope = (needs: readonly Need[], more: { handbook?: boolean } = {}) =>
    findScopeOf(
      sources,
      sources.map((one) => verdictOf(one, SEEN)),
      { needs, until: 'role', ...more },
    );
  const found = (of: Omit<Need, 'id'>, more: { handbook?: boolean } = {}): string =>
    fillsFor(need(of), scope([{ id: 'n', ...of }], more))
      .map(({ sourceId }) => sourceId)
      .join(' ');

  it('come in the order of their price, without those that must not serve it', () => {
    expect(found({ role: 'constant' })).toMatch(/^[ab] [ab] c( d)?$/);
    expect(found({ role: 'constant', excluded: ['a', 'c'] })).toMatch(/^b( d)?$/);
    expect(found({ role: 'switched' })).toBe('');
    // What the handbook must be asked about first does not serve yet.
    expect(found({ role: 'constant' }, { handbook: true })).not.toContain('d');
    expect([
      maySupply(CONSTANT, 'a'),
      maySupply(need({ role: 'constant', excluded: ['a'] }), 'a'),
    ]).toEqual([true, false]);
  });

  it('are given to the need that has the fewest first', () => {
    const needs: Need[] = [
      { id: 'many', role: 'constant' },
      { id: 'few', role: 'constant', excluded: ['a', 'b', 'c'] },
    ];
    const order = (of: readonly Need[]): string =>
      byScarcity(scope(of))
        .map((one) => one.need.id)
        .join(' ');
    expect(order(needs)).toBe('few many');
    expect(order([...needs].reverse())).toBe('few many');
    expect(order(needs.slice(0, 1))).toBe('many');
  });
});

describe('the lead of a speaker', () => {
  const given = (popped?: { speaker: string; end: 'plus' | 'minus' }) => ({ popped }) as never;
  const chance = (role: string, popped?: { speaker: string; end: 'plus' | 'minus' }): number =>
    Math.max(...servingLead({ role, speaker: 'frontLeft' as never })(given(popped)));

  it('is one of eight until a pop has told which, and then that one alone', () => {
    expect(chance('speakerPlus')).toBe(1 / 8);
    expect(chance('speakerPlus', { speaker: 'frontLeft', end: 'plus' })).toBe(1);
    expect(chance('speakerMinus', { speaker: 'frontLeft', end: 'minus' })).toBe(1);
    expect(chance('speakerPlus', { speaker: 'frontLeft', end: 'minus' })).toBe(0);
    expect(chance('speakerPlus', { speaker: 'rearLeft', end: 'plus' })).toBe(0);
    expect(chance('speakerMinus', { speaker: 'frontLeft', end: 'plus' })).toBe(0);
  });
});

describe('doubt', () => {
  const sum = (of: readonly number[]): number => of.reduce((total, one) => total + one, 0);
  const unread = verdictOf(source('s', undefined), []);

  it('is what would not serve, and is left while that outweighs how sure one wants to be', () => {
    const doubt = doubtOf(CONSTANT, unread);
    expect(sum(doubt.believed) + doubt.serving.believed).toBeCloseTo(1, 6);
    expect(sum(doubt.byReadings) + doubt.serving.byReadings).toBeCloseTo(1, 6);
    expect(sum(doubt.critical)).toBeCloseTo(unread.posterior.critical, 9);
    expect(isOpen(doubt)).toBe(true);
    expect(isOpen(doubtOf(CONSTANT, verdictOf(BAT, SEEN)))).toBe(false);
    expect(isOpen(doubtOf(SWITCHED, verdictOf(BAT, SEEN)))).toBe(true);
  });

  it('expects what most that serves would show, and nothing where it differs', () => {
    const at = (of: typeof CONSTANT, place: StitchPlace) => expectation(of, unread, place);
    for (const place of ['off', 'run', 'asleep', 'crank', 'acc'] as const)
      expect([place, at(CONSTANT, place)]).toEqual([place, true]);
    expect([at(SWITCHED, 'off'), at(SWITCHED, 'run'), at(SWITCHED, 'asleep')]).toEqual([
      ...[false, true, false],
    ]);
    // Switched feeds hold while cranking or drop, as the circuit is.
    expect(at(SWITCHED, 'crank')).toBeUndefined();
  });

  it('is taken away by what a place is expected to show, once', () => {
    const doubt = doubtOf(CONSTANT, unread);
    const before = sum(doubt.believed) + sum(doubt.byReadings);
    const taken = doubtTaken(doubt, 'asleep', true);
    expect(taken).toBeGreaterThan(0);
    const failing = remove(doubt, 'asleep', true);
    expect(failing).toBeGreaterThan(0);
    expect(failing).toBeLessThanOrEqual(1);
    const after = sum(doubt.believed) + sum(doubt.byReadings);
    // What was safety-critical counts four times in what is worth taking, and is no part of the two sums.
    expect(before - after).toBeLessThanOrEqual(taken + 1e-9);
    expect(before - after).toBeGreaterThan(0);
    // Only "none of these" is left to be taken there again.
    expect(doubtTaken(doubt, 'asleep', true)).toBeLessThan(taken / 2);
    expect(remove(doubt, 'asleep', true)).toBe(0);
    // What would be dead there is not touched by that.
    const switched = doubtOf(SWITCHED, unread);
    expect(doubtTaken(switched, 'off', false)).not.toBeCloseTo(
      doubtTaken(switched, 'off', true),
      3,
    );
  });

  it('passes checks by the chance that a source shows what they hope for', () => {
    const places = ['off', 'run', 'asleep'] as const;
    const passing = passingChances(
      {
        verdict: unread,
        checks: [
          { place: 'off', expectLive: true },
          { place: 'run', expectLive: true },
          { place: 'asleep' },
        ],
      },
      places,
    );
    expect(passing).toHaveLength(8);
    // Nothing asked: everything passes, but for what is too unlikely to change an order.
    expect(passing[0]).toBeGreaterThan(0.99);
    const [none = 0, off = 0, run = 0, both = 0] = passing;
    expect(off).toBeLessThan(none);
    expect(both).toBeLessThanOrEqual(Math.min(off, run));
    expect(both).toBeGreaterThan(0);
    // A check that hopes for nothing is always passed.
    expect([passing[4], passing[5], passing[7]]).toEqual([none, off, both]);
  });
});
