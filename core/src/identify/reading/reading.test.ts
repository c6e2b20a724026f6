import { stateAt } from '../../vehicle';
import type { Reading, ReadingValue } from './reading';
import { assertReadingValue, describeValue, isPlain, senseOf } from './reading';
import { canHaveLegend } from './source';

describe('senseOf', () => {
  it.each([
    // Common practice: a constant slot shows 12.3 to 12.8 V, an accessory slot 0 V with the key off.
    ['off', 12.6, 'live'],
    ['off', 0.02, 'dead'],
    ['run', 4.2, 'part'],
    ['crank', 7.4, 'live'],
    ['off', 7.4, 'part'],
    ['off', -12.4, 'live'],
  ] as const)('at %s, %d V is %s', (place, volts, sense) => {
    expect(senseOf({ state: stateAt(place), value: { kind: 'volts', volts } })).toBe(sense);
  });

  it.each([
    ['lit', 'live'],
    ['dim', 'part'],
    ['dark', 'dead'],
  ] as const)('a %s lamp is %s', (glow, sense) => {
    expect(senseOf({ state: stateAt('off'), value: { kind: 'glow', glow } })).toBe(sense);
  });
});

describe('assertReadingValue', () => {
  it.each([-500, 1e9, 61])('refuses %d V and names the range', (volts) => {
    expect(() => assertReadingValue({ kind: 'volts', volts })).toThrow(RangeError);
  });
  it.each([Number.NaN, '12' as unknown as number])('refuses %p, which is no number', (volts) => {
    expect(() => assertReadingValue({ kind: 'volts', volts })).toThrow(TypeError);
  });
});

it('describes values with their unit', () => {
  expect(describeValue({ kind: 'volts', volts: 12.4 })).toBe('12.40 V');
  expect(describeValue({ kind: 'glow', glow: 'dim' })).toBe('lamp dim');
});

it('describes every kind of value', () => {
  const said = (value: ReadingValue): string => describeValue(value);
  expect(said({ kind: 'pulsing', lowV: 0, highV: 12.25 })).toMatch(/^jumps 0\.0 to 12\.[23] V$/);
  expect(said({ kind: 'led', glow: 'lit' })).toBe('LED lit');
  expect(said({ kind: 'ohms', ohm: null })).toBe('no continuity');
  expect(said({ kind: 'ohms', ohm: 3.84 })).toBe('3.8 Ω');
  expect(said({ kind: 'pop', cone: 'none', speaker: undefined })).toBe('no pop');
  expect(said({ kind: 'pop', cone: 'out', speaker: 'rear left' })).toBe('rear left, cone out');
  expect(said({ kind: 'pop', cone: 'in', speaker: undefined })).toBe('speaker, cone in');
});

it('takes the limits themselves, and nothing beyond', () => {
  const refused = (value: ReadingValue): string | undefined => {
    try {
      assertReadingValue(value);
    } catch (error) {
      return `${(error as Error).name}: ${(error as Error).message}`;
    }
    return undefined;
  };
  for (const good of [
    { kind: 'volts', volts: 60 },
    { kind: 'volts', volts: -60 },
    { kind: 'pulsing', lowV: 5, highV: 5 },
    { kind: 'ohms', ohm: 0 },
    { kind: 'ohms', ohm: 100e6 },
    { kind: 'ohms', ohm: null },
    { kind: 'glow', glow: 'pulsing' },
    { kind: 'led', glow: 'dark' },
    { kind: 'pop', cone: 'unseen', speaker: 'rear' },
  ] as const)
    expect(refused(good)).toBeUndefined();
  expect(refused({ kind: 'volts', volts: 60.1 })).toBe(
    'RangeError: A reading must lie within -60 and 60 V, got 60.1 V: check the unit',
  );
  expect(refused({ kind: 'pulsing', lowV: 5, highV: 4 })).toMatch(/^RangeError: .* 5 and 60 V/);
  expect(refused({ kind: 'pulsing', lowV: -61, highV: 4 })).toMatch(/^RangeError/);
  expect(refused({ kind: 'ohms', ohm: -1 })).toMatch(/^RangeError: .* 0 and 100000000 Ω, got -1 Ω/);
  expect(refused({ kind: 'ohms', ohm: 'x' as never })).toBe(
    'TypeError: A reading in Ω must be a number, got x',
  );
  for (const kind of ['glow', 'led'] as const)
    expect(refused({ kind, glow: 'bright' as never })).toBe(
      'TypeError: A lamp is one of lit, dim, dark, pulsing, got bright',
    );
  expect(refused({ kind: 'pop', cone: 'up' as never, speaker: undefined })).toBe(
    'TypeError: A cone moves out, in, unseen, none, got up',
  );
});

it('is exact where live and dead begin', () => {
  const sense = (volts: number, place: 'run' | 'crank' = 'run') =>
    senseOf({ state: stateAt(place), value: { kind: 'volts', volts } });
  expect([sense(9), sense(8.99), sense(0.6), sense(0.61)]).toEqual([
    ...['live', 'part', 'dead', 'part'],
  ]);
  expect([sense(6.5, 'crank'), sense(6.49, 'crank')]).toEqual(['live', 'part']);
  const at = (value: ReadingValue) => senseOf({ state: stateAt('run'), value });
  expect(at({ kind: 'led', glow: 'lit' })).toBe('live');
  expect(at({ kind: 'glow', glow: 'pulsing' })).toBe('part');
  expect(at({ kind: 'pulsing', lowV: 0, highV: 12 })).toBe('part');
  expect(at({ kind: 'ohms', ohm: 0 })).toBe('part');
  expect(at({ kind: 'pop', cone: 'out', speaker: 'rear' })).toBe('part');
});

it('takes for plain what stands against ground with the fuse in, by volts or by a lamp', () => {
  const plain = (value: ReadingValue, more: Partial<Reading> = {}): boolean =>
    isPlain({
      ...{ id: 'r', sourceId: 's', contact: undefined, state: stateAt('run'), value, ...more },
    });
  const volts = { kind: 'volts', volts: 12 } as const;
  expect(plain(volts)).toBe(true);
  expect(plain({ kind: 'glow', glow: 'lit' })).toBe(true);
  expect(plain({ kind: 'pulsing', lowV: 0, highV: 1 })).toBe(true);
  expect(plain(volts, { clip: 'ground' })).toBe(true);
  expect(plain(volts, { clip: 'constant' })).toBe(false);
  expect(plain(volts, { contact: 'a' })).toBe(false);
  expect(plain({ kind: 'ohms', ohm: 1 })).toBe(false);
  expect(plain({ kind: 'pop', cone: 'out', speaker: 'x' })).toBe(false);
});

it('lets a legend stand at slots only', () => {
  expect([canHaveLegend({}), canHaveLegend({ kind: 'slot' })]).toEqual([true, true]);
  expect([canHaveLegend({ kind: 'wire' }), canHaveLegend({ kind: 'point' })]).toEqual([
    ...[false, false],
  ]);
});
