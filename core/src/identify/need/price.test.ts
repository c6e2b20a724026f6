import type { ProbeSource } from '../reading/source';
import { findScopeOf, isCandidate } from './findScope';
import { isTooRisky, priceOf, wantsLookUp } from './price';

const slot = (
  id: string,
  legend: string | undefined,
  more: Partial<ProbeSource> = {},
): ProbeSource => ({
  ...{ id, name: id, legend, fitted: true, tappable: true, logged: undefined, ...more },
});
const SOURCES = [
  slot('free', 'CIG'),
  slot('care', 'HORN'),
  slot('silent', undefined),
  slot('block', 'ABS'),
  slot('told', undefined, { handbook: 'CIG' }),
  slot('none', undefined, { handbook: null }),
  slot('shut', 'CIG', { reachS: 90 }),
  { ...slot('wire', undefined), kind: 'wire' } as ProbeSource,
];
const scope = (handbook?: boolean) =>
  findScopeOf(SOURCES, [], {
    needs: [],
    until: 'role',
    ...(handbook !== undefined && { handbook }),
  });

describe('what taking a source costs, in seconds of work', () => {
  const price = (id: string, danger = 0, handbook = false): number =>
    priceOf(id, danger, scope(handbook));

  it('goes by its legend, its danger and the way to it', () => {
    expect([price('free'), price('care'), price('silent'), price('block')]).toEqual([
      ...[0, 25, 80, Infinity],
    ]);
    expect(price('free', 0.01)).toBe(20);
    expect(price('care', 0.1)).toBe(225);
    expect(price('shut')).toBe(90);
    expect(price('shut', 0.01)).toBe(110);
    // What nobody has heard of is as good as silent.
    expect(price('elsewhere')).toBe(80);
  });

  it('is the look into the handbook and what that leaves, where it must be asked first', () => {
    expect(price('silent', 0, true)).toBeCloseTo(40 + 0.15 * 80, 9);
    expect(price('silent', 0.1, true)).toBeCloseTo(40 + 0.15 * 280, 9);
    expect(price('free', 0.1, true)).toBeCloseTo(40 + 0.15 * 200, 9);
    // At 4 % nobody asks yet, and the danger counts in full.
    expect(price('free', 0.04, true)).toBe(80);
    expect(price('free', 0.05, true)).toBeCloseTo(40 + 0.15 * 100, 9);
    expect(price('told', 0.1, true)).toBe(200);
    expect(price('none', 0.1, true)).toBe(280);
    // A wire stands in no fuse table.
    expect(price('wire', 0, true)).toBe(80);
  });
});

describe('the handbook', () => {
  const wants = (id: string, danger = 0, handbook = true): boolean =>
    wantsLookUp(id, danger, scope(handbook));

  it('is asked once, about what is silent or may be dangerous, while it is at hand', () => {
    expect([wants('silent'), wants('free'), wants('care'), wants('block')]).toEqual([
      ...[true, false, false, false],
    ]);
    expect([wants('free', 0.04), wants('free', 0.041)]).toEqual([false, true]);
    // On a worn lid it is asked sooner.
    const worn = { ...scope(true), lookUpFrom: 0.02 };
    expect([0.02, 0.021].map((danger) => wantsLookUp('free', danger, worn))).toEqual([false, true]);
    expect([wants('told', 0.5), wants('none', 0.5), wants('wire', 0.5)]).toEqual([
      ...[false, false, false],
    ]);
    expect(wants('silent', 0.5, false)).toBe(false);
    expect(wantsLookUp('silent', 0.5, scope())).toBe(false);
  });

  it('may still clear what is too risky without it', () => {
    const risky = (id: string, danger: number, handbook: boolean): boolean =>
      isTooRisky(id, danger, scope(handbook));
    expect([risky('silent', 0.42, false), risky('silent', 0.43, false)]).toEqual([false, true]);
    expect([risky('free', 0.15, false), risky('free', 0.16, false)]).toEqual([false, true]);
    expect([risky('silent', 0.8, true), risky('silent', 0.81, true)]).toEqual([false, true]);
    expect([
      risky('told', 0.16, true),
      risky('none', 0.42, true),
      risky('none', 0.43, true),
    ]).toEqual([true, false, true]);
    expect([risky('elsewhere', 0.42, false), risky('elsewhere', 0.43, false)]).toEqual([
      ...[false, true],
    ]);
  });
});

it('leaves out what is blocked, not fitted or without a tap', () => {
  const may = (legend: string, more: Partial<ProbeSource> = {}): boolean =>
    isCandidate(slot('s', legend, more));
  expect([may('CIG'), may('ABS')]).toEqual([true, false]);
  expect([may('CIG', { fitted: false }), may('CIG', { tappable: false })]).toEqual([false, false]);
});
