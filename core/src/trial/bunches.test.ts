import type { BunchSignal } from '../bench';
import { LOCK_KINDS, benchCar, bunchElsewhere, generateBunch } from '../bench';
import { WORK_SECONDS, advise, changeSeconds, soughtBy } from '../identify';
import type { ProbeSource, Reading } from '../identify';
import type { StitchPlace } from '../vehicle';
import { PARKED, placeOf, stateAt } from '../vehicle';
import { lockKindFound, needsFor, scoreBunch, searchSignals, secondsByHand } from './bunchTrial';

/** What a remote starter joins beside its heavy feeds, and what a screen asks for. */
const STARTER: readonly BunchSignal[] = [
  ...(['constant', 'ignition', 'starter', 'parkingLamps', 'brake'] as const),
  ...(['door', 'hood', 'lock', 'unlock', 'tach'] as const),
];
const SCREEN: readonly BunchSignal[] = ['parkingBrake', 'reverse', 'speed'];

/** One car for each kind of lock. The thresholds were chosen on these; `npm run bench -- bunches` reports on others. */
const SEEDS = LOCK_KINDS.map((_, index) => index + 1);

const searched = (signals: readonly BunchSignal[], alone = false, seeds = SEEDS) =>
  seeds.map((seed) => {
    const bunch = generateBunch(seed);
    return { seed, bunch, search: searchSignals(bunch, needsFor(signals), { seed, alone }) };
  });
const starters = searched(STARTER, false, SEEDS.slice(0, 3));
/** The locks alone on every kind of them: in a third of the time. */
const LOCKS: readonly BunchSignal[] = ['lock', 'unlock'];
const locks = searched(LOCKS);
const screens = searched(SCREEN, false, SEEDS.slice(0, 3));

it.each([
  ['a remote starter', STARTER, starters],
  ['a screen', SCREEN, screens],
  ['locks of every kind', LOCKS, locks],
])('finds the wires of %s, says which are not there, and takes no other for one', (...of) => {
  const [, signals, cars] = of;
  for (const { seed, bunch, search } of cars)
    expect([seed, scoreBunch(bunch, signals, search)]).toEqual([
      seed,
      { needs: signals.length, right: signals.length, wrong: 0, missed: 0 },
    ]);
});

/** Ways of telling a dash's wires apart: common practice. Blue is live on radio only, blue and white on every source. */
const DASH: readonly BunchSignal[] = [
  ...(['constant', 'retained', 'dimmer', 'ampTurnOn', 'antennaTurnOn'] as const),
  ...(['lowBeam', 'highBeam'] as const),
];

it.each([
  ['our own', generateBunch],
  ['other', bunchElsewhere],
])(
  'tells what the radio wakes, what the lamps feed and what outlasts the key, by %s cars',
  (...of) => {
    const [, generator] = of;
    const places = new Set<string>();
    for (const seed of SEEDS.slice(0, 2)) {
      const bunch = generator(seed, true);
      const search = searchSignals(bunch, needsFor(DASH), { seed });
      expect([seed, scoreBunch(bunch, DASH, search)]).toEqual([
        seed,
        { needs: DASH.length, right: DASH.length, wrong: 0, missed: 0 },
      ]);
      for (const visit of search.visits) places.add(visit.place);
    }
    expect([...places]).toEqual(
      expect.arrayContaining(['tuner', 'otherSource', 'highBeam', 'dimmed']),
    );
  },
);

it('takes the car for held by its parking brake in reverse, as the caution there asks', () => {
  const visits = screens.flatMap(({ search }) => search.visits);
  const inReverse = visits.filter(({ state }) => state.reverse === true);
  expect(inReverse.length).toBeGreaterThan(0);
  for (const { state } of inReverse) expect(state.parkingBrake).toBe(true);
});

it('sends nobody to radio, main beam or wheel for other leads', () => {
  const elsewhere = ['tuner', 'otherSource', 'highBeam', 'rolling'];
  const visited = starters.flatMap(({ search }) => search.visits.map(({ place }) => place));
  expect(visited.filter((place) => elsewhere.includes(place))).toEqual([]);
});

