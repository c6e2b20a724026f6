import type { Verdict } from '../identify';
import { judge } from '../identify';
import type { Slot } from '../vehicle';
import { stateAt } from '../vehicle';
import type { JobFeed } from './index';
import { rankSets, tooSmallFor } from './index';

function slot(id: string, legend: string | undefined, more: Partial<Slot> = {}): Slot {
  return {
    id,
    position: id,
    legend,
    ratingA: 15,
    family: 'mini',
    column: 0,
    row: 0,
    lie: 'tall',
    contacts: [
      { id: 'a', landmark: 'upper' },
      { id: 'b', landmark: 'lower' },
    ],
    clearance: 'clear',
    ...more,
  };
}

function constant(of: Slot): Verdict {
  const source = {
    id: of.id,
    name: of.id,
    legend: of.legend,
    fitted: true,
    tappable: true,
    logged: undefined,
  };
  return judge(
    source,
    (['off', 'run', 'asleep', 'crank'] as const).map((place) => ({
      id: `${of.id}-${place}`,
      sourceId: of.id,
      contact: undefined,
      state: stateAt(place),
      value: { kind: 'volts' as const, volts: place === 'crank' ? 10.5 : 12.5 },
    })),
  );
}

function feed(id: string, currentA = 0.5): JobFeed {
  return {
    need: { id, role: 'constant' },
    name: id,
    currentA,
    loggedSourceIds: new Set(),
  };
}

function rank(
  slots: readonly Slot[],
  feeds: readonly JobFeed[],
  measuredA: Readonly<Record<string, number>> = {},
) {
  return rankSets({
    panels: [
      { id: 'dash', name: 'dash panel', slots: slots.filter((one) => one.id.startsWith('F')) },
      { id: 'boot', name: 'boot panel', slots: slots.filter((one) => one.id.startsWith('B')) },
    ],
    verdicts: new Map(slots.map((one) => [one.id, constant(one)])),
    feeds,
    measuredA,
  });
}

describe('tooSmallFor', () => {
  it('names the slots where no fuse for the load can be put, and leaves those that a tap does not fit', () => {
    const slots = [
      slot('F1', 'BAT', { ratingA: 5 }),
      slot('F2', 'BAT', { ratingA: 15 }),
      slot('F3', 'BAT', { clearance: 'none' }),
    ];
    expect(tooSmallFor({ currentA: 7 }, slots)).toEqual(['F1']);
    expect(tooSmallFor({ currentA: 20 }, slots)).toEqual(['F1', 'F2']);
  });
});

describe('rankSets', () => {
  it('keeps to one panel where two slots are as good, and explains the next best', () => {
    const { sets } = rank(
      [slot('F1', 'BAT'), slot('F2', 'MEMORY'), slot('B1', 'BATT')],
      [feed('one'), feed('two')],
    );
    expect(sets[0]?.panels).toEqual(['dash']);
    expect(sets[0]?.because).toBe('2 of 2 proven, all in dash panel, no legend that warns');
    expect(sets[0]?.differences).toEqual([]);
    expect(sets[1]?.differences.length).toBeGreaterThan(0);
  });

  it('names the constraint of each slot that will not do, with a way out', () => {
    const { rankings } = rank(
      [
        slot('F1', 'BAT', { clearance: 'none' }),
        slot('F2', 'BATT', { family: 'maxi', ratingA: 40 }),
        slot('F3', 'ROOM', { ratingA: 30 }),
        slot('F4', 'MEMORY', { ratingA: 5 }),
        slot('F5', 'A/BAG'),
      ],
      [feed('one', 7)],
      { F3: 25 },
    );
    const ranking = rankings.one;
    expect(ranking?.blocked.map((one) => one.sourceId)).toEqual(['F5']);
    expect(ranking?.candidates).toEqual([]);
    expect(
      Object.fromEntries(ranking?.unfit.map((one) => [one.sourceId, one.constraint]) ?? []),
    ).toEqual({
      F1: expect.stringContaining('No room'),
      F2: expect.stringContaining('No fuse tap is made'),
      F3: expect.stringContaining('contact carries'),
      F4: expect.stringContaining('slot is rated 5 A'),
    });
    for (const one of ranking?.unfit ?? []) expect(one.wayOut).toMatch(/.{10,}/);
  });

  it('wants a reason for a legend that warns and for one that can’t be read', () => {
    const { rankings } = rank(
      [slot('F1', 'HORN'), slot('F2', undefined), slot('F3', 'BAT')],
      [feed('one')],
    );
    const wants = Object.fromEntries(
      rankings.one?.candidates.map((one) => [one.sourceId, one.wantsReason !== undefined]) ?? [],
    );
    expect(wants).toEqual({ F1: true, F2: true, F3: false });
  });
});
