import type { StitchPlace, VehicleState } from '../../vehicle';
import { stateAt } from '../../vehicle';
import { VISIT_ORDER, changeSeconds, visitsFor } from './workCosts';

const OFF = stateAt('off');
const RUN = stateAt('run');
const cost = (from: VehicleState, more: Partial<VehicleState>): number =>
  changeSeconds(from, { ...from, ...more });

// Attended seconds with an installer at the car; common practice.
describe('what it costs to bring the car from one state to another', () => {
  it('is nothing where nothing changes', () => {
    for (const place of ['off', 'run', 'asleep', 'lock', 'rolling', 'waited'] as const)
      expect(changeSeconds(stateAt(place), stateAt(place))).toBe(0);
  });

  it.each<[string, VehicleState, Partial<VehicleState>, number]>([
    ['key', RUN, { key: 'acc' }, 4],
    ['cranking', RUN, { key: 'crank' }, 10],
    ['engine', RUN, { key: 'engine' }, 8],
    ['lamps', RUN, { lamps: true }, 4],
    ['lamps off again', { ...RUN, lamps: true }, { lamps: false }, 4],
    ['brake pedal', RUN, { brake: true }, 4],
    ['pedal let go', { ...RUN, brake: true }, { brake: false }, 4],
    ['parking brake', RUN, { parkingBrake: true }, 4],
    ['lock switch', RUN, { lockSwitch: 'lock' }, 4],
    ['lock switch over', { ...RUN, lockSwitch: 'lock' }, { lockSwitch: 'unlock' }, 4],
    ['hood', RUN, { hood: true }, 12],
    ['a wheel lifted', RUN, { rolling: true }, 120],
    ['door', RUN, { driverDoor: RUN.driverDoor === 'open' ? 'closed' : 'open' }, 3],
    ['key and lamps', RUN, { key: 'off', lamps: true }, 8],
    ['sleep', OFF, { asleep: true }, 1800],
    ['sleep, whatever else', OFF, { asleep: true, key: 'run', lamps: true }, 1800],
    ['loads shed', OFF, { minutesSinceKeyOff: 10 }, 600],
    ['loads that were shed', { ...OFF, minutesSinceKeyOff: 10 }, { minutesSinceKeyOff: 0 }, 0],
    ['a switch at rest that says so', RUN, { lockSwitch: 'rest', brake: false }, 0],
  ])('%s', (_, from, more, seconds) => {
    expect(cost(from, more)).toBe(seconds);
  });

  it('wakes for nothing, and counts no wait with the key on', () => {
    const asleep = stateAt('asleep');
    expect(changeSeconds(asleep, { ...asleep, asleep: false })).toBe(0);
    expect(cost(RUN, { minutesSinceKeyOff: 10 })).toBe(0);
  });

  it('begins the retained period anew by key on and off again with the door shut', () => {
    const opened = { ...OFF, doorOpenedSinceKeyOff: true };
    expect(cost(opened, { doorOpenedSinceKeyOff: false })).toBe(2 * 4 + 3);
    // The door itself is part of that.
    const closed = opened.driverDoor === 'open' ? ('closed' as const) : ('open' as const);
    expect(cost(opened, { doorOpenedSinceKeyOff: false, driverDoor: closed })).toBe(2 * 4 + 3);
    expect(cost({ ...RUN, doorOpenedSinceKeyOff: true }, { doorOpenedSinceKeyOff: false })).toBe(0);
    const shut = { ...OFF, doorOpenedSinceKeyOff: false };
    expect(cost(shut, { doorOpenedSinceKeyOff: true })).toBe(0);
  });
});

describe('places that are visited for a need', () => {
  it('are all supplies’ places, cheap ones first, and a pedal or switch only where it is named', () => {
    const usual: StitchPlace[] = ['off', 'run', 'acc', 'lamps', 'justOff', 'engine', 'crank'];
    expect(visitsFor([])).toEqual([...usual, 'waited', 'asleep']);
    expect(visitsFor(['off', 'run'])).toEqual(visitsFor([]));
    for (const place of VISIT_ORDER.filter((one) => !visitsFor([]).includes(one)))
      expect(visitsFor([place])).toEqual(
        VISIT_ORDER.filter((one) => visitsFor([]).includes(one) || one === place),
      );
    expect(VISIT_ORDER.filter((one) => !visitsFor([]).includes(one))).toEqual([
      ...['dimmed', 'brake', 'reverse', 'parkingBrake', 'lock', 'unlock', 'hood', 'horn'],
    ]);
  });
});
