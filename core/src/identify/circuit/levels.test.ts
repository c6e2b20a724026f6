import type { StitchPlace } from '../../vehicle';
import { stateAt } from '../../vehicle';
import type { Reading, ReadingValue } from '../reading/reading';
import { betweenOf, isBetween, isDisproved, measuredBetween } from '../reading/between';
import type { Level } from './levels';
import { LEVELS, likelihoods } from './levels';

const at = (value: ReadingValue, place: StitchPlace = 'run', clip?: 'constant') =>
  Object.fromEntries(
    likelihoods({ value, state: stateAt(place), ...(clip && { clip }) }).map(
      (likelihood, index) => [LEVELS[index], likelihood],
    ),
  ) as Record<Level, number>;
const volts = (value: number, place: StitchPlace = 'run', clip?: 'constant') =>
  at({ kind: 'volts', volts: value }, place, clip);
/** The levels that a reading fits best, within a factor of two of one another. */
const best = (of: Record<Level, number>): string => {
  const top = Math.max(...Object.values(of));
  return LEVELS.filter((level) => of[level] >= top / 2).join(' ');
};

describe('how well a reading fits each level', () => {
  // Voltages of circuits at rest and at work, common practice; a CAN line rests near 2.5 V (ISO 11898).
  it('goes by the voltage that stands there', () => {
    expect(best(volts(12.4))).toBe('battery pulled');
    expect(best(volts(10.5, 'crank'))).toBe('battery pulled');
    expect(best(volts(14.2, 'engine'))).toBe('battery pulled');
    expect(best(volts(0.01))).toMatch(/^ground chassis/);
    expect(best(volts(2.5))).toMatch(/^bus/);
    expect(best(volts(5.0))).toMatch(/^five/);
    expect(best(volts(6.2))).toMatch(/half/);
    expect(best(volts(0.4))).toMatch(/^open/);
    // The sign does not matter: the leads were swapped.
    expect(volts(-12.4)).toEqual(volts(12.4));
  });

  it('counts down from the constant where the instrument is clipped there', () => {
    expect(best(volts(12.4, 'off', 'constant'))).toMatch(/^ground chassis/);
    expect(best(volts(0.01, 'off', 'constant'))).toBe('battery quiet pulled');
    const some = volts(8, 'off', 'constant');
    // An open wire follows the clip, or a leak holds it anywhere up to three quarters of the battery.
    expect(some.open).toBeGreaterThan(10 * some.ground);
    expect(some.quiet).toBeGreaterThan(10 * some.ground);
    const near = volts(0.05, 'off', 'constant');
    expect(near.quiet).toBeGreaterThan(5 * near.ground);
    const far = volts(12.2, 'off', 'constant');
    expect(far.quiet).toBeLessThan(far.ground / 5);
  });

  it('is a density: over all voltages each level comes to one, less where digits jump', () => {
    const STEP = 0.02;
    for (const clip of [undefined, 'constant'] as const) {
      const sums: Partial<Record<Level, number>> = {};
      for (let value = STEP / 2; value < 60; value += STEP)
        for (const [level, density] of Object.entries(volts(value, 'off', clip)))
          sums[level as Level] = (sums[level as Level] ?? 0) + density * STEP;
      for (const level of LEVELS) {
        expect([clip, level, (sums[level] ?? 0) < 1.1]).toEqual([clip, level, true]);
        if (clip === undefined && level !== 'pulse')
          expect([level, (sums[level] ?? 0) > 0.9]).toEqual([level, true]);
      }
    }
  });

  it('tells a pulse by digits that jump', () => {
    const jumping = at({ kind: 'pulsing', lowV: 0, highV: 12 });
    expect(best(jumping)).toBe('pulse');
    expect(jumping.pulse).toBeCloseTo(0.85, 9);
    expect(jumping.ground).toBeLessThan(0.01);
  });

  // What a lamp does on each circuit, common practice: it burns on what can feed something.
  it('tells by a lamp what can feed something', () => {
    expect(best(at({ kind: 'glow', glow: 'lit' }))).toMatch(/^battery/);
    expect(best(at({ kind: 'glow', glow: 'dark' }))).not.toMatch(/battery/);
    expect(at({ kind: 'glow', glow: 'lit' }).pulled).toBeLessThan(
      at({ kind: 'glow', glow: 'lit' }).battery / 10,
    );
    // On the constant it burns on ground, and on nothing else.
    expect(best(at({ kind: 'glow', glow: 'lit' }, 'off', 'constant'))).toMatch(
      /^ground chassis$|^chassis$|^ground$/,
    );
    // While cranking it burns dim now and then on a good supply.
    const cranking = at({ kind: 'glow', glow: 'dim' }, 'crank').battery;
    expect(cranking).toBeGreaterThan(2 * at({ kind: 'glow', glow: 'dim' }).battery);
    expect(at({ kind: 'glow', glow: 'dim' }, 'crank', 'constant').battery).toBe(
      at({ kind: 'glow', glow: 'dim' }, 'off', 'constant').battery,
    );
    // An LED hardly loads: it glows on a pull-up, where a filament stays dark.
    expect(at({ kind: 'led', glow: 'lit' }).pulled).toBeGreaterThan(
      10 * at({ kind: 'glow', glow: 'lit' }).pulled,
    );
  });

  it('tells ground by hardly any ohms, loads by some, open ends by none', () => {
    const ohms = (ohm: number | null) => best(at({ kind: 'ohms', ohm }, 'off'));
    expect(ohms(0.2)).toBe('chassis');
    expect(ohms(1.5)).toBe('chassis');
    expect(ohms(1.6)).not.toBe('chassis');
    expect(ohms(8)).toBe(ohms(1.6));
    expect(ohms(8.1)).toMatch(/bus five/);
    expect(ohms(null)).toBe('open quiet');
    expect(ohms(2e6)).toBe(ohms(null));
  });

  it('has nothing to say of a pop, and chances that come to one for what can be shown', () => {
    expect(new Set(Object.values(at({ kind: 'pop', cone: 'out', speaker: 'x' })))).toEqual(
      new Set([1]),
    );
    for (const kind of ['glow', 'led'] as const)
      for (const level of LEVELS) {
        const sum = (['lit', 'dim', 'dark', 'pulsing'] as const).reduce(
          (total, glow) => total + at({ kind, glow })[level],
          0,
        );
        expect([kind, level, sum > 0.98 && sum < 1.02]).toEqual([kind, level, true]);
      }
    for (const level of LEVELS) {
      const sum = [0.1, 4, 100, null].reduce(
        (total: number, ohm) => total + at({ kind: 'ohms', ohm })[level],
        0,
      );
      expect(sum).toBeCloseTo(1, 6);
    }
  });
});

