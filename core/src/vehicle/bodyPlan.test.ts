import fc from 'fast-check';
import { planSpot, planSpots } from './bodyPlan';
import type { BodyZone, Place } from './place';
import { BODY_SIDES, BODY_ZONES } from './place';

const place = (id: string, at: Pick<Place, 'zone' | 'side'>): Place => ({
  id,
  kind: 'loom',
  name: id,
  location: id,
  ...at,
  reach: { steps: [], fasteners: [], tools: [] },
  notes: '',
  columns: 0,
  rows: 0,
  sources: [],
});
const at = fc.record({
  zone: fc.constantFrom(...BODY_ZONES),
  side: fc.option(fc.constantFrom(...BODY_SIDES), { nil: undefined }),
});

/** Places that nobody gave a side. */
const MIDDLE: readonly BodyZone[] = [
  'kick panel',
  'engine space',
  'door',
  'tailgate',
  'engine space',
  'console',
  'footwell',
  'underneath',
  'kick panel',
];

describe('a place on the plan of a body', () => {
  it('follows the wheel where it lies on the driver’s side, and nowhere else', () => {
    fc.assert(
      fc.property(at, (where) => {
        const [left, right] = [planSpot(where, 'left'), planSpot(where, 'right')];
        const follows =
          where.side === 'driver' ||
          where.side === 'passenger' ||
          (where.side === undefined && where.zone === 'column');
        expect(left?.y).toBe(right?.y);
        expect((left?.x ?? 0) + (right?.x ?? 0)).toBeCloseTo(follows ? 1 : 2 * (left?.x ?? 0));
      }),
    );
  });

  it.each([
    ['kick panel', 'left', 'right', -1],
    ['kick panel', 'driver', 'right', 1],
    ['kick panel', 'driver', 'left', -1],
    ['dash', 'passenger', 'right', -1],
    ['column', undefined, 'right', 1],
    ['dash', undefined, 'right', 0],
  ] as const)('in the %s, side %s, wheel %s', (zone, side, steering, sign) => {
    const spot = planSpot({ zone, side }, steering);
    expect(Math.sign((spot?.x ?? 0) - 0.5)).toBe(sign);
  });

  it('lies in the order of a body, front to rear', () => {
    const y = (zone: Place['zone']) => planSpot({ zone }, 'left')?.y ?? -1;
    expect(y('engine space')).toBeLessThan(y('dash'));
    expect(y('dash')).toBeLessThan(y('seat'));
    expect(y('seat')).toBeLessThan(y('tailgate'));
  });

  it('is nowhere as long as nobody said where', () => {
    expect(planSpot({ side: 'left' }, 'left')).toBeUndefined();
    expect(planSpots([place('a', {})], 'left', 2).size).toBe(0);
  });

  it('covers no other, up to twenty of them, and stays on the body', () => {
    fc.assert(
      fc.property(fc.array(at, { maxLength: 20 }), (all) => {
        const spots = [
          ...planSpots(
            all.map((where, index) => place(String(index), where)),
            'right',
            2,
          ).values(),
        ];
        expect(spots).toHaveLength(all.length);
        spots.forEach((one, index) => {
          for (const along of [one.x, one.y]) {
            expect(along).toBeGreaterThan(0);
            expect(along).toBeLessThan(1);
          }
          for (const other of spots.slice(0, index))
            expect(Math.hypot((one.x - other.x) / 2, one.y - other.y)).toBeGreaterThan(0.05);
        });
      }),
      // Nine of them along the middle once left no room before or behind a tenth.
      { examples: [[MIDDLE.map((zone) => ({ zone, side: undefined }))]] },
    );
  });

  it('goes before or behind where there is room, so that it stays on its side', () => {
    const two = [
      place('a', { zone: 'door', side: 'left' }),
      place('b', { zone: 'door', side: 'left' }),
    ];
    const [one, other] = [...planSpots(two, 'right', 2).values()];
    expect(other?.x).toBe(one?.x);
    // Behind rather than before.
    expect((other?.y ?? 0) - (one?.y ?? 0)).toBeCloseTo(0.075);
  });
});
