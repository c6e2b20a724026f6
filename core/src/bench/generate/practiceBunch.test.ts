import { LOCK_KINDS } from './generateBunch';
import { PRACTICE_BUNCHES, practiceBunch } from './practiceBunch';

const SEEDS = Array.from({ length: 60 }, (_, index) => index + 1);

describe('bunches to practise on', () => {
  it.each(PRACTICE_BUNCHES)('%s: the same number is the same bunch, another one is not', (kind) => {
    expect(practiceBunch(kind, 7)).toEqual(practiceBunch(kind, 7));
    const all = new Set(SEEDS.map((seed) => JSON.stringify(practiceBunch(kind, seed).wires)));
    expect(all.size).toBeGreaterThan(50);
  });

  it('has every kind of locks within reach, data alone without any wire for them', () => {
    const bunches = SEEDS.map((seed) => practiceBunch('locks', seed));
    expect([...new Set(bunches.map(({ lockKind }) => lockKind))].sort()).toEqual(
      [...LOCK_KINDS].sort(),
    );
    for (const { lockKind, carries } of bunches)
      expect(carries.get('lock')).toHaveLength(lockKind === 'data' ? 0 : 1);
  });

  it('leaves either the ground or the accessory out of a radio’s plug, never both', () => {
    const missing = SEEDS.map((seed) => {
      const { wires, carries } = practiceBunch('plug', seed);
      return [
        wires.some(({ behind }) => behind.is === 'ground') ? '' : 'ground',
        carries.get('accessory')?.length === 0 ? 'accessory' : '',
      ].join('');
    });
    expect(new Set(missing)).toEqual(new Set(['ground', 'accessory']));
  });

  it('has the four wires of the key at every column', () => {
    for (const seed of SEEDS) {
      const { carries } = practiceBunch('column', seed);
      for (const signal of ['constant', 'ignition', 'accessory', 'starter'] as const)
        expect(carries.get(signal)?.length).toBeGreaterThan(0);
    }
  });

  it('has reverse and parking brake for every screen', () => {
    for (const seed of SEEDS) {
      const { carries } = practiceBunch('screen', seed);
      expect([carries.get('reverse')?.length, carries.get('parkingBrake')?.length]).toEqual([1, 1]);
    }
  });
});
