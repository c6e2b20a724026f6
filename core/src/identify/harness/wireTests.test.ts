import { newBeliefCache } from '../belief/beliefCache';
import type { Reading, ReadingValue } from '../reading/reading';
import type { VehicleState } from '../../vehicle';
import { stateAt } from '../../vehicle';
import { WORK_SECONDS } from '../visit/workCosts';
import { beliefsOf } from './beliefs';
import type { HarnessLimit, HarnessSession } from './session';
import type { WireLook } from './wireTests';
import { hasLook, isDeadAwake, isUnfed, wireVisits } from './wireTests';

const ON: VehicleState = { ...stateAt('run'), lamps: true };
const OFF = stateAt('off');

let count = 0;
function read(sourceId: string, value: ReadingValue, more: Partial<Reading> = {}): Reading {
  count += 1;
  return { id: `r${count}`, sourceId, contact: undefined, state: ON, value, ...more };
}
const volts = (id: string, value: number, state = ON, more: Partial<Reading> = {}) =>
  read(id, { kind: 'volts', volts: value }, { state, ...more });
const ohms = (id: string, ohm: number | null, more: Partial<Reading> = {}) =>
  read(id, { kind: 'ohms', ohm }, { state: OFF, ...more });
const pop = (id: string, otherId: string, state = OFF) =>
  read(id, { kind: 'pop', cone: 'out', speaker: 'rear' }, { otherId, state });

function session(
  ids: string,
  readings: readonly Reading[],
  more: Partial<HarnessSession> = {},
): HarnessSession {
  const wires = ids
    .split(' ')
    .map((id) => ({ id, name: id, colour: undefined, tapedWith: undefined }));
  return { wires, readings, state: OFF, ...more };
}

function visits(of: HarnessSession, paired: readonly string[] = []) {
  return wireVisits(of, beliefsOf(of, newBeliefCache()), new Set(paired));
}
const named = (of: HarnessSession, paired: readonly string[] = []): string => {
  const { now, late } = visits(of, paired);
  const said = (one: typeof now) =>
    one === undefined ? 'nothing' : `${one.look.name}: ${one.wireIds.join(' ')}`;
  return `${said(now)} / ${said(late)}`;
};

/** A constant, a switched feed, lamps and two wires that stay dead, read with everything on. */
const SWEEP = [
  ...[volts('con', 12.4), volts('acc', 12.3), volts('ill', 12.2)],
  ...[volts('x', 0), volts('y', 0.02)],
];
const ALL = 'con acc ill x y';
/** The same with the constant told by every state that it must be seen in. */
const TOLD = [
  ...SWEEP,
  ...(['off', 'acc', 'run', 'parkingBrake'] as const).flatMap((place) => {
    const state = stateAt(place);
    return [
      volts('con', 12.4, state),
      volts('acc', place === 'off' || place === 'parkingBrake' ? 0 : 12.2, state),
      volts('ill', 0, state),
    ];
  }),
];

describe('the first look', () => {
  it('takes every wire in the order of the bunch with everything on, and says what it costs', () => {
    const { now } = visits(session('b c a', []));
    expect(now).toMatchObject({ look: { name: 'everything on', clip: 'ground' } });
    expect(now?.wireIds).toEqual(['b', 'c', 'a']);
    // Key, lamps, and three touches.
    expect(now?.seconds).toBe(WORK_SECONDS.key + WORK_SECONDS.lamps + 3 * WORK_SECONDS.probe);
    expect((now?.rate ?? 0) * (now?.seconds ?? 0)).toBeGreaterThan(0);
    const there = visits(session('b c a', [], { state: ON })).now;
    expect(there?.seconds).toBe(3 * WORK_SECONDS.probe);
    const moved = visits(session('b c a', [], { state: ON, clip: 'constant' })).now;
    expect(moved?.seconds).toBe(3 * WORK_SECONDS.probe + WORK_SECONDS.clip);
    expect(moved?.rate).toBeLessThan(there?.rate ?? 0);
  });

  it('leaves out what was read so, whatever was read of it otherwise', () => {
    const left = (...readings: Reading[]): string =>
      visits(session('a b', readings)).now?.wireIds.join(' ') ?? '';
    expect(left(volts('a', 0))).toBe('b');
    expect(left(volts('a', 0, stateAt('run')))).toBe('a b');
    expect(left(volts('a', 0, { ...OFF, lamps: true }))).toBe('a b');
    expect(left(pop('a', 'b', ON))).toBe('a b');
    expect(left(ohms('a', 3))).toBe('a b');
  });

  it('is not taken where the key can’t go on or the lamps can’t burn', () => {
    const asked = (...cannot: HarnessLimit[]): string[] => {
      const { now, late } = visits(session('a b', [], { cannot }));
      return [now, late].flatMap((one) => (one === undefined ? [] : [one.look.name]));
    };
    expect(asked()).toContain('everything on');
    expect(asked('run')).not.toContain('everything on');
    expect(asked('lamps')).not.toContain('everything on');
  });
});

