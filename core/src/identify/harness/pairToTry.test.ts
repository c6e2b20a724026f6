import { newBeliefCache } from '../belief/beliefCache';
import type { Reading, ReadingValue } from '../reading/reading';
import type { VehicleState } from '../../vehicle';
import { stateAt } from '../../vehicle';
import { beliefsOf } from './beliefs';
import { pairToTry, untoldOf } from './pairToTry';
import type { HarnessLimit, HarnessSession, HarnessWire } from './session';

const ON: VehicleState = { ...stateAt('run'), lamps: true };

let count = 0;
function read(sourceId: string, value: ReadingValue, more: Partial<Reading> = {}): Reading {
  count += 1;
  return { id: `r${count}`, sourceId, contact: undefined, state: ON, value, ...more };
}
const dead = (id: string) => read(id, { kind: 'volts', volts: 0 });
const ohms = (id: string, otherId: string, ohm: number | null) =>
  read(id, { kind: 'ohms', ohm }, { otherId, state: stateAt('off') });
const pop = (id: string, otherId: string, cone: 'out' | 'none') =>
  read(id, { kind: 'pop', cone, ...(cone === 'out' && { speaker: 'rear' }) } as ReadingValue, {
    otherId,
    state: stateAt('off'),
  });

const wire = (id: string, tapedWith?: string): HarnessWire => ({
  ...{ id, name: id, colour: undefined, tapedWith },
});
/** Four wires, two of them taped together, all read dead with everything on; beside the supplies and ground of a bunch. */
const IDS = ['a', 'b', 'c', 'd'];
const OTHERS = ['1', '2', '3', '4'].map((id) => wire(id));
const WIRES = [wire('a', 'b'), wire('b', 'a'), wire('c'), wire('d'), ...OTHERS];
const SUPPLIES = (['off', 'acc', 'run'] as const).flatMap((place) =>
  [12.4, place === 'off' ? 0 : 12.2, 0].map((volts, index) =>
    read(String(index + 1), { kind: 'volts', volts }, { state: stateAt(place) }),
  ),
);
const DEAD = [
  ...IDS.map(dead),
  ...SUPPLIES,
  ...['1', '2', '3'].map((id) => read(id, { kind: 'volts', volts: 12.2 })),
  dead('4'),
  read('4', { kind: 'ohms', ohm: 0.2 }, { state: stateAt('off') }),
];

function tried(
  more: readonly Reading[] = [],
  { safe = IDS, ...of }: Partial<HarnessSession> & { readonly safe?: readonly string[] } = {},
  worth?: Parameters<typeof pairToTry>[3],
): string {
  const session = { wires: WIRES, readings: [...DEAD, ...more], state: ON, ...of };
  const beliefs = beliefsOf(session, newBeliefCache());
  const pair = pairToTry(session, beliefs, new Set(safe), worth);
  return pair === undefined
    ? 'nothing'
    : `${pair.by} ${[pair.plusId, pair.minusId].sort().join('')}`;
}
const without = (...cannot: HarnessLimit[]) => ({ cannot });

describe('the next two wires to try together', () => {
  it('are the likeliest, with 9 V where that harms neither', () => {
    expect(tried()).toBe('pop ab');
    expect(tried([pop('a', 'b', 'none')])).not.toContain('ab');
    expect(
      tried([], { wires: [...IDS.map((id) => wire(id, id === 'c' ? 'd' : undefined)), ...OTHERS] }),
    ).toBe('pop cd');
  });

  it('are measured first where one of them may not be popped, or there is no 9 V', () => {
    expect(tried([], { safe: ['a', 'c', 'd'] })).toBe('ohms ab');
    expect(tried([], { safe: ['b', 'c', 'd'] })).toBe('ohms ab');
    expect(tried([], without('pop'))).toBe('ohms ab');
    expect(tried([], { ...without('ohmmeter'), safe: ['a', 'c', 'd'] })).toMatch(/^pop [acd]{2}$/);
    expect(tried([], { ...without('ohmmeter'), safe: [] })).toBe('nothing');
    expect(tried([], without('ohmmeter', 'pop'))).toBe('nothing');
  });

  it('are none that somebody measured already, nor any that carries a supply', () => {
    const measured = tried([ohms('b', 'a', null)], without('pop'));
    expect(measured).toMatch(/^ohms/);
    expect(measured).not.toBe('ohms ab');
    const fed = [read('a', { kind: 'volts', volts: 12 })];
    expect(tried(fed, { ...without('pop') })).not.toMatch(/a/);
    // What nobody read with the key on may be fed.
    const unread = DEAD.filter(({ sourceId }) => sourceId !== 'b');
    expect(tried([], { readings: unread, ...without('pop') })).not.toMatch(/ohms .?b/);
  });

  it('are popped once a coil shows between them, whatever else is likelier, and once only', () => {
    expect(tried([ohms('c', 'd', 4)])).toBe('pop cd');
    expect(tried([ohms('c', 'd', 4), pop('c', 'd', 'out')])).toBe('pop ab');
    expect(tried([ohms('c', 'd', 4), pop('d', 'c', 'none')])).toBe('pop ab');
    expect(tried([ohms('c', 'd', 4)], { safe: ['a', 'b', 'c'] })).toBe('pop ab');
    expect(tried([ohms('c', 'd', 4)], { safe: ['a', 'b', 'd'] })).toBe('pop ab');
    expect(tried([ohms('c', 'd', 4)], without('pop'))).toBe('ohms ab');
  });

  it('are as likely as each of the two ways asks', () => {
    expect(tried([], {}, { pop: 0, ohms: 1 })).toBe('pop ab');
    expect(tried([], { safe: [] }, { pop: 0, ohms: 1 })).toBe('nothing');
    expect(tried([], {}, { pop: 1, ohms: 0 })).toBe('ohms ab');
    expect(tried([], {}, { pop: 1, ohms: 1 })).toBe('nothing');
  });
});

describe('wires that nothing at hand could try', () => {
  const untold = (...more: Reading[]): string => {
    const session = { wires: WIRES, readings: [...DEAD, ...more], state: ON };
    return untoldOf(session, beliefsOf(session, newBeliefCache())).join('');
  };

  it('are those of every pair that may be a speaker, in the order of the bunch', () => {
    expect(untold()).toBe('abcd');
    expect(untold(pop('a', 'b', 'out'))).toBe('cd');
    expect(untold(pop('a', 'b', 'out'), pop('c', 'd', 'out'))).toBe('');
  });
});