describe('ohms between two wires', () => {
  let count = 0;
  const read = (sourceId: string, otherId: string | undefined, value: ReadingValue): Reading => {
    count += 1;
    const state = stateAt('off');
    return { id: `r${count}`, sourceId, otherId, contact: undefined, state, value };
  };
  const ohms = (a: string, b: string | undefined, ohm: number | null) =>
    read(a, b, { kind: 'ohms', ohm });
  const none = (a: string, b: string) =>
    read(a, b, { kind: 'pop', cone: 'none', speaker: undefined });

  // Voice coils of 2 to 16 Ω, common practice; one or two terminating resistors of 120 Ω, ISO 11898.
  it('are a coil, a terminated pair, or neither', () => {
    expect([1.4, 1.5, 4, 20, 20.1].map(betweenOf)).toEqual([
      ...[undefined, 'coil', 'coil', 'coil', undefined],
    ]);
    expect([47, 48, 60, 75, 76, 99, 100, 120, 140, 141].map(betweenOf)).toEqual([
      ...[undefined, 'terminated', 'terminated', 'terminated', undefined],
      ...[undefined, 'terminated', 'terminated', 'terminated', undefined],
    ]);
    expect(betweenOf(null)).toBeUndefined();
  });

  it('are kept for both wires, unless a pop moved nothing', () => {
    const shown = (...readings: Reading[]) => Object.fromEntries(measuredBetween(readings));
    expect(shown(ohms('a', 'b', 4))).toEqual({ a: 'coil', b: 'coil' });
    expect(shown(ohms('a', undefined, 4))).toEqual({});
    expect(shown(ohms('a', 'b', 30))).toEqual({});
    expect(shown(ohms('a', 'b', 4), none('b', 'a'))).toEqual({});
    expect(shown(ohms('a', 'b', 60), none('b', 'a'))).toEqual({ a: 'terminated', b: 'terminated' });
    expect(shown(ohms('a', 'b', 4), none('a', 'c'))).toEqual({ a: 'coil', b: 'coil' });
    expect(isDisproved([none('a', 'b')], 'b', 'a')).toBe(true);
    expect(isDisproved([none('a', 'b')], 'a', 'c')).toBe(false);
    expect(isDisproved([ohms('a', 'b', 4)], 'a', 'b')).toBe(false);
  });

  it('lie between both, either way round, and not between a wire and itself', () => {
    const one = ohms('a', 'b', 4);
    expect([isBetween(one, 'a', 'b'), isBetween(one, 'b', 'a')]).toEqual([true, true]);
    expect([isBetween(one, 'a', 'c'), isBetween(one, 'c', 'b'), isBetween(one, 'a', 'a')]).toEqual([
      ...[false, false, false],
    ]);
  });
});
