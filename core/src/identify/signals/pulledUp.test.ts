import { bunchElsewhere, generateBunch } from '../../bench';
import type { BunchSignal } from '../../bench';
import { needsFor, scoreBunch, searchSignals } from '../../trial';
import type { VehicleState } from '../../vehicle';
import { stateAt } from '../../vehicle';
import type { FindSession, Glow, Need, ProbeSource, Reading } from '../index';
import { advise, soughtBy } from '../index';
import { LOOKS } from './looks';
import { mayTouch } from './worth';
import { mayBePulledUp } from '../verdict/settled';

// Common practice: a meter of 10 MΩ shows battery voltage on a speed or tach wire that its module pulls up, as on a feed;
// a filament lamp burns on the feed alone.

const ACCESSORY: Need = { id: 'acc', role: 'switched', liveInAcc: true };
const SUPPLIES: readonly BunchSignal[] = ['constant', 'ignition', 'accessory'];

const WIRES: readonly ProbeSource[] = ['W1', 'W2'].map((id) => ({
  ...{ kind: 'wire' as const, id, name: id, legend: undefined, fitted: true, tappable: true },
  ...{ logged: undefined, sought: soughtBy([ACCESSORY]) },
}));

let count = 0;
const taken = (sourceId: string, state: VehicleState, value: Reading['value']): Reading => ({
  ...{ id: `r${(count += 1)}`, sourceId, contact: undefined, state, value },
});
const volts = (sourceId: string, place: 'off' | 'acc' | 'run' | 'crank', value: number) =>
  taken(sourceId, stateAt(place), { kind: 'volts', volts: value });
const glow = (sourceId: string, value: Glow) =>
  taken(sourceId, stateAt('acc'), { kind: 'glow', glow: value });

/** W1 shows what an accessory wire does, W2 nothing anywhere. */
const BY_METER: readonly Reading[] = [
  ...[volts('W1', 'off', 0), volts('W1', 'crank', 0), volts('W1', 'run', 12.4)],
  ...[volts('W2', 'off', 0), volts('W2', 'off', 0), volts('W2', 'acc', 0), volts('W2', 'run', 0)],
  volts('W1', 'acc', 12.4),
];

const adviceOn = (readings: readonly Reading[], more: Partial<FindSession> = {}) =>
  advise({
    ...{ sources: WIRES, needs: [ACCESSORY], readings, state: stateAt('acc'), lamp: true },
    ...more,
  });

describe('a wire that shows battery voltage with the key on', () => {
  it('is tried with a lamp, on itself alone, before it is taken for a supply', () => {
    const { next, filled } = adviceOn(BY_METER);
    expect(filled).toEqual({});
    expect(next).toMatchObject({
      kind: 'visit',
      visit: { place: 'acc', sourceIds: ['W1'], withLamp: ['W1'], clip: 'ground', seconds: 10 },
      // Another tester in hand, and one touch.
      instruction: 'Test lamp clipped to bare metal, then touch W1.',
      because: expect.stringMatching(/pull-up/) as string,
      caution: expect.stringMatching(/on this wire only/) as string,
    });
  });

  it('is the supply once the lamp burns', () => {
    const { next, filled } = adviceOn([...BY_METER, glow('W1', 'lit')]);
    expect(filled).toEqual({ acc: 'W1' });
    expect(next.kind).toBe('filled');
  });

  it('is none when the lamp stays dark twice', () => {
    const { next, filled } = adviceOn([...BY_METER, glow('W1', 'dark'), glow('W1', 'dark')]);
    expect(filled).toEqual({});
    expect(next.kind).not.toBe('filled');
  });

  it('is taken by the meter alone where no lamp is at hand', () => {
    expect(adviceOn(BY_METER, { lamp: false }).filled).toEqual({ acc: 'W1' });
  });

  it('sends nobody for a lamp who has none, whatever is read so far', () => {
    const needs: Need[] = [ACCESSORY, { id: 'tach', role: 'tach' }];
    const sources = WIRES.map((one) => ({ ...one, sought: soughtBy(needs) }));
    const lamps = (lamp: boolean, chosen: number): number => {
      const readings = BY_METER.filter((__, index) => (chosen >> index) % 2 === 1);
      const { next } = adviceOn(readings, { lamp, needs, sources });
      return next.kind === 'visit' ? next.visit.withLamp.length : 0;
    };
    const some = Array.from({ length: 2 ** BY_METER.length }, (_, chosen) => chosen);
    expect(some.filter((chosen) => lamps(false, chosen) > 0)).toEqual([]);
    expect(some.slice(-2).map((chosen) => lamps(true, chosen))).toEqual([1, 1]);
  });

  it('may be a pulse at rest only as long as it was not live while cranking too', () => {
    const held = [
      ...BY_METER.filter(({ sourceId, state }) => sourceId === 'W2' || state.key !== 'crank'),
      volts('W1', 'crank', 10.2),
    ];
    const mayBe = [BY_METER, held].map((readings) => {
      const own = adviceOn(readings).verdicts.find(({ sourceId }) => sourceId === 'W1');
      return own !== undefined && mayBePulledUp(own);
    });
    expect(mayBe).toEqual([true, false]);
  });
});

