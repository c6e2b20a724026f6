import { STITCH_PLACES, describeState, placeOf, stateAt, stateId } from './stitchPlace';
import type { VehicleState } from './vehicleState';

const OFF = stateAt('off');
const RUN = stateAt('run');

describe('a state of the car', () => {
  it.each<[VehicleState, string, string]>([
    [OFF, 'off', 'key off, door opened since'],
    [stateAt('justOff'), 'justOff', 'key off, door not opened since'],
    [stateAt('asleep'), 'asleep+shut', 'asleep, key off'],
    [stateAt('waited'), 'off+waited', 'key off, door opened since, 10 min after'],
    [{ ...OFF, lamps: true }, 'off+lamps', 'key off, door opened since, lamps on'],
    [{ ...RUN, lamps: true, dimmed: true }, 'run+dimmed', 'key at run, lamps on, dimmed'],
    // Nothing is dimmed while the lamps are off.
    [{ ...RUN, dimmed: true }, 'run', 'key at run'],
    [{ ...RUN, driverDoor: 'closed' }, 'run+shut', 'key at run'],
    [{ ...RUN, brake: true }, 'run+brake', 'key at run, brake pressed'],
    [{ ...RUN, reverse: true }, 'run+reverse', 'key at run, in reverse'],
    [{ ...RUN, parkingBrake: true }, 'run+parkingBrake', 'key at run, parking brake on'],
    [{ ...RUN, hazard: true }, 'run+hazard', 'key at run, hazard on'],
    [{ ...RUN, turnLeft: true }, 'run+turnLeft', 'key at run, turn lever left'],
    [{ ...RUN, turnRight: true }, 'run+turnRight', 'key at run, turn lever right'],
    [{ ...RUN, horn: true }, 'run+horn', 'key at run, horn pressed'],
    [{ ...RUN, wiper: true }, 'run+wiper', 'key at run, wiper on'],
    [{ ...RUN, lockSwitch: 'lock' }, 'run+lock', 'key at run, lock held'],
    [{ ...RUN, lockSwitch: 'unlock' }, 'run+unlock', 'key at run, unlock held'],
    [stateAt('acc'), 'acc', 'key at accessory'],
    [stateAt('crank'), 'crank', 'cranking'],
    [stateAt('engine'), 'engine', 'engine running'],
  ])('%j is %s: %s', (state, id, words) => {
    expect([stateId(state), describeState(state)]).toEqual([id, words]);
  });

  it('has no switch in it that is let go', () => {
    const still = { brake: false, reverse: false, parkingBrake: false, hazard: false, horn: false };
    expect(stateId({ ...RUN, ...still })).toBe('run');
    expect(describeState({ ...RUN, ...still })).toBe('key at run');
    expect(stateId({ ...RUN, lockSwitch: undefined })).toBe('run');
  });

  it('lies at the place that it was made for', () => {
    for (const place of STITCH_PLACES) expect(placeOf(stateAt(place))).toBe(place);
  });
});
