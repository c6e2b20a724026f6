import type { VehicleState } from '../../vehicle';
import { stateAt } from '../../vehicle';
import type { Reading } from '../reading/reading';
import { doubtfulOf, unprovedOf } from './leftToProve';
import type { WireRole } from './roles';

describe('wires whose place is likely rather than sure', () => {
  const wire = (
    wireId: string,
    ranked: Partial<Record<WireRole, number>>,
    more: { told?: boolean; role?: WireRole } = {},
  ) => ({
    ...{ wireId, told: false, role: Object.keys(ranked)[0] as WireRole, ...more },
    ranked: Object.entries(ranked).map(([role, probability]) => ({
      ...{ role: role as WireRole, probability },
    })),
  });
  const doubtful = (judged: ReturnType<typeof wire>[], paired: readonly string[] = []) =>
    doubtfulOf(judged, new Set(paired)).join(' ');

  it('are named where they may have to be joined', () => {
    expect(doubtful([wire('a', { constant: 0.6, sensor: 0.4 })])).toBe('a');
    expect(doubtful([wire('a', { sensor: 0.7, lamps: 0.3 })])).toBe('a');
    expect(doubtful([wire('a', { sensor: 0.75, lamps: 0.25 })])).toBe('');
    // Whatever it is likeliest to be, if that is to be joined.
    expect(doubtful([wire('a', { ground: 0.28, sensor: 0.27, dataBus: 0.25 })])).toBe('a');
    for (const role of ['constant', 'switched', 'lamps', 'ground', 'speaker'] as const)
      expect([role, doubtful([wire('a', { [role]: 0.5 })])]).toEqual([role, 'a']);
    for (const role of ['dataBus', 'sensor', 'leftOver', 'amplifier', 'pulledUp'] as const)
      expect([role, doubtful([wire('a', { [role]: 0.9 })])]).toEqual([role, '']);
  });

  it('are none that are told, or have their mate', () => {
    const two = [wire('a', { speaker: 0.9 }, { told: true }), wire('b', { speaker: 0.9 })];
    expect(doubtful(two)).toBe('b');
    expect(doubtful(two, ['b'])).toBe('');
    expect(doubtful([])).toBe('');
  });
});

describe('wires that are left over and not proved dead', () => {
  const unproved = (role: WireRole, ...states: [string, VehicleState][]): string[] =>
    unprovedOf([{ role, wire: { id: 'a' } as never }], {
      readings: states.map(([sourceId, state]) => ({ sourceId, state })) as Reading[],
    });
  const lit = (place: 'run' | 'engine' | 'off' | 'acc') => ({ ...stateAt(place), lamps: true });

  it('were not read with the key and the lamps on', () => {
    expect(unproved('leftOver')).toEqual(['a']);
    expect(unproved('leftOver', ['a', lit('run')])).toEqual([]);
    expect(unproved('leftOver', ['a', lit('engine')])).toEqual([]);
    for (const state of [stateAt('run'), stateAt('engine'), lit('off'), lit('acc')])
      expect(unproved('leftOver', ['a', state])).toEqual(['a']);
    expect(unproved('leftOver', ['b', lit('run')])).toEqual(['a']);
    expect(unproved('leftOver', ['a', lit('off')], ['a', lit('run')])).toEqual([]);
  });

  it('are no others', () => {
    for (const role of ['speaker', 'constant', 'pulledUp'] as const)
      expect(unproved(role)).toEqual([]);
  });
});