describe('looks at what was live', () => {
  it('ask those wires again, the likeliest to tell first, and no dead ones', () => {
    const { now, late } = visits(session(ALL, SWEEP, { state: ON }));
    expect(now?.look.instrument).toBe('meter');
    expect([...(now?.wireIds ?? [])].sort()).toEqual(['acc', 'con', 'ill']);
    expect(now?.look.state.lamps).toBe(false);
    expect(late?.look.name).toBe('ohms to ground');
  });

  it('take pulses for live', () => {
    const pulsing = read('p', { kind: 'pulsing', lowV: 0, highV: 12 });
    expect(visits(session('p', [pulsing])).now?.wireIds).toEqual(['p']);
  });

  it('are over once everything is told', () => {
    const { now, late } = visits(session(ALL, TOLD));
    expect(now).toEqual(late);
    expect(late?.look.name).toBe('ohms to ground');
  });

  it('pull the parking brake where two wires look like constants, told or not', () => {
    const both = [
      ...(['off', 'acc', 'run'] as const).flatMap((place) => [
        volts('one', 12.4, stateAt(place)),
        volts('two', 12.4, stateAt(place)),
      ]),
      ...[volts('one', 12.4), volts('two', 12.4), volts('x', 0)],
    ];
    expect(named(session('one two x', both))).toMatch(/^parkingBrake: one two \//);
    expect(named(session('one two x', both, { cannot: ['parkingBrake'] }))).not.toMatch(
      /parkingBrake/,
    );
  });
});

describe('the search for ground', () => {
  it('takes one dead wire at a time by ohms, no live one, and none that has its mate', () => {
    const { late } = visits(session(ALL, TOLD));
    expect(late?.wireIds).toHaveLength(1);
    expect(['x', 'y']).toContain(late?.wireIds[0]);
    expect(named(session(ALL, TOLD), ['x'])).toBe('ohms to ground: y / ohms to ground: y');
    expect(named(session(ALL, TOLD), ['x', 'y'])).toBe('nothing / nothing');
    // A wire that nobody read with the key on is no place for an ohmmeter.
    const unread = TOLD.filter(({ sourceId }) => sourceId !== 'x');
    const asleep = [...unread, volts('x', 0, OFF)];
    expect(named(session('con acc ill y x', asleep), ['y'])).toMatch(/^everything on: x/);
  });

  it('waits while ground is known', () => {
    const found = [...TOLD, ohms('x', 0.2)];
    expect(named(session(ALL, found))).toBe('nothing / ohms to ground: y');
    expect(named(session(ALL, TOLD, { cannot: ['ohmmeter'] }))).toMatch(/^from the constant: [xy]/);
  });

  it('takes the lamp on the constant for a few ohms only, where there is an ohmmeter', () => {
    const ground = [...TOLD, volts('z', 0), ohms('z', 0.3)];
    const all = `${ALL} z`;
    const few = [...ground, ohms('x', 4), ohms('y', null)];
    expect(named(session(all, few))).toBe('nothing / from the constant: x');
    const open = [...ground, ohms('x', null), ohms('y', null)];
    expect(named(session(all, open))).toBe('nothing / nothing');
    // Between two wires it is no measure of ground.
    expect(named(session(all, [...open, ohms('x', 4, { otherId: 'y' })]))).toBe(
      'nothing / nothing',
    );
    expect(named(session(all, few, { cannot: ['lamp'] }))).toBe('nothing / nothing');
  });

  it('clips to the constant only once it is told', () => {
    const more: Partial<HarnessSession> = { cannot: ['ohmmeter', 'acc', 'run', 'parkingBrake'] };
    expect(named(session(ALL, SWEEP, more))).not.toMatch(/from the constant/);
    expect(named(session(ALL, TOLD, more))).toMatch(/from the constant/);
    // Without an ohmmeter a wire that has its mate, or may be a data line, is left alone.
    expect(named(session(ALL, TOLD, more), ['x', 'y'])).toBe('nothing / nothing');
    const data = TOLD.map((one) => (one.sourceId === 'x' ? volts('x', 2.5) : one));
    const asked = visits(session(`${ALL} z`, [...data, volts('z', 0)], more)).now;
    expect(asked?.look.name).toBe('from the constant');
    expect(asked?.wireIds).not.toContain('x');
  });

  it("puts no lamp on a wire that only a lamp showed dark: it may be a data line, or a sensor's", () => {
    const more: Partial<HarnessSession> = { cannot: ['ohmmeter', 'acc', 'run', 'parkingBrake'] };
    const dark = (id: string) => read(id, { kind: 'glow', glow: 'dark' });
    const byLamp = TOLD.map((one) => (one.sourceId === 'x' ? dark('x') : one));
    const of = session(`${ALL} z`, [...byLamp, volts('z', 0)], more);
    expect(isDeadAwake('x', of)).toBe(true);
    const { now, late } = visits(of, ['y']);
    expect([now, late].flatMap((one) => one?.wireIds ?? [])).not.toContain('x');
    expect(named(of, ['y'])).toBe('from the constant: z / from the constant: z');
  });
});

describe('whether a wire was read in a way', () => {
  const look = (more: Partial<WireLook>): WireLook => ({
    ...{ name: 'off', state: OFF, instrument: 'meter', clip: 'ground', needs: [], ...more },
  });
  const has = (of: Partial<WireLook>, ...readings: Reading[]): boolean =>
    hasLook('a', look(of), session('a b', readings));

  it('goes by wire, state, instrument and clip', () => {
    expect(has({}, volts('a', 0, OFF))).toBe(true);
    expect(has({}, volts('b', 0, OFF))).toBe(false);
    expect(has({}, volts('a', 0, stateAt('acc')))).toBe(false);
    expect(has({}, volts('a', 0, OFF, { clip: 'constant' }))).toBe(false);
    expect(has({}, volts('a', 0, OFF, { clip: 'ground' }))).toBe(true);
    expect(has({ clip: 'constant' }, volts('a', 0, OFF, { clip: 'constant' }))).toBe(true);
    expect(has({}, ohms('a', 3))).toBe(false);
    expect(has({}, pop('a', 'b'))).toBe(false);
    expect(has({}, volts('a', 0, OFF, { otherId: 'b' }))).toBe(false);
    expect(has({})).toBe(false);
  });

  it('asks for no state where an ohmmeter or a lamp is on it', () => {
    const meant = { instrument: 'ohmmeter' } as const;
    expect(has(meant, ohms('a', 3, { state: ON }))).toBe(true);
    expect(has(meant, volts('a', 0, OFF))).toBe(false);
    expect(has(meant, ohms('a', 3, { otherId: 'b' }))).toBe(false);
    const lit = read('a', { kind: 'glow', glow: 'lit' }, { clip: 'constant', state: ON });
    expect(has({ instrument: 'lamp', clip: 'constant' }, lit)).toBe(true);
    expect(has({ instrument: 'lamp' }, lit)).toBe(false);
  });
});

describe('a wire that was read with the key on', () => {
  const told = (...readings: Reading[]): [boolean, boolean] => {
    const of = session('a b', readings);
    return [isDeadAwake('a', of), isUnfed('a', of)];
  };

  it('is dead where it was dead every time, and unfed where no more than a ghost stood on it', () => {
    expect(told()).toEqual([false, false]);
    expect(told(volts('a', 0, OFF))).toEqual([false, false]);
    expect(told(volts('a', 0, stateAt('acc')))).toEqual([false, false]);
    expect(told(volts('b', 0))).toEqual([false, false]);
    expect(told(volts('a', 0))).toEqual([true, true]);
    expect(told(volts('a', 0, stateAt('engine')))).toEqual([true, true]);
    expect(told(volts('a', 0), volts('a', 0, OFF))).toEqual([true, true]);
    expect(told(volts('a', 0), volts('a', 12, OFF))).toEqual([false, false]);
    expect(told(volts('a', 2.5))).toEqual([false, true]);
    expect(told(volts('a', -2.5))).toEqual([false, true]);
    expect(told(volts('a', 4))).toEqual([false, false]);
    expect(told(volts('a', -4.5))).toEqual([false, false]);
    expect(told(read('a', { kind: 'glow', glow: 'dark' }))).toEqual([true, true]);
    expect(told(read('a', { kind: 'glow', glow: 'lit' }))).toEqual([false, false]);
    // What was measured by ohms, between two wires or from the constant says nothing of that.
    expect(told(volts('a', 0), ohms('a', 3), pop('a', 'b', ON))).toEqual([true, true]);
    expect(told(volts('a', 12, ON, { clip: 'constant' }))).toEqual([false, false]);
  });
});
