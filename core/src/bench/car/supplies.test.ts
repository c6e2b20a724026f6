import type { StitchPlace } from '../../vehicle';
import { nextState, stateAt } from '../../vehicle';
import type { BenchSupply } from './supplies';
import { BENCH_SUPPLIES, isClosed } from './supplies';

const PLACES: readonly StitchPlace[] = [
  'off',
  'justOff',
  'acc',
  'run',
  'crank',
  'engine',
  'asleep',
];

/** Which of the places a contact is closed in, as one letter each: `#` closed, `.` open. */
function row(supply: BenchSupply): string {
  return PLACES.map((place) => (isClosed(supply, stateAt(place)) ? '#' : '.')).join('');
}

describe('the contacts of the simulated car', () => {
  // Terminals 30, 15R/75, 15 and 50 of DIN 72552, from memory; the rest is common practice.
  //                          off justOff acc run crank engine asleep
  it.each<[BenchSupply, string]>([
    ['battery', '#######'],
    ['batterySaver', '######.'],
    ['accessoryContact', '..##.#.'],
    ['accessoryContactHeld', '..####.'],
    ['accessoryRelay', '..##.#.'],
    ['runContact', '...#.#.'],
    ['runCrankContact', '...###.'],
    ['retainedPower', '.###.#.'],
    ['retainedRun', '.#.#.#.'],
    ['starterContact', '....#..'],
    ['unfed', '.......'],
  ])('%s: %s', (supply, expected) => {
    expect(row(supply)).toBe(expected);
  });

  it.each<[BenchSupply, StitchPlace]>([
    ['lampSwitch', 'lamps'],
    ['brakeSwitch', 'brake'],
    ['reverseSwitch', 'reverse'],
  ])('%s follows its own switch', (supply, place) => {
    expect(isClosed(supply, stateAt(place))).toBe(true);
    expect(isClosed(supply, stateAt('run'))).toBe(false);
  });

  it('low beam wants the lamps and the key', () => {
    expect(isClosed('lowBeamSwitch', { ...stateAt('run'), lamps: true })).toBe(true);
    expect(isClosed('lowBeamSwitch', { ...stateAt('off'), lamps: true })).toBe(false);
  });

  it('timers end after ten minutes, retained power when a door opens', () => {
    const later = nextState(stateAt('justOff'), { kind: 'wait', minutes: 15 });
    for (const supply of ['loadShed', 'delayTimer', 'heldMainRelay', 'retainedPower'] as const) {
      expect(isClosed(supply, stateAt('justOff'))).toBe(true);
      expect(isClosed(supply, later)).toBe(false);
    }
    const opened = nextState(stateAt('justOff'), { kind: 'door', to: 'open' });
    expect(isClosed('retainedPower', opened)).toBe(false);
  });

  it('nothing but the battery is closed asleep', () => {
    const live = BENCH_SUPPLIES.filter((supply) => isClosed(supply, stateAt('asleep')));
    expect(live).toEqual(['battery']);
  });
});
