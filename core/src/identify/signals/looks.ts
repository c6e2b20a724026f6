import type { StitchPlace, VehicleState } from '../../vehicle';
import { stateAt, stateId } from '../../vehicle';

/** One way of looking at the wires of a bunch: a state of the car, an instrument, and where its clip sits. */
export interface Look {
  /** Where it counts on the stitch. */
  readonly place: StitchPlace;
  /** State that the car is brought to. */
  readonly state: VehicleState;
  /** Its id, see `stateId`. */
  readonly id: string;
  /** A filament lamp is asked for only at what a meter showed at battery voltage: any other wire may be a data or sensor line. */
  readonly by: 'meter' | 'ohmmeter' | 'lamp';
  /** Clipped to the constant, a meter tells what is tied to ground from what hangs open. */
  readonly clip: 'ground' | 'constant';
  /** A hand or a foot must hold it: alone, one wire at a time is clipped on first. */
  readonly held: boolean;
}

/** With the key at run modules are awake and their pull-ups are there; the driver's door stands open. */
const RUN = stateAt('run');

const STATES: readonly (readonly [place: StitchPlace, state: VehicleState, held?: 'held'])[] = [
  ['run', RUN],
  // A door's own switch, at either end of its way.
  ['run', { ...RUN, driverDoor: 'closed' }],
  ['off', stateAt('off')],
  ['acc', stateAt('acc')],
  ['lamps', { ...RUN, lamps: true }],
  ['lamps', { ...stateAt('off'), lamps: true }],
  ['dimmed', { ...RUN, lamps: true, dimmed: true }],
  ['brake', { ...RUN, brake: true }, 'held'],
  // The parking brake holds the car, as the step's caution says: its own wire is worked as well.
  ['reverse', { ...RUN, reverse: true, parkingBrake: true }],
  ['parkingBrake', { ...RUN, parkingBrake: true }],
  ['hood', { ...RUN, hood: true }],
  ['lock', { ...RUN, lockSwitch: 'lock' }, 'held'],
  ['unlock', { ...RUN, lockSwitch: 'unlock' }, 'held'],
  ['horn', { ...RUN, horn: true }, 'held'],
  ['turnLeft', stateAt('turnLeft')],
  ['turnRight', stateAt('turnRight')],
  ['wiper', stateAt('wiper')],
  ['rolling', stateAt('rolling'), 'held'],
  ['highBeam', { ...RUN, lamps: true, highBeam: true }],
  ['tuner', { ...RUN, tuner: true }],
  ['otherSource', { ...RUN, otherSource: true }],
  ['lamps', { ...stateAt('acc'), lamps: true }],
  ['everything', stateAt('everything')],
  ['justOff', stateAt('justOff')],
  ['engine', { ...stateAt('engine'), driverDoor: 'open' }],
  ['crank', stateAt('crank'), 'held'],
  ['asleep', stateAt('asleep')],
];

/** States in which something may be tied to ground that hangs open otherwise. */
const GROUNDING: readonly StitchPlace[] = [
  'run',
  'off',
  'lamps',
  'parkingBrake',
  'hood',
  'lock',
  'unlock',
  'horn',
  'justOff',
  'everything',
];

/** Every look that the search may take. */
export const LOOKS: readonly Look[] = [
  ...STATES.map(([place, state, held]) => look(place, state, held)),
  ...STATES.filter(([place]) => GROUNDING.includes(place)).map(([place, state, held]) => ({
    ...look(place, state, held),
    clip: 'constant' as const,
  })),
  { ...look('off', stateAt('off'), undefined), by: 'ohmmeter' },
  // What feeds something burns a lamp; what a module only pulls up does not.
  ...(['off', 'acc', 'run'] as const).map((place) => ({
    ...look(place, stateAt(place), undefined),
    by: 'lamp' as const,
  })),
];

function look(place: StitchPlace, state: VehicleState, held: 'held' | undefined): Look {
  return { place, state, id: stateId(state), by: 'meter', clip: 'ground', held: held === 'held' };
}
