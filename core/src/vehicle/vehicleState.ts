/** Positions of the ignition switch, or what a push-button car shows for them. `engine` is run with the engine turning. */
export const KEY_POSITIONS = ['off', 'acc', 'run', 'crank', 'engine'] as const;
/** One position of the ignition switch. */
export type KeyPosition = (typeof KEY_POSITIONS)[number];

/** Everything about the car, as the installer set it, that may make a circuit live or dead. */
export interface VehicleState {
  readonly key: KeyPosition;
  /** Light switch at parking lamps or further. */
  readonly lamps: boolean;
  readonly driverDoor: 'closed' | 'open';
  /**
   * Whether the driver's door has been open at any time since the key went off; retained power ends there.
   * Always false while the key is not off.
   */
  readonly doorOpenedSinceKeyOff: boolean;
  /** Whether the modules have gone to sleep; only with the key off. */
  readonly asleep: boolean;
}

/** One thing an installer can do to the car's state. */
export type StateChange =
  | { readonly kind: 'key'; readonly to: KeyPosition }
  | { readonly kind: 'lamps'; readonly to: boolean }
  | { readonly kind: 'door'; readonly to: 'closed' | 'open' }
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
 * open; putting the car to sleep switches key and lamps off, as it would not sleep otherwise.
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
    case 'sleep':
      return { ...state, key: 'off', lamps: false, doorOpenedSinceKeyOff: true, asleep: true };
    case 'wake':
      return { ...state, asleep: false };
  }
}

function withKey(state: VehicleState, to: KeyPosition): VehicleState {
  if (to === state.key && to === 'off') return state;
  if (to !== 'off') return { ...state, key: to, doorOpenedSinceKeyOff: false, asleep: false };
  return {
    ...state,
    key: 'off',
    doorOpenedSinceKeyOff: state.driverDoor === 'open',
    asleep: false,
  };
}

/**
 * The names of the places a stitch is drawn through, in drawing order. `justOff` is key off with the door still
 * shut; `lamps` gathers every state with the lamps on.
 */
export const STITCH_PLACES = [
  'asleep',
  'off',
  'acc',
  'run',
  'crank',
  'lamps',
  'justOff',
  'engine',
] as const;
/** One place on a stitch. */
export type StitchPlace = (typeof STITCH_PLACES)[number];

/** The places every stitch shows; the others appear once something was read there. */
export const BASE_PLACES: readonly StitchPlace[] = ['asleep', 'off', 'acc', 'run', 'crank'];

/** Which place of the stitch a state belongs to. */
export function placeOf(state: VehicleState): StitchPlace {
  if (state.asleep) return 'asleep';
  if (state.lamps) return 'lamps';
  if (state.key !== 'off') return state.key;
  return state.doorOpenedSinceKeyOff ? 'off' : 'justOff';
}

/** Two states with the same id are the same to every circuit in the model; the door itself counts only through retained power. */
export function stateId(state: VehicleState): string {
  const off = state.asleep ? 'asleep' : state.doorOpenedSinceKeyOff ? 'off' : 'justOff';
  return `${state.key === 'off' ? off : state.key}${state.lamps ? '+lamps' : ''}`;
}

const KEY_WORDS: Record<KeyPosition, string> = {
  off: 'key off',
  acc: 'key at accessory',
  run: 'key at run',
  crank: 'cranking',
  engine: 'engine running',
};

/** A state in an installer's words, e.g. "key at run, lamps on". */
export function describeState(state: VehicleState): string {
  if (state.asleep) return 'asleep, key off';
  const words = [KEY_WORDS[state.key]];
  if (state.key === 'off')
    words.push(state.doorOpenedSinceKeyOff ? 'door opened since' : 'door not opened since');
  if (state.lamps) words.push('lamps on');
  return words.join(', ');
}

/** The words for one place of the stitch. */
export const PLACE_WORDS: Record<StitchPlace, string> = {
  asleep: 'asleep',
  off: 'key off (door opened)',
  acc: 'accessory',
  run: 'run',
  crank: 'cranking',
  lamps: 'lamps on',
  justOff: 'just off (door still shut)',
  engine: 'engine running',
};

/** The plainest state that lies at a place, starting from the parked car. */
export function stateAt(place: StitchPlace): VehicleState {
  switch (place) {
    case 'asleep':
      return nextState(PARKED, { kind: 'sleep' });
    case 'off':
      return PARKED;
    case 'lamps':
      return nextState(PARKED, { kind: 'lamps', to: true });
    case 'justOff':
      return { ...PARKED, driverDoor: 'closed', doorOpenedSinceKeyOff: false };
    default:
      return nextState(PARKED, { kind: 'key', to: place });
  }
}
