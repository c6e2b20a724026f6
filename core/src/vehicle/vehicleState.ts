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
  /** Minutes since the key went off, awake or asleep; left out: just gone off, or not known. */
  readonly minutesSinceKeyOff?: number;
}

/** What a finger does to the lock switch. */
export type LockSwitch = 'rest' | 'lock' | 'unlock';
/** Things that are either done or not, each with its own switch on the screen. */
export const TOGGLES = ['dimmed', 'brake', 'reverse', 'parkingBrake', 'hazard'] as const;
/** One of them. */
export type StateToggle = (typeof TOGGLES)[number];

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
      return { ...state, [change.which]: change.to, asleep: state.asleep && !change.to };
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

/**
 * The names of the places a stitch is drawn through, in drawing order. `justOff` is key off with the door still
 * shut; `lamps` gathers every state with the lamps on; the ones after `engine` are single actions on an awake car.
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
  'waited',
  'dimmed',
  'brake',
  'reverse',
  'parkingBrake',
  'lock',
  'unlock',
  'hazard',
] as const;
/** One place on a stitch. */
export type StitchPlace = (typeof STITCH_PLACES)[number];

/** The places every stitch shows; the others appear once something was read there. */
export const BASE_PLACES: readonly StitchPlace[] = ['asleep', 'off', 'acc', 'run', 'crank'];

/** Modules shed their loads some minutes after key-off, long before they sleep. Common practice: 10 to 20 minutes. */
export const SHED_MINUTES = 10;

/** Whether a car with the key off has stood long enough for modules to shed loads. */
export function hasWaited(state: VehicleState): boolean {
  return state.key === 'off' && (state.minutesSinceKeyOff ?? 0) >= SHED_MINUTES;
}

/** Which place of the stitch a state belongs to. */
export function placeOf(state: VehicleState): StitchPlace {
  if (state.asleep) return 'asleep';
  const action = actionOf(state);
  if (action !== undefined) return action;
  if (state.lamps) return state.dimmed === true ? 'dimmed' : 'lamps';
  if (state.key !== 'off') return state.key;
  if (!state.doorOpenedSinceKeyOff) return 'justOff';
  return hasWaited(state) ? 'waited' : 'off';
}

function actionOf(state: VehicleState): StitchPlace | undefined {
  if (state.hazard === true) return 'hazard';
  if (state.lockSwitch === 'lock' || state.lockSwitch === 'unlock') return state.lockSwitch;
  if (state.brake === true) return 'brake';
  if (state.reverse === true) return 'reverse';
  return state.parkingBrake === true ? 'parkingBrake' : undefined;
}

/**
 * Two states with the same id are the same to every circuit in the model. The door counts through retained power and
 * through its own switch (`+shut`), the dimmer only with the lamps on.
 */
export function stateId(state: VehicleState): string {
  const off = state.asleep ? 'asleep' : state.doorOpenedSinceKeyOff ? 'off' : 'justOff';
  let id: string = state.key === 'off' ? off : state.key;
  if (state.driverDoor === 'closed' && id !== 'justOff') id += '+shut';
  if (state.lamps) id += state.dimmed === true ? '+dimmed' : '+lamps';
  if (state.key === 'off' && !state.asleep && hasWaited(state)) id += '+waited';
  if (state.brake === true) id += '+brake';
  if (state.reverse === true) id += '+reverse';
  if (state.parkingBrake === true) id += '+parkingBrake';
  if (state.hazard === true) id += '+hazard';
  if (state.lockSwitch === 'lock' || state.lockSwitch === 'unlock') id += `+${state.lockSwitch}`;
  return id;
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
  if (hasWaited(state)) words.push(`${state.minutesSinceKeyOff ?? 0} min after`);
  if (state.lamps) words.push(state.dimmed === true ? 'lamps on, dimmed' : 'lamps on');
  if (state.brake === true) words.push('brake pressed');
  if (state.reverse === true) words.push('in reverse');
  if (state.parkingBrake === true) words.push('parking brake on');
  if (state.hazard === true) words.push('hazard on');
  if (state.lockSwitch === 'lock') words.push('lock held');
  if (state.lockSwitch === 'unlock') words.push('unlock held');
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
  waited: 'ten minutes after key off',
  dimmed: 'lamps on, dimmed',
  brake: 'brake pressed',
  reverse: 'in reverse',
  parkingBrake: 'parking brake on',
  lock: 'lock held',
  unlock: 'unlock held',
  hazard: 'hazard on',
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
    case 'waited':
      return { ...PARKED, minutesSinceKeyOff: SHED_MINUTES };
    case 'dimmed':
      return { ...PARKED, lamps: true, dimmed: true };
    case 'reverse':
      return { ...nextState(PARKED, { kind: 'key', to: 'run' }), reverse: true };
    case 'brake':
    case 'parkingBrake':
    case 'hazard':
      return { ...PARKED, [place]: true };
    case 'lock':
    case 'unlock':
      return { ...PARKED, lockSwitch: place };
    default:
      return nextState(PARKED, { kind: 'key', to: place });
  }
}
