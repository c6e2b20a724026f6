import { bunchElsewhere, generateBunch } from '../../bench';
import { needsFor, searchSignals } from '../../trial';
import type { VehicleState } from '../../vehicle';
import { PARKED, placeOf, stateAt } from '../../vehicle';
import type { FindSession, Need, ProbeSource, Reading } from '../index';
import { WORK_SECONDS, advise, soughtBy } from '../index';
import { meetsProbability, preparedNeedOf } from '../need/needs';
import type { OpenNeed } from './allotWires';
import { LOOKS } from './looks';
import { sayNotThere } from './say';

const SCREEN: readonly Need[] = [
  { id: 'speed', role: 'speed' },
  { id: 'reverse', role: 'reverse' },
  { id: 'parked', role: 'parkingBrake' },
];
const HOOD: readonly Need[] = [{ id: 'hood', role: 'hood' }];
const BRAKE: readonly Need[] = [{ id: 'brake', role: 'brake' }];
const RUN = stateAt('run');

function wires(count: number, needs: readonly Need[]): ProbeSource[] {
  return Array.from({ length: count }, (_, index) => ({
    ...{ kind: 'wire' as const, id: `W${index + 1}`, name: `W${index + 1}`, legend: undefined },
    ...{ fitted: true, tappable: true, logged: undefined, sought: soughtBy(needs) },
  }));
}

function volts(sourceId: string, state: VehicleState, value: number): Reading {
  return {
    ...{ id: `${sourceId} ${JSON.stringify(state)}`, sourceId, contact: undefined, state },
    value: { kind: 'volts', volts: value },
  };
}

const session = (given: Partial<FindSession> & Pick<FindSession, 'sources' | 'needs'>) =>
  advise({ readings: [], state: PARKED, ...given }).next;

describe('a wheel that has to be lifted for the speed signal', () => {
  const asked = { sources: wires(12, SCREEN), needs: SCREEN };

  it('is lifted at once: nothing else is at work while it turns, so that each reading there serves the others too', () => {
    const next = session(asked);
    expect(next.kind === 'visit' && next.visit.place).toBe('rolling');
    // What it costs is said all the same.
    expect(next.kind === 'visit' && next.visit.seconds).toBeGreaterThan(WORK_SECONDS.lift);
    expect(next.kind === 'visit' && next.caution).toMatch(/stands/);
  });

  it('stays on the ground where nobody asks for the speed, or nobody can lift it', () => {
    const others = SCREEN.filter(({ role }) => role !== 'speed');
    const places = [
      session({ sources: wires(12, others), needs: others }),
      session({ ...asked, cannot: ['rolling'] }),
    ].map((next) => next.kind === 'visit' && next.visit.place);
    for (const place of places) expect(place).not.toBe('rolling');
  });
});

