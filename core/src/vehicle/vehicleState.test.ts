import fc from 'fast-check';
import type { StateChange, StateToggle, VehicleState } from './vehicleState';
import { KEY_POSITIONS, PARKED, nextState } from './vehicleState';
import { STITCH_PLACES, describeState, placeOf, stateAt, stateId } from './stitchPlace';

const change: fc.Arbitrary<StateChange> = fc.oneof(
  fc.record({ kind: fc.constant('key' as const), to: fc.constantFrom(...KEY_POSITIONS) }),
  fc.record({ kind: fc.constant('lamps' as const), to: fc.boolean() }),
  fc.record({
    kind: fc.constant('door' as const),
    to: fc.constantFrom('open' as const, 'closed' as const),
  }),
  fc.constant({ kind: 'sleep' as const }),
  fc.constant({ kind: 'wake' as const }),
);

describe('nextState', () => {
  it('holds the retained period until a door opens', () => {
    const shut = nextState(PARKED, { kind: 'door', to: 'closed' });
    const on = nextState(shut, { kind: 'key', to: 'run' });
    const justOff = nextState(on, { kind: 'key', to: 'off' });
    expect(placeOf(justOff)).toBe('justOff');
    expect(placeOf(nextState(justOff, { kind: 'door', to: 'open' }))).toBe('off');
  });

  it('has no retained period when the key goes off with the door open', () => {
    const on = nextState(PARKED, { kind: 'key', to: 'run' });
    expect(placeOf(nextState(on, { kind: 'key', to: 'off' }))).toBe('off');
  });

  it('wakes the car by key, lamps and door', () => {
    const asleep = stateAt('asleep');
    expect(nextState(asleep, { kind: 'key', to: 'acc' }).asleep).toBe(false);
    expect(nextState(asleep, { kind: 'lamps', to: true }).asleep).toBe(false);
    expect(nextState(asleep, { kind: 'door', to: 'open' }).asleep).toBe(false);
  });

  it('keeps the state sound whatever is done', () => {
    fc.assert(
      fc.property(fc.array(change, { maxLength: 30 }), (changes) => {
        const state = changes.reduce(nextState, PARKED);
        if (state.asleep)
          expect([state.key, state.lamps, state.driverDoor]).toEqual(['off', false, 'closed']);
        if (state.key !== 'off') expect(state.doorOpenedSinceKeyOff).toBe(false);
        if (state.key === 'off' && state.driverDoor === 'open' && !state.asleep)
          expect(state.doorOpenedSinceKeyOff).toBe(true);
      }),
    );
  });
});

it('lets a radio play one thing at a time, and never takes it for everything at once', () => {
  const on = (state: VehicleState, which: StateToggle): VehicleState =>
    nextState(state, { kind: 'toggle', which, to: true });
  const playing = on(on(stateAt('run'), 'tuner'), 'otherSource');
  expect([playing.tuner, playing.otherSource]).toEqual([false, true]);
  expect(placeOf(playing)).toBe('otherSource');
  expect(describeState(playing)).toBe('key at run, radio on another source');
  const busy = on(on(playing, 'brake'), 'hood');
  expect(placeOf(busy)).toBe('brake');
});

it.each(STITCH_PLACES)('reaches the place %s', (place) => {
  expect(placeOf(stateAt(place))).toBe(place);
});

it('tells states apart by what circuits see', () => {
  const ids = STITCH_PLACES.map((place) => stateId(stateAt(place)));
  expect(new Set(ids).size).toBe(STITCH_PLACES.length);
  expect(describeState(stateAt('crank'))).toBe('cranking');
});
