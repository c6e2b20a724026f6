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

  it.each<[string, Slot, RegExp]>([
    ['warns', slot('F2', 'HORN'), /^its legend wants care$/],
    ['is tight', slot('F2', 'BAT', { clearance: 'tight' }), /tighter under the cover/],
  ])('says what is worse about the next best where it %s', (_, other, because) => {
    const { sets } = rank([slot('F1', 'BAT'), other], [feed('one')], { F1: 1, F2: 1 });
    expect(sets[0]?.slots).toEqual({ one: 'F1' });
    expect(sets[1]?.differences).toEqual([
      {
        ...{ feedId: 'one', bestSourceId: 'F1', sourceId: 'F2' },
        because: expect.stringMatching(because),
      },
    ]);
  });

  it('says of the next best that it is not proven, or that its headroom has to be measured', () => {
    const slots = [slot('F1', 'BAT'), slot('F2', 'BAT')];
    const [proven, likely] = slots;
    const ask = (verdicts: ReadonlyMap<string, Verdict>, measuredA: Record<string, number>) =>
      rankSets({
        ...{ panels: [{ id: 'dash', name: 'dash panel', slots }], verdicts, measuredA },
        feeds: [feed('one', 5)],
      }).sets[1]?.differences[0]?.because;
    const unread = { id: 'F2', name: 'F2', legend: 'BAT', fitted: true, tappable: true };
    const verdicts = new Map(
      proven === undefined || likely === undefined
        ? []
        : [
            ['F1', constant(proven)],
            ['F2', constant(likely)],
          ],
    );
    const half = new Map(verdicts).set('F2', judge({ ...unread, logged: undefined }, []));
    expect(ask(half, { F1: 1, F2: 1 })).toBe('not proven yet');
    expect(ask(verdicts, { F1: 1 })).toBe('its headroom has to be measured');
    expect(ask(verdicts, { F1: 1, F2: 1 })).toBe('as good by itself');
  });

  it('counts what other leads and other taps draw at a source, together', () => {
    const source = slot('F1', 'BAT', { ratingA: 15 });
    const ask = (sharedA: number, metA: number) =>
      rankSets({
        panels: [{ id: 'dash', name: 'dash panel', slots: [source] }],
        verdicts: new Map([['F1', constant(source)]]),
        ...{ sharedA: { F1: sharedA }, measuredA: { F1: 1 } },
        feeds: [{ ...feed('one', 2), metA: { F1: metA } }],
      }).sets.length;
    expect([ask(0, 0), ask(5, 0), ask(0, 5)]).toEqual([1, 1, 1]);
    expect([ask(30, 0), ask(0, 30)]).toEqual([0, 0]);
    // Each by itself has room; the two together are more than the contact carries.
    const most =
      Array.from({ length: 40 }, (_, at) => at).findLast((amps) => ask(amps, 0) > 0) ?? 0;
    expect(ask(most, 0)).toBe(1);
    expect(ask(most, 2)).toBe(0);
    expect(ask(0, most)).toBe(1);
  });

  it('names both places where a set lies in two, and calls a place by its id where it has no name', () => {
    const { sets } = rank([slot('F1', 'BAT'), slot('B1', 'BATT')], [feed('one'), feed('two')]);
    expect(sets[0]?.panels).toHaveLength(2);
    expect(sets[0]?.because).toMatch(
      /^2 of 2 proven, in (dash panel and boot panel|boot panel and dash panel), /,
    );
    const warned = rank([slot('F1', 'HORN')], [feed('one')]).sets[0]?.because;
    expect(warned).toBe('1 of 1 proven, all in dash panel, 1 with a legend that warns');
  });
});
