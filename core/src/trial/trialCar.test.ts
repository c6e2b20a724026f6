import { generateVehicle } from '../bench';
import type { Need } from '../identify';
import { PARKED, stateAt } from '../vehicle';
import { careful, labelFirst, scoreOf, sweep, trialCar } from './index';

const SWITCHED: Need = { id: 'supply', role: 'switched' };
const CAR = generateVehicle(4);
const first = CAR.slots[0]?.id ?? '';

/** A fresh clock on the same car. */
const fresh = () => trialCar(CAR, { seed: 4, instrument: 'meter' });

describe('the clock of a trial', () => {
  // The costs of the trade that all ways of working are compared at. Common practice.
  it.each([
    ['run', 4],
    ['acc', 4],
    ['crank', 10],
    ['engine', 8],
    ['asleep', 0],
  ] as const)('counts the change from parked to %s as %d s', (place, seconds) => {
    const car = fresh();
    car.go(stateAt(place));
    expect(car.effort().seconds).toBe(60 + seconds);
  });

  it('counts 60 s for the legend and 5 s for a probe, and sleeps apart', () => {
    const car = fresh();
    expect(car.effort()).toEqual({ seconds: 60, probes: 0, changes: 0, sleeps: 0, lookUps: 0 });
    car.probe(first);
    car.go(stateAt('asleep'));
    car.probe(first);
    expect(car.effort()).toEqual({ seconds: 70, probes: 2, changes: 1, sleeps: 1, lookUps: 0 });
  });

  it('counts lamps with 4 s and the door with 3 s', () => {
    const car = fresh();
    car.go({ ...PARKED, lamps: true });
    expect(car.effort().seconds).toBe(64);
    car.go({ ...PARKED, lamps: true, driverDoor: 'closed' });
    expect(car.effort().seconds).toBe(67);
  });

  it('costs nothing to stay', () => {
    const car = fresh();
    car.go(PARKED);
    expect(car.effort()).toMatchObject({ seconds: 60, changes: 0 });
  });

  it('reads with the lamp when it is told to, and says what is at hand', () => {
    const car = trialCar(CAR, { seed: 4, instrument: 'both' });
    expect(car.lamp).toBe(true);
    expect(car.probe(first).value.kind).toBe('volts');
    expect(car.probe(first, true).value.kind).toBe('glow');
    expect(fresh().lamp).toBe(false);
  });
});

describe('ways of working by hand', () => {
  it('sweep touches every slot twice: once with the key off, once at run', () => {
    const car = fresh();
    sweep(car, [SWITCHED]);
    expect(car.effort()).toMatchObject({
      probes: 2 * CAR.slots.length,
      seconds: 60 + 4 + 10 * CAR.slots.length,
    });
  });

  it('label first takes the first that is dead at off and live at run', () => {
    const car = fresh();
    const choice = labelFirst(car, [SWITCHED]);
    expect(choice.supply).toBeDefined();
    const last = car.readings.at(-1);
    expect(last?.sourceId).toBe(choice.supply);
    expect(last?.state.key).toBe('run');
  });

  it('careful goes back to key off with the door opened before it is satisfied', () => {
    const car = fresh();
    careful(car, [SWITCHED]);
    expect(car.readings.at(-1)?.state).toMatchObject({ key: 'off', doorOpenedSinceKeyOff: true });
  });

  it('careful looks at the constant asleep, all candidates in one sleep', () => {
    const car = fresh();
    careful(car, [{ id: 'memory', role: 'constant' }]);
    expect(car.effort().sleeps).toBeLessThanOrEqual(1);
    expect(car.readings.at(-1)?.state.asleep).toBe(true);
  });
});

describe('the score of a choice', () => {
  const circuitOf = (supply: string) =>
    CAR.truth.circuits.find((one) => one.supply === supply)?.slotId ?? '';
  const harmless = CAR.truth.circuits.find(
    (one) =>
      one.supply === 'battery' &&
      CAR.slots.find((slot) => slot.id === one.slotId)?.critical === false,
  )?.slotId;
  const critical = CAR.slots.find((slot) => slot.critical)?.id ?? '';

  it('counts a battery circuit as right for a memory feed and as wrong for a switched one', () => {
    const memory: Need = { id: 'memory', role: 'constant' };
    expect(scoreOf(CAR, [memory], { memory: harmless ?? '' })).toMatchObject({
      right: 1,
      wrong: 0,
    });
    expect(scoreOf(CAR, [SWITCHED], { supply: circuitOf('battery') })).toMatchObject({
      right: 0,
      wrong: 1,
    });
  });

  it('counts a dangerous circuit as such whatever it would do for the feed', () => {
    expect(scoreOf(CAR, [SWITCHED], { supply: critical })).toMatchObject({ right: 0, critical: 1 });
  });

  it('counts a need without a source as given up', () => {
    expect(scoreOf(CAR, [SWITCHED], {})).toMatchObject({ needs: 1, gaveUp: 1, right: 0, wrong: 0 });
  });
});