describe('a signal that may be on none of the wires', () => {
  const everywhere: readonly VehicleState[] = [
    ...(['off', 'run', 'justOff', 'acc', 'crank'] as const).map((place) => stateAt(place)),
    { ...RUN, hood: true },
    { ...RUN, lamps: true },
    { ...RUN, brake: true },
  ];
  /** Wires that stand at battery voltage whatever the car does: supplies, none of them a switch’s. */
  const live = (count: number): Reading[] =>
    wires(count, HOOD).flatMap(({ id }) => everywhere.map((state) => volts(id, state, 12.4)));

  it('is given up when what is left is not worth the touches, with the chance that is left', () => {
    const next = session({ sources: wires(3, HOOD), readings: live(3), needs: HOOD, state: RUN });
    expect(next.kind).toBe('exhausted');
    expect(next.instruction).toMatch(/^The hood switch is on none of these wires[ .(]/);
    expect(next.instruction).toMatch(/pin switch of the kit/);
  });

  it('is looked for as long as a wire is left that nobody has touched', () => {
    const next = session({ sources: wires(4, HOOD), readings: live(3), needs: HOOD, state: RUN });
    expect(next.kind === 'visit' && next.visit.sourceIds).toEqual(['W4']);
  });

  it.each([
    ['own', 7, /reversing lamp is on none of these wires \(a chance of 2 % is left\)/],
    ['other', 3, /reversing lamp is on none of these wires \(a chance of 2 % is left\)/],
  ] as const)('is given up with less than certainty (%s bunch %d)', (whose, seed, says) => {
    const bunch = whose === 'own' ? generateBunch(seed) : bunchElsewhere(seed);
    const screen = needsFor(['parkingBrake', 'reverse', 'speed']);
    expect(searchSignals(bunch, screen, { seed }).advice.next.instruction).toMatch(says);
  });

  describe('in the last word', () => {
    const readings = [volts('W1', RUN, 12.4), volts('W1', { ...RUN, hood: true }, 0.01)];
    const { verdicts } = advise({ sources: wires(1, HOOD), readings, needs: HOOD, state: RUN });
    const [verdict] = verdicts;
    if (verdict === undefined) throw new Error('no verdict');
    const wanted = preparedNeedOf({ id: 'hood', role: 'hood' });
    const open = { wanted, hope: 0.7, shares: undefined, leftFor: () => 1 };
    const input = { candidates: verdicts, sources: new Map([['W1', { name: 'the grey one' }]]) };
    const said = (one: Partial<OpenNeed>): string =>
      sayNotThere([{ ...open, wires: [], ...one }], input).instruction;

    it('is not denied while a wire leads for it: that wire is named', () => {
      expect(said({ wires: [verdict] })).toMatch(/^The hood switch may be the grey one \(\d+ %\)/);
      expect(said({ hope: 0.02 })).toMatch(/on none of these wires \(a chance of 2 % is left\)/);
      expect(said({ hope: 0.001 })).toMatch(/on none of these wires\. Fit/);
    });

    it('may share the wire of another need', () => {
      expect(said({ shares: verdict })).toMatch(/the grey one, taken already, serves for it too/);
    });
  });
});

it('goes to sleep for a constant however long that takes: nobody works meanwhile', () => {
  const needs: readonly Need[] = [{ id: 'constant', role: 'constant' }];
  const awake = LOOKS.filter(
    ({ by, clip, place }) => by === 'meter' && clip === 'ground' && place !== 'asleep',
  );
  const readings = awake.map(({ state }) => volts('W1', state, 12.4));
  const next = session({ sources: wires(1, needs), readings, needs, state: stateAt('off') });
  expect(next.kind === 'visit' && placeOf(next.visit.state)).toBe('asleep');
});

describe('a wire that may serve two needs', () => {
  const needs: readonly Need[] = [
    { id: 'wake', role: 'switched', liveInAcc: true },
    { id: 'held', role: 'retained' },
  ];
  const shows: readonly (readonly [state: VehicleState, value: number])[] = [
    ...(['acc', 'run', 'engine', 'justOff'] as const).map(
      (place) => [stateAt(place), 12.4] as const,
    ),
    ...(['off', 'asleep', 'crank'] as const).map((place) => [stateAt(place), 0.01] as const),
  ];
  const readings = shows.map(([state, value]) => volts('W1', state, value));

  it.each([
    ['first', needs],
    ['last', [...needs].reverse()],
  ])('goes to the one with less to hope for elsewhere, asked %s', (_, asked) => {
    const { filled, next } = advise({
      ...{ sources: wires(2, needs), readings, needs: asked, state: stateAt('acc') },
    });
    expect(filled).toEqual({ held: 'W1' });
    expect(next.kind === 'visit' && next.visit.sourceIds).toEqual(['W2']);
  });

  it('is found as what it is in whole bunches', () => {
    for (let seed = 1; seed <= 5; seed += 1) {
      const bunch = generateBunch(seed, true);
      const { advice } = searchSignals(bunch, needsFor(['accessory', 'retained']), { seed });
      expect([advice.filled.accessory]).toEqual(bunch.carries.get('accessory'));
      expect([advice.filled.retained]).toEqual(bunch.carries.get('retained'));
    }
  });
});

// On the first bunch the door's wire pulses, which a data line does as well; on the second only ohms tell how a lock is worked.
it.each([1, 37])(
  'finds doors and locks that one look alone leaves open (other bunch %d)',
  (seed) => {
    const bunch = bunchElsewhere(seed);
    const signals = ['lock', 'unlock', 'door'] as const;
    const { advice } = searchSignals(bunch, needsFor(signals), { seed });
    for (const signal of signals) {
      const wires = bunch.carries.get(signal) ?? [];
      expect([signal, wires.length === 0 ? undefined : wires]).toEqual([
        signal,
        advice.filled[signal] === undefined
          ? undefined
          : expect.arrayContaining([advice.filled[signal]]),
      ]);
    }
  },
);

it('takes a wire that reads alike with the pedal and without for no brake wire, whatever it is', () => {
  const [verdict] = advise({
    ...{ sources: wires(1, BRAKE), needs: BRAKE, state: RUN },
    readings: [
      ...[volts('W1', { ...RUN, brake: true }, 10.03), volts('W1', RUN, 10.03)],
      { ...volts('W1', RUN, -1.96), id: 'from plus', clip: 'constant' },
      { ...volts('W1', { ...RUN, lamps: true }, -1.96), clip: 'constant' },
      { ...volts('W1', stateAt('off'), -11.9), clip: 'constant' },
    ],
  }).verdicts;
  if (verdict === undefined) throw new Error('no verdict');
  expect(meetsProbability({ id: 'brake', role: 'brake' }, verdict.posterior)).toBeLessThan(0.02);
});
