/** Positions of the ignition switch, or what a push-button car shows for them. `engine` is run with the engine turning. */
export const KEY_POSITIONS = ['off', 'acc', 'run', 'crank', 'engine'] as const;
/** One position of the ignition switch. */
export type KeyPosition = (typeof KEY_POSITIONS)[number];

/** Everything about the car, as the installer set it, that may make a circuit live or dead. */
export interface VehicleState {
  /** Where the key stands. */
  readonly key: KeyPosition;
  /** Light switch at parking lamps or further. */
  readonly lamps: boolean;
  /** How the driver’s door stands now. */
  readonly driverDoor: 'closed' | 'open';
  /**
   * Whether the driver's door has been open at any time since the key went off; retained power ends there.
   * Always false while the key is not off.
   */
  readonly doorOpenedSinceKeyOff: boolean;
  /** Whether the modules have gone to sleep; only with the key off. */
  readonly asleep: boolean;
  /** Panel dimmer turned down; left out: full. */
  readonly dimmed?: boolean;
  /** Brake pedal pressed; left out: released. */
  readonly brake?: boolean;
  /** Gear in reverse; left out: not. */
  readonly reverse?: boolean;
  /** Parking brake on; left out: released. */
  readonly parkingBrake?: boolean;
  /** Lock switch as it is held; left out: at rest. */
  readonly lockSwitch?: LockSwitch;
  /** Hazard lamps on; left out: off. */
  readonly hazard?: boolean;
  /** Hood open; left out: shut. */
  readonly hood?: boolean;
  /** Turn lever to the left; left out: not. */
  readonly turnLeft?: boolean;
  /** Turn lever to the right; left out: not. */
  readonly turnRight?: boolean;
  /** Horn pressed; left out: not. */
  readonly horn?: boolean;
  /** Wiper switch on; left out: off. */
  readonly wiper?: boolean;
  /** A driven wheel is turned by hand, lifted off the ground; left out: the wheels stand. */
  readonly rolling?: boolean;
  /** Main beam on, or flashed; left out: not. */
  readonly highBeam?: boolean;
  /** The car's own radio plays the tuner; left out: it does not. */
  readonly tuner?: boolean;
  /** The car's own radio plays anything but the tuner; left out: it does not. */
  readonly otherSource?: boolean;
  /** Minutes since the key went off, awake or asleep; left out: just gone off, or not known. */
  readonly minutesSinceKeyOff?: number;
}

/** What a finger does to the lock switch. */
export type LockSwitch = 'rest' | 'lock' | 'unlock';
/** Things that are either done or not, each with its own switch on the screen. */
export const TOGGLES = [
  'dimmed',
  'brake',
  'reverse',
  'parkingBrake',
  'hazard',
  'hood',
  'turnLeft',
  'turnRight',
  'horn',
  'wiper',
  'rolling',
  'highBeam',
  'tuner',
  'otherSource',
] as const;
/** One of them. */
export type StateToggle = (typeof TOGGLES)[number];

/** What a radio may play. */
const PLAYS: readonly StateToggle[] = ['tuner', 'otherSource'];

/** One thing an installer can do to the car's state. */
export type StateChange =
  | { readonly kind: 'key'; readonly to: KeyPosition }
  | { readonly kind: 'lamps'; readonly to: boolean }
  | { readonly kind: 'door'; readonly to: 'closed' | 'open' }
  | { readonly kind: 'toggle'; readonly which: StateToggle; readonly to: boolean }
  | { readonly kind: 'lock'; readonly to: LockSwitch }
  | { readonly kind: 'wait'; readonly minutes: number }
  | { readonly kind: 'sleep' }
  | { readonly kind: 'wake' };

/** How a car stands when the installer opens the door to look: key off, door open, awake. */
export const PARKED: VehicleState = {
  key: 'off',
  lamps: false,
  driverDoor: 'open',
  doorOpenedSinceKeyOff: true,
  asleep: false,
};

/**
 * Which state the car is in after one change.
 *
 * Leaving "off" wakes the car; going to "off" starts the retained period, which is over at once if the door stands
 * open; putting the car to sleep switches key and lamps off and shuts the door, as it would not sleep otherwise.
 */
export function nextState(state: VehicleState, change: StateChange): VehicleState {
  switch (change.kind) {
    case 'key':
      return withKey(state, change.to);
    case 'lamps':
      return { ...state, lamps: change.to, asleep: state.asleep && !change.to };
    case 'door':
      return {
        ...state,
        driverDoor: change.to,
        asleep: state.asleep && change.to === state.driverDoor,
        doorOpenedSinceKeyOff:
          state.key === 'off' && (state.doorOpenedSinceKeyOff || change.to === 'open'),
      };
    case 'toggle':
      return {
        ...state,
        // One radio plays one thing at a time.
        ...(change.to && PLAYS.includes(change.which) ? { tuner: false, otherSource: false } : {}),
        [change.which]: change.to,
        asleep: state.asleep && !change.to,
      };
    case 'lock':
      return { ...state, lockSwitch: change.to, asleep: state.asleep && change.to === 'rest' };
    case 'wait':
      if (state.key !== 'off') return state;
      return { ...state, minutesSinceKeyOff: (state.minutesSinceKeyOff ?? 0) + change.minutes };
    case 'sleep':
      return {
        key: 'off',
        lamps: false,
        driverDoor: 'closed',
        doorOpenedSinceKeyOff: true,
        asleep: true,
      };
    case 'wake':
      return { ...state, asleep: false };
  }
}

function withKey(state: VehicleState, to: KeyPosition): VehicleState {
  if (to === state.key && to === 'off') return state;
  const { minutesSinceKeyOff: _past, ...rest } = state;
  if (to !== 'off') return { ...rest, key: to, doorOpenedSinceKeyOff: false, asleep: false };
  return {
    ...rest,
    key: 'off',
    doorOpenedSinceKeyOff: state.driverDoor === 'open',
    asleep: false,
  };
}
