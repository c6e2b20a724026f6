import type { BunchSignal } from '../bench';
import { LOCK_KINDS, benchCar, generateBunch } from '../bench';
import { WORK_SECONDS, advise, changeSeconds } from '../identify';
import type { ProbeSource, Reading } from '../identify';
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
const starters = searched(STARTER);
const screens = searched(SCREEN);

it.each([
  ['a remote starter', STARTER, starters],
  ['a screen', SCREEN, screens],
])('finds the wires of %s, says which are not there, and takes no other for one', (...of) => {
  const [, signals, cars] = of;
  for (const { seed, bunch, search } of cars)
    expect([seed, scoreBunch(bunch, signals, search)]).toEqual([
      seed,
      { needs: signals.length, right: signals.length, wrong: 0, missed: 0 },
    ]);
});

it('tells every kind of lock', () => {
  expect(new Set(starters.map(({ bunch }) => bunch.lockKind))).toEqual(new Set(LOCK_KINDS));
  for (const { bunch, search } of starters) expect(lockKindFound(search)).toBe(bunch.lockKind);
});

it('weighs each supply by what is asked of it: held through cranking, or live at accessory', () => {
  for (const { seed, bunch, search } of searched(['ignition', 'accessory', 'door']))
    expect([seed, scoreBunch(bunch, ['ignition', 'accessory'], search)]).toMatchObject([
      seed,
      { right: 2 },
    ]);
});

it('never sends an ohmmeter to a live wire, and never asks for a lamp', () => {
  for (const { bunch, search } of starters) {
    const car = benchCar({ battery: bunch.battery, circuits: [], wires: bunch.wires });
    for (const visit of search.visits) {
      expect(visit.withLamp).toEqual([]);
      if (visit.instrument !== 'ohmmeter') continue;
      for (const id of visit.sourceIds)
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
  const alone = searched(STARTER, true, [2, 3, 4]);
  expect(cranked(alone)).toBeLessThan(cranked(starters.slice(1, 4)));
  // Alone, every wire is clipped on and cranked for by itself.
  const each = WORK_SECONDS.crank + WORK_SECONDS.probe;
  for (const { place, sourceIds, seconds } of alone.flatMap(({ search }) => search.visits))
    if (place === 'crank') expect(seconds).toBeGreaterThanOrEqual(each * sourceIds.length);
});

it('takes less work than every wire in every state, whichever way the clip hangs', () => {
  const middle = (clips: 'ground' | 'both'): number =>
    starters
      .map(({ bunch, search }) => search.seconds / secondsByHand(bunch, STARTER, clips))
      .sort((a, b) => a - b)[2] ?? 1;
  expect(middle('ground')).toBeLessThan(0.8);
  expect(middle('both')).toBeLessThan(0.55);
});

it('reads a constant where it must be seen, and not in every state that there is', () => {
  const touches = starters.map(({ bunch, search }) => {
    const [constant = ''] = bunch.carries.get('constant') ?? [];
    return search.visits.filter(({ sourceIds }) => sourceIds.includes(constant)).length;
  });
  // Nine each; where every look that tells anything is taken, eleven to fourteen.
  expect(Math.max(...touches)).toBeLessThanOrEqual(10);
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
  const onData = starters.find(({ bunch }) => bunch.lockKind === 'data');
  expect(onData?.search.advice.next.kind).toBe('exhausted');
  expect(onData?.search.advice.next.instruction).toMatch(
    /lock wire is on none of these wires.*module/,
  );
});