describe('what the radio drives', () => {
  const advice = (readings: readonly (readonly [StitchPlace, number])[]) =>
    advise({
      sources: [
        {
          ...{
            kind: 'wire',
            id: 'W',
            name: 'blue',
            legend: undefined,
            fitted: true,
            tappable: true,
          },
          ...{
            logged: undefined,
            sought: soughtBy([{ role: 'ampTurnOn' }, { role: 'antennaTurnOn' }]),
          },
        },
      ],
      readings: readings.map(([place, volts]) => ({
        ...{ id: place, sourceId: 'W', contact: undefined, state: stateAt(place) },
        value: { kind: 'volts', volts },
      })),
      state: PARKED,
      needs: [
        { id: 'amp', role: 'ampTurnOn' },
        { id: 'antenna', role: 'antennaTurnOn' },
      ],
    });

  // Common practice: an antenna's feed is live on the radio only, an amplifier's turn-on on every source.
  it.each([
    ['live on every source', 12.3, 12.3, 'amplifierTurnOn'],
    ['live on the tuner only', 12.3, 0.02, 'antennaTurnOn'],
  ] as const)('is told by its source: %s', (_, tuner, otherSource, name) => {
    const found = advice([
      ['run', 0.02],
      ['tuner', tuner],
      ['otherSource', otherSource],
    ]);
    expect(found.verdicts[0]).toMatchObject({ leading: name, status: 'resolved' });
  });

  it('is looked at with the radio off as well, which often comes on with the key', () => {
    const { next } = advice([
      ['tuner', 12.3],
      ['otherSource', 12.3],
    ]);
    const said = next.kind === 'visit' ? next.instruction : '';
    expect(said).toMatch(/^Key to run, radio off, everything else at rest/);
  });
});

it('tells every kind of lock', () => {
  expect(new Set(locks.map(({ bunch }) => bunch.lockKind))).toEqual(new Set(LOCK_KINDS));
  for (const { bunch, search } of locks) expect(lockKindFound(search)).toBe(bunch.lockKind);
});

it('weighs each supply by what is asked of it: held through cranking, or live at accessory', () => {
  for (const { seed, bunch, search } of searched(
    ['ignition', 'accessory', 'door'],
    false,
    [1, 2, 3],
  ))
    expect([seed, scoreBunch(bunch, ['ignition', 'accessory'], search)]).toMatchObject([
      seed,
      { right: 2 },
    ]);
});

it('never sends an ohmmeter to a live wire, and a lamp to no data or sensor line', () => {
  for (const { bunch, search } of starters) {
    const car = benchCar({ battery: bunch.battery, circuits: [], wires: bunch.wires });
    for (const visit of search.visits) {
      for (const id of visit.withLamp)
        expect(['data', 'sensor']).not.toContain(
          bunch.wires.find((one) => one.id === id)?.behind.is,
        );
      if (visit.instrument !== 'ohmmeter') continue;
      // What a ghost stands on has nothing behind it that a meter could hurt, or that could hurt a meter.
      const fed = bunch.wires.filter(({ behind }) => behind.is !== 'open').map(({ id }) => id);
      for (const id of visit.sourceIds.filter((one) => fed.includes(one)))
        expect(Math.abs(car.at(visit.state).on.port(id, 'chassis').volts)).toBeLessThan(0.4);
    }
  }
  expect(
    starters.some(({ search }) => search.visits.some((one) => one.instrument === 'ohmmeter')),
  ).toBe(true);
});

it('asks for fewer touches while cranking where nobody helps', () => {
  const cranked = (cars: typeof starters): number =>
    cars
      .flatMap(({ search }) => search.visits)
      .filter(({ place }) => place === 'crank')
      .reduce((sum, { sourceIds }) => sum + sourceIds.length, 0);
  const alone = searched(STARTER, true, [2]);
  expect(cranked(alone)).toBeLessThan(cranked(starters.slice(1, 2)));
  // Alone, every wire is clipped on and cranked for by itself.
  // A probe that sits on the wire already only reads on.
  const each = WORK_SECONDS.crank + WORK_SECONDS.still;
  for (const { place, sourceIds, seconds } of alone.flatMap(({ search }) => search.visits))
    if (place === 'crank') expect(seconds).toBeGreaterThanOrEqual(each * sourceIds.length);
});

