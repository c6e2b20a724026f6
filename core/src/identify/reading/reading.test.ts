import { stateAt } from '../../vehicle';
import { assertReadingValue, describeValue, senseOf } from './reading';

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
