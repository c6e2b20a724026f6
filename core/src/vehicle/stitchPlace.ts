import type { KeyPosition, StateToggle, VehicleState } from './vehicleState';
import { PARKED, nextState } from './vehicleState';

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
  'hood',
  'turnLeft',
  'turnRight',
  'horn',
  'wiper',
  'rolling',
  'highBeam',
  'tuner',
  'otherSource',
  'everything',
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

/** What is done and stays so, in the order in which it names a state: what lies at rest while somebody works comes last. */
const ACTIONS = [
  'horn',
  'turnLeft',
  'turnRight',
  'wiper',
  'rolling',
  'brake',
  'reverse',
  'hood',
  'parkingBrake',
] as const satisfies readonly StateToggle[];
/** The same for what changes next to nothing else: it never makes "everything at once". */
const ALONE = ['highBeam', 'tuner', 'otherSource'] as const satisfies readonly StateToggle[];
/** With so many actions at once a state tells of none of them alone. */
const SEVERAL = 3;

function actionOf(state: VehicleState): StitchPlace | undefined {
  if (ACTIONS.filter((which) => state[which] === true).length >= SEVERAL) return 'everything';
  if (state.hazard === true) return 'hazard';
  if (state.lockSwitch === 'lock' || state.lockSwitch === 'unlock') return state.lockSwitch;
  return [...ACTIONS, ...ALONE].find((which) => state[which] === true);
}

/** Toggles that stand at the end of an id. */
const LATER_TOGGLES = [
  ...(['hood', 'turnLeft', 'turnRight', 'horn', 'wiper', 'rolling'] as const),
  ...ALONE,
] as const;

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
  for (const which of LATER_TOGGLES) if (state[which] === true) id += `+${which}`;
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
  for (const which of LATER_TOGGLES) if (state[which] === true) words.push(PLACE_WORDS[which]);
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
  hood: 'hood open',
  turnLeft: 'turn lever left',
  turnRight: 'turn lever right',
  horn: 'horn pressed',
  wiper: 'wiper on',
  rolling: 'wheel turned by hand',
  highBeam: 'main beam on',
  tuner: 'radio on the tuner',
  otherSource: 'radio on another source',
  everything: 'everything on at once',
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
    case 'turnLeft':
    case 'turnRight':
    case 'wiper':
    case 'rolling':
    case 'tuner':
    case 'otherSource':
      return { ...nextState(PARKED, { kind: 'key', to: 'run' }), [place]: true };
    case 'highBeam':
      return { ...nextState(PARKED, { kind: 'key', to: 'run' }), lamps: true, highBeam: true };
    case 'brake':
    case 'parkingBrake':
    case 'hazard':
    case 'hood':
    case 'horn':
      return { ...PARKED, [place]: true };
    case 'everything':
      return {
        ...nextState(PARKED, { kind: 'key', to: 'run' }),
        ...{ lamps: true, brake: true, reverse: true, parkingBrake: true, hood: true },
      };
    case 'lock':
    case 'unlock':
      return { ...PARKED, lockSwitch: place };
    default:
      return nextState(PARKED, { kind: 'key', to: place });
  }
}