it('leaves a pulse wire that a lamp stayed dark on what it is: the engine’s speed, for whoever asks for that too', () => {
  // A dark lamp under battery voltage counted as a contradiction, and the lead was missed.
  const signals: readonly BunchSignal[] = ['constant', 'ignition', 'tach'];
  const dark = [150_011, 150_033].map((seed) => {
    const bunch = bunchElsewhere(seed);
    const search = searchSignals(bunch, needsFor(signals), { seed });
    expect([seed, scoreBunch(bunch, signals, search)]).toMatchObject([seed, { right: 3 }]);
    const tach = bunch.carries.get('tach') ?? [];
    return search.visits.some(({ withLamp }) => withLamp.some((id) => tach.includes(id)));
  });
  expect(dark).toContain(true);
});

it('is tried with the lamp where a slot might give the supply as well', () => {
  const slot = { id: 'F1', name: 'F1', legend: undefined, fitted: true, tappable: true };
  const dead = (['off', 'run', 'acc'] as const).map((place) => volts('F1', place, 0));
  const { next } = adviceOn([...dead, ...BY_METER], {
    sources: [{ ...slot, logged: undefined }, ...WIRES],
  });
  expect(next).toMatchObject({
    kind: 'visit',
    visit: { place: 'acc', sourceIds: ['W1'], withLamp: ['W1'] },
    because: expect.stringMatching(/pull-up/) as string,
    caution: expect.stringMatching(/^The lamp on this wire only/) as string,
  });
});

it('puts a lamp only where a meter showed battery voltage, in that very state', () => {
  const verdictOn = (readings: readonly Reading[]) =>
    adviceOn(readings).verdicts.find(({ sourceId }) => sourceId === 'W1');
  const lamps = LOOKS.filter(({ by }) => by === 'lamp');
  const allowed = (readings: readonly Reading[]): string[] => {
    const wire = verdictOn(readings);
    return lamps
      .filter((look) => wire !== undefined && mayTouch(look, wire))
      .map(({ place }) => place);
  };
  expect(allowed([volts('W1', 'off', 0), volts('W1', 'acc', 12.4)])).toEqual(['acc']);
  expect(
    allowed([volts('W1', 'off', 0), volts('W1', 'acc', 12.4), volts('W1', 'run', 12.4)]),
  ).toEqual(['acc', 'run']);
  expect(allowed([volts('W1', 'acc', 2.5)])).toEqual([]);
  // One that jumped once stays out, whatever it shows afterwards.
  const jumped = taken('W1', stateAt('run'), { kind: 'pulsing', lowV: 0, highV: 12 });
  expect(allowed([jumped, volts('W1', 'acc', 12.4)])).toEqual([]);
});

it('puts no lamp on what may be a data line or a sensor', () => {
  for (const level of [2.5, 5]) {
    const readings = [volts('W1', 'off', 0), volts('W1', 'run', level), volts('W1', 'acc', level)];
    const { next } = adviceOn(readings);
    expect(next.kind === 'visit' && next.visit.withLamp).toEqual([]);
  }
});

it('takes no pulse at rest for the accessory', () => {
  // In each of these a speed or tach wire rests at battery voltage, and was taken for it by the meter alone.
  const kinds = [27, 31, 34, 37].flatMap((seed) => {
    const bunch = bunchElsewhere(seed);
    const search = searchSignals(bunch, needsFor(SUPPLIES), { seed });
    expect([seed, scoreBunch(bunch, SUPPLIES, search)]).toMatchObject([seed, { wrong: 0 }]);
    return search.visits
      .flatMap(({ withLamp }) => withLamp)
      .map((id) => bunch.wires.find((wire) => wire.id === id)?.behind.is);
  });
  expect(kinds.length).toBeGreaterThan(0);
  expect(kinds).not.toContain('data');
  expect(kinds).not.toContain('sensor');
});

// Common practice: a starter draws a tired battery down to 8 V or 9 V, which is what some modules hold their switches' wires at.
describe('a wire that its module holds at what a battery gives while cranking', () => {
  const STARTER: Need = { id: 'starter', role: 'starter' };
  const sources = WIRES.map((one) => ({ ...one, sought: soughtBy([STARTER]) }));
  const withLamps = { ...stateAt('run'), lamps: true };
  const readings = [
    volts('W1', 'crank', 8.02),
    volts('W1', 'run', 8.02),
    taken('W1', withLamps, { kind: 'volts', volts: 0.01 }),
  ];

  it('is the lamp switch that ties it to ground, and no starter wire', () => {
    const { filled, verdicts } = adviceOn(readings, { needs: [STARTER], sources });
    expect(filled).toEqual({});
    expect(verdicts.find(({ sourceId }) => sourceId === 'W1')?.leading).toBe('lampsNegative');
  });

  it.each([
    ['our own', generateBunch, 200_001],
    ['our own', generateBunch, 200_134],
    ['other', bunchElsewhere, 200_097],
    ['other', bunchElsewhere, 200_111],
  ])('is not taken for one by %s cars', (_, generator, seed) => {
    const bunch = generator(seed);
    const search = searchSignals(bunch, needsFor(['starter']), { seed });
    expect(scoreBunch(bunch, ['starter'], search)).toMatchObject({ right: 1, wrong: 0 });
  });
});