it('takes less work than every wire in every state, whichever way the clip hangs', () => {
  const middle = (clips: 'ground' | 'both'): number =>
    starters
      .map(({ bunch, search }) => search.seconds / secondsByHand(bunch, STARTER, clips))
      .sort((a, b) => a - b)[1] ?? 1;
  expect(middle('ground')).toBeLessThan(0.8);
  expect(middle('both')).toBeLessThan(0.55);
});

it('reads a constant where it must be seen, and not in every state that there is', () => {
  const touches = starters.map(({ bunch, search }) => {
    const [constant = ''] = bunch.carries.get('constant') ?? [];
    return search.visits.filter(({ sourceIds }) => sourceIds.includes(constant)).length;
  });
  // Nine each, now and then one more; where every look that tells anything is taken, eleven to fourteen.
  expect(touches.reduce((sum, one) => sum + one, 0)).toBeLessThanOrEqual(10 * touches.length);
});

it('lifts a wheel once, and reads on for next to nothing where the probe sits already', () => {
  for (const { search } of screens)
    expect(search.visits.filter(({ seconds }) => seconds >= WORK_SECONDS.lift)).toHaveLength(1);
  let again = 0;
  for (const { search } of [...starters, ...screens])
    search.visits.forEach((visit, at) => {
      const before = search.visits[at - 1];
      const plain = [before, visit].every((one) => one?.clip === 'ground' && !one.state.rolling);
      if (before === undefined || !plain || visit.instrument === 'ohmmeter') return;
      if (visit.sourceIds.length > 1 || before.sourceIds.at(-1) !== visit.sourceIds[0]) return;
      const change = changeSeconds(before.state, visit.state);
      expect(visit.seconds).toBe(change + WORK_SECONDS.still);
      again += 1;
    });
  expect(again).toBeGreaterThan(0);
});

describe('a wire', () => {
  const source = (id: string): ProbeSource => ({
    ...{ kind: 'wire', id, name: id, legend: undefined, fitted: true, tappable: true },
    ...{ logged: undefined, sought: ['lockMultiplex', 'lockNegative'] },
  });
  const volts = (id: string, state: Reading['state'], value: number): Reading => ({
    ...{ id: `${id} ${placeOf(state)}`, sourceId: id, contact: undefined, state },
    value: { kind: 'volts', volts: value },
  });
  const RUN = stateAt('run');
  const ways = [RUN, { ...RUN, lockSwitch: 'lock' }, { ...RUN, lockSwitch: 'unlock' }] as const;
  const leading = (shown: readonly number[]): string => {
    const readings = ways.map((state, index) => volts('W', state, shown[index] ?? 0));
    const session = { sources: [source('W')], readings, state: PARKED, needs: [] };
    return advise(session).verdicts[0]?.leading ?? '';
  };

  // Ladders of resistors: common practice.
  it.each([
    ['steps from one part voltage to the next', [4.5, 1.2, 2.5], 'lockMultiplex'],
    ['falls to ground one way and steps the other', [4.5, 0, 2.5], 'lockMultiplex'],
    ['falls to ground one way and stays the other', [4.5, 0, 4.5], 'lockNegative'],
  ])('that %s is told for what it is', (_, shown, name) => {
    expect(leading(shown)).toBe(name);
  });
});

it('says of a signal that no wire gives how to get round it', () => {
  const onData = locks.find(({ bunch }) => bunch.lockKind === 'data');
  expect(onData?.search.advice.next.kind).toBe('exhausted');
  expect(onData?.search.advice.next.instruction).toMatch(
    /lock wire is on none of these wires.*module/,
  );
});
